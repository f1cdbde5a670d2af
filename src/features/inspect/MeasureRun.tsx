import {
  createContext,
  memo,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
} from 'react';
import { ScrollView, View } from 'react-native';

import type { RunPart, RunStep } from '@/core/inspect/run';
import { BenchBar } from '@/features/bench/BenchBar';
import { useBenchLink, useBenchReadings } from '@/features/bench/benchLink';
import { useLater } from '@/ui/useLater';
import { useLow, useLying, useShort, useWide } from '@/ui/useWide';
import { Heading, Words } from '@/ui/Words';

import type { RunKeys } from './Keypad';
import { Keypad } from './Keypad';
import { LimitBar } from './LimitBar';
import { Siblings, SoFar } from './PartInHand';
import { Quick } from './Quick';
import { RunAsked, RunDisplay } from './RunDisplay';
import { RunOver } from './RunOver';
import type { Run } from './useRun';
import { useRun } from './useRun';
import { useTypingGauge } from './useTypingGauge';

const FILLS = { flexGrow: 1, flexShrink: 1, flexBasis: 0 } as const;
const RunContext = createContext<Run | undefined>(undefined);

interface Props {
  readonly parts: readonly RunPart[];
  /** Whether the device's own keyboard is used instead of the keypad. */
  readonly deviceKeyboard: boolean;
  readonly onKeyboard: (device: boolean) => void;
  readonly onSelect: (plateId: string | undefined) => void;
  readonly onEnd: () => void;
}

/** The measuring run: one value, one key, the next plate by itself. */
export const MeasureRun = memo(function MeasureRun({
  parts,
  deviceKeyboard,
  onKeyboard,
  onSelect,
  onEnd,
}: Props) {
  const run = useRun(parts);
  const wide = useWide();
  const low = useLying();
  // No room for keys of our own: the value is typed on the device's, or comes from a gauge.
  const squeezed = useLow() && !low;
  const typing = deviceKeyboard || squeezed;
  // The value in hand comes before what it may be.
  const short = useShort() && !low;
  const { step } = run;
  const linked = useBenchLink().status !== 'off';
  const plateId = step?.plateId;
  // The section marks the plate once the display has moved on.
  const shown = useLater(plateId, true);
  useEffect(() => startTransition(() => onSelect(shown)), [shown, onSelect]);
  const latest = useRef({ run, onEnd, toggle: () => onKeyboard(!deviceKeyboard) });
  useEffect(() => {
    latest.current = { run, onEnd, toggle: () => onKeyboard(!deviceKeyboard) };
  });
  const keys = useMemo<RunKeys>(
    () => ({
      key: (character) => latest.current.run.key(character),
      press: (key) => latest.current.run.press(key),
      erase: () => latest.current.run.erase(),
      take: () => latest.current.run.take(),
      send: (text) => latest.current.run.take(text),
      step: (by) => latest.current.run.go(latest.current.run.index + by),
    }),
    [],
  );
  const toggleKeyboard = useCallback(() => latest.current.toggle(), []);
  const goTo = useCallback((path: string) => {
    const { steps, go } = latest.current.run;
    go(steps.findIndex((s) => s.path === path));
  }, []);
  const end = useCallback(() => latest.current.onEnd(), []);
  useTypingGauge(keys, run.text !== '');
  useBenchReadings((reading) => {
    if (reading.device === 'gauge') run.take(`${reading.text} ${reading.unit}`);
  });
  const atStart = run.index === 0;
  // Made once: a key draws what shows the run, not the frame around it.
  const frame = useMemo(
    () => (
      <View style={[FILLS, low ? { flexDirection: 'row' } : undefined]}>
        <View style={FILLS}>
          <ScrollView
            style={FILLS}
            contentContainerStyle={{ padding: wide ? 24 : 10, gap: 10, maxWidth: 620 }}
          >
            <RunHead />
            {linked ? <BenchBar compact /> : null}
            <RunBody deviceKeyboard={typing} onGo={goTo} />
          </ScrollView>
          {short ? null : <LikelyNext run={keys} />}
        </View>
        <Keypad
          run={keys}
          atStart={atStart}
          folded={typing}
          onDeviceKeyboard={squeezed && !deviceKeyboard ? undefined : toggleKeyboard}
          onEnd={end}
        />
      </View>
    ),
    [
      wide,
      low,
      linked,
      deviceKeyboard,
      typing,
      squeezed,
      short,
      goTo,
      keys,
      atStart,
      toggleKeyboard,
      end,
    ],
  );
  return step ? (
    <RunContext.Provider value={run}>{frame}</RunContext.Provider>
  ) : (
    <RunOver run={run} onEnd={onEnd} />
  );
});

/** The part in hand and how far the run is. */
function RunHead() {
  const run = useContext(RunContext);
  if (!run?.step) return null;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      <View style={{ flexGrow: 1, flexShrink: 1 }}>
        <Heading level={2}>{run.step.title}</Heading>
        <Words soft size={15}>
          {run.step.what}
        </Words>
      </View>
      <Words soft size={14}>
        {`${run.index + 1} of ${run.steps.length}`}
      </Words>
    </View>
  );
}

/** What the next reading probably is, drawn once the display has moved on. */
function LikelyNext({ run: { send } }: { readonly run: RunKeys }) {
  const run = useContext(RunContext);
  const reached = useLater(run?.step, true);
  return run && reached ? <Quick step={reached} steps={run.steps} onTake={send} /> : null;
}

interface BodyProps {
  readonly deviceKeyboard: boolean;
  readonly onGo: (path: string) => void;
}

function RunBody({ deviceKeyboard, onGo }: BodyProps) {
  const run = useContext(RunContext);
  if (!run?.step) return null;
  return <StepBody run={run} step={run.step} deviceKeyboard={deviceKeyboard} onGo={onGo} />;
}

function StepBody({
  run,
  step,
  deviceKeyboard,
  onGo,
}: BodyProps & { readonly run: Run; readonly step: RunStep }) {
  const reached = useLater(step, true);
  return (
    <>
      <RunDisplay run={run} step={step} deviceKeyboard={deviceKeyboard} />
      <LimitBar step={step} text={run.text} />
      <RunAsked run={run} step={step} />
      <Siblings step={reached} onGo={onGo} />
      <SoFar step={step} />
    </>
  );
}
