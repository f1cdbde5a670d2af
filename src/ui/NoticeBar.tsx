import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Surface } from 'react-native-paper';

import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly text: string;
  readonly label?: string;
  /** Possible actions. */
  readonly children?: ReactNode;
}

/**
 * A notice with its buttons; stays until used or closed. Paper's Banner measures itself before showing, which moves content
 * under a thumb; this uses its surface.
 */
export function NoticeBar({ text, label, children }: Props) {
  const strata = useStrata();
  return (
    <Surface
      role="status"
      aria-label={label}
      elevation={1}
      mode="flat"
      style={[styles.bar, { borderColor: strata.line }]}
    >
      <Words style={styles.words}>{text}</Words>
      {children ? <View style={styles.keys}>{children}</View> : null}
    </Surface>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    flexWrap: 'wrap',
    gap: 8,
    padding: 10,
    borderWidth: 1,
    borderRadius: 6,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 240 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
