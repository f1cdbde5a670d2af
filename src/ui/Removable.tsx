import type { ReactNode } from 'react';
import { View } from 'react-native';

import { FieldGrid } from './FieldGrid';
import { IconKey } from './IconKey';

interface RemovableProps {
  /** Of its key. */
  readonly label: string;
  /** What the line is, read out before its fields where other lines have the same ones. */
  readonly name?: string;
  /** Two short fields stand side by side on a phone beside the section. */
  readonly narrow?: boolean;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}

/** A line of fields with a way to take it out. */
export function Removable({ label, name, narrow = false, onRemove, children }: RemovableProps) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: 4 }}>
      <View
        {...(name ? { role: 'group', 'aria-label': name } : {})}
        style={{ flexGrow: 1, flexShrink: 1 }}
      >
        <FieldGrid narrow={narrow}>{children}</FieldGrid>
      </View>
      <IconKey atBox icon="close" label={label} onPress={onRemove} />
    </View>
  );
}
