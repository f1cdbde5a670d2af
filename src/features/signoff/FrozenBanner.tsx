import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { isFrozen } from '@/core/job/signOff';
import { refusalRead } from '@/state/jobs/editing';
import { useJobId, useJobPart } from '@/state/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { momentText } from '@/ui/dates';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** Shown over every stage of a signed record, and when an edit was refused. */
export function FrozenBanner() {
  const strata = useStrata();
  const id = useJobId();
  const dispatch = useAppDispatch();
  const frozen = useJobPart((j) => isFrozen(j));
  const last = useJobPart((j) => j.signOff.revisions.at(-1));
  const refused = useAppSelector((state) => state.jobs.refusedId === id);
  if (!frozen || !last) return null;
  return (
    <View
      role="region"
      aria-label="Signed record"
      style={[
        styles.row,
        { backgroundColor: strata.raised, borderColor: refused ? strata.stop : strata.line },
      ]}
    >
      <StateMark state={refused ? 'stop' : 'good'} />
      <View style={styles.grow} aria-live="polite">
        <Words size={15}>
          {refused
            ? 'Nothing changed: this record is signed. Reopen it to change it; the signed revision is kept.'
            : `Signed as revision ${last.number} on ${momentText(last.signedAt)} by ${last.by}.`}
        </Words>
      </View>
      {refused ? (
        <Action
          onPress={() => {
            dispatch(refusalRead());
            router.setParams({ stage: 'log', tab: undefined });
          }}
        >
          Go to sign-off
        </Action>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: SPACE.gap,
    paddingHorizontal: SPACE.room,
    paddingVertical: SPACE.tight,
    borderBottomWidth: 1,
  },
  grow: { flexShrink: 1, flexGrow: 1, flexBasis: 180 },
});
