import { View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import { EngineFields } from '@/features/intake/EngineFields';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { Field } from '@/ui/Field';

import { ExpandingFields } from './ExpandingFields';
import { StartClutchFields } from './StartClutchFields';
import { flow } from '@/ui/flow';

/** What the machine brings to the pack: its engine, and what takes up by itself. */
export function MachineTab() {
  const job = useJob();
  const dispatch = useAppDispatch();
  return (
    <View style={flow.sections}>
      <Field
        label="Machine"
        value={job.machine.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => dispatch(jobActions.detailsTyped({ jobId: job.id, name }))}
      />
      <EngineFields />
      <ExpandingFields />
      <StartClutchFields />
    </View>
  );
}
