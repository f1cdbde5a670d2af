import { writeDetails } from '@/core/job/edits/details';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { LAYOUT_MEANS, LAYOUT_NAME } from '@/core/guide/identify';
import { MAX_NAME } from '@/core/job/fields';
import type { ClutchLayout, Job } from '@/core/job/types';
import { Guide } from '@/features/guide/Guide';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const LAYOUTS = (['pack', 'startAndPack', 'startAndBelt', 'belt'] as const).map((value) => ({
  value,
  label: LAYOUT_NAME[value],
}));

/**
 * Behind a start clutch it is mostly the shift pedal that opens the pack, whose lift is only measured; chosen by mistake it
 * leaves nothing behind. What is entered of the release stays as it is.
 */
function releaseFor(layout: ClutchLayout, release: Job['release']): Job['release'] {
  const { type, liftReadings, ...entries } = release;
  if (liftReadings.length > 0 || Object.keys(entries).length > 0) return release;
  if (layout === 'startAndPack') return { ...release, type: 'measured' };
  return type === 'measured' ? { ...release, type: 'hydraulic' } : release;
}

/** Which machine this is, and which clutch it has. */
export function MachineFields() {
  const job = useJob();
  const change = useEditJob();
  const [guiding, setGuiding] = useState(false);
  const type = (part: { number?: string; name?: string; use?: string }) =>
    change((j) => writeDetails(j, part), { typing: Object.keys(part).join() });
  const { layout } = job.machine;
  const set = (next: ClutchLayout) =>
    change((j) => ({
      ...j,
      machine: { ...j.machine, layout: next },
      // A start clutch belongs on the record as soon as the machine has one.
      startClutch:
        (next === 'startAndPack' || next === 'startAndBelt') && j.startClutch.place === 'none'
          ? { ...j.startClutch, place: 'crank' }
          : j.startClutch,
      release: releaseFor(next, j.release),
    }));
  return (
    <View style={flow.sections}>
      <Heading level={2}>Machine</Heading>
      <Field
        label="Machine"
        autoFocus={job.machine.name === ''}
        value={job.machine.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => type({ name })}
      />
      <Field
        label="What it is used for"
        value={job.machine.use}
        maxLength={MAX_NAME}
        onChangeText={(use) => type({ use })}
      />
      <Field
        label="Job number"
        value={job.number}
        maxLength={MAX_NAME}
        onChangeText={(number) => type({ number })}
      />
      <Choice
        label="Which clutch it has"
        value={layout as (typeof LAYOUTS)[number]['value']}
        options={LAYOUTS}
        onChange={set}
      />
      {guiding ? (
        <Guide
          onFound={(found) => {
            set(found);
            setGuiding(false);
          }}
          onClose={() => setGuiding(false)}
        />
      ) : (
        <Action icon="help-circle-outline" onPress={() => setGuiding(true)}>
          Not sure? A few questions
        </Action>
      )}
      {layout === 'belt' ? (
        <View role="alert" style={flow.stack}>
          <View style={flow.line}>
            <StateMark state="stop" />
            <Words bold>No wet clutch in this machine</Words>
          </View>
          <Words>{LAYOUT_MEANS.belt}</Words>
          <Action onPress={() => router.navigate('/')}>Back to the jobs</Action>
        </View>
      ) : layout === 'unknown' ? null : (
        <Words soft size={15}>
          {LAYOUT_MEANS[layout]}
        </Words>
      )}
    </View>
  );
}
