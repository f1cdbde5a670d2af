import { entry } from '../job/entry';
import type { FieldPath } from '../job/fieldPath';
import { fieldAt } from '../job/fields';
import { withEntry } from '../job/paths';
import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';
import type { Sentence } from '@/core/text/sentence';
import { say, travel } from '@/core/text/sentence';
import type { Mm } from '../units/quantity';
import type { Move } from './move';

/** Bores in which master cylinders are commonly made, mm (3/8 in to 3/4 in among them). Assumed values. */
const BORES: readonly Mm[] = [9.525, 11, 12, 12.7, 13, 14, 15, 15.875, 16, 17.5, 18, 19.05];
/** Shares of its length that a release arm is shortened to. Assumed values. */
const SHORTER = [0.9, 0.8] as const;

/** Lift losses and their usual repair. Free play is not included: it has a minimum of its own. */
const LOSSES: readonly {
  readonly path: FieldPath;
  readonly label: Sentence;
  readonly effort: number;
}[] = [
  { path: 'release.air', label: ['Line bled of air'], effort: 1 },
  { path: 'release.pivotWear', label: ['New lever pivots'], effort: 2 },
];

/**
 * Moves that give a short lift more travel: losses taken away, the next bores of the master cylinder, a shorter release
 * arm. Each gives a changed copy. Never throws.
 * Source: `docs/mechanics.md` section 7.
 * @example releaseMoves(job).map((m) => m.label) // [["A master cylinder of ", …], …]
 */
export function releaseMoves(job: Job): Move[] {
  const { type } = job.release;
  if (type === 'measured') return [];
  const lost = LOSSES.filter(({ path }) => (entryAt(job, path)?.value ?? 0) > 0);
  return [
    ...lost.map(({ path, label, effort }): Move => ({
      family: 'loss',
      label,
      effort,
      apply: (j) => withEntry(j, path, entry(0)),
    })),
    ...(type === 'hydraulic' ? masters(job, (bore, now) => bore > now + 0.1) : arms(job, SHORTER)),
  ];
}

/** Shares that a release arm is lengthened to, and ratios of reduced-effort parts. Assumed values. */
const LONGER = [1.1, 1.2, 1.3] as const;
const REDUCED_EFFORT_RATIO = [1.15, 1.3] as const;

/**
 * Moves that make a heavy lever lighter at the cost of lift: a repaired train, the next smaller master cylinder bores, a longer
 * release arm, a reduced-effort part. Each gives a changed copy.
 * Never throws.
 * Source: `docs/mechanics.md` section 7; what a builder is offered are assumed values.
 * @example lighterMoves(job).some((m) => m.family === 'reduced effort') // true
 */
export function lighterMoves(job: Job): Move[] {
  const { type, efficiency, reducedEffort } = job.release;
  if (type === 'measured') return [];
  // Efficiency of a sound train; a worn one is restored to it.
  const whole = fieldAt('release.efficiency').estimate?.value ?? 0;
  const sound: Move[] =
    efficiency && efficiency.value < whole
      ? [
          {
            family: 'loss',
            label: ['Binding parts between lever and plate cleaned, oiled or replaced'],
            effort: 1,
            apply: (j) => withEntry(j, 'release.efficiency', entry(whole)),
          },
        ]
      : [];
  const eased = reducedEffort
    ? []
    : REDUCED_EFFORT_RATIO.map((by): Move => ({
        family: 'reduced effort',
        label: say`Reduced-effort part ${String(by)}`,
        effort: 3,
        apply: (j) => withEntry(j, 'release.reducedEffort', entry(by)),
      }));
  return [
    ...sound,
    ...(type === 'hydraulic' ? masters(job, (bore, now) => bore < now - 0.1) : arms(job, LONGER)),
    ...eased,
  ];
}

function masters(job: Job, suits: (bore: Mm, now: Mm) => boolean): Move[] {
  const path = 'release.masterDiameter';
  const now = entryAt(job, path)?.value;
  if (now === undefined) return [];
  return BORES.filter((bore) => suits(bore, now)).map((bore) => ({
    family: 'train',
    label: say`Master cylinder ${{ value: bore, quantity: 'length', decimals: 2 }}`,
    effort: 3,
    change: Math.abs(bore / now - 1),
    apply: (j) => withEntry(j, path, entry(bore)),
  }));
}

function arms(job: Job, shares: readonly number[]): Move[] {
  const path = 'release.armLength';
  const now = entryAt(job, path)?.value;
  if (now === undefined) return [];
  return shares.map((share) => ({
    family: 'train',
    label: say`Release arm ${travel(now * share)}`,
    effort: 3,
    change: Math.abs(share - 1),
    apply: (j) => withEntry(j, path, entry(now * share)),
  }));
}
