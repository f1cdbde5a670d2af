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
  readonly onMake: () => void;
}

/** Small parts, counted out here and in again at Build. */
export function PartsRemoved({ parts, onChange, onMake }: PartsProps) {
  return (
    <View style={flow.stack}>
      <Heading level={2}>Small parts removed</Heading>
      {parts.length === 0 ? (
        <>
          <Words soft>
            Count each part out and back in: a pin left in the cases means splitting the engine.
          </Words>
          <Action main icon="plus" onPress={onMake}>
            Start the count
          </Action>
        </>
      ) : (
        <>
          <View role="list" aria-label="Small parts" style={flow.stack}>
            {parts.map((part) => (
              <PartRow key={part.id} part={part} onChange={onChange} />
            ))}
          </View>
          {parts.length < MAX_LINES ? (
            <Action
              icon="plus"
              onPress={() => onChange((all) => [...all, { id: nanoid(8), name: '', note: '' }])}
            >
              Add part
            </Action>
          ) : null}
        </>
      )}
    </View>
  );
}

interface PartRowProps {
  readonly part: SmallPart;
  readonly onChange: PartsProps['onChange'];
}

/** A part and how many came out; one tap counts one more. */
function PartRow({ part, onChange }: PartRowProps) {
  const rename = (name: string) =>
    onChange((all) => all.map((p) => (p.id === part.id ? { ...omit(p, 'key'), name } : p)));
  const remove = () => onChange((all) => all.filter((p) => p.id !== part.id));
  const ruled = useRuled();
  const label = part.name || 'Part';
  // A new part stays a field for as long as it is named.
  const [naming] = useState(part.name === '');
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <View style={styles.row}>
        <View style={styles.grow}>
          {naming ? (
            <Field alone label="Part" value={part.name} maxLength={120} onChangeText={rename} />
          ) : (
            <>
              <Words bold>{part.name}</Words>
              {part.note ? (
                <Words soft size={14}>
                  {part.note}
                </Words>
              ) : null}
            </>
          )}
        </View>
        <View style={styles.partRowRow}>
          <CountField path={fieldPath('strip.parts.*.out', part.id)} label="Removed" of={label} />
          <IconKey narrow atBox icon="close" label={`Remove ${label}`} onPress={remove} />
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingTop: SPACE.gap, gap: SPACE.tight },
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: SPACE.tight, flexWrap: 'wrap' },
  grow: { flexGrow: 2, flexBasis: 150 },
  partRowRow: { flexDirection: 'row', alignItems: 'flex-start' },
});
