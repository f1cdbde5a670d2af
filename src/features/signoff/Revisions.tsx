import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import type { Revision } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import { reopened } from '@/core/signoff/revisions';
import { FormText } from '@/features/entry/FormFields';
import { useKeptForm } from '@/features/entry/useKeptForm';
import type { SchemaParts } from '@/files/formSchema';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob, useJobId } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { momentText } from '@/ui/dates';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** Signed revisions, the last first, and the way to open the record again. */
export function Revisions() {
  const job = useJob();
  const { revisions } = job.signOff;
  if (revisions.length === 0) return null;
  return (
    <View style={flow.stack}>
      <Heading level={2}>Signed revisions</Heading>
      <View role="list" aria-label="Signed revisions">
        {revisions.toReversed().map((r) => (
          <RevisionRow key={r.number} revision={r} />
        ))}
      </View>
      {isFrozen(job) ? <Reopen /> : null}
    </View>
  );
}

function RevisionRow({ revision: r }: { readonly revision: Revision }) {
  const ruled = useRuled();
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <Words bold>{`Revision ${r.number}, ${momentText(r.signedAt)}, ${r.by}`}</Words>
      {r.why ? <Words size={15}>{`Reopened: ${r.why}`}</Words> : null}
      <Words soft size={14}>
        Content digest (SHA-256)
      </Words>
      <Digits soft size={13}>
        {r.digest.replace(/(.{16})(?=.)/g, '$1 ')}
      </Digits>
      <View style={flow.inline}>
        <Action
          icon="eye-outline"
          onPress={() => router.setParams({ stage: 'log', revision: String(r.number) })}
        >
          {`Show revision ${r.number}`}
        </Action>
      </View>
    </View>
  );
}

const reason = ({ Joi, nameText }: SchemaParts) =>
  Joi.object<{ why: string }>({ why: nameText('Enter the reason for the change.') });

/** Reopening a signed record needs a reason, which is stored in the next revision. */
function Reopen() {
  const change = useEditJob();
  const { control, submit } = useKeptForm(`${useJobId()}.reopen`, { why: '' }, reason);
  const reopen = submit(({ why }) => change((j) => reopened(j, why)));
  return (
    <View style={flow.stack}>
      <FormText alone control={control} name="why" label="Reason for reopening" maxLength={400} />
      <Action icon="pencil-outline" onPress={() => void reopen()}>
        Reopen
      </Action>
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, gap: SPACE.tight },
});
