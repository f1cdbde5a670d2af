import { startTransition, useDeferredValue, useEffect } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { RunStep } from '@/core/inspect/runStep';
import { BenchBar } from '@/features/bench/BenchBar';
import { useBenchLink, useBenchReadings } from '@/features/bench/benchLink';
import { useLowScreen, useLandscape, useShortScreen, useWide } from '@/ui/useWide';
import { Heading, Words } from '@/ui/Words';

import type { RunKeys } from './Keypad';
import { Keypad } from './Keypad';
import { LimitBar } from './LimitBar';
import { Siblings, ReadingsSoFar } from './CurrentPart';
import { Quick } from './Quick';
import { RunAsked, RunDisplay } from './RunDisplay';
import { RunFinished } from './RunFinished';
import type { MeasuringRun } from './useRun';
import { useRun } from './useRun';
import { useJob } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';
import { useTypingGauge } from './useTypingGauge';
import { useVoice } from './voice';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

const FILLS = { flexGrow: 1, flexShrink: 1, flexBasis: 0 } as const;

interface Props {
  readonly steps: readonly RunStep[];
  /** Whether the device's own keyboard is used instead of the keypad. */
  readonly deviceKeyboard: boolean;
  readonly onKeyboard: (device: boolean) => void;
  readonly onSelect: (plateId: string | undefined) => void;
  readonly onEnd: () => void;
  /** Readings of a return: they judge no part. */
  readonly ofVisit?: boolean;
}

/** The measuring run: one value, one key, then the next plate automatically. */
export function MeasureRun({
  steps,
  deviceKeyboard,
  onKeyboard,
  onSelect,
  onEnd,
  ofVisit = false,
}: Props) {
  const run = useRun(steps);
  const wide = useWide();
  const low = useLandscape();
  // No room for keys of our own: the value is typed on the device's, or comes from a gauge.
  const squeezed = useLowScreen() && !low;
  const typing = deviceKeyboard || squeezed;
  // The current value comes before its suggestions.
  const short = useShortScreen() && !low;
  const { step } = run;
  const linked = useBenchLink().status !== 'off';
  const plateId = step?.plateId;
  // The section marks the plate once the display has moved on.
  const shown = useDeferredValue(plateId);
  // Rendered after the display has moved on.
  const reached = useDeferredValue(step);
  useEffect(() => startTransition(() => onSelect(shown)), [shown, onSelect]);
  const keys: RunKeys = {
    ...run,
    send: (text) => run.take(text),
    take: () => run.take(),
    step: (by) => run.go(run.index + by),
  };
  const voice = useAppSelector((state) => state.display.voice === true);
  useVoice(voice, step, run.taken, useJob());
  useTypingGauge(keys, run.text !== '');
  useBenchReadings((reading) => {
    if (reading.device === 'gauge') run.take(`${reading.text} ${reading.unit}`);
  });
  if (!step) return <RunFinished run={run} ofVisit={ofVisit} onEnd={onEnd} />;
  return (
    <View style={[FILLS, low ? { flexDirection: 'row' } : undefined]}>
      <View style={FILLS}>
        <ScrollView
          style={FILLS}
          contentContainerStyle={[styles.content, { padding: wide ? 24 : 10 }]}
        >
          <RunHead run={run} step={step} />
          {linked ? <BenchBar compact /> : null}
          <RunDisplay run={run} step={step} deviceKeyboard={typing} />
          <LimitBar step={step} text={run.text} />
          <RunAsked run={run} step={step} />
          <Siblings
            step={reached ?? step}
            onGo={(path) => run.go(run.steps.findIndex((s) => s.path === path))}
          />
          {ofVisit ? null : <ReadingsSoFar step={step} />}
        </ScrollView>
        {short || !reached ? null : <Quick step={reached} steps={run.steps} onTake={keys.send} />}
      </View>
      <Keypad
        run={keys}
        atStart={run.index === 0}
        folded={typing}
        onDeviceKeyboard={
          squeezed && !deviceKeyboard ? undefined : () => onKeyboard(!deviceKeyboard)
        }
        onEnd={onEnd}
      />
    </View>
  );
}

interface HeadProps {
  readonly run: MeasuringRun;
  readonly step: RunStep;
}

/** The current part and the progress of the run. */
function RunHead({ run, step }: HeadProps) {
  return (
    <View style={flow.line}>
      <View style={flow.grow}>
        <Heading level={2}>{step.title}</Heading>
        <Words soft size={15}>
          {step.what}
        </Words>
      </View>
      <Words soft size={14}>
        {`${run.index + 1} of ${run.steps.length}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  content: { gap: SPACE.gap, maxWidth: 620 },
});
