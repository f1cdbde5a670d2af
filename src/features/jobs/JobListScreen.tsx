import { archiveJob } from '@/state/jobs/editJob';
import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { Job } from '@/core/job/types';
import { useBackupText } from '@/features/backup/useBackupText';
import { UpdateNotice } from '@/features/offline/UpdateNotice';
import { pickFile } from '@/files/share';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { IconKey } from '@/ui/IconKey';
import { SPACE, useStrata } from '@/ui/theme';
import { Tool } from '@/ui/Tool';
import { TopBar } from '@/features/page/TopBar';
import { UndoBar } from '@/ui/UndoBar';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

import { CopyPanel } from './CopyPanel';
import { importJob } from './importJob';
import { JobList } from './JobList';
import { jobActions } from '@/state/jobs/jobsSlice';
import { WhenRead } from './WhenRead';
import { flow } from '@/ui/flow';

/** The list depends on the day; elements that change with it are marked. */
const ANY_DAY = { dataSet: { anyDay: 'true' } };

/** All jobs of the workshop, the one last worked on first. */
export function JobListScreen() {
  const [from, setFrom] = useState(false);
  const strata = useStrata();
  const wide = useWide();
  const dispatch = useAppDispatch();
  const [told, setTold] = useState<{ readonly text: string; readonly bad: boolean }>();

  const start = () => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
  const derive = (job: Job) => {
    const id = nanoid(12);
    dispatch(jobActions.jobDerived({ id, fromId: job.id }));
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
  const take = async () => {
    const file = await pickFile('.json,application/json');
    if (file) setTold(await dispatch(importJob(file)));
  };

  const ways: readonly WayProps[] = [
    { icon: 'calendar-clock', word: 'Due', label: 'Due', onPress: () => router.navigate('/due') },
    {
      icon: 'layers-outline',
      word: 'Shelf',
      label: 'Shelf',
      onPress: () => router.navigate('/shelf'),
    },
    {
      icon: 'file-document-outline',
      word: 'Specs',
      label: 'Spec sheets',
      onPress: () => router.navigate('/library'),
    },
    {
      icon: 'school-outline',
      word: 'Learn',
      label: 'Learn',
      onPress: () => router.navigate('/learn'),
    },
    { icon: 'import', word: 'Import', label: 'Import', onPress: () => void take() },
    { icon: 'download', word: 'Backup', label: 'Backup', onPress: () => router.navigate('/files') },
  ];

  const keys = ways.map((way) => <Way key={way.label} {...way} wide={wide} />);

  return (
    <View style={[flow.fill, { backgroundColor: strata.ground }]}>
      <TopBar title="Under Ridge" />
      <ScrollView role="main" {...ANY_DAY} contentContainerStyle={styles.content}>
        {wide ? <View style={styles.row}>{keys}</View> : null}
        {from ? (
          <WhenRead>
            <CopyPanel onTake={derive} onClose={() => setFrom(false)} />
          </WhenRead>
        ) : null}
        <View role="status" aria-label="Import" aria-live="polite">
          {told ? (
            <Words style={{ color: told.bad ? strata.stop : strata.ink }}>{told.text}</Words>
          ) : null}
        </View>
        <UpdateNotice />
        <BackupReminder />
        <UndoBars />
        <JobList
          main={
            <Action main icon="plus" onPress={start}>
              New job
            </Action>
          }
          end={
            <IconKey
              icon="content-copy"
              label="Copy from past job"
              expanded={from}
              onPress={() => setFrom(!from)}
            />
          }
        />
      </ScrollView>
      {wide ? null : (
        <View
          role="navigation"
          aria-label="Workshop"
          style={[styles.foot, { backgroundColor: strata.raised, borderColor: strata.line }]}
        >
          {keys}
        </View>
      )}
    </View>
  );
}

interface WayProps {
  readonly icon: string;
  /** Shown under the icon, where the label has no room. */
  readonly word: string;
  readonly label: string;
  readonly onPress: () => void;
}

/** A way from the list to somewhere else: a small key on a phone, so that the jobs stay in sight. */
function Way({ icon, word, label, onPress, wide }: WayProps & { readonly wide: boolean }) {
  return wide ? (
    <Action icon={icon} onPress={onPress}>
      {label}
    </Action>
  ) : (
    <Tool icon={icon} word={word} label={label} width={50} onPress={onPress} />
  );
}

/** So many jobs changed since the last backup are worth a word. */
const MANY_CHANGED = 5;

function BackupReminder() {
  const { text, changed } = useBackupText();
  if (changed < MANY_CHANGED) return null;
  return (
    <View role="status" aria-label="Backup">
      <Words soft>{`${text} If this phone is lost, they are lost too. Back up.`}</Words>
    </View>
  );
}

/** The last deleted or archived job, with undo. */
function UndoBars() {
  const removed = useAppSelector((state) => state.jobs.removed);
  const archived = useAppSelector((state) =>
    state.jobs.archivedId ? state.jobs.entities[state.jobs.archivedId] : undefined,
  );
  const dispatch = useAppDispatch();
  return (
    <>
      {removed ? (
        <UndoBar
          text={`${removed.job.number} ${removed.job.machine.name} deleted.`}
          onUndo={() => dispatch(jobActions.removalUndone())}
          onForget={() => dispatch(jobActions.removalForgotten())}
        />
      ) : null}
      {archived ? (
        <UndoBar
          text={`${archived.number} ${archived.machine.name} archived.`}
          onUndo={() => dispatch(archiveJob(archived.id, false))}
          onForget={() => dispatch(jobActions.archivingNoted(undefined))}
        />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  content: {
    padding: SPACE.margin,
    gap: SPACE.margin,
    maxWidth: 1400,
    width: '100%',
    alignSelf: 'center',
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
  foot: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-around',
    borderTopWidth: 1,
  },
});
