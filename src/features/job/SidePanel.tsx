import { hasWetClutch } from '@/core/guide/layouts';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet } from 'react-native';

import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Stage } from '@/core/job/types';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictBanner } from '@/features/figures/VerdictBanner';
import { CausesPanel } from '@/features/intake/CausesPanel';
import { useJobPart } from '@/state/jobs/useJob';
import { SPACE, useStrata } from '@/ui/theme';

const FIGURES: Readonly<Record<Stage, readonly FigureId[]>> = {
  intake: ['torqueAtClutch'],
  strip: ['faces', 'stack'],
  inspect: ['packWear', 'warpSum', 'thinnestLeft'],
  specify: ['clamp', 'torqueAtClutch', 'capacityWithTangs'],
  build: ['stack', 'clamp'],
  set: ['liftHad', 'liftNeeded', 'clearancePerFace', 'overallRatio'],
  prove: ['reserveWithTangs', 'leverPull', 'overallRatio'],
  log: ['reserveWithTangs', 'clearancePerFace'],
};

/** Width of the panel on a screen of that width, px: the drawing grows with the screen. */
export const sideWidth = (screen: number): number =>
  Math.round(Math.max(440, Math.min(720, screen * 0.37)));

interface Props {
  readonly stage: Stage;
  readonly width: number;
  /** The section. */
  readonly children: ReactNode;
}

/** The right side of a wide screen: the verdict, the section, and figures that there is room for. */
export function SidePanel({ stage, width, children }: Props) {
  const strata = useStrata();
  const layout = useJobPart((job) => job.machine.layout);
  return (
    <ScrollView
      role="complementary"
      aria-label="The pack"
      style={[styles.scroll, { width, borderColor: strata.line }]}
      contentContainerStyle={styles.content}
    >
      {stage === 'specify' ? <VerdictBanner /> : null}
      {stage === 'intake' && hasWetClutch(layout) ? <CausesPanel /> : null}
      {children}
      <FigureRows ids={FIGURES[stage]} />
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  scroll: { flexGrow: 0, flexShrink: 0, borderLeftWidth: 1 },
  content: { padding: SPACE.margin, gap: SPACE.room },
});
