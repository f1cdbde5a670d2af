import { onStep, otherSteps } from '../clutch/diaphragm/steps';
import { coilGroups } from '../clutch/fitted';
import { DomainError } from '../errors';
import { evaluate } from '../evaluate/evaluate';
import { layOut, warpOf } from '@/core/evaluate/engine/layers';
import { LIFT_WATCH } from '@/core/evaluate/verdicts/releaseVerdicts';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import { RESERVE_STOP } from '@/core/evaluate/verdicts/holdingVerdict';
import { JobSheet } from '../evaluate/engine/jobSheet';
import { entry } from '../job/entry';
import type { CoilGroup, Job } from '../job/types';
import { RETAINED_SHARE } from '../release/retention';
import type { Mm, Newton } from '../units/quantity';
import type { Judgement, ShelfAnswer, ShelfOption, ShelfPlate } from './solver';
import { solveShelf } from './solver';
import { omit } from '../omit';

/** Conditions of a set besides the stack limits. */
const CONDITIONS: readonly VerdictId[] = [
  'holds',
  'releases',
  'coils',
  'gap',
  'step',
  'retention',
  'basketRetention',
];

/** Options besides the steels, and conditions besides the stack limits. */
export interface ShelfRequest {
  readonly plates: readonly ShelfPlate[];
  /** Spring sets to try instead of the present ones, each with the same number of springs. */
  readonly springs?: readonly CoilGroup[];
  /** Try every step of the retainer, not only the present one. */
  readonly anyStep?: boolean;
  /** Maximum lever pull, N. */
  readonly maxPull?: Newton;
  /** Number of results, 1 to 100; default 10. */
  readonly best?: number;
}

/** The job as it would be under one option, before its steels are chosen. */
interface Variant {
  readonly option: ShelfOption;
  readonly job: Job;
}

/**
 * Chooses the steels of a job from the shelf: unlined plates are replaced, discs stay; retainer steps and spring sets are
 * varied on request. The target is the middle of the stack limits, and every set must hold, release, avoid coil bind, keep its
 * plates on the spline, and not exceed the pull limit.
 * @returns the best sets of all options together; an option's id is `present`, `step:<id>` or `springs:<id>`
 * @throws {DomainError} when the job has no stack height limits, no steel to replace, or a plate without thickness that stays
 * Source: `docs/mechanics.md` section 12.
 * @example chooseSteels(half, { plates: [{ id: 'a', thickness: 1.55, count: 9, isNew: true }], best: 1 }).sets.length // 1
 */
export function chooseSteels(
  job: Job,
  { plates, springs = [], anyStep = false, maxPull, best = 10 }: ShelfRequest,
  onProgress?: (share: number) => boolean,
): ShelfAnswer {
  const { windowMin, windowMax } = job.pack;
  if (!windowMin || !windowMax)
    throw new DomainError('pack.windowMin', 'stack limits, both of them', undefined);
  const { layers } = layOut(job);
  const steels = layers.filter((l) => l.lined === 'none');
  if (steels.length === 0) throw new DomainError('pack.plates', 'a pack with steels to choose', 0);
  const fixedHeight = layers.reduce((sum, l) => {
    if (l.lined === 'none') return sum;
    if (l.thickness === undefined)
      throw new DomainError(
        'pack.kinds.*.thickness',
        'a thickness for every plate that stays',
        undefined,
      );
    return sum + l.thickness;
  }, 0);
  const optionOf = (id: string): ShelfOption => ({
    id,
    choose: steels.length,
    fixedHeight,
    target: (windowMin.value + windowMax.value) / 2,
    min: windowMin.value,
    max: windowMax.value,
  });
  const variants = new Map<string, Variant>(
    [
      ['present', job] as const,
      ...(anyStep ? stepVariants(job) : []),
      ...springVariants(job, springs),
    ].map(([id, variant]) => [id, { option: optionOf(id), job: variant }]),
  );
  const known = new Map<string, Judgement>();
  const judge = ({ id }: ShelfOption, height: Mm): Judgement => {
    const key = `${id} ${height}`;
    const variant = variants.get(id)?.job ?? job;
    const made =
      known.get(key) ?? judgeAt(variant, (height - fixedHeight) / steels.length, maxPull);
    known.set(key, made);
    return made;
  };
  const options = [...variants.values()].map((v) => v.option);
  return solveShelf({ plates, options, best }, judge, onProgress);
}

