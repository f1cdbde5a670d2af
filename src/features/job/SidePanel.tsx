import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import type { FigureId } from '@/core/evaluate/figure';
import { FigureRow } from '@/features/figures/FigureRow';
import { VerdictBanner } from '@/features/figures/VerdictBanner';
import { CausesPanel } from '@/features/intake/CausesPanel';
import { useEvaluation, useJob } from '@/features/jobs/useJob';
import { useStrata } from '@/ui/theme';

import type { View as StageView } from './stages';

const FIGURES: Readonly<Record<StageView, readonly FigureId[]>> = {
  intake: ['torqueAtClutch'],
  strip: ['faces', 'stack'],
  inspect: ['packWear', 'warpSum', 'thinnestLeft'],
  specify: ['clamp', 'torqueAtClutch', 'capacityWithTangs'],
};

interface Props {
  readonly stage: StageView;
  /** The section. */
  readonly children: ReactNode;
}

/** The right side of a wide screen: the verdict, the section, and figures that there is room for. */
export function SidePanel({ stage, children }: Props) {
  const strata = useStrata();
  const { figures } = useEvaluation();
  const { layout } = useJob().machine;
  return (
    <ScrollView
      role="complementary"
      aria-label="The pack"
      style={{
        width: 380,
        flexGrow: 0,
        flexShrink: 0,
        borderLeftWidth: 1,
        borderColor: strata.line,
      }}
      contentContainerStyle={{ padding: 16, gap: 12 }}
    >
      {stage === 'specify' ? <VerdictBanner /> : null}
      {stage === 'intake' && layout !== 'belt' ? <CausesPanel /> : null}
      {children}
      <View>
        {FIGURES[stage].map((id) => {
          const outcome = figures.get(id);
          return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
        })}
      </View>
    </ScrollView>
  );
}
