import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { readSentence } from '@/core/evaluate/sentence';
import { fieldPath, MAX_READINGS } from '@/core/job/fields';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRow } from '@/features/figures/FigureRow';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useEvaluation, useJob } from '@/features/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Removable } from '@/ui/Removable';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';

const SHOWN = ['expandContact', 'expandLockUp', 'leverGain', 'gapPerMark'] as const;

/** An expanding disc, its install gap, and what the lever says of it. */
export function ExpandingFields() {
  const { expanding, setting } = useJob();
  const { figures, verdicts } = useEvaluation();
  const units = useUnits();
  const change = useChangeJob();
  const gain = verdicts.find((v) => v.id === 'gain');
  return (
    <>
      <Heading level={2}>Expanding disc</Heading>
      <Choice
        label="In place of the outermost friction disc"
        value={expanding.fitted ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'None' },
          { value: 'yes', label: 'Fitted' },
        ]}
        onChange={(v) =>
          change((j) => ({ ...j, expanding: { ...j.expanding, fitted: v === 'yes' } }))
        }
      />
      {expanding.fitted ? (
        <>
          <FieldGrid>
            <EntryField path="expanding.count" />
            <EntryField path="expanding.mass" />
            <EntryField path="expanding.radius" />
            <EntryField path="expanding.advantage" />
            <EntryField path="expanding.returnForce" />
            <EntryField path="expanding.returnRate" />
            <EntryField path="expanding.growth" />
            <EntryField path="setting.installGap" />
            <EntryField path="setting.gapMin" />
            <EntryField path="setting.gapMax" />
            <EntryField path="setting.pitch" />
            <EntryField path="setting.marksPerTurn" />
            <EntryField path="setting.linkage" />
            <EntryField path="setting.targetGain" />
          </FieldGrid>
          <Heading level={3}>Lever gain as read</Heading>
          {setting.readings.map((r, i) => (
            <Removable
              key={r.id}
              label={`Take reading ${i + 1} out`}
              onRemove={() =>
                change((j) => ({
                  ...j,
                  setting: {
                    ...j.setting,
                    readings: j.setting.readings.filter((x) => x.id !== r.id),
                  },
                }))
              }
            >
              <EntryField path={fieldPath('setting.readings.*.turns', r.id)} />
              <EntryField path={fieldPath('setting.readings.*.gain', r.id)} />
            </Removable>
          ))}
          {setting.readings.length < MAX_READINGS ? (
            <Action
              icon="plus"
              onPress={() =>
                change((j) => ({
                  ...j,
                  setting: {
                    ...j.setting,
                    readings: [...j.setting.readings, { id: nanoid(10) }],
                  },
                }))
              }
            >
              Gain reading
            </Action>
          ) : null}
          {gain ? (
            <View style={{ flexDirection: 'row', gap: 8 }} role="status">
              <StateMark state={gain.state} />
              <View style={{ flexShrink: 1 }}>
                <Words bold>{gain.title}</Words>
                <Words size={15}>{readSentence(gain.sentence, units)}</Words>
              </View>
            </View>
          ) : null}
          <View>
            {SHOWN.map((id) => {
              const outcome = figures.get(id);
              return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
            })}
          </View>
        </>
      ) : null}
    </>
  );
}
