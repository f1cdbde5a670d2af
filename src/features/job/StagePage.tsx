import type { ReactNode } from 'react';
import { ScrollView, StyleSheet } from 'react-native';

import { useWide } from '@/ui/useWide';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

/** The work of a stage: one column that scrolls. */
export function StagePage({ children }: { readonly children: ReactNode }) {
  const wide = useWide();
  return (
    <ScrollView
      style={flow.share}
      contentContainerStyle={[styles.content, { padding: wide ? 24 : 10 }]}
    >
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  content: { paddingBottom: SPACE.wide, gap: SPACE.margin, maxWidth: 760 },
});