/**
 * The job under an option of {@link chooseSteels}: on another step, or with other springs.
 * @example withShelfOption(job, 'present').id // "crag"
 */
export function withShelfOption(job: Job, id: string, springs: readonly CoilGroup[] = []): Job {
  const all = [...stepVariants(job), ...springVariants(job, springs)];
  return all.find(([option]) => option === id)?.[1] ?? job;
}

function stepVariants(job: Job): (readonly [string, Job])[] {
  return otherSteps(job).map((s) => [`step:${s.id}`, onStep(job, s.id)]);
}

function springVariants(job: Job, sets: readonly CoilGroup[]): (readonly [string, Job])[] {
  const { coil } = job.springs;
  const count = coilGroups(job).reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  if (count === 0) return [];
  return sets.map((set) => [
    `springs:${set.id}`,
    {
      ...job,
      springs: {
        ...job.springs,
        coil: { ...coil, groups: [{ ...set, count: entry(count) }], ring: [] },
      },
    },
  ]);
}

/** The job's verdicts with every steel of one thickness: they depend on the stack only. */
function judgeAt(job: Job, steel: Mm, maxPull: Newton | undefined): Judgement {
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const { verdicts, figures } = evaluate({
    ...job,
    pack: {
      ...job.pack,
      plates: job.pack.plates.map((p) =>
        // Flat, whatever the plates taken out were: those picked bring their own out-of-flat.
        lined.has(p.kindId) ? p : { ...omit(p, 'outOfFlat'), readings: { '1': entry(steel) } },
      ),
    },
  });
  const reserve = figures.get('reserveWithTangs');
  const value = reserve?.status === 'known' ? (reserve.range?.low ?? reserve.value) : 0;
  const known = (id: FigureId) => {
    const figure = figures.get(id);
    return figure?.status === 'known' ? figure.value : Number.NaN;
  };
  // The miss of each condition, in the unit of its figure; 0 where there is no measure.
  const misses: Partial<Record<VerdictId, number>> = {
    holds: RESERVE_STOP - value,
    releases: known('liftNeeded') - known('liftHad'),
    coils: -known('coilClearance'),
    gap: outside(
      known('plateGap'),
      job.springs.loose.gapMin?.value ?? 0,
      job.springs.loose.gapMax?.value ?? Infinity,
    ),
    retention: RETAINED_SHARE - known('retention'),
    basketRetention: RETAINED_SHARE - known('basketRetention'),
  };
  const fails: { condition: string; by: number }[] = verdicts
    .filter((v) => CONDITIONS.includes(v.id as VerdictId) && v.state === 'stop')
    .map((v) => {
      const by = misses[v.id as VerdictId] ?? 0;
      return { condition: v.id, by: by > 0 ? by : 0 };
    });
  const pull = known('leverPull');
  if (maxPull !== undefined && pull > maxPull)
    fails.push({ condition: 'pull', by: pull - maxPull });
  const [had, needed] = [known('liftHad'), known('liftNeeded')];
  if (!(had >= 0) || !(needed >= 0)) return { reserve: value, fails };
  // The maker's lift does not grow with out-of-flat, only the lift calculated from the faces does.
  const byFaces =
    known('faces') * (new JobSheet(job).valueAt('release.faceClearance') ?? 0) + warpOfStaying(job);
  return {
    reserve: value,
    fails,
    flatness: { most: had / LIFT_WATCH - byFaces, had, needed: byFaces },
  };
}

/** Out-of-flat of the plates that stay in the pack, mm. */
const warpOfStaying = (job: Job): Mm =>
  warpOf({ layers: layOut(job).layers.filter((l) => l.lined !== 'none') });

/** Distance of a value from its limits, 0 inside. */
const outside = (value: number, min: number, max: number) => Math.max(0, min - value, value - max);
