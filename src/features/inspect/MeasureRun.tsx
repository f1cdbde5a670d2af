import { useCallback, useEffect, useMemo, useRef } from 'react';
import { Pressable, ScrollView, TextInput, View } from 'react-native';

import { readSentence } from '@/core/evaluate/sentence';
import type { RunPart, RunStep } from '@/core/inspect/run';
import { fieldAt } from '@/core/job/fields';
import { entryAt } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { parseEntry } from '@/core/units/parseEntry';
import { formatValue, shownUnit } from '@/core/units/quantity';
import { BenchBar } from '@/features/bench/BenchBar';
import { useBenchLink, useBenchReadings } from '@/features/bench/benchLink';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/features/jobs/useJob';
import { Action } from '@/ui/Action';
import { FONT, useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';

import { DecisionMark } from './DecisionMark';
import type { RunKeys } from './Keypad';
import { Keypad } from './Keypad';
import { LimitBar } from './LimitBar';
import { useInspection } from './useInspection';
import type { Run } from './useRun';
import { useRun } from './useRun';

interface Props {
  readonly parts: readonly RunPart[];
  /** Whether the device's own keyboard is used instead of the keypad. */
  readonly deviceKeyboard: boolean;
  readonly onKeyboard: (device: boolean) => void;
  readonly onSelect: (plateId: string | undefined) => void;
  readonly onEnd: () => void;
}

/** The measuring run: one value, one key, the next plate by itself. */
export function MeasureRun({ parts, deviceKeyboard, onKeyboard, onSelect, onEnd }: Props) {
  const run = useRun(parts);
  const wide = useWide();
  const { step } = run;
  const link = useBenchLink();
  const plateId = step?.plateId;
  useEffect(() => onSelect(plateId), [plateId, onSelect]);
  const latest = useRef({ run, onEnd, toggle: () => onKeyboard(!deviceKeyboard) });
  useEffect(() => {
    latest.current = { run, onEnd, toggle: () => onKeyboard(!deviceKeyboard) };
  });
  const keys = useMemo<RunKeys>(
    () => ({
      key: (character) => latest.current.run.key(character),
      erase: () => latest.current.run.erase(),
      take: () => latest.current.run.take(),
      step: (by) => latest.current.run.go(latest.current.run.index + by),
    }),
    [],
  );
  const toggleKeyboard = useCallback(() => latest.current.toggle(), []);
  const end = useCallback(() => latest.current.onEnd(), []);
  useTypingGauge(keys, run.text !== '');
  useBenchReadings((reading) => {
    if (reading.device === 'gauge') run.take(`${reading.text} ${reading.unit}`);
  });
  if (!step) return <RunOver run={run} onEnd={onEnd} />;
  return (
    <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}>
      <ScrollView
        style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
        contentContainerStyle={{ padding: wide ? 24 : 10, gap: 10, maxWidth: 620 }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flexGrow: 1, flexShrink: 1 }}>
            <Heading level={2}>{step.title}</Heading>
            <Words soft size={15}>
              {step.what}
            </Words>
          </View>
          <Words soft size={14}>
            {String(run.index + 1)} of {String(run.steps.length)}
          </Words>
        </View>
        {link.status === 'off' ? null : <BenchBar compact />}
        <Display run={run} step={step} deviceKeyboard={deviceKeyboard} />
        <LimitBar step={step} text={run.text} />
        <Asked run={run} step={step} />
        <SoFar step={step} />
        <Siblings run={run} step={step} />
      </ScrollView>
      <Keypad
        run={keys}
        atStart={run.index === 0}
        folded={deviceKeyboard}
        onDeviceKeyboard={toggleKeyboard}
        onEnd={end}
      />
    </View>
  );
}

/** Keys that reach the page without a field, as those of a gauge that types, go to the run. */
function useTypingGauge(keys: RunKeys, typed: boolean): void {
  const hasText = useRef(typed);
  useEffect(() => {
    hasText.current = typed;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.key === 'Enter') {
        // On a button that has the focus, Enter presses it, unless something is typed.
        if (
          target instanceof HTMLElement &&
          target.closest('[role="button"], button') &&
          !hasText.current
        )
          return;
        keys.take();
      } else if (event.key === 'Backspace') keys.erase();
      else if (event.key === 'PageDown') keys.step(1);
      else if (event.key === 'PageUp') keys.step(-1);
      else if (/^[\d.,/"a-zA-Z ]$/.test(event.key)) keys.key(event.key);
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    // Before the buttons get it: one that still has the focus would be pressed by the gauge's Enter.
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [keys]);
}

interface PartProps {
  readonly run: Run;
  readonly step: RunStep;
}

function Display({ run, step, deviceKeyboard }: PartProps & { readonly deviceKeyboard: boolean }) {
  const strata = useStrata();
  const units = useUnits();
  const job = useJob();
  const input = useRef<TextInput>(null);
  const unit = shownUnit(fieldAt(step.path).quantity, units);
  const there = entryAt(job, step.path);
  const ghost = there ? formatValue(there.value, fieldAt(step.path).quantity, units) : '';
  useEffect(() => {
    if (deviceKeyboard) input.current?.focus();
  }, [deviceKeyboard, step.path]);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 8, minHeight: 58 }}>
      {deviceKeyboard ? (
        <TextInput
          ref={input}
          testID="reading"
          aria-label={`${step.title}, ${step.what}`}
          value={run.text}
          placeholder={ghost}
          placeholderTextColor={strata.soft}
          onChangeText={run.type}
          onSubmitEditing={() => run.take()}
          blurOnSubmit={false}
          inputMode="decimal"
          enterKeyHint="next"
          autoComplete="off"
          style={{
            flexGrow: 1,
            minWidth: 0,
            height: 58,
            fontFamily: FONT.monoBold,
            fontSize: 40,
            color: strata.ink,
            borderBottomWidth: 3,
            borderColor: strata.slate,
          }}
        />
      ) : (
        <View
          role="status"
          aria-label={`${step.title}, ${step.what}: ${run.text || (ghost ? `${ghost} taken` : 'nothing yet')}`}
          testID="reading"
          style={{ flexDirection: 'row', alignItems: 'center', flexGrow: 1 }}
        >
          <Digits bold size={46} soft={run.text === ''} numberOfLines={1}>
            {run.text || ghost || '0'}
          </Digits>
          {run.text === '' ? null : (
            <View style={{ width: 3, height: 44, marginLeft: 4, backgroundColor: strata.slate }} />
          )}
        </View>
      )}
      <Digits soft size={17}>
        {unit.symbol}
      </Digits>
    </View>
  );
}

