import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';

import { IconKey } from './IconKey';
import { SPACE } from './theme';
import { Words } from './Words';

interface TableProps {
  readonly label: string;
  /** Names of the columns; the fields below carry none. */
  readonly heads: readonly string[];
  /** Each row begins with its name. */
  readonly named?: 'name' | 'number';
  readonly children: ReactNode;
}

/** Rows of fields under the names of their columns. */
export function FieldTable({ label, heads, named, children }: TableProps) {
  return (
    <View role="group" aria-label={label} style={styles.table}>
      <View aria-hidden style={styles.line}>
        {named ? (
          <View style={[styles.name, styles.low, named === 'number' && styles.number]} />
        ) : null}
        <View style={CELLS}>
          {heads.map((head) => (
            <Words key={head} soft size={14}>
              {head}
            </Words>
          ))}
        </View>
        <View style={styles.key} />
      </View>
      {children}
    </View>
  );
}

interface RowProps {
  /** Read out before its fields. */
  readonly name: string;
  /** Shown at its beginning, in a table with named rows: a name, or a number. */
  readonly head?: string;
  readonly numbered?: boolean;
  readonly removeLabel?: string;
  readonly onRemove?: () => void;
  readonly children: ReactNode;
}

/** A row of a table of fields, which can be taken out where it has a key for it. */
export function FieldRow({ name, head, numbered, removeLabel, onRemove, children }: RowProps) {
  return (
    <View style={styles.line}>
      {head === undefined ? null : (
        <View style={[styles.name, numbered && styles.number]}>
          <Words bold={numbered ?? false} size={15}>
            {head}
          </Words>
        </View>
      )}
      <View role="group" aria-label={name} style={CELLS}>
        {children}
      </View>
      {onRemove ? (
        <IconKey narrow icon="close" label={removeLabel ?? 'Remove'} onPress={onRemove} />
      ) : (
        <View style={styles.key} />
      )}
    </View>
  );
}

// The grid is the browser's own; React Native has no words for it.
const CELLS: ViewStyle & object = {
  display: 'grid',
  gridAutoFlow: 'column',
  gridAutoColumns: 'minmax(0, 1fr)',
  columnGap: SPACE.gap,
  flexGrow: 1,
  flexShrink: 1,
  flexBasis: 0,
  minWidth: 0,
} as object;

const styles = StyleSheet.create({
  table: { gap: SPACE.hair },
  line: { flexDirection: 'row', alignItems: 'flex-start', gap: SPACE.tight },
  name: { width: 64, minHeight: 56, justifyContent: 'center' },
  number: { width: 24 },
  low: { minHeight: 0 },
  key: { width: 44 },
});
