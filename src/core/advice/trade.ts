import { entry } from '../job/entry';
import type { FieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';
import type { Compared } from './compare';
import { figuresToCompare } from './compare';
import type { Sentence } from '@/core/text/sentence';
import type { AvailableParts } from './moves';
import { followTrain } from './measuredLift';
import type { Move } from './move';
import { COMMON_STEELS, movesFor } from './moves';

/** A change of springs, step, ratio or reduced-effort part, with its effect on pull, lift and clamp. */
export interface Trade {
  readonly label: Sentence;
  /** The job as it would be: taking the trade is taking this. */
  readonly job: Job;
  readonly figures: Compared;
}

/** Moves of the pack that trade pull against clamp; those of plates are another question. */
const FAMILIES: ReadonlySet<Move['family']> = new Set([
  'springs',
  'shim',
  'step',
  'reduced effort',
]);

/** Ratio change that is tried: 10 %, like the next size of a part. */
const TENTH = 0.1;
/** A typical reduced-effort part. Assumed value. */
const REDUCED_EFFORT_RATIOS = 1.25;

/**
 * Evaluates every trade-off between lever pull, lift and clamp: available springs, shims, retainer steps, ratios 10 % up and
 * down, and a reduced-effort part fitted or removed.
 * Never throws for a job that passes the schema. Source: exhaustive evaluation; `docs/mechanics.md` sections 4 to 7.
 * @example trades(job).length // 8
 */
export function trades(job: Job, atHand: AvailableParts = COMMON_STEELS): readonly Trade[] {
  const moves = [
    ...movesFor(job, atHand).filter((m) => FAMILIES.has(m.family)),
    ...ratioMoves(job),
    ...reducedEffortMove(job),
  ];
  return moves.flatMap(({ label, apply }): Trade[] => {
    const made = apply(job);
    if (!made) return [];
    const changed = followTrain(job, made);
    return [{ label, job: changed, figures: figuresToCompare(changed) }];
  });
}

type TradeMove = Pick<Move, 'label' | 'apply'>;

const RATIOS: Readonly<
  Record<Job['release']['type'], readonly { readonly path: FieldPath; readonly name: string }[]>
> = {
  hydraulic: [
    { path: 'release.leverRatio', name: 'Lever ratio' },
    { path: 'release.slaveDiameter', name: 'Slave piston' },
  ],
  cable: [
    { path: 'release.leverRatio', name: 'Lever ratio' },
    { path: 'release.armLength', name: 'Release arm' },
  ],
  measured: [],
};

function ratioMoves(job: Job): TradeMove[] {
  return RATIOS[job.release.type].flatMap(({ path, name }): TradeMove[] => {
    const now = entryAt(job, path)?.value;
    if (now === undefined) return [];
    return ([1, -1] as const).map((way) => ({
      label: [`${name} 10 % ${way > 0 ? 'more' : 'less'}`],
      apply: (j) => withEntry(j, path, entry(now * (1 + way * TENTH))),
    }));
  });
}

function reducedEffortMove(job: Job): TradeMove[] {
  const { type, reducedEffort } = job.release;
  return type === 'measured' || reducedEffort
    ? []
    : [
        {
          label: [`Reduced-effort part ${REDUCED_EFFORT_RATIOS}`],
          apply: (j) => withEntry(j, 'release.reducedEffort', entry(REDUCED_EFFORT_RATIOS)),
        },
      ];
}
