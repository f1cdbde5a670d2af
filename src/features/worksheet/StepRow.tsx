import type { ReactNode } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { WorkStage } from '@/core/job/work';
import type { SheetStep } from '@/core/worksheet/worksheet';
import { stepNoted } from '@/core/worksheet/edits';
import { testJudged } from '@/core/worksheet/worksheet';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { CheckRow } from '@/ui/CheckRow';
import { Choice } from '@/ui/Choice';
import { nearMomentText } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly step: SheetStep;
  readonly stage: WorkStage;
  readonly onToggle: (key: string, wasDone: boolean) => void;
  readonly tool: ReactNode;
}

/** One step: its box, its records, and the reason for the method where methods differ. */
export function StepRow({ step, stage, onToggle, tool }: Props) {
  const ruled = useRuled();
  const { line, record, state } = step;
  const [open, setOpen] = useState(false);
  const done = state === 'done' || state === 'failed';
  // Ticked without the required reading: its field stays open.
  const unread = done && line.unread === true;
  const [writing, setWriting] = useState(unread);
  if (unread && !writing) setWriting(true);
  // A step that its reading has just completed keeps its fields; its box closes them.
  const [answering, setAnswering] = useState(!done);
  const shut = done && !writing && !answering;
  const toggle: Props['onToggle'] = (key, wasDone) => {
    setAnswering(wasDone);
    onToggle(key, wasDone);
  };
  const more =
    open ||
    record.otherwise !== undefined ||
    record.note !== undefined ||
    record.skipped !== undefined;
  return (
    <View style={[ruled, styles.padded]}>
      <View style={styles.row}>
        <View style={flow.grow}>
          <StepBox step={step} done={done} onToggle={toggle} />
        </View>
        <Tool
          icon={more ? 'chevron-up' : 'dots-vertical'}
          word={line.method ? 'Reason' : 'Note'}
          label={`${line.method ? 'Reason for change or skip' : 'Note, or reason to skip'}: ${readSentence(line.text)}`}
          width={52}
          on={more}
          onPress={() => setOpen(!open)}
        />
      </View>
      {line.test ? <Outcome step={step} /> : null}
      {unread ? (
        <Words soft size={14} style={styles.text}>
          Done, but its reading is missing.
        </Words>
      ) : null}
      {shut && !more ? null : tool}
      {line.fields && !line.tool && !(shut && !more) ? (
        <FieldGrid>
          {line.fields.map((path) => (
            <EntryField key={path} path={path} />
          ))}
        </FieldGrid>
      ) : null}
      {more ? <More step={step} stage={stage} /> : null}
    </View>
  );
}

interface BoxProps {
  readonly step: SheetStep;
  readonly done: boolean;
  readonly onToggle: (key: string, wasDone: boolean) => void;
}

/** The box of a step; drawn again only when it shows something else. */
function StepBox({ step: { line, record, state }, done, onToggle }: BoxProps) {
  const units = useUnits();
  const changed = state === 'changed';
  return (
    <CheckRow
      text={readSentence(line.text, units)}
      watch={line.watch}
      done={done}
      tone={changed ? 'watch' : state === 'failed' ? 'stop' : undefined}
      testID={`step-${line.key}`}
      onToggle={() => onToggle(line.key, record.done !== undefined && !changed)}
      below={
        record.done ? (
          <Words soft size={14}>
            {changed
              ? `Changed since it was done. Before: ${record.done.said}. Do it again and tick it.`
              : `${nearMomentText(record.done.at)}${record.done.by ? `, ${record.done.by}` : ''}`}
          </Words>
        ) : state === 'skipped' ? (
          <Words soft size={14}>
            Skipped: {record.skipped}
          </Words>
        ) : undefined
      }
    />
  );
}

/** Passed or not, for a step that is a test. */
function Outcome({ step: { line } }: { readonly step: SheetStep }) {
  const change = useEditJob();
  const outcome = useJobPart((j) => (line.test ? j.prove.outcomes[line.test] : undefined));
  const { test } = line;
  if (!test) return null;
  return (
    <View style={styles.outcomeRow}>
      <Choice
        bare
        label={`Outcome: ${readSentence(line.text)}`}
        value={outcome ?? 'open'}
        options={[
          { value: 'pass', label: 'OK' },
          { value: 'fail', label: 'Not OK' },
        ]}
        onChange={(value) =>
          change((j) =>
            value === 'open' ? j : testJudged(j, test, value, new Date().toISOString()),
          )
        }
      />
      {outcome ? <StateMark state={outcome === 'pass' ? 'good' : 'stop'} size={22} label /> : null}
    </View>
  );
}

/** Reason of the method, deviation, note, and reason to skip. */
function More({ step, stage }: { readonly step: SheetStep; readonly stage: WorkStage }) {
  const change = useEditJob();
  const { line, record } = step;
  const note = (part: Parameters<typeof stepNoted>[3], typing?: string) =>
    change((j) => stepNoted(j, stage, line.key, part), { typing });
  const field = (part: 'note' | 'skipped') => (text: string) =>
    note({ [part]: text }, `${stage}.${line.key}.${part}`);
  return (
    <View style={styles.morePadded}>
      {line.method ? (
        <>
          <Words size={15}>{line.method.why}</Words>
          <Choice
            label="Actual method"
            value={record.otherwise ?? ''}
            options={[
              { value: '', label: 'As in the checklist' },
              ...line.method.others.map((o) => ({ value: o.id, label: o.text })),
            ]}
            onChange={(otherwise) => note({ otherwise })}
          />
        </>
      ) : null}
      <Field label="Note" value={record.note ?? ''} maxLength={400} onChangeText={field('note')} />
      {record.done ? null : (
        <Field
          label="Skipped because"
          value={record.skipped ?? ''}
          maxLength={400}
          onChangeText={field('skipped')}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { paddingBottom: SPACE.gap },
  row: { flexDirection: 'row', alignItems: 'center' },
  text: { paddingLeft: SPACE.wide },
  outcomeRow: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.gap,
    paddingLeft: SPACE.wide,
  },
  morePadded: { gap: SPACE.gap, paddingLeft: SPACE.wide, paddingVertical: SPACE.gap },
});
