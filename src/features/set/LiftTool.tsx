import type { SheetLine } from '@/core/worksheet/line';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { DialReadings } from '@/features/pack/DialReadings';

import { LiftPlate } from './LiftPlate';
import { ToolBox } from '@/features/worksheet/ToolBox';

/** Lift by the dial, drawn round the plate, against what either school asks for. */
export function LiftTool({ fields }: Pick<SheetLine, 'fields'>) {
  return (
    <ToolBox fields={fields}>
      <DialReadings bare />
      <LiftPlate />
      <VerdictLine id="releases" />
      <VerdictLine id="repeat" />
      <FigureRows
        ids={[
          'liftHad',
          'liftNeeded',
          'liftLeast',
          'liftAcross',
          'liftTilt',
          'liftResidual',
          'liftRepeat',
        ]}
      />
    </ToolBox>
  );
}
