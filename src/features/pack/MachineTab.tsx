import { View } from 'react-native';

import { MAX_NAME, MAX_NOTES } from '@/core/job/fields';
import { EntryField } from '@/features/entry/EntryField';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { LineField } from '@/ui/LineField';
import { Heading } from '@/ui/Words';

const START_PLACES = [
  { value: 'none', label: 'None' },
  { value: 'crank', label: 'On the crank' },
  { value: 'input', label: 'On the gearbox input' },
] as const;

/** Which machine this is and what its engine brings to the clutch. */
export function MachineTab() {
  const job = useJob();
  const dispatch = useAppDispatch();
  const type = (part: { number?: string; name?: string; use?: string; notes?: string }) =>
    dispatch(jobActions.detailsTyped({ jobId: job.id, ...part }));
  return (
    <View style={{ gap: 12 }}>
      <Heading level={2}>Machine</Heading>
      <LineField
        label="Machine"
        value={job.machine.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => type({ name })}
      />
      <LineField
        label="What it is used for"
        value={job.machine.use}
        maxLength={MAX_NAME}
        onChangeText={(use) => type({ use })}
      />
      <LineField
        label="Job number"
        value={job.number}
        maxLength={MAX_NAME}
        onChangeText={(number) => type({ number })}
      />
      <Heading level={2}>Engine</Heading>
      <FieldGrid>
        <EntryField path="engine.peakTorque" />
        <EntryField path="engine.peakTorqueRpm" />
        <EntryField path="engine.primaryRatio" />
        <EntryField path="engine.primaryEfficiency" />
        <EntryField path="engine.idleRpm" />
      </FieldGrid>
      <Heading level={2}>Start clutch</Heading>
      <Choice
        label="Shoes in a drum"
        value={job.startClutch.place}
        options={START_PLACES}
        onChange={(place) => dispatch(jobActions.startClutchPlaced({ jobId: job.id, place }))}
      />
      {job.startClutch.place === 'none' ? null : (
        <FieldGrid>
          <EntryField path="startClutch.shoes" />
          <EntryField path="startClutch.mass" />
          <EntryField path="startClutch.radius" />
          <EntryField path="startClutch.springPull" />
          <EntryField path="startClutch.drumRadius" />
          <EntryField path="startClutch.friction" />
        </FieldGrid>
      )}
      <LineField
        label="Notes"
        value={job.notes}
        maxLength={MAX_NOTES}
        multiline
        onChangeText={(notes) => type({ notes })}
      />
    </View>
  );
}
