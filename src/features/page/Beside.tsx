import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { SPACE, useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';

interface Props {
  /** The list. */
  readonly children: ReactNode;
  /** What is opened from it, or belongs to it: to the right of it on a wide screen. */
  readonly beside: ReactNode;
  /** On a phone it comes before the list; otherwise it is not there. */
  readonly first?: boolean;
  readonly label: string;
}

/** A list with what is opened from it beside it, where the screen is wide. */
export function Beside({ children, beside, first = false, label }: Props) {
  const wide = useWide();
  const strata = useStrata();
  if (!wide)
    return (
      <>
        {first ? beside : null}
        {children}
      </>
    );
  return (
    <View style={styles.both}>
      <View style={styles.list}>{children}</View>
      <View
        role="complementary"
        aria-label={label}
        style={[styles.beside, { borderColor: strata.line }]}
      >
        {beside}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  both: { flexDirection: 'row', gap: SPACE.wide, alignItems: 'flex-start' },
  list: { flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: SPACE.room, minWidth: 0 },
  beside: {
    flexGrow: 1,
    flexShrink: 1,
    flexBasis: 0,
    minWidth: 0,
    gap: SPACE.room,
    borderLeftWidth: 1,
    paddingLeft: SPACE.wide,
  },
});
