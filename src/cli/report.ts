import type { Evaluation } from '@/core/evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { baseUnit } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/format';
import type { Quantity } from '@/core/units/quantity';

/** An evaluation as plain data: sentences as text, units written out. */
export function report(evaluation: Evaluation) {
  const verdict = ({ id, state, title, sentence, figures }: Verdict) => ({
    id,
    state,
    title,
    sentence: readSentence(sentence),
    figures,
  });
  return {
    overall: verdict(evaluation.overall),
    verdicts: evaluation.verdicts.map(verdict),
    figures: Object.fromEntries(
      [...evaluation.figures].map(([id, f]) => {
        if (f.status === 'unknown') return [id, f];
        const inputs = f.working.inputs.map((i) => ({ ...i, unit: baseUnit(i.quantity).symbol }));
        const notes = f.working.notes.map((note) => readSentence(note));
        const unit = baseUnit(f.quantity).symbol;
        const { formula, section } = f.working;
        return [id, { ...f, unit, working: { formula, inputs, notes, section } }];
      }),
    ),
    problems: evaluation.problems.map((p) => ({ ...p, sentence: readSentence(p.sentence) })),
  };
}

interface Shown {
  readonly label?: unknown;
  readonly status?: unknown;
  readonly value?: unknown;
  readonly quantity?: unknown;
  readonly decimals?: unknown;
  readonly reason?: unknown;
  readonly range?: { readonly low: number; readonly high: number };
}

/** The same for a terminal: verdicts, figures, and further output as indented JSON. */
export function table(result: Readonly<Record<string, unknown>>): string {
  const {
    overall,
    verdicts,
    figures,
    problems: _problems,
    ...rest
  } = result as Readonly<Record<string, unknown>> & {
    overall: { title: string; sentence: string };
    verdicts: readonly { state: string; title: string; sentence: string }[];
    figures: Readonly<Record<string, Shown>>;
  };
  const rows = Object.values(figures).map((f) => {
    const label = String(f.label).padEnd(42);
    if (f.status !== 'known') return `  ${label} –  ${String(f.reason)}`;
    const show = (v: number) =>
      formatWithUnit(v, f.quantity as Quantity, {}, f.decimals as number | undefined);
    const range = f.range ? `  (${show(f.range.low)} to ${show(f.range.high)})` : '';
    return `  ${label} ${show(f.value as number)}${range}`;
  });
  const more = Object.entries(rest).map(
    ([name, value]) => `\n${name}\n${JSON.stringify(value, null, 2)}`,
  );
  return [
    `${overall.title}: ${overall.sentence}`,
    '',
    ...verdicts.map((v) => `  ${v.state.padEnd(8)} ${v.title}. ${v.sentence}`),
    '',
    ...rows,
    ...more,
    '',
  ].join('\n');
}
