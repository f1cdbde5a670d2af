import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Job } from '@/core/job/types';
import { pickFile } from '@/files/share';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { STAGE_NAME } from '@/ui/Ridge';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { TopBar } from '@/ui/TopBar';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';

import { importJob } from './importJob';
import { jobActions, jobSelectors } from './jobsSlice';
import { evaluationOf } from './useJob';

/** All jobs of the workshop, the one last worked on first. */
export function JobListScreen() {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const strata = useStrata();
  const wide = useWide();
  const dispatch = useAppDispatch();
  const [told, setTold] = useState<{ readonly text: string; readonly bad: boolean }>();

  const start = () => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    router.navigate({ pathname: '/job/[id]', params: { id, tab: 'machine' } });
  };
  const take = async () => {
    const file = await pickFile('.json,application/json');
    if (file) setTold(await dispatch(importJob(file)));
  };

  return (
    <View style={{ flex: 1, backgroundColor: strata.ground }}>
      <TopBar title="Under Ridge" />
      <ScrollView
        role="main"
        contentContainerStyle={{
          padding: 16,
          gap: 16,
          maxWidth: 960,
          width: '100%',
          alignSelf: 'center',
        }}
      >
        <View style={{ flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' }}>
          <View style={{ flexGrow: 1 }}>
            <Heading level={2}>Jobs</Heading>
          </View>
          <Action icon="import" onPress={() => void take()}>
            Import
          </Action>
          <Action main icon="plus" onPress={start}>
            New job
          </Action>
        </View>
        <View aria-live="polite">
          {told ? (
            <Words style={{ color: told.bad ? strata.stop : strata.ink }}>{told.text}</Words>
          ) : null}
        </View>
        <UndoBar />
        {jobs.length === 0 ? (
          <Words>No jobs yet. Start a new one, or import a job from a file.</Words>
        ) : (
          <View role="list" aria-label="Jobs">
            {wide ? <ListHead /> : null}
            {jobs.map((job) => (
              <JobRow key={job.id} job={job} wide={wide} />
            ))}
          </View>
        )}
      </ScrollView>
    </View>
  );
}

const COLUMN = { number: 110, stage: 110, verdict: 280 } as const;

function ListHead() {
  return (
    <View aria-hidden style={{ flexDirection: 'row', gap: 16, paddingBottom: 6 }}>
      <Words soft size={14} style={{ width: COLUMN.number }}>
        Number
      </Words>
      <Words soft size={14} style={{ flexGrow: 1, flexBasis: 0 }}>
        Machine
      </Words>
      <Words soft size={14} style={{ width: COLUMN.stage }}>
        Stands at
      </Words>
      <Words soft size={14} style={{ width: COLUMN.verdict }}>
        Verdict on the pack
      </Words>
    </View>
  );
}

function JobRow({ job, wide }: { readonly job: Job; readonly wide: boolean }) {
  const strata = useStrata();
  const { overall } = evaluationOf(job);
  const name = job.machine.name || 'New machine';
  const verdict = (
    <View
      style={{
        flexDirection: 'row',
        gap: 8,
        alignItems: 'center',
        ...(wide ? { width: COLUMN.verdict } : {}),
      }}
    >
      <StateMark state={overall.state} />
      <Words size={15} style={{ flexShrink: 1 }}>
        {overall.title}
      </Words>
    </View>
  );
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: strata.line }}>
      <TouchableRipple
        role="link"
        aria-label={`${job.number}, ${name}, ${job.machine.use}, at ${STAGE_NAME[job.stage]}, ${overall.title}`}
        onPress={() => router.navigate({ pathname: '/job/[id]', params: { id: job.id } })}
        style={{ minHeight: 72, justifyContent: 'center', paddingVertical: 10 }}
      >
        {wide ? (
          <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
            <Digits size={15} style={{ width: COLUMN.number }}>
              {job.number}
            </Digits>
            <View style={{ flexGrow: 1, flexBasis: 0 }}>
              <Words bold numberOfLines={1}>
                {name}
              </Words>
              <Words soft size={15} numberOfLines={1}>
                {job.machine.use}
              </Words>
            </View>
            <Words size={15} style={{ width: COLUMN.stage }}>
              {STAGE_NAME[job.stage]}
            </Words>
            {verdict}
          </View>
        ) : (
          <View style={{ gap: 3 }}>
            <View style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
              <Words bold size={18} numberOfLines={1} style={{ flexShrink: 1 }}>
                {name}
              </Words>
              <Digits soft size={14}>
                {job.number}
              </Digits>
            </View>
            <Words soft size={15} numberOfLines={1}>
              {[job.machine.use, `at ${STAGE_NAME[job.stage]}`].filter(Boolean).join(' · ')}
            </Words>
            {verdict}
          </View>
        )}
      </TouchableRipple>
    </View>
  );
}

/** Stays until it is used or put away: a deleted job is not gone with a glance aside. */
function UndoBar() {
  const removed = useAppSelector((state) => state.jobs.removed);
  const dispatch = useAppDispatch();
  const strata = useStrata();
  if (!removed) return null;
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 8,
        padding: 10,
        borderWidth: 1,
        borderColor: strata.line,
        borderRadius: 6,
        backgroundColor: strata.raised,
      }}
    >
      <Words style={{ flexGrow: 1, flexShrink: 1 }}>
        {removed.job.number} {removed.job.machine.name} is deleted.
      </Words>
      <Action icon="undo" onPress={() => dispatch(jobActions.removalUndone())}>
        Undo
      </Action>
      <Action icon="close" onPress={() => dispatch(jobActions.removalForgotten())}>
        Put away
      </Action>
    </View>
  );
}
