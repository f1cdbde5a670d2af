import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { SPACE, useStrata } from '@/ui/theme';
import type { Back } from './TopBar';
import { TopBar } from './TopBar';
import { flow } from '@/ui/flow';

interface Props {
  readonly title: string;
  /** Where its arrow leads, if not to the jobs. */
  readonly back?: Back;
  /** Between the parts of the page. */
  readonly gap?: number;
  /** A list with what is opened from it beside it. */
  readonly broad?: boolean;
  readonly children: ReactNode;
}

/** A page beside the jobs: its name, the way back, and one column that scrolls. */
export function Page({ title, back, gap = 12, broad = false, children }: Props) {
  const strata = useStrata();
  return (
    <View style={[flow.fill, { backgroundColor: strata.ground }]}>
      <TopBar title={title} back={back ?? true} />
      <ScrollView
        role="main"
        contentContainerStyle={[styles.content, broad && styles.broad, { gap }]}
      >
        {children}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  content: { padding: SPACE.margin, maxWidth: 760, width: '100%', alignSelf: 'center' },
  broad: { maxWidth: 1400 },
});
