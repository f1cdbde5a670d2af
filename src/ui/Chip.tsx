import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly role: 'radio' | 'checkbox';
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
}

/** One of several things to choose, big enough for a glove. */
export function Chip({ role, label, on, onPress }: Props) {
  const strata = useStrata();
  return (
    <Pressable
      role={role}
      aria-checked={on}
      aria-label={label}
      onPress={onPress}
      style={[
        styles.chip,
        on
          ? { borderWidth: 2, borderColor: strata.slate, backgroundColor: strata.raised }
          : { borderColor: strata.line },
      ]}
    >
      {on && role === 'checkbox' ? <Icon source="check" size={18} color={strata.slate} /> : null}
      <Words bold={on} size={15} style={styles.words}>
        {label}
      </Words>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chip: {
    minHeight: 48,
    minWidth: 48,
    maxWidth: '100%',
    paddingHorizontal: 12,
    flexDirection: 'row',
    gap: 6,
    justifyContent: 'center',
    alignItems: 'center',
    borderRadius: 6,
    borderWidth: 1,
  },
  words: { flexShrink: 1, paddingVertical: 4 },
  group: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

interface GroupProps {
  readonly role: 'radiogroup' | 'group';
  readonly label: string;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
  readonly children: ReactNode;
}

/** Chips side by side under their label. */
export function ChipGroup({ role, label, bare = false, children }: GroupProps) {
  return (
    <View style={styles.group}>
      {bare ? null : (
        <Words soft size={15}>
          {label}
        </Words>
      )}
      <View role={role} aria-label={label} style={styles.row}>
        {children}
      </View>
    </View>
  );
}
