import { editJob, typeInField } from '@/state/jobs/editJob';
import { chooseReading } from '@/core/job/edits/details';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { shallowEqual } from 'react-redux';

import { readSentence } from '@/core/text/sentence';
import type { FieldPath } from '@/core/job/fieldPath';
import type { FieldSpec } from '@/core/job/specs/spec';
import { fieldAt, screwOf, withScrew } from '@/core/job/fields';
import { entryAt } from '@/core/job/entryAt';
import type { Job } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import type { ParsedEntry } from '@/core/units/entrySpec';
import { entryText, isPlainNumber, parseEntry } from '@/core/units/parseEntry';
import { unitsFor } from '@/core/units/entrySpec';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit, shownUnit, withoutZeros } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJobId, useJobPart } from '@/state/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { TermKey } from '@/features/words/TermKey';
import { NumberField } from '@/ui/NumberField';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

import { SourceTag } from './SourceTag';

interface Props {
  readonly path: FieldPath;
  readonly label?: string | undefined;
  /** Owner of the field, where many fields share a label: read out before it. */
  readonly of?: string | undefined;
  /** Two fit side by side on a phone beside the section. */
  readonly narrow?: boolean;
  /** In a table: neither label, note nor source is shown. */
  readonly cell?: boolean;
}

/** Delay before a half-typed number shows its message. */
const MESSAGE_DELAY_MS = 900;

/**
 * Delay before a left field shows its message: a message that moves keys between finger down and up would make the press miss.
 */
const PRESS_MS = 250;

/** A field for one number of the job: reads it as people write it, keeps any text, and shows a message. */
export function EntryField({ path, label, of, narrow = false, cell = false }: Props) {
  // Subscribes to this field only, so that other changes do not redraw every field.
  const jobId = useJobId();
  const units = useUnits();
  const wide = useWide();
  const dispatch = useAppDispatch();
  // One subscription for all of it: dozens of fields update at every key.
  const { draft, entry, told, frozen, marks, perTurn } = useAppSelector(
    ({ jobs: { entities, drafts } }) => {
      const job = entities[jobId];
      if (!job) throw new Error(`no job ${jobId}`);
      return {
        draft: drafts[jobId]?.[path],
        entry: entryAt(job, path),
        told: problemAt(job, path, units),
        ...screwOf(job, path),
        // The machine's returns go on after the signature.
        frozen: isFrozen(job) && !path.startsWith('visits.'),
      };
    },
    shallowEqual,
  );
  // As it was when shown first: a field must not change its width under the thumb.
  const [filled] = useState(entry !== undefined);
  const field = withScrew(path, { marks, perTurn });
  const shown = unitsFor(field, units);
  const unit = shownUnit(field.quantity, shown);
  const name = label ?? field.across ?? field.label;

  const committed = draft ? draft.text : entry ? entryText(entry, field, units) : '';
  const [typing, setTyping, leave] = useTyping(committed);
  const text = typing ?? committed;
  const parsed: ParsedEntry | undefined = draft && parseEntry(draft.text, field, draft.units);
  const patient = useQuietMessage(typing);
  const refused = parsed?.kind === 'refused' && !patient ? parsed.message : undefined;
  const question = parsed?.kind === 'question' && !patient ? parsed : undefined;
  const message = refused ?? question?.message ?? told?.replace(/^\S+ /, '');
  const tone = refused || question || told?.startsWith('stop') ? 'stop' : 'watch';

  const type = (next: string) => {
    setTyping(next);
    dispatch(typeInField(jobId, path, next, units));
  };

  return (
    <NumberField
      label={name}
      cell={cell}
      across={!wide && !narrow && !cell && isLong(field, name, filled)}
      name={of ? `${of}: ${name.toLowerCase()}` : name}
      testID={path}
      value={text}
      unit={cell ? '' : unit.symbol}
      whole={field.bounds.integer ?? false}
      editable={!frozen}
      message={message}
      tone={tone}
      onChangeText={type}
      onBlur={leave}
    >
      {question ? (
        <View style={styles.readings}>
          {question.readings.map((r) => (
            <Button
              key={`${r.unit.id}${r.value}`}
              mode="outlined"
              contentStyle={styles.reading}
              onPress={() => {
                setTyping(undefined);
                dispatch(
                  editJob(jobId, (job) => chooseReading(job, path, r.value, r.text), {
                    draft: { path, draft: undefined },
                  }),
                );
              }}
            >
              {r.text}
            </Button>
          ))}
        </View>
      ) : null}
      {cell ? null : (
        <View style={styles.foot}>
          <View style={styles.note}>
            {message === undefined && !draft ? <FieldNote path={path} /> : null}
          </View>
          {narrow ? null : <TermKey text={name} />}
          {/* What was counted has no other source. */}
          {entry && !(narrow && field.quantity === 'count') ? (
            <SourceTag path={path} entry={entry} name={name} />
          ) : null}
        </View>
      )}
    </NumberField>
  );
}

