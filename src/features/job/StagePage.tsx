import type { ReactNode } from 'react';
import { ScrollView } from 'react-native';

import { useWide } from '@/ui/useWide';

/** The work of a stage: one column that scrolls. */
export function StagePage({ children }: { readonly children: ReactNode }) {
  const wide = useWide();
  return (
    <ScrollView
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
      contentContainerStyle={{ padding: wide ? 24 : 10, paddingBottom: 40, gap: 16, maxWidth: 760 }}
    >
      {children}
    </ScrollView>
  );
}
