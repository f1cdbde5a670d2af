import { View } from 'react-native';

import { releasedBy } from '@/core/release/way';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { useJob } from '@/state/jobs/useJob';
import { FieldGrid } from '@/ui/FieldGrid';
import { ColdOil } from '@/features/drag/ColdOil';
import { PullStroke } from '@/features/drag/PullStroke';
import { TradeOffPanel } from '@/features/compare/TradePanel';
import { Heading } from '@/ui/Words';

import { ReleaseWay } from './BuildChoices';
import { DialReadings } from './DialReadings';
import { LossFields } from './LossFields';
import { flow } from '@/ui/flow';

const SHOWN = [
  'liftHad',
  'liftMeasured',
  'liftUnexplained',
  'liftBare',
  'liftNeeded',
  'clearancePerFace',
  'overallRatio',
  'ratioMeasured',
  'releaseForce',
  'leverPull',
  'leverPullBack',
  'pullLift',
  'leverPullFull',
  'liftLeast',
  'liftAcross',
  'liftTilt',
  'liftResidual',
  'armBestStart',
  'armLost',
] as const;

/** Fields that do not apply to a shift pedal. */
const OF_THE_LEVER: ReadonlySet<(typeof SHOWN)[number]> = new Set([
  'overallRatio',
  'releaseForce',
  'leverPull',
  'leverPullBack',
  'pullLift',
  'leverPullFull',
]);

/** From lever to plate: lift of the train, lift required, lever pull. */
export function ReleaseTab() {
  const job = useJob();
  const { release } = job;
  const pedal = releasedBy(job) === 'pedal';
  return (
    <View style={flow.sections}>
      <Heading level={2}>Release</Heading>
      <ReleaseWay label="Release by" />
      <FieldGrid>
        {pedal ? null : <EntryField path="release.leverTravel" />}
        {release.type === 'measured' ? null : <EntryField path="release.leverRatio" />}
        {release.type === 'hydraulic' ? (
          <>
            <EntryField path="release.masterDiameter" />
            <EntryField path="release.slaveDiameter" />
            <EntryField path="release.lostTravel" />
          </>
        ) : null}
        {release.type === 'cable' ? (
          <>
            <EntryField path="release.armLength" />
            <EntryField path="release.lead" />
            <EntryField path="release.cableSlack" />
            <EntryField path="release.armStart" />
          </>
        ) : null}
        {pedal ? null : <EntryField path="release.efficiency" />}
      </FieldGrid>
      <Heading level={2}>Lift at the plate</Heading>
      <FieldGrid>
        <EntryField path="release.measuredLift" />
      </FieldGrid>
      <DialReadings />
      {pedal ? null : <LossFields />}
      <Heading level={2}>Required lift and pull</Heading>
      <FieldGrid>
        <EntryField path="release.faceClearance" />
        <EntryField path="release.requiredLift" />
        {pedal ? null : <EntryField path="release.pullMax" />}
      </FieldGrid>
      <FigureRows ids={SHOWN.filter((id) => !pedal || !OF_THE_LEVER.has(id))} />
      {pedal ? null : <PullStroke />}
      <ColdOil />
      <TradeOffPanel />
    </View>
  );
}
