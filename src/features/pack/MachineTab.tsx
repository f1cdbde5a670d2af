import { View } from 'react-native';

import { MAX_NAME, MAX_NOTES } from '@/core/job/fields';
import { EntryField } from '@/features/entry/EntryField';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { FieldGrid } from '@/ui/FieldGrid';
import { LineField } from '@/ui/LineField';
import { Heading } from '@/ui/Words';

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
