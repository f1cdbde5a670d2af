import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { View } from 'react-native';

/** Fields side by side where there is room, one below the other where there is not. */
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
const BROAD = gridOf(230);
const NARROW = gridOf(92);
