import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { DialReadings } from '@/features/pack/DialReadings';

import { LiftPlate } from './LiftPlate';
import { ToolBox } from './ToolBox';

/** Lift by the dial, drawn round the plate, against what either school asks for. */
export function LiftTool() {
  return (
    <ToolBox fields={['release.requiredLift', 'release.faceClearance']}>
      <DialReadings bare />
      <LiftPlate />
      <VerdictLine id="releases" />
      <VerdictLine id="repeat" />
      <FigureRows ids={['liftHad', 'liftNeeded', 'liftLeast', 'liftTilt', 'liftRepeat']} />
    </ToolBox>
  );
}
