import { ATTACHMENTS } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import { writeDetails } from '@/core/job/edits/details';
import { useEditJob } from '@/state/jobs/editJob';
import { View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import { EngineFields } from '@/features/intake/EngineFields';
import { useJob } from '@/state/jobs/useJob';
import { Field } from '@/ui/Field';

import { AttachmentFields } from './AttachmentFields';
import { flow } from '@/ui/flow';

/** The machine's data for the pack: its engine, and its automatic clutches. */
export function MachineTab() {
  const job = useJob();
  const edit = useEditJob();
  return (
    <View style={flow.sections}>
      <Field
        label="Machine"
        value={job.machine.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => edit((j) => writeDetails(j, { name }), { typing: 'name' })}
      />
      <EngineFields />
      {ATTACHMENTS.filter(
        (kind) =>
          kind.choice?.heading && (kind.takesUp === 'before' || hasPack(job.machine.layout)),
      ).map((kind) => (
        <AttachmentFields key={kind.id} kind={kind} />
      ))}
    </View>
  );
}
