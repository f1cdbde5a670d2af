import { useState } from 'react';

import { keyed, isPointAutomatic } from '@/core/inspect/keyed';
import { readGauge } from '@/core/inspect/reading';
import type { RunStep } from '@/core/inspect/runStep';
import { nextOpen } from '@/core/inspect/run';
import { entryAt } from '@/core/job/entryAt';
import type { ParsedEntry, Reading } from '@/core/units/entrySpec';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { isoDay } from '@/ui/dates';

import { withReading } from './edits';
import type { Taken } from './voice';

type Question = Extract<ParsedEntry, { readonly kind: 'question' }>;

export interface MeasuringRun {
  readonly steps: readonly RunStep[];
  /** The reading to take; nothing once all are taken. */
  readonly step: RunStep | undefined;
  readonly index: number;
  /** Text on the display, not yet saved. */
  readonly text: string;
  readonly question: Question | undefined;
  readonly refused: string | undefined;
  /** The last reading that was taken. */
  readonly taken: Taken | undefined;
  readonly type: (text: string) => void;
  /** A character as a gauge types it. */
  readonly key: (character: string) => void;
  /** A key of our own keypad. */
  readonly press: (key: string) => void;
  readonly erase: () => void;
  /** Saves the displayed text, or a text from a gauge. */
  readonly take: (sent?: string) => void;
  readonly choose: (reading: Reading) => void;
  readonly go: (index: number) => void;
}

const MAX_TEXT = 20;

/** One measuring run over its readings: its position, moved by hand or gauge. */
export function useRun(steps: readonly RunStep[]): MeasuringRun {
  const job = useJob();
  const units = useUnits();
  const change = useEditJob();
  const [index, setIndex] = useState(() => {
    const open = nextOpen(job, steps);
    // Where all is taken, it is gone over again from the beginning.
    return open < steps.length ? open : 0;
  });
  const [text, setText] = useState('');
  const [question, setQuestion] = useState<Question>();
  const [refused, setRefused] = useState<string>();
  const [taken, setTaken] = useState<Taken>();
  const step = steps[index];

  const show = (next: string) => {
    setText(next.slice(0, MAX_TEXT));
    setQuestion(undefined);
    setRefused(undefined);
  };
  const go = (next: number) => {
    setIndex(Math.max(0, Math.min(steps.length, next)));
    show('');
  };
  const keep = (reading: Reading, shown: string) => {
    if (!step) return;
    change((j) => withReading(j, step.path, reading, shown, isoDay()));
    setTaken({ text: shown, plateId: step.plateId });
    // Existing readings are skipped, unless measured again.
    go(entryAt(job, step.path) ? index + 1 : nextOpen(job, steps, index + 1));
  };
  const take = (sent?: string) => {
    if (!step) return;
    const given = sent ?? text;
    if (sent === undefined && question) {
      const [first] = question.readings;
      if (first) keep(first, question.readings.length === 1 ? text : first.text);
      return;
    }
    const parsed = readGauge(given, step, units);
    switch (parsed.kind) {
      case 'value':
        keep(parsed, given);
        return;
      case 'question':
        setText(given);
        setQuestion(parsed);
        setRefused(undefined);
        return;
      case 'refused':
        setText(given);
        setQuestion(undefined);
        setRefused(parsed.message);
        return;
      case 'empty':
        // Enter on an existing reading moves on.
        if (entryAt(job, step.path)) go(index + 1);
        else setRefused('Type a value, or skip this one.');
    }
  };
  return {
    steps,
    step,
    index,
    text,
    question,
    refused,
    taken,
    type: (next) =>
      show((question || refused) && next.startsWith(text) ? next.slice(text.length) : next),
    // The next digit replaces a questioned text, as a repeated gauge reading does.
    key: (character) => show(question || refused ? character : text + character),
    press: (key) => {
      const itself = step ? isPointAutomatic(step, units) : 0;
      show(keyed(question || refused ? '' : text, key, itself));
    },
    erase: () => show(question || refused ? '' : text.slice(0, -1)),
    take,
    choose: (reading) => keep(reading, reading.text),
    go,
  };
}
