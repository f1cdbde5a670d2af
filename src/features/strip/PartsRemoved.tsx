import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { MAX_LINES } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { omit } from '@/core/omit';
import type { SmallPart } from '@/core/job/types';
import { CountField } from '@/features/entry/CountField';
import { Action } from '@/ui/Action';
import { IconKey } from '@/ui/IconKey';
import { Field } from '@/ui/Field';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface PartsProps {
  readonly parts: readonly SmallPart[];
  readonly onChange: (change: (parts: readonly SmallPart[]) => readonly SmallPart[]) => void;
  /** Why the list can't be made yet. */
  readonly blocked: string | undefined;
  readonly onMake: () => void;
}

/** Small parts, counted out here and in again at Build. */
export function PartsRemoved({ parts, blocked, onChange, onMake }: PartsProps) {
  const [editing, setEditing] = useState(false);
  const uncounted = parts.filter((p) => p.out === undefined).length;
  if (parts.length === 0)
    return (
      <View style={flow.stack}>
        <Heading level={2}>Small parts removed</Heading>
        <Words soft>
          Count each part out and back in: a pin left in the cases means splitting the engine.
        </Words>
        <Action main icon="plus" blocked={blocked} onPress={onMake}>
          Start the count
        </Action>
      </View>
    );
  return (
    <View style={flow.stack}>
      <View style={flow.line}>
        <View style={flow.grow}>
          <Heading level={2}>Small parts removed</Heading>
        </View>
        <Action icon={editing ? 'check' : 'pencil-outline'} onPress={() => setEditing(!editing)}>
          {editing ? 'Done' : 'Edit parts'}
        </Action>
      </View>
      <View role="list" aria-label="Small parts">
        {parts.map((part) => (
          <PartRow key={part.id} part={part} editing={editing} onChange={onChange} />
        ))}
      </View>
      <View style={flow.wrap}>
        {uncounted > 0 && uncounted < parts.length ? (
          <Action
            icon="check"
            onPress={() =>
              onChange((all) => all.map((p) => (p.out ? p : { ...p, out: { value: 0 } })))
            }
          >
            {`None of the other ${uncounted}`}
          </Action>
        ) : null}
        {parts.length < MAX_LINES ? (
          <Action
            icon="plus"
            onPress={() => onChange((all) => [...all, { id: nanoid(8), name: '', note: '' }])}
          >
            Add part
          </Action>
        ) : null}
      </View>
    </View>
  );
}

interface PartRowProps {
  readonly part: SmallPart;
  readonly editing: boolean;
  readonly onChange: PartsProps['onChange'];
}

/** A part and how many came out, in one line; one tap counts one more. */
function PartRow({ part, editing, onChange }: PartRowProps) {
  const rename = (name: string) =>
    onChange((all) => all.map((p) => (p.id === part.id ? { ...omit(p, 'key'), name } : p)));
  const remove = () => onChange((all) => all.filter((p) => p.id !== part.id));
  const ruled = useRuled();
  const label = part.name || 'Part';
  // A new part stays a field for as long as it is named.
  const [naming] = useState(part.name === '');
  return (
    <View role="listitem" style={[ruled, styles.row]}>
      <View style={styles.grow}>
        {naming || editing ? (
          <Field alone label="Part" value={part.name} maxLength={120} onChangeText={rename} />
        ) : (
          <>
            <Words bold size={15}>
              {part.name}
            </Words>
            {part.note ? (
              <Words soft size={13}>
                {part.note}
              </Words>
            ) : null}
          </>
        )}
      </View>
      {editing ? (
        <IconKey narrow icon="close" label={`Remove ${label}`} onPress={remove} />
      ) : (
        <CountField path={fieldPath('strip.parts.*.out', part.id)} label="Out" of={label} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.tight, minHeight: 56 },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
});
