import { StyleSheet, View } from 'react-native';

import { needsOf } from '@/core/evaluate/engine/needs';
import { readSentence } from '@/core/text/sentence';
import { AdvicePanel } from '@/features/advice/AdvicePanel';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { SureLine } from '@/features/sure/SureLine';
import { useSure } from '@/features/sure/useSure';
import { ProgressLine } from '@/ui/ProgressLine';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { FigureRows } from './FigureRows';
import { GoToMissing } from './VerdictBanner';
import { flow } from '@/ui/flow';

/** Every verdict and every figure of the job. */
export function FiguresTab() {
  const units = useUnits();
  const ruled = useRuled();
  const { figures, verdicts } = useEvaluation();
  const { run, stop } = useSure();
  return (
    <View style={flow.parts}>
      <View>
        <Heading level={2}>Verdicts</Heading>
        {run.state === 'running' ? (
          <ProgressLine share={run.share} label="Certainty" onStop={stop} />
        ) : null}
        {verdicts.map((v) => (
          <View key={v.id} style={[ruled, styles.row]}>
            <View style={styles.padded}>
              <StateMark state={v.state} label />
            </View>
            <View style={styles.grow}>
              <Words bold size={15}>
                {v.title}
              </Words>
              <Words soft size={14}>
                {readSentence(v.sentence, units)}
              </Words>
              {run.state === 'done' ? <SureLine id={v.id} sure={run.result} /> : null}
              {v.id !== 'overall' && (v.state === 'stop' || v.state === 'watch') ? (
                <AdvicePanel verdict={v.id} title={v.title} />
              ) : null}
              <GoToMissing need={needsOf(v, figures)[0]} />
            </View>
          </View>
        ))}
      </View>
      <View>
        <Heading level={2}>Figures</Heading>
        <FigureRows />
      </View>
      <Words soft size={14}>
        The maker’s manual, local rules and a licensed mechanic take precedence over these figures.
        First ride slow, off the road, brakes tested.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.gap, paddingVertical: SPACE.gap },
  padded: { paddingTop: SPACE.hair },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: SPACE.tight },
});
