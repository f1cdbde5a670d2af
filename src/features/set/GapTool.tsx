import type { ChecklistLine } from '@/core/worksheet/line';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';

import { UseGap } from './UseGap';
import { ToolBox } from '@/features/worksheet/ToolBox';

/** The install gap by the adjuster: from firm contact out by turns and marks. */
export function GapTool({ fields }: Pick<ChecklistLine, 'fields'>) {
  return (
    <ToolBox fields={fields}>
      <FigureRows ids={['gapSet', 'gapPerMark']} />
      <UseGap from="gapSet" by="the adjuster" />
      <VerdictLine id="installGap" />
    </ToolBox>
  );
}
