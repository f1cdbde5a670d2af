import { StyleSheet, View } from 'react-native';

import { machinesOf } from '@/core/job/derive';
import type { Job } from '@/core/job/types';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { jobSelectors } from '@/state/jobs/jobsSlice';
import { flow } from '@/ui/flow';

interface Props {
  readonly onTake: (from: Job, how: 'machine' | 'copy') => void;
  readonly onClose: () => void;
}

/** A new job from a past job: its machine, or a full copy. */
export function CopyPanel({ onTake, onClose }: Props) {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const strata = useStrata();
  const machines = machinesOf(jobs);
  return (
    <View
      role="group"
      aria-label="Copy from past job"
      style={[styles.box, { borderColor: strata.line, backgroundColor: strata.raised }]}
    >
      <Heading level={3}>Copy from past job</Heading>
      <Words soft size={15}>
        Uses its engine, specified pack, springs, limits and strip list. A full copy also takes the
        readings.
      </Words>
      {machines.map((job) => (
        <View key={job.machine.id} style={flow.wrapLine}>
          <View style={styles.grow}>
            <Words bold>{job.machine.name || 'New machine'}</Words>
            <Words soft size={14}>
              {[job.machine.use, `last ${job.number}`].filter(Boolean).join(' · ')}
            </Words>
          </View>
          <Action
            accessibilityLabel={`New job from ${job.machine.name}, ${job.number}`}
            onPress={() => onTake(job, 'machine')}
          >
            New job
          </Action>
          <Action
            icon="content-copy"
            accessibilityLabel={`Copy ${job.number}`}
            onPress={() => onTake(job, 'copy')}
          >
            Copy
          </Action>
        </View>
      ))}
      <Action icon="close" onPress={onClose}>
        Close
      </Action>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap, padding: SPACE.room, borderWidth: 1, borderRadius: 6 },
  grow: { flexGrow: 1, flexBasis: 140 },
});
