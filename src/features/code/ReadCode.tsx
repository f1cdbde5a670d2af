import { editJob } from '@/state/jobs/editJob';
import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { evaluate } from '@/core/evaluate/evaluate';
import type { Job } from '@/core/job/types';
import { jobActions } from '@/state/jobs/jobsSlice';
import { pointsOf } from '@/files/picture';
import { FileRefused } from '@/files/refused';
import { pickFile } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { useAppDispatch, useAppStore } from '@/state/store';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { Camera } from './Camera';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

/** A picture's side, at which codes are looked for: large first, then smaller, where noise is less. */
const SIDES = [1600, 900, 500] as const;

/** Reads the code of a pack by camera or from a picture, shows its content, and creates a job. */
export function ReadCode() {
  const strata = useStrata();
  const store = useAppStore();
  const [camera, setCamera] = useState(false);
  const [job, setJob] = useState<Job>();
  const [refused, setRefused] = useState<string>();

  const take = async (bytes: Uint8Array): Promise<boolean> => {
    const { readPackCode } = await import('@/files/jsonFiles');
    try {
      setJob(readPackCode(bytes, nanoid(12), '', new Date().toISOString()));
      setRefused(undefined);
      setCamera(false);
      return true;
    } catch (error) {
      setRefused(
        error instanceof FileRefused ? error.message : reportFault('The code was not read', error),
      );
      return false;
    }
  };
  const pick = async () => {
    const file = await pickFile('image/*');
    if (!file) return;
    setCamera(false);
    const { findQr } = await import('@/files/codeFiles');
    try {
      for (const side of SIDES) {
        const bytes = findQr(await pointsOf(file, side));
        if (bytes) {
          await take(bytes);
          return;
        }
      }
      setRefused(`${file.name}: the picture shows no readable code.`);
    } catch (error) {
      setRefused(
        error instanceof FileRefused
          ? `${file.name}: ${error.message}`
          : reportFault(`${file.name} was not read`, error),
      );
    }
  };

  if (job) return <Read job={job} onOther={() => setJob(undefined)} store={store} />;
  return (
    <View style={flow.sections}>
      <Words>
        Scan a pack from another device: open the job there and choose “Show pack code” in its menu.
      </Words>
      <View aria-live="polite">
        {refused ? <Words style={{ color: strata.stop }}>{refused}</Words> : null}
      </View>
      {camera ? (
        <Camera onCode={take} onClose={() => setCamera(false)} />
      ) : (
        <View style={flow.wrap}>
          <Action main icon="camera-outline" onPress={() => setCamera(true)}>
            Use camera
          </Action>
          <Action icon="import" onPress={() => void pick()}>
            Choose picture
          </Action>
        </View>
      )}
    </View>
  );
}

interface ReadProps {
  readonly job: Job;
  readonly store: ReturnType<typeof useAppStore>;
  readonly onOther: () => void;
}

function Read({ job, store, onOther }: ReadProps) {
  const dispatch = useAppDispatch();
  const { overall } = evaluate(job);
  const make = () => {
    // The number is given as to any new job.
    dispatch(jobActions.jobStarted({ id: job.id }));
    if (!store.getState().jobs.entities[job.id]) return;
    dispatch(editJob(job.id, ({ number, createdAt }) => ({ ...job, number, createdAt })));
    router.replace({ pathname: '/job/[id]', params: { id: job.id } });
  };
  const plates = job.pack.plates.length;
  return (
    <View style={flow.sections} role="status" aria-label="Content of the code">
      <Heading level={2}>{job.machine.name || 'Unnamed pack'}</Heading>
      <Words>{[job.machine.use, countOf(plates, 'plate')].filter(Boolean).join(', ')}</Words>
      <View style={flow.line}>
        <StateMark state={overall.state} />
        <Words>{overall.title}</Words>
      </View>
      <Words soft size={15}>
        These values come from another shop. Check them against the manual and your own gauges.
      </Words>
      <View style={flow.wrap}>
        <Action main icon="plus" onPress={make}>
          Create job
        </Action>
        <Action icon="close" onPress={onOther}>
          Cancel
        </Action>
      </View>
    </View>
  );
}
