import { fittedKinds } from '../clutch/fitted';
import { entry } from '../job/entry';
import type { FieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';
import type { Move } from './move';

/** Step by which a high idle is lowered, rpm, and the smallest share of it that is tried. Assumed values. */
const IDLE_STEPS = [100, 200, 300, 400] as const;
const MIN_IDLE = 0.75;
/** Available stronger return springs. Assumed values. */
const STRONGER = [1.1, 1.2, 1.35, 1.6] as const;

/**
 * Moves that stop a clutch from creeping at idle: a lower idle, stronger return springs of the expanding disc or of the shoes.
 * Each gives a changed copy.
 * Never throws.
 * Source: `docs/mechanics.md` sections 8 and 9; what a builder is offered are assumed values.
 * @example creepMoves(farm).some((m) => m.family === 'idle') // true
 */
export function creepMoves(job: Job): Move[] {
  return [
    ...idleMoves(job),
    ...fittedKinds(job).flatMap(({ returnSprings }) =>
      returnSprings ? strongerMoves(job, returnSprings.name, returnSprings.paths) : [],
    ),
  ];
}

function idleMoves(job: Job): Move[] {
  const now = job.engine.idleRpm?.value;
  if (now === undefined) return [];
  return IDLE_STEPS.map((step) => now - step)
    .filter((rpm) => rpm >= now * MIN_IDLE)
    .map((rpm): Move => ({
      family: 'idle',
      label: [`Idle lowered to ${rpm.toFixed(0)} rpm, if the maker’s manual allows it`],
      effort: 1,
      apply: (j) => withEntry(j, 'engine.idleRpm', entry(rpm)),
    }));
}

function strongerMoves(job: Job, what: string, paths: readonly [FieldPath, FieldPath]): Move[] {
  if ((entryAt(job, paths[0])?.value ?? 0) <= 0) return [];
  return STRONGER.map((by): Move => ({
    family: 'return springs',
    label: [`${what} stronger by ${((by - 1) * 100).toFixed(0)} %`],
    effort: 3,
    apply: (j) =>
      paths.reduce((changed, path) => {
        const had = entryAt(changed, path)?.value;
        return had === undefined ? changed : withEntry(changed, path, entry(had * by));
      }, j),
  }));
}
