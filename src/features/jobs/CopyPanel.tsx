import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { machinesOf } from '@/core/job/derive';
import type { Job } from '@/core/job/types';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SearchField } from '@/ui/SearchField';
import { SPACE, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { jobSelectors } from '@/state/jobs/jobsSlice';
import { flow } from '@/ui/flow';

/** A list longer than this gets a search. */
const MANY = 10;

interface Props {
  readonly onTake: (from: Job) => void;
  readonly onClose: () => void;
}

/** A new job from a past job: its machine and its pack as specified, none of its readings, ticks and times. */
export function CopyPanel({ onTake, onClose }: Props) {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const strata = useStrata();
  const [search, setSearch] = useState('');
  const machines = machinesOf(jobs);
  const shown = machines.filter(({ machine, number }) =>
    `${machine.name} ${machine.use} ${number}`.toLowerCase().includes(search.trim().toLowerCase()),
  );
  return (
    <View
      role="group"
      aria-label="Copy from past job"
      style={[styles.box, { borderColor: strata.line, backgroundColor: strata.raised }]}
    >
      <Heading level={3}>Copy from past job</Heading>
      <Words soft size={15}>
        Takes its engine, pack as specified, springs, limits and lists; no readings, ticks or times.
      </Words>
      {machines.length > MANY ? (
        <SearchField label="Search machines" value={search} onChangeText={setSearch} />
      ) : null}
      {shown.map((job) => (
        <View key={job.machine.id} style={flow.wrapLine}>
          <View style={styles.grow}>
            <Words bold>{job.machine.name || 'New machine'}</Words>
            <Words soft size={14}>
              {[job.machine.use, `last ${job.number}`].filter(Boolean).join(' · ')}
            </Words>
          </View>
          <Action
            accessibilityLabel={`New job from ${job.machine.name}, ${job.number}`}
            onPress={() => onTake(job)}
          >
            New job
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
