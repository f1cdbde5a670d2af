// cspell:ignore aeiou
import { rankCauses } from '@/core/causes/rank';
import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import { summarize } from '@/core/inspect/summary';
import { STAGES } from '@/core/job/types';
import type { Job } from '@/core/job/types';
import { packLife } from '@/core/log/packLife';
import { customerSheet } from '@/core/paper/customerSheet';
import { jobSheet } from '@/core/paper/jobSheet';
import { orderSheet } from '@/core/paper/orderSheet';
import { turningText } from '@/core/setting/adjuster';
import { missingAt } from '@/core/signoff/missingAt';
import { openItems } from '@/core/signoff/openItems';
import { countOf } from '@/core/text/countOf';
import { missingText, neededFor, unknownsText } from '@/core/text/reasons';
import type { Sentence } from '@/core/text/sentence';
import { readSentence } from '@/core/text/sentence';
import { stepsOf } from '@/core/worksheet/worksheet';
import { jobsOfEachKind, measured } from '@/testing/jobs';

const COUNTS = [0, 1, 2, 11] as const;

const isAmount = (x: unknown): boolean =>
  typeof x === 'object' && x !== null && 'value' in x && 'quantity' in x;

/** Every text of a result; a sentence is read as one. */
function textsIn(result: unknown): string[] {
  if (typeof result === 'string') return [result];
  if (result instanceof Map) return [...result.values()].flatMap(textsIn);
  if (Array.isArray(result)) {
    const items = result as readonly unknown[];
    const isSentence =
      items.some(isAmount) && items.every((x) => typeof x === 'string' || isAmount(x));
    return isSentence ? [readSentence(items as Sentence)] : items.flatMap(textsIn);
  }
  return typeof result === 'object' && result !== null
    ? Object.values(result).flatMap(textsIn)
    : [];
}

/** All texts of the core about a job. */
function textsOf(job: Job): string[] {
  const evaluation = evaluate(job);
  const inspection = inspect(job, evaluation);
  const judged = { evaluation, inspection };
  return textsIn([
    evaluation.verdicts,
    evaluation.problems,
    evaluation.figures,
    evaluation.overall,
    inspection.parts.map((p) => [p.name, p.reasons]),
    inspection.across,
    summarize(job, inspection, evaluation),
    rankCauses({ job, evaluation, complaints: ['slips', 'drags'], tests: {} }).causes.map(
      (c) => c.reasons,
    ),
    STAGES.map((stage) => missingAt(stage, job, judged)),
    openItems(job, [], evaluation),
    (['build', 'set', 'prove'] as const).map((stage) =>
      stepsOf(job, stage).map(({ line }) => line.text),
    ),
    packLife(job),
    jobSheet(job),
    customerSheet(job),
    orderSheet(job),
  ]);
}

const NOUN =
  'disc|steel|plate|reading|part|step|point|mark|turn|spring|bolt|stage|start|visit|job|pair|face|pull|neighbour|limit|torque|value';

/** What shows that a text was put together from pieces that do not fit. */
const MISFITS: readonly RegExp[] = [
  new RegExp(`(^|[^.,\\d])\\b1 (${NOUN})s\\b`),
  new RegExp(`\\b(0|2|11) (${NOUN})\\b(?!s|-)`),
  /\b1 [a-z]+ (are|were|have|need)\b/,
  /\b(0|2|11) [a-z]+s (is|was|has|needs)\b/,
  / {2}|\s[.,;:](\s|$)|\.\.(?!\.)|,\s*[.,;]|\(\s|\s\)/,
  /\b(undefined|null|NaN)\b|\[object/,
  /\ba [aeiou]/,
];

/** The jobs of each kind with so many plates, small parts, list steps and readings. */
function withCounts(base: Job, n: number): Job {
  const job = measured(base, 0.4);
  return {
    ...job,
    pack: { ...job.pack, plates: job.pack.plates.slice(0, n) },
    strip: {
      ...job.strip,
      steps: job.strip.steps.slice(0, n),
      parts: job.strip.parts.slice(0, n),
    },
    release: { ...job.release, liftReadings: job.release.liftReadings.slice(0, n) },
    build: { ...job.build, fasteners: job.build.fasteners.slice(0, n) },
  };
}

describe('counted things', () => {
  it('are singular for one and plural for any other number', () => {
    expect(COUNTS.map((n) => countOf(n, 'disc'))).toEqual([
      '0 discs',
      '1 disc',
      '2 discs',
      '11 discs',
    ]);
    expect(COUNTS.map((n) => countOf(n, 'entry', 'entries'))).toEqual([
      '0 entries',
      '1 entry',
      '2 entries',
      '11 entries',
    ]);
  });

  it('fit in a turn of the adjuster', () => {
    expect(COUNTS.map((turns) => turningText({ turns, marks: 1 }))).toEqual([
      '1 mark',
      '1 turn and 1 mark',
      '2 turns and 1 mark',
      '11 turns and 1 mark',
    ]);
    expect(COUNTS.map((marks) => turningText({ turns: 0, marks }))).toEqual([
      '0 marks',
      '1 mark',
      '2 marks',
      '11 marks',
    ]);
  });

  it('fit in a list of missing inputs', () => {
    const needs = (n: number) => Array.from({ length: n }, (_, i) => ({ label: `Input ${i + 1}` }));
    expect(neededFor(needs(1), 'Rate')).toBe('Input 1 is needed for rate.');
    expect(neededFor(needs(2), 'Rate')).toBe('Input 1 and input 2 are needed for rate.');
    expect(neededFor(needs(11), 'Rate')).toBe('Input 1, input 2 and 9 more are needed for rate.');
  });

  it('name what several figures wait for once', () => {
    const both = [
      { label: 'Clamp', needs: [{ label: 'Free length' }, { label: 'Rate' }] },
      { label: 'Retention', needs: [{ label: 'Rate' }, { label: 'Spline length' }] },
    ];
    expect(unknownsText(both)).toBe(
      'Not known yet: clamp and retention. Missing: free length, rate and spline length.',
    );
    const many = COUNTS.map((n) => ({ label: `Input ${n}` }));
    expect(missingText(many)).toBe('Missing: input 0, input 1, input 2 and input 11.');
    expect(missingText([...many, { label: 'Rate' }, { label: 'Wire' }])).toBe(
      'Missing: input 0, input 1, input 2, input 11 and 2 more.',
    );
  });
});

describe('the texts of the core', () => {
  it.each(COUNTS)('fit together in every job with %i plates, parts and steps', (n) => {
    const misfits = jobsOfEachKind()
      .flatMap((job) => textsOf(withCounts(job, n)))
      .filter((text) => MISFITS.some((misfit) => misfit.test(text)));
    expect([...new Set(misfits)]).toEqual([]);
  });

  it('show a misfit when there is one', () => {
    const bad = [
      '1 discs left.',
      '2 disc left.',
      '1 plate are worn.',
      'Worn , out.',
      'A NaN.',
      'a oil',
    ];
    expect(bad.filter((text) => MISFITS.some((misfit) => misfit.test(text)))).toEqual(bad);
  });
});
