import type { ReactNode } from 'react';
import { ScrollView, StyleSheet } from 'react-native';

import type { Stage } from '@/core/job/types';
import { STAGE_PURPOSE } from '@/core/job/words';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

interface Props {
  /** Its purpose is the first line; without one, as for an old revision, there is none. */
  readonly stage?: Stage;
  readonly children: ReactNode;
}

/** The work of a stage: one column that scrolls. */
export function StagePage({ stage, children }: Props) {
  const wide = useWide();
  return (
    <ScrollView
      style={flow.share}
      contentContainerStyle={[styles.content, { padding: wide ? 24 : 10 }]}
    >
      {stage ? (
        <Words soft size={15}>
          {STAGE_PURPOSE[stage]}
        </Words>
      ) : null}
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  content: { paddingBottom: SPACE.wide, gap: SPACE.margin, maxWidth: 760 },
});
