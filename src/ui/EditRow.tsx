import type { ReactNode } from 'react';
import { useState } from 'react';
import { View } from 'react-native';

import { IconKey } from './IconKey';
import { useStrata } from './theme';

interface Props {
  /** What the line is about, for the name of its key. */
  readonly name: string;
  readonly initiallyOpen?: boolean;
  /** What it is at a glance. */
  readonly line: ReactNode;
  /** Everything about it, to change. */
  readonly children: ReactNode;
}

/** An item of a list whose fields open under it. */
export function EditRow({ name, initiallyOpen = false, line, children }: Props) {
  const strata = useStrata();
  const [open, setOpen] = useState(initiallyOpen);
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: strata.line }}>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          gap: 8,
          minHeight: 56,
          paddingVertical: 4,
        }}
      >
        {line}
        <IconKey
          icon={open ? 'chevron-up' : 'pencil-outline'}
          label={`${open ? 'Close' : 'Change'} ${name}`}
          expanded={open}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open ? <View style={{ gap: 10, paddingBottom: 14 }}>{children}</View> : null}
    </View>
  );
}
