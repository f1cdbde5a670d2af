import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';

import { IconKey } from './IconKey';

interface Props {
  /** Short fields, two side by side on a phone beside the section. */
  readonly narrow?: boolean;
  /** Two fields a row on a phone: values with their units. */
  readonly half?: boolean;
  /** Name of the row, read out before its fields where rows are alike. */
  readonly name?: string;
  /** Of the key that takes the line out; only with `onRemove`. */
  readonly removeLabel?: string;
  readonly onRemove?: () => void;
  readonly children: ReactNode;
}

/** Fields side by side where there is room, one below the other where there is not; a line of a list can be taken out. */
export function FieldGrid({
  narrow = false,
  half = false,
  name,
  removeLabel,
  onRemove,
  children,
}: Props) {
  const fields = <View style={narrow ? NARROW : half ? HALF : BROAD}>{children}</View>;
  if (removeLabel === undefined || onRemove === undefined) return fields;
  return (
    <View style={styles.line}>
      <View {...(name ? { role: 'group', 'aria-label': name } : {})} style={styles.fields}>
        {fields}
      </View>
      <IconKey atBox icon="close" label={removeLabel} onPress={onRemove} />
    </View>
  );
}

// The grid is the browser's own; React Native has no words for it.
const gridOf = (least: string): ViewStyle & object =>
  ({
    display: 'grid',
    gridTemplateColumns: `repeat(auto-fit, minmax(${least}, 1fr))`,
    columnGap: 12,
    rowGap: 2,
  }) as object;
// Two columns on any phone but the narrowest.
const BROAD = gridOf('max(150px, min(230px, 45%))');
const HALF = gridOf('130px');
const NARROW = gridOf('92px');

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'flex-start', gap: 4 },
  fields: { flexGrow: 1, flexShrink: 1 },
});
