import { View } from 'react-native';

import { EntryField } from '@/features/entry/EntryField';
import { FigureRow } from '@/features/figures/FigureRow';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useEvaluation } from '@/features/jobs/evaluations';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { TradePanel } from '@/features/compare/TradePanel';
import { Heading } from '@/ui/Words';

import { DialReadings } from './DialReadings';
import { LossFields } from './LossFields';

const SHOWN = [
  'liftHad',
  'liftNeeded',
  'clearancePerFace',
  'overallRatio',
  'releaseForce',
  'leverPull',
  'liftTilt',
  'liftLeast',
  'armBestStart',
] as const;

/** From the lever to the plate: what the train lifts, what the pack needs, what the hand pays. */
export function ReleaseTab() {
  const { id: jobId, release } = useJob();
  const { figures } = useEvaluation();
  const dispatch = useAppDispatch();
  return (
    <View style={{ gap: 12 }}>
      <Heading level={2}>Release</Heading>
      <Choice
        label="Lift from"
        value={release.type}
        options={
          [
            { value: 'hydraulic', label: 'Hydraulics' },
            { value: 'cable', label: 'Cable' },
            { value: 'measured', label: 'A dial reading' },
          ] as const
        }
        onChange={(type) => dispatch(jobActions.releaseTypeChosen({ jobId, type }))}
      />
      <FieldGrid>
        {release.type === 'measured' ? <EntryField path="release.measuredLift" /> : null}
        <EntryField path="release.leverTravel" />
        {release.type === 'measured' ? null : <EntryField path="release.leverRatio" />}
        {release.type === 'hydraulic' ? (
          <>
            <EntryField path="release.lostTravel" />
            <EntryField path="release.masterDiameter" />
            <EntryField path="release.slaveDiameter" />
          </>
        ) : null}
        {release.type === 'cable' ? (
          <>
            <EntryField path="release.cableSlack" />
            <EntryField path="release.armLength" />
            <EntryField path="release.lead" />
            <EntryField path="release.armStart" />
          </>
        ) : null}
        <EntryField path="release.efficiency" />
      </FieldGrid>
      {release.type === 'measured' ? <DialReadings /> : <LossFields />}
      <Heading level={2}>What the pack needs</Heading>
      <FieldGrid>
        <EntryField path="release.faceClearance" />
        <EntryField path="release.requiredLift" />
      </FieldGrid>
      <View>
        {SHOWN.map((id) => {
          const outcome = figures.get(id);
          return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
        })}
      </View>
      <TradePanel />
    </View>
  );
}
