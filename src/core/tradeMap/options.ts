import { followTrain } from '../advice/measuredLift';
import { onStep, otherSteps } from '../clutch/diaphragm/steps';
import { coilGroups } from '../clutch/fitted';
import { layOut } from '../evaluate/engine/layers';
import { entry } from '../job/entry';
import { entryAt } from '../job/entryAt';
import type { FieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import type { CoilGroup, Job, LiningId, Plate } from '../job/types';
import { LINING_ESTIMATES } from '../torque/linings';
import type { Mm } from '../units/quantity';

/* What a pack can be built with, one list for each thing that may vary. The first of each list is as it is. */

/** One way to have a thing, and the job with it. */
export interface Option {
  readonly id: string;
  /** Empty for what is there. */
  readonly name: string;
  readonly apply: (job: Job) => Job;
  /** New parts that it takes. */
  readonly newParts: number;
}

/** Discs of the shelf that can take the place of the present ones. */
export interface ShelfDiscs {
  readonly id: string;
  readonly label: string;
  readonly thickness: Mm;
  readonly count: number;
  readonly isNew: boolean;
  readonly lining?: LiningId | undefined;
}

/** What the builder lets vary. */
export const VARIED = ['springs', 'step', 'shims', 'discs', 'steels', 'train'] as const;
export type Varied = (typeof VARIED)[number];

export const AS_IT_IS: Option = { id: '', name: '', apply: (job) => job, newParts: 0 };

/** The steel of a pair that was put in. */
export const MORE_STEEL = 'more-steel';

const SHIMS: readonly Mm[] = [0.3, 0.5, 1];

/**
 * Springs, steps and shims.
 * @example springOptions(job, [], ['shims']).length // 4
 */
export function springOptions(
  job: Job,
  shelf: readonly CoilGroup[],
  vary: readonly Varied[],
): readonly Option[] {
  const groups = coilGroups(job);
  const count = groups.reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  const springs: Option[] =
    count > 0 && vary.includes('springs')
      ? shelf.map((set) => ({
          id: `springs:${set.id}`,
          name: set.name || 'other springs',
          newParts: 0,
          apply: (j) => ({
            ...j,
            springs: {
              ...j.springs,
              coil: { ...j.springs.coil, groups: [{ ...set, count: entry(count) }], ring: [] },
            },
          }),
        }))
      : [];
  const steps: Option[] = vary.includes('step')
    ? otherSteps(job).map((s) => ({
        id: `step:${s.id}`,
        name: `step ${s.name}`,
        newParts: 0,
        apply: (j) => onStep(j, s.id),
      }))
    : [];
  const now = job.springs.coil.shim?.value ?? 0;
  const shims: Option[] =
    groups.length > 0 && vary.includes('shims')
      ? SHIMS.map((mm) => ({
          id: `shim:${mm}`,
          name: `${mm} mm shims`,
          newParts: 0,
          apply: (j) => withEntry(j, 'springs.coil.shim', entry(now + mm)),
        }))
      : [];
  return product([
    [AS_IT_IS, ...springs],
    [AS_IT_IS, ...steps],
    [AS_IT_IS, ...shims],
  ]);
}

/**
 * Other discs, and a disc with a steel more or less.
 * @example discOptions(job, [], ['discs']).length // 3
 */
export function discOptions(
  job: Job,
  shelf: readonly ShelfDiscs[],
  vary: readonly Varied[],
): readonly Option[] {
  if (!vary.includes('discs')) return [AS_IT_IS];
  const { layers } = layOut(job);
  const discs = layers.filter((l) => l.lined !== 'none');
  const others = shelf
    .filter((d) => d.count >= discs.length)
    .map((d): Option => ({
      id: `discs:${d.id}`,
      name: `discs ${d.label}`,
      newParts: d.isNew ? discs.length : 0,
      apply: (j) => withDiscs(j, d),
    }));
  const counts: Option[] = isAlternating(job)
    ? [
        ...(layers.length > 5
          ? [{ id: 'fewer', name: 'a disc and a steel fewer', newParts: 0, apply: pairOut }]
          : []),
        { id: 'more', name: 'a disc and a steel more', newParts: 1, apply: pairIn },
      ]
    : [];
  return [AS_IT_IS, ...others, ...counts];
}

/** Discs and steels in turn, discs at both ends. */
function isAlternating(job: Job): boolean {
  const { layers } = layOut(job);
  return layers.length % 2 === 1 && layers.every((l, i) => (l.lined !== 'none') === (i % 2 === 0));
}

const withPlates = (job: Job, plates: readonly Plate[]): Job => ({
  ...job,
  pack: { ...job.pack, plates },
});

/** The two plates under the outermost disc go out. */
const pairOut = (job: Job): Job =>
  withPlates(
    job,
    job.pack.plates.filter((_, i, all) => i !== all.length - 3 && i !== all.length - 2),
  );

/** Two more of the kinds that are there, under the outermost disc. */
function pairIn(job: Job): Job {
  const { plates } = job.pack;
  const at = plates.length - 1;
  const [disc, steel] = [plates[at], plates[at - 1]];
  if (!disc || !steel) return job;
  const fresh = (plate: Plate, id: string): Plate => ({ id, kindId: plate.kindId, isNew: true });
  return withPlates(job, [
    ...plates.slice(0, at),
    fresh(disc, 'more-disc'),
    fresh(steel, MORE_STEEL),
    disc,
  ]);
}

function withDiscs(job: Job, { id, thickness, lining, isNew }: ShelfDiscs): Job {
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const plain = lining === undefined ? undefined : LINING_ESTIMATES[lining];
  return {
    ...job,
    pack: {
      ...job.pack,
      kinds: job.pack.kinds.map((k) => {
        if (!lined.has(k.id) || !plain || k.lining === lining) return k;
        const { frictionLow: _low, frictionTypical: _typical, frictionHigh: _high, ...kind } = k;
        return { ...kind, lining: lining ?? k.lining };
      }),
      plates: job.pack.plates.map((p) =>
        lined.has(p.kindId)
          ? {
              id: p.id,
              kindId: p.kindId,
              readings: { '1': entry(thickness) },
              shelfId: id,
              ...(isNew ? { isNew } : {}),
            }
          : p,
      ),
    },
  };
}

/** Bores in which master cylinders are commonly made, mm, and lengths of release arms. Assumed values. */
const BORES: readonly Mm[] = [9.525, 11, 12, 12.7, 13, 14, 15, 15.875, 16, 17.5, 18, 19.05];
const NEAR: Mm = 2.2;
const ARMS = [0.9, 1.1, 1.2] as const;

/**
 * Other master cylinders, or release arms.
 * @example trainOptions(job, ['train']).length > 1 // true
 */
export function trainOptions(job: Job, vary: readonly Varied[]): readonly Option[] {
  if (!vary.includes('train')) return [AS_IT_IS];
  const { type } = job.release;
  const at = (path: FieldPath) => entryAt(job, path)?.value;
  const part = (id: string, name: string, path: FieldPath, value: Mm): Option => ({
    id,
    name,
    newParts: 1,
    apply: (j) => followTrain(j, withEntry(j, path, entry(value))),
  });
  const bore = at('release.masterDiameter');
  const arm = at('release.armLength');
  if (type === 'hydraulic' && bore !== undefined)
    return [
      AS_IT_IS,
      ...BORES.filter((mm) => Math.abs(mm - bore) > 0.05 && Math.abs(mm - bore) <= NEAR).map((mm) =>
        part(`bore:${mm}`, `master cylinder ${mm} mm`, 'release.masterDiameter', mm),
      ),
    ];
  if (type === 'cable' && arm !== undefined)
    return [
      AS_IT_IS,
      ...ARMS.map((share) =>
        part(
          `arm:${share}`,
          `release arm ${(arm * share).toFixed(1)} mm`,
          'release.armLength',
          arm * share,
        ),
      ),
    ];
  return [AS_IT_IS];
}

/** Every combination of one option of each list. */
function product(lists: readonly (readonly Option[])[]): readonly Option[] {
  return lists.reduce<readonly Option[]>(
    (made, list) => made.flatMap((a) => list.map((b) => joined(a, b))),
    [AS_IT_IS],
  );
}

function joined(a: Option, b: Option): Option {
  if (a.id === '') return b;
  if (b.id === '') return a;
  return {
    id: `${a.id} ${b.id}`,
    name: `${a.name}, ${b.name}`,
    newParts: a.newParts + b.newParts,
    apply: (job) => b.apply(a.apply(job)),
  };
}
