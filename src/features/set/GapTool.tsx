import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';

import { TakeGap } from './TakeGap';
import { ToolBox } from './ToolBox';

const FIELDS = [
  'setting.gapMin',
  'setting.gapMax',
  'setting.pitch',
  'setting.marksPerTurn',
  'setting.linkage',
  'setting.turnsOut',
  'setting.marksOut',
] as const;

/** The install gap by the adjuster: from firm contact out by turns and marks. */
export function GapTool() {
  return (
    <ToolBox fields={FIELDS}>
      <FigureRows ids={['gapSet', 'gapPerMark']} />
      <TakeGap from="gapSet" by="the adjuster" />
      <VerdictLine id="installGap" />
    </ToolBox>
  );
}
