import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { MAX_LINES, MAX_NAME } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import type { Fastener, FastenerRole } from '@/core/job/work';
import { LOCK_NAME } from '@/core/job/words';
import { bothTorques, usualFasteners } from '@/core/worksheet/fasteners';
import { useHeads } from '@/features/entry/useHeads';
import { EntryField } from '@/features/entry/EntryField';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice, optionsOf, Toggles } from '@/ui/Choice';
import { FieldRow, FieldTable } from '@/ui/FieldTable';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

export const ROLE_NAME: Readonly<Record<FastenerRole, string>> = {
  hubNut: 'Hub nut',
  springs: 'Springs',
  cover: 'Cover',
  other: 'Other',
};

const withFasteners = (
  job: Job,
  change: (all: readonly Fastener[]) => readonly Fastener[],
): Job => ({ ...job, build: { ...job.build, fasteners: change(job.build.fasteners) } });

/** Torques of this machine by its manual, as they were given, and how each thread is kept. */
export function Fasteners() {
  const job = useJob();
  const units = useUnits();
  const change = useEditJob();
  const { fasteners, stages } = job.build;
  const heads = useHeads([
    ['Torque', 'build.fasteners.any.torque'],
    ['Quantity', 'build.fasteners.any.count'],
    ['Thread', 'build.fasteners.any.size'],
  ]);
  const missing = fasteners.filter((f) => !f.torque).length;
  const summary =
    fasteners.length === 0
      ? 'None yet. Add the fasteners of this clutch and enter the manual’s torques.'
      : missing > 0
        ? `${missing} of ${countOf(fasteners.length, 'torque')} missing`
        : fasteners
            .map((f) => `${f.name} ${f.torque ? bothTorques(f.torque, units) : ''}`)
            .join('; ');
  return (
    <Panel
      level={2}
      title="Torques and locking"
      summary={summary}
      initiallyOpen={fasteners.length === 0}
    >
      <Words soft size={15}>
        From the machine’s own manual, in its unit: 8.1 ft-lb, 97.4 in-lb, 12.5 Nm, or a range such
        as 11–13 Nm. Both units are shown, yours first.
      </Words>
      {fasteners.length > 0 ? (
        <FieldTable named="name" label="Torques" heads={heads}>
          {fasteners.map((f) => (
            <FieldRow
              key={f.id}
              name={f.name || 'Fastener'}
              head={f.name || 'Fastener'}
              removeLabel={`Remove ${f.name || 'it'}`}
              onRemove={() =>
                change((j) => withFasteners(j, (all) => all.filter((x) => x.id !== f.id)))
              }
            >
              {COLUMNS.map((leaf) => (
                <EntryField
                  key={leaf}
                  cell
                  of={f.name || 'Fastener'}
                  path={fieldPath(`build.fasteners.*.${leaf}`, f.id)}
                />
              ))}
            </FieldRow>
          ))}
        </FieldTable>
      ) : null}
      {fasteners.map((f) => (
        <FastenerFields key={f.id} fastener={f} />
      ))}
      <Choice
        label="Tightening stages"
        value={String(stages)}
        options={['1', '2', '3', '4'].map((n) => ({
          value: n,
          label: countOf(Number(n), 'stage'),
        }))}
        onChange={(n) => change((j) => ({ ...j, build: { ...j.build, stages: Number(n) } }))}
      />
      <Toggles
        bare
        label="Gasket"
        chosen={job.build.gasketReused ? ['reused'] : []}
        options={[{ value: 'reused', label: 'Old cover gasket fitted again' }]}
        onToggle={() =>
          change((j) => ({ ...j, build: { ...j.build, gasketReused: !j.build.gasketReused } }))
        }
      />
      <View style={flow.wrap}>
        {fasteners.length === 0 ? (
          <Action
            main
            icon="plus"
            onPress={() =>
              change((j) => withFasteners(j, () => usualFasteners(j, () => nanoid(8))))
            }
          >
            Add this clutch’s fasteners
          </Action>
        ) : null}
        {fasteners.length < MAX_LINES ? (
          <Action
            icon="plus"
            onPress={() =>
              change((j) =>
                withFasteners(j, (all) => [
                  ...all,
                  { id: nanoid(8), role: 'other', name: '', lock: 'none', grade: '' },
                ]),
              )
            }
          >
            Add fastener
          </Action>
        ) : null}
      </View>
    </Panel>
  );
}

/** Columns of the torques' table. */
const COLUMNS = ['torque', 'count', 'size'] as const;

/** Name, place and locking of a fastener. */
function FastenerFields({ fastener: f }: { readonly fastener: Fastener }) {
  const change = useEditJob();
  const units = useUnits();
  const set = (part: Partial<Fastener>, typing?: string) =>
    change(
      (j) => withFasteners(j, (all) => all.map((x) => (x.id === f.id ? { ...x, ...part } : x))),
      { typing },
    );
  return (
    <Panel
      title={f.name || 'Fastener'}
      summary={[
        f.count ? countOf(f.count.value, 'piece') : '',
        f.torque ? bothTorques(f.torque, units) : 'torque missing',
        f.lock === 'none' ? '' : LOCK_NAME[f.lock].toLowerCase(),
      ]
        .filter(Boolean)
        .join(', ')}
    >
      <Field
        label="Name"
        value={f.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => set({ name }, `fastener.${f.id}.name`)}
      />
      <Choice
        label="Fastens"
        value={f.role}
        options={optionsOf(ROLE_NAME)}
        onChange={(role) => set({ role })}
      />
      <Choice
        label="Locking"
        value={f.lock}
        options={optionsOf(LOCK_NAME)}
        onChange={(lock) => set({ lock })}
      />
      {f.lock === 'lockWasher' ? (
        <Toggles
          bare
          label="Lock washer"
          chosen={f.lockReused ? ['reused'] : []}
          options={[{ value: 'reused', label: 'Old lock washer fitted again' }]}
          onToggle={() => set({ lockReused: !f.lockReused })}
        />
      ) : null}
      {f.lock === 'threadlocker' ? (
        <Field
          label="Strength class"
          value={f.grade}
          maxLength={MAX_NAME}
          onChangeText={(grade) => set({ grade }, `fastener.${f.id}.grade`)}
        />
      ) : null}
    </Panel>
  );
}
