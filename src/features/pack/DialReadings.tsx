import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { readSentence } from '@/core/evaluate/sentence';
import { fieldPath, MAX_READINGS } from '@/core/job/fields';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useEvaluation, useJob } from '@/features/jobs/useJob';
import { Action } from '@/ui/Action';
import { Removable } from '@/ui/Removable';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';

/** Dial readings round the pressure plate, and what they say of its tilt. */
export function DialReadings() {
  const { release } = useJob();
  const { verdicts } = useEvaluation();
  const units = useUnits();
  const change = useChangeJob();
  const even = verdicts.find((v) => v.id === 'even');
  return (
    <>
      <Heading level={2}>Lift round the plate</Heading>
      {release.liftReadings.map((r, i) => (
        <Removable
          key={r.id}
          label={`Take dial reading ${i + 1} out`}
          onRemove={() =>
            change((j) => ({
              ...j,
              release: {
                ...j.release,
                liftReadings: j.release.liftReadings.filter((x) => x.id !== r.id),
              },
            }))
          }
        >
          <EntryField path={fieldPath('release.liftReadings.*.angle', r.id)} />
          <EntryField path={fieldPath('release.liftReadings.*.lift', r.id)} />
        </Removable>
      ))}
      {release.liftReadings.length < MAX_READINGS ? (
        <Action
          icon="plus"
          onPress={() =>
            change((j) => ({
              ...j,
              release: {
                ...j.release,
                liftReadings: [...j.release.liftReadings, { id: nanoid(10) }],
              },
            }))
          }
        >
          Dial reading
        </Action>
      ) : null}
      {even ? (
        <View role="status" style={{ flexDirection: 'row', gap: 8 }}>
          <StateMark state={even.state} />
          <View style={{ flexShrink: 1 }}>
            <Words bold>{even.title}</Words>
            <Words size={15}>{readSentence(even.sentence, units)}</Words>
          </View>
        </View>
      ) : null}
    </>
  );
}
