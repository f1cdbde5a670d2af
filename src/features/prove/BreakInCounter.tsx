import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import type { BreakIn } from '@/core/job/work';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { FieldGrid } from '@/ui/FieldGrid';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const MAX_STARTS = 200;
const MAX_GEARS = 6;

const withStarts = (job: Job, change: (all: readonly BreakIn[]) => readonly BreakIn[]): Job => ({
  ...job,
  prove: { ...job.prove, starts: change(job.prove.starts) },
});

const counted = (job: Job, id: string, by: 1 | -1): Job =>
  withStarts(job, (all) =>
    all.map((s) =>
      s.id === id
        ? {
            ...s,
            done: { value: Math.max(0, Math.min(MAX_STARTS, (s.done?.value ?? 0) + by)) },
          }
        : s,
    ),
  );

/** Break-in starts counted by a thumb in a glove: the whole area is the key, and the last count can be taken back. */
export function BreakInCounter() {
  const { starts } = useJob().prove;
  const change = useEditJob();
  const [chosen, setChosen] = useState<string>();
  // Opened while a number is missing, then closed only by hand.
  const [changing, setChanging] = useState(starts.some((s) => !s.wanted));
  if (starts.length === 0) {
    return (
      <View style={styles.padded}>
        <Words soft size={15}>
          Number and gears differ from kit to kit: follow the kit’s own sheet.
        </Words>
        <Action
          main
          icon="plus"
          onPress={() => {
            setChanging(true);
            change((j) =>
              withStarts(j, () => [
                { id: nanoid(8), name: 'First gear' },
                { id: nanoid(8), name: 'Second gear' },
              ]),
            );
          }}
        >
          Count starts in two gears
        </Action>
      </View>
    );
  }
  const gear = starts.find((s) => s.id === chosen) ?? starts.find((s) => !isDone(s)) ?? starts[0];
  return (
    <View style={styles.breakInCounterPadded}>
      <Choice
        label="Gear"
        value={gear?.id ?? ''}
        options={starts.map((s) => ({
          value: s.id,
          label: `${s.name || 'Gear'}: ${s.done?.value ?? 0}${s.wanted ? ` of ${s.wanted.value}` : ''}`,
        }))}
        onChange={setChosen}
      />
      {gear ? <Pad gear={gear} /> : null}
      <View style={flow.wrap}>
        <Action
          icon="undo"
          blocked={gear && (gear.done?.value ?? 0) > 0 ? undefined : 'No start counted yet.'}
          onPress={() => gear && change((j) => counted(j, gear.id, -1))}
        >
          Undo one
        </Action>
        <Action icon="pencil-outline" onPress={() => setChanging(!changing)}>
          {changing ? 'Done' : 'Edit gears'}
        </Action>
      </View>
      {changing ? (
        <>
          {starts.map((s) => (
            <FieldGrid
              key={s.id}
              removeLabel={`Remove ${s.name || 'the gear'}`}
              onRemove={() =>
                change((j) => withStarts(j, (all) => all.filter((x) => x.id !== s.id)))
              }
            >
              <View style={styles.grow}>
                <Field
                  label="Gear"
                  value={s.name}
                  maxLength={MAX_NAME}
                  onChangeText={(name) =>
                    change(
                      (j) =>
                        withStarts(j, (all) =>
                          all.map((x) => (x.id === s.id ? { ...x, name } : x)),
                        ),
                      { typing: `starts.${s.id}` },
                    )
                  }
                />
              </View>
              <EntryField path={fieldPath('prove.starts.*.wanted', s.id)} />
            </FieldGrid>
          ))}
          {starts.length < MAX_GEARS ? (
            <Action
              icon="plus"
              onPress={() =>
                change((j) => withStarts(j, (all) => [...all, { id: nanoid(8), name: '' }]))
              }
            >
              Add gear
            </Action>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

const isDone = (s: BreakIn) => s.wanted !== undefined && (s.done?.value ?? 0) >= s.wanted.value;

/** The key itself, as large as the screen allows. */
function Pad({ gear }: { readonly gear: BreakIn }) {
  const strata = useStrata();
  const change = useEditJob();
  const done = gear.done?.value ?? 0;
  const wanted = gear.wanted?.value;
  return (
    <Pressable
      role="button"
      aria-label={`Count a start in ${gear.name || 'this gear'}: ${done}${wanted === undefined ? '' : ` of ${wanted}`} done`}
      testID="break-in-pad"
      onPress={() => change((j) => counted(j, gear.id, 1))}
      style={[
        styles.box,
        { borderColor: isDone(gear) ? strata.good : strata.slate, backgroundColor: strata.raised },
      ]}
    >
      <Digits bold size={72}>
        {String(done)}
      </Digits>
      <Words soft size={18} style={styles.text}>
        {wanted === undefined
          ? 'starts; tap to count one'
          : isDone(gear)
            ? `of ${wanted}: complete in ${gear.name || 'this gear'}`
            : `of ${wanted}; tap to count one`}
      </Words>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.gap, paddingLeft: SPACE.wide, paddingBottom: SPACE.gap },
  breakInCounterPadded: { gap: SPACE.gap, paddingBottom: SPACE.gap },
  grow: { flexGrow: 1, flexBasis: 120 },
  box: {
    minHeight: 220,
    borderRadius: 12,
    borderWidth: 3,
    alignItems: 'center',
    justifyContent: 'center',
  },
  text: { textAlign: 'center', paddingHorizontal: SPACE.room },
});
