import { router } from 'expo-router';
import { View } from 'react-native';

import type { Revision } from '@/core/job/work';
import { isFrozen } from '@/core/job/work';
import { reopened } from '@/core/signoff/revisions';
import { useTyped } from '@/features/entry/useTyped';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob, useJobId } from '@/features/jobs/useJob';
import { Action } from '@/ui/Action';
import { momentText } from '@/ui/dates';
import { Field } from '@/ui/Field';
import { useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

/** Signed revisions, the last first, and the way to open the record again. */
export function Revisions() {
  const job = useJob();
  const { revisions } = job.signOff;
  if (revisions.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
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
  const strata = useStrata();
  return (
    <View
      role="listitem"
      style={{ borderTopWidth: 1, borderColor: strata.line, paddingVertical: 8, gap: 4 }}
    >
      <Words bold>{`Revision ${r.number}, ${momentText(r.signedAt)}, ${r.by}`}</Words>
      {r.why ? <Words size={15}>{`Opened again: ${r.why}`}</Words> : null}
      <Words soft size={14}>
        Digest of its content (SHA-256)
      </Words>
      <Digits soft size={13}>
        {r.digest.replace(/(.{16})(?=.)/g, '$1 ')}
      </Digits>
      <View style={{ flexDirection: 'row' }}>
        <Action
          icon="eye-outline"
          onPress={() => router.setParams({ stage: 'log', revision: String(r.number) })}
        >
          {`Read revision ${r.number}`}
        </Action>
      </View>
    </View>
  );
}

/** Opening a signed record again needs a reason; it stands in the next revision. */
function Reopen() {
  const change = useChangeJob();
  const [why, setWhy] = useTyped(`${useJobId()}.reopen`);
  return (
    <View style={{ gap: 8 }}>
      <Field
        alone
        label="Open it again to change it, because"
        value={why}
        maxLength={400}
        onChangeText={setWhy}
      />
      <Action
        icon="pencil-outline"
        disabled={why.trim() === ''}
        onPress={() => {
          change((j) => reopened(j, why));
          setWhy('');
        }}
      >
        Open a new revision
      </Action>
    </View>
  );
}
