import type { ReactNode } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { IconKey } from './IconKey';
import { SPACE, useRuled } from './theme';

interface Props {
  /** Subject of the row, for the name of its key. */
  readonly name: string;
  readonly initiallyOpen?: boolean;
  /** Summary of the row. */
  readonly line: ReactNode;
  /** Everything about it, to change. */
  readonly children: ReactNode;
}

/** An item of a list whose fields open under it. */
export function EditRow({ name, initiallyOpen = false, line, children }: Props) {
  const ruled = useRuled();
  const [open, setOpen] = useState(initiallyOpen);
  return (
    <View role="listitem" style={ruled}>
      <View style={styles.row}>
        {line}
        <IconKey
          icon={open ? 'chevron-up' : 'pencil-outline'}
          label={`${open ? 'Close' : 'Change'} ${name}`}
          expanded={open}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open ? <View style={styles.padded}>{children}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.gap,
    minHeight: 56,
    paddingVertical: SPACE.tight,
  },
  padded: { gap: SPACE.gap, paddingBottom: SPACE.room },
});
