import { layOut } from '@/core/evaluate/engine/layers';
import { say } from '@/core/text/sentence';
import { coilGroups, fittedKinds } from '../clutch/fitted';
import { entry } from '../job/entry';
import { MAX_PLATES } from '../job/fields';
import { fieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import type { CoilGroup, Job, LiningId, Plate } from '../job/types';
import { ofKind, ofThickness } from '../pack/edit';
import type { OilGrade } from '../drag/viscosity';
import { OIL_GRADES } from '../drag/viscosity';
import { LINING_ESTIMATES } from '../torque/linings';
import type { Mm } from '../units/quantity';
import { freshMoves } from './freshMoves';
import { scaledReadings } from './measuredLift';
import type { Move } from './move';
import { size } from './move';

/** Parts available for the moves. */
export interface AvailableParts {
  /** Available steel thicknesses, mm. */
  readonly steelThicknesses: readonly Mm[];
  /** Kinds of spring on the shelf, as records of a set. */
  readonly springs: readonly CoilGroup[];
}

/** Steels are commonly sold in these; assumed values, replaced by the shop's own shelf. */
export const COMMON_STEELS: AvailableParts = {
  steelThicknesses: [1, 1.2, 1.4, 1.5, 1.6, 1.8, 2, 2.3],
  springs: [],
};

const EDGE: Mm = 1e-6;

/**
 * Every single move that makes sense on a job. Each gives a changed copy, or nothing where it does not apply.
 * @example movesFor(job, COMMON_STEELS).length // 26
 */
export function movesFor(job: Job, atHand: AvailableParts): Move[] {
  return [
    ...discMoves(job),
    ...steelMoves(job, atHand),
    ...springMoves(job, atHand),
    ...fittedKinds(job).flatMap((kind) => kind.moves?.(job, withEntry) ?? []),
    ...liningMoves(job),
    ...limitMoves(job, atHand),
    ...reducedEffortMoves(job),
    ...oilMoves(job),
    ...freshMoves(job),
  ];
}

const withPlates = (job: Job, plates: readonly Plate[]): Job => ({
  ...job,
  pack: { ...job.pack, plates },
});

/** A name for a plate that is not taken yet. */
function freeId(job: Job, stem: string): string {
  const taken = new Set([...job.pack.plates, ...job.pack.kinds].map((p) => p.id));
  for (let n = 1; ; n++) if (!taken.has(`${stem}${n}`)) return `${stem}${n}`;
}

function isLined(job: Job, plate: Plate): boolean {
  return job.pack.kinds.some((k) => k.id === plate.kindId && k.lined !== 'none');
}

function discMoves(job: Job): Move[] {
  const { plates } = job.pack;
  const lastDisc = plates.findLastIndex((p) => isLined(job, p));
  const lastSteel = plates.findLastIndex((p) => !isLined(job, p));
  const disc = plates[lastDisc];
  const steel = plates[lastSteel];
  if (!disc || !steel) return [];
  return [
    {
      family: 'disc',
      label: ['One more disc and steel'],
      effort: 4,
      apply: (j) => {
        if (j.pack.plates.length + 2 > MAX_PLATES) return undefined;
        const at = j.pack.plates.findIndex((p) => p.id === disc.id);
        const more = [
          { id: freeId(j, 'more-steel'), kindId: steel.kindId },
          { id: freeId(j, 'more-disc'), kindId: disc.kindId },
        ];
        return at < 0 ? undefined : withPlates(j, j.pack.plates.toSpliced(at + 1, 0, ...more));
      },
    },
    {
      family: 'disc',
      label: ['One disc and steel fewer'],
      effort: 2,
      apply: (j) => {
        const left = j.pack.plates.filter((p) => p.id !== disc.id && p.id !== steel.id);
        return left.length < j.pack.plates.length - 1 && left.length > 0
          ? withPlates(j, left)
          : undefined;
      },
    },
    {
      // A disc that turns with its neighbour keeps the height where a steel would hang off the spline.
      family: 'spacer pair',
      label: ['A disc in place of the outermost steel, as a spacer pair'],
      effort: 2,
      apply: (j) => {
        const changed = ofKind(j, [steel.id], disc.kindId);
        return changed === j ? undefined : changed;
      },
    },
    {
      // Two discs side by side turn together: the steels below come further in on the spline.
      family: 'spacer pair',
      label: ['Outermost steel removed, two discs together as a spacer pair'],
      effort: 1,
      apply: (j) => {
        const left = j.pack.plates.filter((p) => p.id !== steel.id);
        return left.length === j.pack.plates.length ? undefined : withPlates(j, left);
      },
    },
  ];
}

function steelMoves(job: Job, { steelThicknesses }: AvailableParts): Move[] {
  return job.pack.kinds
    .filter((k) => k.lined === 'none' && k.thickness)
    .flatMap((kind) => {
      const now = kind.thickness?.value ?? 0;
      const last = job.pack.plates.findLast((p) => p.kindId === kind.id);
      if (!last) return [];
      return steelThicknesses
        .filter((t) => Math.abs(t - now) > EDGE)
        .flatMap((t): Move[] => [
          {
            family: 'steels',
            label: say`All steels ${kind.name} replaced by ${size(t)}`,
            effort: 3,
            apply: (j) => {
              const changed = withEntry(j, fieldPath('pack.kinds.*.thickness', kind.id), entry(t));
              // Readings belong to the replaced plates.
              return withPlates(
                changed,
                changed.pack.plates.map((p) =>
                  p.kindId === kind.id ? { id: p.id, kindId: p.kindId } : p,
                ),
              );
            },
          },
          {
            family: 'one steel',
            label: say`One steel ${kind.name} replaced by ${size(t)}`,
            effort: 1,
            apply: (j) => withSteelsAs(j, t, [last.id]),
          },
        ]);
    });
}

/** Some steels in another thickness; undefined if they are gone or no further type fits. */
function withSteelsAs(job: Job, thickness: Mm, chosen: readonly string[]): Job | undefined {
  const changed = ofThickness(job, chosen, thickness, () => freeId(job, 'one-steel'));
  return changed === job ? undefined : changed;
}

function springMoves(job: Job, { springs }: AvailableParts): Move[] {
  const count = coilGroups(job).reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  if (count === 0) return [];
  return springs.map((set): Move => ({
    family: 'springs',
    label: [`Springs ${set.name}`],
    effort: 2,
    apply: (j) => ({
      ...j,
      springs: {
        ...j.springs,
        coil: { ...j.springs.coil, groups: [{ ...set, count: entry(count) }], ring: [] },
      },
    }),
  }));
}

function liningMoves(job: Job): Move[] {
  const present = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.lining));
  // Kinds with friction of their own would not change by a name.
  if (present.size === 0 || job.pack.kinds.some((k) => k.frictionLow)) return [];
  return (Object.keys(LINING_ESTIMATES) as LiningId[])
    .filter((l) => !present.has(l))
    .map((lining): Move => ({
      family: 'lining',
      label: [`All discs with ${LINING_ESTIMATES[lining].name.toLowerCase()} lining`],
      effort: 5,
      apply: (j) => ({
        ...j,
        pack: {
          ...j.pack,
          kinds: j.pack.kinds.map((k) => (k.lined === 'none' ? k : { ...k, lining })),
        },
      }),
    }));
}

