import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { MAX_LINES } from '@/core/job/fields';
import type { StripStep } from '@/core/job/types';
import { Action } from '@/ui/Action';
import { CheckRow } from '@/ui/CheckRow';
import { IconKey } from '@/ui/IconKey';
import { Field } from '@/ui/Field';
import { useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface StepsProps {
  readonly steps: readonly StripStep[];
  readonly onChange: (change: (steps: readonly StripStep[]) => readonly StripStep[]) => void;
  /** Why the list can't be made yet. */
  readonly blocked: string | undefined;
  readonly onMake: () => void;
}

/** The disassembly steps: ticked, or edited. */
export function StripList({ steps, blocked, onChange, onMake }: StepsProps) {
  const [editing, setEditing] = useState(false);
  const toggle = (id: string) =>
    onChange((all) => all.map((s) => (s.id === id ? { ...s, done: !s.done } : s)));
  const done = steps.filter((s) => s.done).length;
  if (steps.length === 0) {
    return (
      <View style={flow.stack}>
        <Heading level={2}>Disassembly</Heading>
        <Words soft>
          A checklist for this clutch: its springs, its release, the parts that turn with it. Edit
          it freely.
        </Words>
        <Action main icon="plus" blocked={blocked} onPress={onMake}>
          Create the checklist
        </Action>
      </View>
    );
  }
  const move = (index: number, by: number) =>
    onChange((all) => {
      const next = [...all];
      const [step] = next.splice(index, 1);
      if (step) next.splice(index + by, 0, step);
      return next;
    });
  return (
    <View style={flow.stack}>
      <View style={flow.line}>
        <View style={flow.grow}>
          <Heading level={2}>Disassembly</Heading>
          <Words soft size={14}>
            {String(done)} of {String(steps.length)} done
          </Words>
        </View>
        <Action icon={editing ? 'check' : 'pencil-outline'} onPress={() => setEditing(!editing)}>
          {editing ? 'Done' : 'Edit checklist'}
        </Action>
      </View>
      <View role="list" aria-label="Disassembly steps">
        {steps.map((step, i) =>
          editing ? (
            <View key={step.id} role="listitem" style={styles.item}>
              <View style={flow.grow}>
                <Field
                  label={`Step ${i + 1}`}
                  value={step.text}
                  maxLength={400}
                  onChangeText={(text) =>
                    onChange((all) => all.map((s) => (s.id === step.id ? { ...s, text } : s)))
                  }
                />
              </View>
              <IconKey
                narrow
                icon="arrow-up"
                label={`Move step ${i + 1} up`}
                blocked={i === 0 ? 'first step' : undefined}
                onPress={() => move(i, -1)}
              />
              <IconKey
                narrow
                icon="close"
                label={`Remove step ${i + 1}`}
                onPress={() => onChange((all) => all.filter((s) => s.id !== step.id))}
              />
            </View>
          ) : (
            <StepRow key={step.id} step={step} onToggle={toggle} />
          ),
        )}
      </View>
      {editing && steps.length < MAX_LINES ? (
        <Action
          icon="plus"
          onPress={() => onChange((all) => [...all, { id: nanoid(8), text: '', done: false }])}
        >
          Add step
        </Action>
      ) : null}
    </View>
  );
}

interface RowProps {
  readonly step: StripStep;
  readonly onToggle: (id: string) => void;
}

function StepRow({ step, onToggle }: RowProps) {
  const ruled = useRuled();
  return (
    <View role="listitem" style={ruled}>
      <CheckRow
        text={step.text}
        watch={step.watch}
        done={step.done}
        onToggle={() => onToggle(step.id)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'flex-end' },
});
