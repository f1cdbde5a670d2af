import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';

import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { jobActions } from '@/state/jobs/jobsSlice';
import { JobContext } from '@/state/jobs/useJob';

interface Props {
  readonly id: string;
  readonly children: ReactNode;
}

/** A page about one job: loads it if needed, and reports a missing one. */
export function JobOfPage({ id, children }: Props) {
  const known = useAppSelector((state) => state.jobs.entities[id] !== undefined);
  const coming = useAppSelector((state) => id in state.jobs.unread);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (coming) dispatch(jobActions.jobWanted(id));
  }, [coming, id, dispatch]);
  if (coming) return <OpeningJob />;
  if (!known) return <JobNotFound />;
  return <JobContext.Provider value={id}>{children}</JobContext.Provider>;
}

/** The moment in which the record of a large workshop's job is fetched. */
function OpeningJob() {
  const strata = useStrata();
  return (
    <View role="status" style={[styles.grow, { backgroundColor: strata.ground }]}>
      <Words soft>Opening the job …</Words>
    </View>
  );
}

function JobNotFound() {
  const strata = useStrata();
  return (
    <View style={[styles.noJobGrow, { backgroundColor: strata.ground }]}>
      <Heading level={1}>Job not found</Heading>
      <Words>This job is not on this device. It was deleted, or is on another device.</Words>
      <Action main onPress={() => router.replace('/')}>
        Go to jobs
      </Action>
    </View>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1, padding: SPACE.wide },
  noJobGrow: { flex: 1, padding: SPACE.wide, gap: SPACE.margin },
});
