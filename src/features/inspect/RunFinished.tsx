import { ScrollView, StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import { nextOpen, openSteps } from '@/core/inspect/run';
import { BenchBar } from '@/features/bench/BenchBar';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Heading, Words } from '@/ui/Words';

import { useInspection } from './useInspection';
import type { MeasuringRun } from './useRun';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';
import { countOf } from '@/core/text/countOf';

/** The end of a run: missing readings, rejected parts, and the next action. */
export function RunFinished({
  run,
  ofVisit,
  onEnd,
}: {
  readonly run: MeasuringRun;
  readonly ofVisit: boolean;
  readonly onEnd: () => void;
}) {
  const job = useJob();
  const units = useUnits();
  const open = openSteps(job, run.steps);
  const { parts } = useInspection();
  const worst = ofVisit
    ? []
    : parts.filter((p) => p.decision === 'change' || p.decision === 'scrap');
  return (
    <ScrollView contentContainerStyle={styles.content}>
      <Heading level={2}>
        {run.steps.length === 0 ? 'Nothing to measure' : 'All parts done'}
      </Heading>
      <View aria-live="polite" style={flow.stack}>
        <Words>
          {run.steps.length === 0
            ? 'No part of this selection can be measured. Select other parts under Measure, or add plates at Specify.'
            : open.length === 0
              ? `${countOf(run.steps.length, 'reading')} taken, none missing.`
              : `${run.steps.length - open.length} of ${countOf(run.steps.length, 'reading')} taken.`}
        </Words>
        {worst.map((p) => (
          <Words key={p.id} size={15}>
            {p.name}: {readSentence(p.reasons[0]?.sentence ?? [], units)}
          </Words>
        ))}
      </View>
      <View style={flow.wrap}>
        <Action main icon="check" onPress={onEnd}>
          {ofVisit ? 'Back to the visit' : 'Show verdicts'}
        </Action>
        {open[0] ? (
          <Action onPress={() => run.go(nextOpen(job, run.steps))}>
            {`Missing readings (${open.length})`}
          </Action>
        ) : null}
        {run.steps.length > 0 ? (
          <Action icon="undo" onPress={() => run.go(run.steps.length - 1)}>
            Back to the last
          </Action>
        ) : null}
      </View>
      {open.length > 0 ? (
        <Words soft size={14}>
          Missing:{' '}
          {open
            .slice(0, 6)
            .map((s) => `${s.title}, ${s.what}`)
            .join('; ')}
          {open.length > 6 ? ' and more' : ''}.
        </Words>
      ) : null}
      <BenchBar compact />
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  content: { padding: SPACE.margin, gap: SPACE.room, maxWidth: 620 },
});
