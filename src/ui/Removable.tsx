import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { FieldGrid } from './FieldGrid';

interface RemovableProps {
  readonly label: string;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}

/** A line of fields with a way to take it out. */
export function Removable({ label, onRemove, children }: RemovableProps) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: 4 }}>
      <View style={{ flexGrow: 1, flexShrink: 1 }}>
        <FieldGrid>{children}</FieldGrid>
      </View>
      <IconButton
        icon="close"
        aria-label={label}
        style={{ width: 48, height: 48, marginTop: 26 }}
        onPress={onRemove}
      />
    </View>
  );
}
