import { isStepDemanded } from '@/core/job/purpose';
import { entryAt } from '../job/entryAt';
import type { FieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';
import type {
  Mark,
  OwnStep,
  ProveOutcome,
  ProveTest,
  StepRecord,
  Work,
  Worksheet,
  WorkStage,
} from '../job/work';
import { WORK_STAGES } from '../job/work';
import { buildLines } from './buildLines';
import type { ChecklistLine } from './line';
import { lineText } from './line';
import { proveLines } from './proveLines';
import { setLines } from './setLines';

/** State of a step. `changed`: done, but its text has changed; `failed`: a failed check; `skipped`: left out with a reason. */
export type StepState = 'open' | 'done' | 'changed' | 'failed' | 'skipped';

/** A line with its record. */
export interface SheetStep {
  readonly line: ChecklistLine;
  readonly record: StepRecord;
  readonly state: StepState;
  /** It is one of the shop's own. */
  readonly own: boolean;
}

const LINES: Readonly<Record<WorkStage, (job: Job) => ChecklistLine[]>> = {
  build: buildLines,
  set: setLines,
  prove: proveLines,
};

/** Section of the shop's own steps until they are moved elsewhere. */
export const OWN_SECTION = 'Own step';

/** All plates count as one in the shop's order: their order belongs to the pack, not to the template. */
const PLATES = 'plates';

const ownLine = ({ id, text }: OwnStep): ChecklistLine => ({
  key: `own:${id}`,
  section: OWN_SECTION,
  text: [text],
});

export const orderKey = (line: ChecklistLine): string =>
  line.plateId === undefined ? line.key : PLATES;

/**
 * The steps of a stage: the generated lines for this pack and the shop's own, in the shop's order, with their records. A line
 * not in that order stays after its predecessor.
 * Never throws for a job that passes the schema.
 * @example stepsOf(blank, 'set').length // 7
 */
export function stepsOf(job: Job, stage: WorkStage): SheetStep[] {
  const sheet = job.work[stage];
  const lines = inOrder([...LINES[stage](job), ...sheet.own.map(ownLine)], sheet.order);
  return lines.map((made) => {
    const words = sheet.words?.[made.key];
    const line = words === undefined ? made : { ...made, text: [words] };
    const record = sheet.records[line.key] ?? {};
    const needed = isStepDemanded(job, stage, line.key);
    return {
      line: needed || line.optional ? line : { ...line, optional: true },
      record,
      state: stateOf(line, record, job),
      own: line.key.startsWith('own:'),
    };
  });
}

function stateOf(line: ChecklistLine, record: StepRecord, job: Job): StepState {
  if (line.test && job.prove.outcomes[line.test] === 'fail') return 'failed';
  if (record.done) return record.done.said === lineText(line) ? 'done' : 'changed';
  return record.skipped !== undefined && record.skipped.trim() !== '' ? 'skipped' : 'open';
}

function inOrder(lines: readonly ChecklistLine[], order: readonly string[]): ChecklistLine[] {
  if (order.length === 0) return [...lines];
  const groups = new Map<string, ChecklistLine[]>();
  for (const line of lines) {
    const key = orderKey(line);
    const group = groups.get(key);
    if (group) group.push(line);
    else groups.set(key, [line]);
  }
  const keys = order.filter((key) => groups.has(key));
  // Lines missing in the order follow their predecessor.
  let before: string | undefined;
  for (const key of groups.keys()) {
    if (!keys.includes(key))
      keys.splice(before === undefined ? 0 : keys.indexOf(before) + 1, 0, key);
    before = key;
  }
  return keys.flatMap((key) => {
    const group = groups.get(key) ?? [];
    return group;
  });
}

/**
 * Whether a step still blocks the signature.
 * @example isOpen(stepsOf(blank, 'set')[0]) // true
 */
export const isOpen = ({ state, line }: SheetStep): boolean =>
  state === 'failed' || state === 'changed' || (state === 'open' && !line.optional);

/** Whether one key for many steps marks it: it waits to be done, or to be done again. */
export const isWaiting = ({ state }: SheetStep): boolean => state === 'open' || state === 'changed';

export const withSheet = (job: Job, stage: WorkStage, part: Partial<Worksheet>): Job => ({
  ...job,
  work: { ...job.work, [stage]: { ...job.work[stage], ...part } } satisfies Work,
});

export function withRecord(job: Job, stage: WorkStage, key: string, record: StepRecord): Job {
  const { [key]: _was, ...others } = job.work[stage].records;
  const empty = Object.keys(record).length === 0;
  return withSheet(job, stage, { records: empty ? others : { ...others, [key]: record } });
}

/**
 * Marks a step done by the worker, with its present text; or removes the mark.
 * @example stepMarked(blank, 'set', 'fluid', true, now).work.set.records.fluid.done.at // "2026-11-28T10:00:00.000Z"
 */
export function stepMarked(
  job: Job,
  stage: WorkStage,
  key: string,
  done: boolean,
  at: string,
): Job {
  const step = stepsOf(job, stage).find((s) => s.line.key === key);
  if (!step) return job;
  const { done: _done, skipped: _skipped, ...rest } = step.record;
  const mark: Mark = { at, by: job.work.by, said: lineText(step.line) };
  return withRecord(job, stage, key, done ? { ...rest, done: mark } : rest);
}

/**
 * Marks the steps done that ask for a reading which has just been entered, once all that they ask for is there.
 * @param path of the entry
 * @example stepsAnswered(withEntry(blank, 'release.freePlay', entry(3)), 'release.freePlay', now).work.set.records.freePlay.done.at // "2026-11-28T10:00:00.000Z"
 */
export function stepsAnswered(job: Job, path: FieldPath, at: string): Job {
  if (!ANSWERS.test(path) || entryAt(job, path) === undefined) return job;
  return WORK_STAGES.reduce(
    (made, stage) =>
      stepsOf(made, stage)
        .filter(
          ({ line, state }) =>
            (state === 'open' || state === 'changed') &&
            line.answers?.includes(path) &&
            (line.unread === undefined
              ? line.answers.every((answer) => entryAt(made, answer))
              : !line.unread),
        )
        .reduce((marked, { line }) => stepMarked(marked, stage, line.key, true, at), made),
    job,
  );
}

/** Entries that a step may ask for: the others need no look at the checklists. */
const ANSWERS =
  /^(release\.(freePlay|liftReadings)|build\.(headClearance$|fasteners\..*\.applied)|setting\.(chainSlack$|endFloat$|gapMeasured|goSize|noGoSize|turnsOut|readings\..*\.gain)|springs\.loose\.gapRead|strip\.parts\..*\.in$|prove\.recheck)/;

/**
 * Marks a step and every step before it that waits done. A step without its reading stays open.
 * @param key of the last step to mark
 * @param checks whether every check on the way was passed; otherwise each keeps its own outcome
 * @example stepsMarkedTo(blank, 'set', 'bleed', now).work.set.records.fluid.done.at // "2026-11-28T10:00:00.000Z"
 */
export function stepsMarkedTo(
  job: Job,
  stage: WorkStage,
  key: string,
  at: string,
  checks = false,
): Job {
  const steps = stepsOf(job, stage);
  const last = steps.findIndex((s) => s.line.key === key);
  // A step that nobody has to do is marked only in a section of such steps.
  const any = steps[last]?.line.optional ?? false;
  return steps
    .slice(0, last + 1)
    .filter(
      (step) =>
        isWaiting(step) &&
        (any || !step.line.optional) &&
        (checks || !step.line.test) &&
        step.line.unread !== true,
    )
    .reduce(
      (marked, { line }) =>
        line.test
          ? testJudged(marked, line.test, 'pass', at)
          : stepMarked(marked, stage, line.key, true, at),
      job,
    );
}

/**
 * The outcome of a test, which is done with it.
 * @example testJudged(blank, 'drag', 'pass', now).prove.outcomes.drag // "pass"
 */
export function testJudged(job: Job, test: ProveTest, outcome: ProveOutcome, at: string): Job {
  const next: Job = {
    ...job,
    prove: { ...job.prove, outcomes: { ...job.prove.outcomes, [test]: outcome } },
  };
  const step = stepsOf(next, 'prove').find((s) => s.line.test === test);
  return step ? stepMarked(next, 'prove', step.line.key, true, at) : next;
}
