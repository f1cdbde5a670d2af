import type { ReactNode } from 'react';
import { View } from 'react-native';

/** Fields side by side where there is room, one below the other where there is not. */
export function FieldGrid({ children }: { readonly children: ReactNode }) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, rowGap: 10 }}>
      {children}
    </View>
  );
}
