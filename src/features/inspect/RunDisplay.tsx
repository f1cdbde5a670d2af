import { useEffect, useRef } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';

import type { RunStep } from '@/core/inspect/runStep';
import { fieldAt } from '@/core/job/fields';
import { entryAt } from '@/core/job/entryAt';
import { parseEntry } from '@/core/units/parseEntry';
import { formatValue, shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { FONT, SPACE, useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import type { MeasuringRun } from './useRun';
import { flow } from '@/ui/flow';

interface PartProps {
  readonly run: MeasuringRun;
  readonly step: RunStep;
}

/** The current value in large figures; an existing reading shows dimmed. */
export function RunDisplay({
  run,
  step,
  deviceKeyboard,
}: PartProps & { readonly deviceKeyboard: boolean }) {
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
    <View style={styles.row}>
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
          style={[styles.grow, { color: strata.ink, borderColor: strata.slate }]}
        />
      ) : (
        <View
          role="status"
          aria-label={`${step.title}, ${step.what}: ${run.text || (ghost ? `${ghost} taken` : 'no reading')}`}
          testID="reading"
          style={styles.runDisplayRow}
        >
          <Digits bold size={46} soft={run.text === ''} numberOfLines={1}>
            {run.text || ghost || '0'}
          </Digits>
          {run.text === '' ? null : (
            <View style={[styles.place, { backgroundColor: strata.slate }]} />
          )}
        </View>
      )}
      <Digits soft size={17}>
        {unit.symbol}
      </Digits>
    </View>
  );
}

/** The question about the value, or the reason it is refused. */
export function RunAsked({ run, step }: PartProps) {
  const strata = useStrata();
  const here = useRef<View>(null);
  const asked = run.question !== undefined || run.refused !== undefined;
  useEffect(() => {
    const node: unknown = here.current;
    if (!(node instanceof HTMLElement)) return;
    // On a small screen the question is below; after the answer the value scrolls back into view.
    (asked ? node : node.parentElement?.firstElementChild)?.scrollIntoView({ block: 'nearest' });
  }, [asked]);
  return (
    <View ref={here} aria-live="assertive">
      {run.refused ? <Words style={{ color: strata.stop }}>{run.refused}</Words> : null}
      {run.question ? <Question run={run} step={step} question={run.question} /> : null}
    </View>
  );
}

function Question({
  run,
  step,
  question,
}: PartProps & { readonly question: NonNullable<MeasuringRun['question']> }) {
  const strata = useStrata();
  const units = useUnits();
  const asTyped = parseEntry(run.text, fieldAt(step.path), units);
  const isAsTyped = (value: number) =>
    asTyped.kind === 'value' && Math.abs(asTyped.value - value) < 1e-9;
  return (
    <View style={flow.stack}>
      <Words style={{ color: strata.watch }}>{question.message}</Words>
      <View style={flow.wrap}>
        {question.readings.map((reading, i) => (
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
        Next keeps the first value; type to measure again.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.gap, minHeight: 58 },
  grow: {
    flexGrow: 1,
    minWidth: 0,
    height: 58,
    fontFamily: FONT.monoBold,
    fontSize: 40,
    borderBottomWidth: 3,
  },
  runDisplayRow: { flexDirection: 'row', alignItems: 'center', flexGrow: 1 },
  place: { width: 3, height: 44, marginLeft: 4 },
});
