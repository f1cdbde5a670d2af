import type { Evaluation } from '../evaluate/evaluate';
import { hasPack } from '../guide/layouts';
import type { ClutchLayout, Job } from '../job/types';
import { byText } from '../order';
import { releasedBy } from '../release/way';
import type { ComplaintId } from './complaints';
import type { Cause, CauseId, Weight, DecidingTest, TestId } from './cause';

import { COMPLAINTS } from './complaints';
import { CAUSES, complaintWeights } from './knowledge';
import { TESTS } from './tests';
import { weighJob, weighVerdicts } from './measured';

const ENTRIES = Object.entries(CAUSES) as readonly (readonly [CauseId, Cause])[];
const TEST_ENTRIES = Object.entries(TESTS) as readonly (readonly [TestId, DecidingTest])[];

/** All evidence so far. */
export interface Evidence {
  readonly complaints: readonly ComplaintId[];
  /** Outcomes of tests that were made: the identifier of the outcome by test. */
  readonly tests?: Readonly<Partial<Record<TestId, string>>>;
  /** Figures and verdicts of the job, which confirm or clear causes by themselves. */
  readonly evaluation?: Evaluation;
  /** The record: its oil, readings and damage. */
  readonly job?: Job;
}

export interface CauseReason {
  readonly because: string;
  /** In tenths of log-odds; above 0 speaks for the cause. */
  readonly tenths: number;
  /** The complaint, test or measurement that it comes from. */
  readonly from: string;
}

export interface RankedCause {
  readonly id: CauseId;
  readonly name: string;
  /** Sum of prior and reasons, tenths of log-odds. */
  readonly score: number;
  /** Share among all causes, 0 to 1. */
  readonly share: number;
  readonly reasons: readonly CauseReason[];
}

export interface NextTest {
  readonly id: TestId;
  readonly name: string;
  readonly minutes: number;
  /** Expected drop of uncertainty, bits per minute. */
  readonly worth: number;
}

export interface CauseRanking {
  readonly causes: readonly RankedCause[];
  /** The remaining checks with the most information per minute, best first. */
  readonly next: readonly NextTest[];
}

/**
 * Ranks causes by complaints, checks and measurements. The weights of all evidence are added to the prior of each cause, and
 * the sums are turned into shares. Every weight is in `knowledge.ts` or comes from a verdict, and is shown beside the cause as
 * a reason.
 * @param evidence complaints, outcomes of tests, and the job's evaluation where there is one
 * Source: naive Bayes by log-odds; `docs/mechanics.md`, causes.
 * @example rankCauses({ complaints: ['slips'] }).causes[0].id // "wornDiscs"
 */
export function rankCauses(evidence: Evidence): CauseRanking {
  const reasons = new Map<CauseId, CauseReason[]>(ENTRIES.map(([id]) => [id, []]));
  const add = (weights: readonly Weight[], from: string) => {
    for (const { cause, tenths, because } of weights)
      reasons.get(cause)?.push({ because, tenths, from });
  };
  for (const complaint of new Set(evidence.complaints))
    add(complaintWeights(complaint), COMPLAINTS[complaint]);
  for (const [id, { name, outcomes }] of TEST_ENTRIES) {
    const outcome = outcomes.find((o) => o.id === evidence.tests?.[id]);
    if (outcome) add(outcome.weights, `${name}: ${outcome.label}`);
  }
  const measured = [
    ...(evidence.evaluation ? weighVerdicts(evidence.evaluation) : []),
    ...(evidence.job ? weighJob(evidence.job) : []),
  ];
  for (const { from, ...weight } of measured) add([weight], from);

  const scores = new Map(
    ENTRIES.map(([id, { prior }]) => [
      id,
      prior + (reasons.get(id) ?? []).reduce((s, r) => s + r.tenths, 0),
    ]),
  );
  const shares = toShares(scores);
  const causes = ENTRIES.map(([id, { name }]): RankedCause => ({
    id,
    name,
    score: scores.get(id) ?? 0,
    share: shares.get(id) ?? 0,
    reasons: [...(reasons.get(id) ?? [])].sort((a, b) => Math.abs(b.tenths) - Math.abs(a.tenths)),
  })).sort((a, b) => b.score - a.score || byText(a.name, b.name));
  const pedal = evidence.job !== undefined && releasedBy(evidence.job) === 'pedal';
  const taken = new Set(measured.map((m) => m.from));
  const next = nextTests(scores, evidence.tests ?? {}, evidence.complaints, taken);
  return { causes, next: pedal ? next.filter((t) => !LEVER_CHECKS.has(t.id)) : next };
}

