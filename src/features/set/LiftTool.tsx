import type { ChecklistLine } from '@/core/worksheet/line';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { ReadingSets } from '@/features/readings/ReadingSets';
import { DialReadings } from '@/features/pack/DialReadings';

import { LiftPlate } from './LiftPlate';
import { ToolBox } from '@/features/worksheet/ToolBox';

/** Lift by dial, drawn round the plate, compared with both requirements. */
export function LiftTool({ fields }: Pick<ChecklistLine, 'fields'>) {
  return (
    <ToolBox fields={fields}>
      <DialReadings />
      <ReadingSets kind="dial" />
      <LiftPlate />
      <VerdictLine id="releases" />
      <VerdictLine id="repeat" />
      <FigureRows
        ids={[
          'liftMeasured',
          'liftHad',
          'liftUnexplained',
          'liftBare',
          'ratioMeasured',
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