const styles = StyleSheet.create({
  readings: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, paddingVertical: 4 },
  reading: { minHeight: 48 },
  foot: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  note: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
});

/** Longest label that half the width of a phone shows whole, small above a value and large in an empty field. */
const HALF_LABEL = { filled: 25, empty: 19 };

/** Whether the field takes a row of its own on a phone: its label or the note under it would be cut or broken up. */
const isLong = ({ estimate, absent, hint }: FieldSpec, label: string, filled: boolean): boolean =>
  filled
    ? label.length > HALF_LABEL.filled
    : label.length > HALF_LABEL.empty || [estimate, absent, hint].some((n) => n !== undefined);

/** The problem of an entry, its state first; as text, for comparison by value. */
function problemAt(job: Job, path: FieldPath, units: UnitChoice): string | undefined {
  const problem = evaluationOf(job).problems.find(
    (p) => p.path === path && p.plateId === undefined,
  );
  return problem && `${problem.state} ${readSentence(problem.sentence, units)}`;
}

/** Text under a valid field: the text as entered, its assumed value, or a hint. */
function FieldNote({ path }: { readonly path: FieldPath }) {
  const entry = useJobPart((job) => entryAt(job, path));
  const units = useUnits();
  const field = fieldAt(path);
  const { estimate, absent, quantity, hint } = field;
  const assumed = estimate ?? absent;
  if (entry?.typed && !isPlainNumber(entry.typed)) {
    return (
      <Words soft size={13}>
        {`Entered as ${entry.typed}${/turn/i.test(entry.typed) && !field.turns ? ` = ${withoutZeros(formatWithUnit(entry.value, quantity, unitsFor(field, units)))}` : ''}`}
      </Words>
    );
  }
  if (!entry && assumed) {
    return (
      <Words soft size={13}>
        {estimate ? 'Assumed' : 'If empty'}:{' '}
        {withoutZeros(formatWithUnit(assumed.value, quantity, unitsFor(field, units)))} (
        {assumed.why}).
        {hint ? ` ${hint}` : ''}
      </Words>
    );
  }
  return !entry && hint ? (
    <Words soft size={13}>
      {hint}
    </Words>
  ) : null;
}

/**
 * The text of the field while typing and during the press that leaves it.
 * @param settled the recorded value: a change by undo or another tab is shown at once
 */
function useTyping(settled: string) {
  const [typing, setTyping] = useState<string>();
  const [typedAs, setTypedAs] = useState<string>();
  if (typing !== undefined && typedAs !== settled) {
    if (typedAs === undefined) setTypedAs(settled);
    else setTyping(undefined);
  }
  const [left, setLeft] = useState(false);
  useEffect(() => {
    if (!left) return;
    const timer = setTimeout(() => {
      setLeft(false);
      setTyping(undefined);
    }, PRESS_MS);
    return () => clearTimeout(timer);
  }, [left]);
  const type = (text: string | undefined) => {
    setLeft(false);
    setTypedAs(undefined);
    setTyping(text);
  };
  return [typing, type, () => setLeft(true)] as const;
}

/** True for a while after each key, so that "0" on the way to "0.115" is not scolded. */
function useQuietMessage(typing: string | undefined): boolean {
  const [calm, setCalm] = useState<string>();
  useEffect(() => {
    if (typing === undefined) return;
    const timer = setTimeout(() => setCalm(typing), MESSAGE_DELAY_MS);
    return () => clearTimeout(timer);
  }, [typing]);
  return typing !== undefined && calm !== typing;
}
