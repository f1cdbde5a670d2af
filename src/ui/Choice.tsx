import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Chip as PaperChip } from 'react-native-paper';

import { FONT, useStrata } from './theme';
import { useAria } from './useAria';
import { useRoving } from './useRoving';
import { Words } from './Words';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
  /** All in one line, which its container scrolls. */
  readonly line?: boolean;
}

/** Options from a record of names. */
export const optionsOf = <T extends string>(
  names: Readonly<Record<T, string>>,
): { readonly value: T; readonly label: string }[] =>
  (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }));

/** One of a few, all in view. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  bare,
  line,
}: Props<T>) {
  return (
    <ChipGroup role="radiogroup" label={label} bare={bare} line={line}>
      {options.map((option) => (
        <Chip
          key={option.value}
          role="radio"
          label={option.label}
          on={option.value === value}
          onPress={() => onChange(option.value)}
        />
      ))}
    </ChipGroup>
  );
}

interface TogglesProps<T extends string> {
  readonly label: string;
  readonly chosen: readonly T[];
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onToggle: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
}

/** Any of several, all in view. */
export function Toggles<T extends string>({
  label,
  chosen,
  options,
  onToggle,
  bare,
}: TogglesProps<T>) {
  return (
    <ChipGroup role="group" label={label} bare={bare}>
      {options.map((option) => (
        <Chip
          key={option.value}
          role="checkbox"
          label={option.label}
          on={chosen.includes(option.value)}
          onPress={() => onToggle(option.value)}
        />
      ))}
    </ChipGroup>
  );
}

interface ChipProps {
  readonly role: 'radio' | 'checkbox';
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
}

/** One of several things to choose, big enough for a glove: Paper's chip with the role and the state of a choice. */
function Chip({ role, label, on, onPress }: ChipProps) {
  const strata = useStrata();
  const ref = useAria(role, { 'aria-checked': on });
  return (
    <View ref={ref} style={styles.place}>
      <PaperChip
        mode="outlined"
        accessibilityRole={role}
        accessibilityLabel={label}
        selected={on}
        showSelectedCheck={role === 'checkbox'}
        selectedColor={on ? strata.slate : strata.ink}
        onPress={onPress}
        style={[
          styles.chip,
          {
            backgroundColor: on ? strata.raised : 'transparent',
            borderColor: on ? strata.slate : strata.line,
          },
          on && styles.on,
        ]}
        textStyle={[styles.words, { fontFamily: on ? FONT.textBold : FONT.text }]}
      >
        {label}
      </PaperChip>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { maxWidth: '100%' },
  chip: { minWidth: 48 },
  on: { borderWidth: 2 },
  // In large letters, or on a small phone, words go on in a second line rather than being cut.
  words: {
    fontSize: 15,
    lineHeight: 20,
    // A 48 px target, all of it pressable.
    marginVertical: 13,
    ...({ whiteSpace: 'normal', overflow: 'visible' } as object),
  },
  group: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  line: { flexDirection: 'row', gap: 6 },
});

interface GroupProps {
  readonly role: 'radiogroup' | 'group';
  readonly label: string;
  /** The label is read out but not shown. */
  readonly bare?: boolean | undefined;
  readonly line?: boolean | undefined;
  readonly children: ReactNode;
}

/** Chips side by side under their label. */
function ChipGroup({ role, label, bare = false, line = false, children }: GroupProps) {
  const roving = useRoving('radio');
  return (
    <View style={styles.group}>
      {bare ? null : (
        <Words soft size={15}>
          {label}
        </Words>
      )}
      <View ref={roving} role={role} aria-label={label} style={line ? styles.line : styles.row}>
        {children}
      </View>
    </View>
  );
}