/** Tests of a line or cable that a machine without a hand lever does not have. */
const LEVER_CHECKS: ReadonlySet<TestId> = new Set(['leverPump', 'cableFeel']);

/** Smallest probability of an outcome. With less, a check of an unlikely cause would seem informative. */
const LEAST_CHANCE = 0.01;
/** A test of causes that together are less likely than this is not worth the walk to the machine. */
const LEAST_CONCERN = 0.03;

/** Sorts checks by expected information per minute. */
function nextTests(
  scores: ReadonlyMap<CauseId, number>,
  made: Readonly<Partial<Record<TestId, string>>>,
  complaints: readonly ComplaintId[],
  taken: ReadonlySet<string>,
): NextTest[] {
  const shares = toShares(scores);
  const now = entropy(shares);
  return TEST_ENTRIES.filter(
    ([id, test]) =>
      made[id] === undefined &&
      !test.saidBy?.some((c) => complaints.includes(c)) &&
      !test.measuredBy?.some((m) => taken.has(m)) &&
      concern(test, shares) >= LEAST_CONCERN,
  )
    .map(([id, { name, minutes, outcomes }]): NextTest => {
      // An outcome is as likely as the causes that it speaks for, softened so that none is impossible.
      const chances = outcomes.map(
        (o) =>
          LEAST_CHANCE +
          o.weights.reduce((s, x) => s + (x.tenths > 0 ? (shares.get(x.cause) ?? 0) : 0), 0),
      );
      const rest = Math.max(LEAST_CHANCE, 1 - chances.reduce((a, b) => a + b, 0));
      const good = outcomes.findIndex((o) => o.id === 'good');
      if (good >= 0) chances[good] = (chances[good] ?? 0) + rest;
      const total = chances.reduce((a, b) => a + b, 0);
      const after = outcomes.reduce((sum, o, i) => {
        const moved = new Map(scores);
        for (const x of o.weights) moved.set(x.cause, (moved.get(x.cause) ?? 0) + x.tenths);
        return sum + ((chances[i] ?? 0) / total) * entropy(toShares(moved));
      }, 0);
      return { id, name, minutes, worth: Math.max(0, now - after) / minutes };
    })
    .sort((a, b) => b.worth - a.worth || a.minutes - b.minutes);
}

/** The share of the causes that a test can speak for. */
function concern({ outcomes }: DecidingTest, shares: ReadonlyMap<CauseId, number>): number {
  const causes = new Set(
    outcomes.flatMap((o) => o.weights.filter((x) => x.tenths > 0).map((x) => x.cause)),
  );
  return [...causes].reduce((sum, cause) => sum + (shares.get(cause) ?? 0), 0);
}

function toShares(scores: ReadonlyMap<CauseId, number>): Map<CauseId, number> {
  const top = Math.max(...scores.values());
  const odds = [...scores].map(([id, s]) => [id, Math.exp((s - top) / 10)] as const);
  const total = odds.reduce((sum, [, o]) => sum + o, 0);
  return new Map(odds.map(([id, o]) => [id, o / total]));
}

function entropy(shares: ReadonlyMap<CauseId, number>): number {
  let bits = 0;
  for (const p of shares.values()) if (p > 0) bits -= p * Math.log2(p);
  return bits;
}

/** Needs a lever, or a pack that it releases. */
const OF_A_PACK: readonly ComplaintId[] = [
  'drags',
  'heavy',
  'hotDrag',
  'coldOnly',
  'overrunChatter',
  'powerSlip',
  'weakReturn',
];

/**
 * The complaints that a rider of such a machine can have.
 * @example complaintsOf('startAndBelt').includes('heavy') // false
 */
export const complaintsOf = (layout: ClutchLayout): readonly ComplaintId[] =>
  (Object.keys(COMPLAINTS) as ComplaintId[]).filter(
    (id) => hasPack(layout) || !OF_A_PACK.includes(id),
  );
