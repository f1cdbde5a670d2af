import type { ReactNode } from 'react';
import { createContext, use } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { Stage } from '@/core/job/types';
import { STAGE_PURPOSE } from '@/core/job/words';
import { FindingsPanel } from '@/features/findings/FindingsPanel';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { SPACE, useStrata } from '@/ui/theme';

interface Props {
  /** Its purpose is the first line; without one, as for an old revision, there is none. */
  readonly stage?: Stage;
  readonly children: ReactNode;
}

/** The ridge, where it scrolls with the work on a phone; all but its names then leaves the screen. */
export const RollingRidge = createContext<ReactNode>(undefined);

/** Of the ridge so much leaves the screen, px. */
const LEAVES = 30;

/** The work of a stage: one column that scrolls. */
export function StagePage({ stage, children }: Props) {
  const wide = useWide();
  const strata = useStrata();
  const ridge = use(RollingRidge);
  return (
    <ScrollView
      style={flow.share}
      contentContainerStyle={[styles.content, { padding: wide ? 24 : 10 }]}
    >
      {ridge ? (
        <View style={[styles.ridge, { backgroundColor: strata.ground }]}>{ridge}</View>
      ) : null}
      {stage ? (
        <Words soft size={15}>
          {STAGE_PURPOSE[stage]}
        </Words>
      ) : null}
      {children}
      {stage ? <FindingsPanel /> : null}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  // The browser's own: React Native has no word for it.
  ridge: { ...({ position: 'sticky', top: -LEAVES } as object), zIndex: 2, margin: -10 },
  content: { paddingBottom: SPACE.wide, gap: SPACE.margin, maxWidth: 760 },
});
