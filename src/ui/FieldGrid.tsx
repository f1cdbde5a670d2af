import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { View } from 'react-native';

/**
 * Fields side by side where there is room, one below the other where there is not. A field lies on three rows of the
 * grid, its label, its box, and what is said about it, so that boxes stand in line however far a label runs.
 */
export function FieldGrid({ narrow = false, children }: Props) {
  return <View style={narrow ? NARROW : BROAD}>{children}</View>;
}

interface Props {
  /** Short fields, two of which stand side by side on a phone beside the section. */
  readonly narrow?: boolean;
  readonly children: ReactNode;
}

// The grid is the browser's own; React Native has no words for it.
const gridOf = (least: number): ViewStyle & object =>
  ({
    display: 'grid',
    gridTemplateColumns: `repeat(auto-fit, minmax(${least}px, 1fr))`,
    columnGap: 12,
    rowGap: 2,
  }) as object;
const BROAD = gridOf(150);
const NARROW = gridOf(92);

/** The style of a field, whether it lies in a grid or beside a key: label, box and words are its three children. */
export const FIELD: ViewStyle & object = {
  display: 'grid',
  gridRow: 'span 3',
  gridTemplateRows: 'subgrid',
  gridTemplateColumns: 'minmax(0, 1fr)',
  rowGap: 2,
  flexGrow: 1,
} as object;

/** What is said about a field, with the room to the next one. */
export const FIELD_WORDS = { gap: 2, paddingBottom: 8 } as const;