function Asked({ run, step }: PartProps) {
  const strata = useStrata();
  const units = useUnits();
  const asTyped = parseEntry(run.text, fieldAt(step.path), units);
  const isAsTyped = (value: number) =>
    asTyped.kind === 'value' && Math.abs(asTyped.value - value) < 1e-9;
  return (
    <View aria-live="assertive">
      {run.refused ? <Words style={{ color: strata.stop }}>{run.refused}</Words> : null}
      {run.question ? (
        <View style={{ gap: 8 }}>
          <Words style={{ color: strata.watch }}>{run.question.message}</Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {run.question.readings.map((reading, i) => (
              <Action
                key={`${reading.unit.id}${reading.value}`}
                main={i === 0}
                onPress={() => run.choose(reading)}
              >
                {isAsTyped(reading.value) ? `Keep ${reading.text}` : reading.text}
              </Action>
            ))}
          </View>
          <Words soft size={14}>
            Next takes the first; typing measures again.
          </Words>
        </View>
      ) : null}
    </View>
  );
}

/** What the part in hand has come to by the readings taken so far. */
function SoFar({ step }: { readonly step: RunStep }) {
  const job = useJob();
  const units = useUnits();
  const { parts } = useInspection();
  const part = parts.find((p) => (step.plateId ? p.id === step.plateId : p.name === step.title));
  if (!part || !step.siblings.some((path) => entryAt(job, path)))
    return <View style={{ height: 24 }} />;
  const [first] = part.reasons;
  return (
    <View style={{ gap: 2 }} aria-live="polite" testID="so-far">
      <DecisionMark decision={part.decision} />
      {first ? <Words size={15}>{readSentence(first.sentence, units)}</Words> : null}
    </View>
  );
}

function Siblings({ run, step }: PartProps) {
  const job = useJob();
  const strata = useStrata();
  const units = useUnits();
  if (step.siblings.length < 2 || step.siblings.length > 6) return null;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
      {step.siblings.map((path, i) => {
        const at = run.steps.findIndex((s) => s.path === path);
        const here = path === step.path;
        const text = shownReading(job, path, units);
        return (
          <Pressable
            key={path}
            role="button"
            aria-label={`Point ${i + 1}: ${text || 'not taken'}`}
            onPress={() => run.go(at)}
            style={{
              minHeight: 48,
              minWidth: 62,
              paddingHorizontal: 6,
              alignItems: 'center',
              justifyContent: 'center',
              borderWidth: here ? 2 : 1,
              borderRadius: 6,
              borderColor: here ? strata.slate : strata.line,
            }}
          >
            <Digits size={15} soft={!text}>
              {text || String(i + 1)}
            </Digits>
          </Pressable>
        );
      })}
    </View>
  );
}

function shownReading(job: Job, path: string, units: ReturnType<typeof useUnits>): string {
  const entry = entryAt(job, path);
  return entry ? formatValue(entry.value, fieldAt(path).quantity, units) : '';
}

function RunOver({ run, onEnd }: { readonly run: Run; readonly onEnd: () => void }) {
  const job = useJob();
  const units = useUnits();
  const open = run.steps.filter((s) => !entryAt(job, s.path));
  const { parts } = useInspection();
  const worst = parts.filter((p) => p.decision === 'change' || p.decision === 'scrap');
  return (
    <ScrollView contentContainerStyle={{ padding: 16, gap: 12, maxWidth: 620 }}>
      <Heading level={2}>{run.steps.length === 0 ? 'Nothing to measure' : 'All gone over'}</Heading>
      <View aria-live="polite" style={{ gap: 6 }}>
        <Words>
          {run.steps.length === 0
            ? 'The pack has no plates that wear yet: lay it under Strip or Specify, or choose other parts.'
            : open.length === 0
              ? `${run.steps.length} readings are taken.`
              : `${run.steps.length - open.length} of ${run.steps.length} readings are taken.`}
        </Words>
        {worst.slice(0, 4).map((p) => (
          <Words key={p.id} size={15}>
            {p.name}: {readSentence(p.reasons[0]?.sentence ?? [], units)}
          </Words>
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Action main icon="check" onPress={onEnd}>
          To the verdicts
        </Action>
        {open[0] ? (
          <Action onPress={() => run.go(run.steps.findIndex((s) => !entryAt(job, s.path)))}>
            {`Go to what is open (${open.length})`}
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
          Open:{' '}
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
