import type { ClutchType } from '@/core/clutch/type';
import {
  CLUTCH_TYPES,
  chooseTypeAsCame,
  chooseTypeAsGoes,
  clutchType,
  describeType,
  typeAsCame,
} from '@/core/clutch/type';
import { hasPack, hasWetClutch, LAYOUTS } from '@/core/guide/layouts';
import { chooseNewPlates } from '@/core/job/edits/pack';
import { writeDetails } from '@/core/job/edits/details';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import { PURPOSE_NAME, PURPOSE_NOTE } from '@/core/job/purpose';
import { PURPOSES } from '@/core/job/types';
import { ClutchGuide } from '@/features/guide/Guide';
import { LibraryPanel } from '@/features/library/LibraryPanel';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { FieldGrid } from '@/ui/FieldGrid';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const OPTIONS = CLUTCH_TYPES.map((value) => ({ value, label: describeType(value).name }));

const NEW_OPTIONS = [
  { value: 'all', label: 'All' },
  { value: 'discs', label: 'All discs' },
  { value: 'some', label: 'Some' },
] as const;

const AS_GOES = [
  { value: 'no', label: 'Plate pack' },
  { value: 'yes', label: 'Auto-clutch' },
] as const;

const PURPOSE_OPTIONS = PURPOSES.map((value) => ({ value, label: PURPOSE_NAME[value] }));

/** Kind of job, machine and clutch type. */
export function MachineFields() {
  const job = useJob();
  const change = useEditJob();
  const [guiding, setGuiding] = useState(false);
  const write = (part: { number?: string; name?: string; use?: string }) =>
    change((j) => writeDetails(j, part), { typing: Object.keys(part).join() });
  const { layout } = job.machine;
  const { purpose } = job.intake;
  const type = typeAsCame(job);
  const apart = job.strip.came?.attached['expanding'] !== undefined;
  const rebuilt = purpose === 'installKit' || purpose === 'buildToSpec';
  const set = (next: ClutchType) => change((j) => chooseTypeAsCame(j, next));
  return (
    <View style={flow.sections}>
      <Heading level={2}>Machine</Heading>
      <Field
        label="Machine"
        autoFocus={job.machine.name === ''}
        value={job.machine.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => write({ name })}
      />
      {hasWetClutch(layout) ? <LibraryPanel /> : null}
      <Choice
        label="Kind of job"
        value={purpose ?? 'none'}
        options={PURPOSE_OPTIONS}
        onChange={(next) =>
          change((j) => (next === 'none' ? j : { ...j, intake: { ...j.intake, purpose: next } }))
        }
      />
      {purpose ? (
        <Words soft size={15}>
          {PURPOSE_NOTE[purpose]}
        </Words>
      ) : null}
      {purpose === 'replacePlates' && hasPack(layout) ? (
        <Choice
          label="New plates"
          value={job.intake.newPlates ?? ''}
          options={NEW_OPTIONS}
          onChange={(next) => {
            if (next !== '') change((j) => chooseNewPlates(j, next));
          }}
        />
      ) : null}
      <Choice label="Clutch type, as it came" value={type} options={OPTIONS} onChange={set} />
      {rebuilt && layout === 'pack' ? (
        <Choice
          label="As it goes"
          value={apart ? (job.expanding.fitted ? 'yes' : 'no') : ''}
          options={AS_GOES}
          onChange={(next) => change((j) => chooseTypeAsGoes(j, next === 'yes'))}
        />
      ) : null}
      {guiding ? (
        <ClutchGuide
          onFound={(found) => {
            set(found);
            setGuiding(false);
          }}
          onClose={() => setGuiding(false)}
        />
      ) : (
        <Action icon="help-circle-outline" onPress={() => setGuiding(true)}>
          Not sure? Answer a few questions
        </Action>
      )}
      {!hasWetClutch(layout) ? (
        <View role="alert" style={flow.stack}>
          <View style={flow.line}>
            <StateMark state="stop" />
            <Words bold>This machine has no wet clutch</Words>
          </View>
          <Words>{LAYOUTS.belt.means}</Words>
          <Action onPress={() => router.navigate('/')}>Back to the jobs</Action>
        </View>
      ) : describeType(clutchType(job)).means === '' ? null : (
        <Words soft size={15}>
          {describeType(clutchType(job)).means}
        </Words>
      )}
      <FieldGrid>
        <Field
          label="Use"
          value={job.machine.use}
          maxLength={MAX_NAME}
          onChangeText={(use) => write({ use })}
        />
        <Field
          label="Job number"
          value={job.number}
          maxLength={MAX_NAME}
          onChangeText={(number) => write({ number })}
        />
      </FieldGrid>
    </View>
  );
}