/** The number of steels in another thickness that brings the stack closest to the middle of its limits. */
function limitMoves(job: Job, { steelThicknesses }: AvailableParts): Move[] {
  const { windowMin, windowMax, kinds } = job.pack;
  if (!windowMin || !windowMax) return [];
  const target = (windowMin.value + windowMax.value) / 2;
  const { layers } = layOut(job);
  const heights = layers.map((l) => l.thickness);
  if (heights.some((t) => t === undefined)) return [];
  const stack = heights.reduce((sum: Mm, t) => sum + (t ?? 0), 0);
  return kinds
    .filter((k) => k.lined === 'none' && k.thickness)
    .flatMap((kind) => {
      // From the outermost inward: those come to hand first.
      const steels = layers.filter((l) => l.kind.id === kind.id).reverse();
      return steelThicknesses.flatMap((t): Move[] => {
        let best = 0;
        let off = Math.abs(stack - target);
        let height = stack;
        steels.forEach((l, i) => {
          height += t - (l.thickness ?? t);
          if (Math.abs(height - target) < off - EDGE)
            [best, off] = [i + 1, Math.abs(height - target)];
        });
        if (best < 2) return [];
        const chosen = steels.slice(0, best).map((l) => l.plate.id);
        return [
          {
            family: 'steel mix',
            label: say`${String(best)} steels ${kind.name} replaced by ${size(t)}, to the middle of the limits`,
            effort: 2,
            apply: (j) => withSteelsAs(j, t, chosen),
          },
        ];
      });
    });
}

function reducedEffortMoves(job: Job): Move[] {
  const factor = job.release.reducedEffort?.value;
  if (factor === undefined || Math.abs(factor - 1) < EDGE) return [];
  return [
    {
      family: 'reduced effort',
      label: ['Reduced-effort part removed'],
      effort: 2,
      apply: (j) => withoutReducedEffort(j, factor),
    },
  ];
}

/** A lift measured with the part fitted grows by its ratio once it is removed; a train's lift follows by itself. */
function withoutReducedEffort(job: Job, factor: number): Job {
  const bare = withEntry(job, 'release.reducedEffort', undefined);
  return job.release.type === 'measured'
    ? { ...bare, release: scaledReadings(bare.release, factor) }
    : bare;
}

function oilMoves(job: Job): Move[] {
  return job.intake.oil !== 'frictionModified'
    ? []
    : [
        {
          family: 'oil',
          label: ['Oil for wet clutches filled'],
          effort: 2,
          apply: (j) => ({ ...j, intake: { ...j.intake, oil: 'wetClutch' } }),
        },
      ];
}

/**
 * Oils of the other grades, for a pack that drags when cold. The viscosities of the can go with its oil. Never throws.
 * Source: `docs/mechanics.md` section 15.
 * @example gradeMoves(job).length // 5
 */
export function gradeMoves(job: Job): Move[] {
  return (Object.keys(OIL_GRADES) as OilGrade[])
    .filter((grade) => grade !== job.oil?.grade)
    .map((grade): Move => ({
      family: 'oil',
      label: [`${OIL_GRADES[grade].name} oil, if the maker’s manual allows it`],
      effort: 2,
      apply: ({ oil: { viscosity40: _40, viscosity100: _100, ...oil } = {}, ...j }) => ({
        ...j,
        oil: { ...oil, grade },
      }),
    }));
}
