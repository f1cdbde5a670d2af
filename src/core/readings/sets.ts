import type { Evaluation } from '../evaluate/evaluate';
import type { FigureId } from '../evaluate/engine/figure';
import type { Job } from '../job/types';
import type { ReadingKind, ReadingSet, SetLine } from '../job/record/findings';
import { omit } from '../omit';
import type { LineTool } from '../worksheet/line';
import { WORK_STAGES } from '../job/work';
import { stepMarked, stepsOf } from '../worksheet/worksheet';

/* Sets of readings: the latest counts, earlier ones stay with what was done in between. */

/** What a kind of readings is called. */
export const SET_NAME: Readonly<Record<ReadingKind, string>> = {
  dial: 'Lift by dial',
  caliper: 'Stack by caliper',
  freePlay: 'Free play',
  gain: 'Lever gain',
  stack: 'Stack of the plates',
  thumb: 'Thumb test',
};

/** The step of a checklist that asks for a kind of readings. */
const STEP: Partial<Record<ReadingKind, LineTool>> = {
  dial: 'lift',
  freePlay: 'freePlay',
  gain: 'gain',
  thumb: 'thumb',
};

const THUMB_TEXT = { tilts: 'still tilts', true: 'lifts evenly' } as const;

/**
 * The readings of a kind as they are now; empty while there are none.
 * @param evaluation of the same record
 * Never throws for a job that passes the schema. Source: workshop practice.
 * @example readingsNow(job, 'caliper', evaluate(job)) // []
 */
export function readingsNow(
  job: Job,
  kind: ReadingKind,
  { figures }: Pick<Evaluation, 'figures'>,
): readonly SetLine[] {
  const known = (name: string, id: FigureId): readonly SetLine[] => {
    const figure = figures.get(id);
    return figure?.status === 'known' ? [{ name, value: figure.value }] : [];
  };
  const one = (name: string, entry: { readonly value: number } | undefined): readonly SetLine[] =>
    entry ? [{ name, value: entry.value }] : [];
  switch (kind) {
    case 'dial': {
      const lines = job.release.liftReadings.flatMap(({ angle, lift }) =>
        lift ? [{ name: angle ? `${angle.value}°` : 'lift', value: lift.value }] : [],
      );
      return lines.length === 0
        ? one('Lift', job.release.measuredLift)
        : [...lines, ...known('across the plate', 'liftAcross')];
    }
    case 'caliper':
      return one('Over the pack', job.pack.caliper);
    case 'freePlay':
      return one('At the lever', job.release.freePlay);
    case 'gain':
      return job.setting.readings.flatMap(({ turns, gain }) =>
        gain ? [{ name: turns ? `${turns.value} turns` : 'gain', value: gain.value }] : [],
      );
    case 'stack':
      return job.pack.plates.some((p) => p.readings) ? known('Sum of the plates', 'stack') : [];
    case 'thumb': {
      const { thumbTest } = job.setting;
      return thumbTest ? [{ name: 'Springs out', text: THUMB_TEXT[thumbTest] }] : [];
    }
  }
}

/**
 * The earlier sets of a kind, oldest first.
 * @example setsOf(job, 'dial') // []
 */
export const setsOf = (job: Job, kind: ReadingKind): readonly ReadingSet[] =>
  (job.earlierSets ?? []).filter((s) => s.kind === kind);

/**
 * Closes the present readings of a kind as a set and makes room for the next. The step that depends on them is open again. The
 * readings of plates stay: only those that change are measured again.
 * @param set its identifier, day, state of the machine, and what was done after it
 * @param evaluation of the same record
 * @example withNewSet(job, 'caliper', { id: 's', date: '2026-11-30', machine: '', then: 'oiled' }, evaluate(job)) === job // true
 */
export function withNewSet(
  job: Job,
  kind: ReadingKind,
  set: Omit<ReadingSet, 'kind' | 'lines'>,
  evaluation: Pick<Evaluation, 'figures'>,
): Job {
  const lines = readingsNow(job, kind, evaluation);
  if (lines.length === 0) return job;
  const kept: Job = {
    ...cleared(job, kind),
    earlierSets: [...(job.earlierSets ?? []), { ...set, kind, lines }],
  };
  const tool = STEP[kind];
  return WORK_STAGES.reduce(
    (made, stage) =>
      stepsOf(made, stage)
        .filter(({ line, record }) => tool !== undefined && line.tool === tool && record.done)
        .reduce((open, { line }) => stepMarked(open, stage, line.key, false, set.date), made),
    kept,
  );
}

function cleared(job: Job, kind: ReadingKind): Job {
  switch (kind) {
    case 'dial':
      return {
        ...job,
        release: {
          ...omit(job.release, 'measuredLift'),
          liftReadings: job.release.liftReadings.map((r) => omit(r, 'lift')),
        },
      };
    case 'caliper':
      return { ...job, pack: omit(job.pack, 'caliper') };
    case 'freePlay':
      return { ...job, release: omit(job.release, 'freePlay') };
    case 'gain':
      return { ...job, setting: { ...job.setting, readings: [] } };
    case 'stack':
      return job;
    case 'thumb':
      return { ...job, setting: omit(job.setting, 'thumbTest') };
  }
}

/** A reading beside that of the set before. */
export interface SetRow {
  readonly name: string;
  /** Of each set in turn, the present one last. */
  readonly cells: readonly (SetLine | undefined)[];
  /** The last less the one before, mm, where both are lengths. */
  readonly change?: number;
}

/**
 * Earlier sets and the present readings side by side, a row for each reading.
 * @example compareSets(job, 'dial', evaluate(job)) // []
 */
export function compareSets(
  job: Job,
  kind: ReadingKind,
  evaluation: Pick<Evaluation, 'figures'>,
): readonly SetRow[] {
  const sets = [...setsOf(job, kind).map((s) => s.lines), readingsNow(job, kind, evaluation)];
  if (sets.length < 2) return [];
  const names = [...new Set(sets.flatMap((lines) => lines.map((l) => l.name)))];
  return names.map((name) => {
    const cells = sets.map((lines) => lines.find((l) => l.name === name));
    const [before, after] = [cells.at(-2)?.value, cells.at(-1)?.value];
    return before === undefined || after === undefined
      ? { name, cells }
      : { name, cells, change: after - before };
  });
}
