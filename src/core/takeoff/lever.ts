import { liftAtLever } from '@/core/evaluate/figures/liftTerm';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { workOut } from '../evaluate/evaluate';
import type { PackModel } from '../evaluate/states';
import { packModel } from '../evaluate/states';
import type { Job } from '../job/types';
import { check } from '../errors';
import { valueAlong } from '../points';
import type { Mm, Newton } from '../units/quantity';

/** Effect of a lever position on the pack: 0 released, 1 pulled to the bar. */
export interface AtLever {
  /** Pressure plate, from where it rests. */
  readonly lift: Mm;
  /** Share of the clamp that still presses on the plates. */
  readonly pressed: number;
  /** Per friction face, once the plates have separated; 0 before. */
  readonly clearance: Mm;
  /** Spring force at that lift, and the lever pull; absent while unknown. */
  readonly springForce?: Newton | undefined;
  readonly pull?: Newton | undefined;
}

/** A lever with its train and its pack, ready to be looked at in any place. */
export interface LeverModel {
  /** @throws {DomainError} for a lever beyond 0 to 1 */
  at(lever: number): AtLever;
  readonly fullLift: Mm;
  /** Where the plate begins to rise: up to there the springs press in full. */
  readonly presses: number;
  /** Where the last plates part; above 1 where the lift does not suffice for it. */
  readonly bites: number;
  /** Lift unknown: assumed value. */
  readonly estimated: boolean;
}

/** Where a train is not known yet: plates begin to bite and press in full there. Assumed values. */
export const ASSUMED_LEVER = { presses: 0.25, bites: 0.65 } as const;
/** Elastic travel of the linings per face between full clamp and none. Assumed value. */
export const FACE_GIVE: Mm = 0.02;
/** Used for an unknown lift. Assumed value. */
const ASSUMED_LIFT: Mm = 1.5;
/** The train is looked at in so many places; the arm's angle bends the curve only slightly. */
const PLACES = 40;

/**
 * Share of the clamp that presses with the lever there: all up to `presses`, none from `bites`, straight between.
 * @param lever 0 let out, 1 pulled
 * @example pressedShare(0.9) // 0
 */
export function pressedShare(
  lever: number,
  { presses, bites }: { readonly presses: number; readonly bites: number } = ASSUMED_LEVER,
): number {
  return Math.min(1, Math.max(0, (bites - lever) / (bites - presses)));
}

/**
 * Rise of the plate until the last plates separate: total out-of-flat, and the elastic travel of the linings.
 * @example packGive(layout) // 0.39
 */
export const packGive = ({ layers, slipping }: PackLayout): Mm =>
  warpOf({ layers }) + slipping.length * FACE_GIVE;

/**
 * The lever of a job: its lift over the full travel, and the remaining clamp.
 * Source: kinematics of the release train and equilibrium at the pressure plate; `docs/mechanics.md` sections 6, 7 and 10.
 * @example leverOf(job).fullLift // 1.5696
 */
export function leverOf(job: Job, model: PackModel = packModel(job)): LeverModel {
  const { layout } = workOut(job);
  const places = Array.from({ length: PLACES + 1 }, (_, i) => i / PLACES);
  const found = places.map((lever) => ({ lever, lift: liftAtLever(job, lever) }));
  const last = found.at(-1)?.lift;
  const estimated = last === undefined || last <= 0;
  const lifts = estimated
    ? places.map((lever) => ({ lever, lift: ASSUMED_LIFT * lever }))
    : found.map(({ lever, lift }) => ({ lever, lift: lift ?? 0 }));
  const fullLift = lifts.at(-1)?.lift ?? 0;
  const rising = lifts.findLast((p) => p.lift <= 0) ?? { lever: 0, lift: 0 };
  const next = lifts[lifts.indexOf(rising) + 1];
  // The first rise is between two samples: found by extrapolating the next two.
  const after = lifts[lifts.indexOf(rising) + 2];
  const slope = next && after ? (after.lift - next.lift) / (after.lever - next.lever) : 0;
  const presses =
    rising.lever === 0 || !next || slope <= 0
      ? rising.lever
      : Math.max(rising.lever, next.lever - next.lift / slope);
  const give = Math.max(1e-3, packGive(layout));
  const parts = lifts.findIndex((p) => p.lift >= give);
  const [before, at] = [lifts[parts - 1], lifts[parts]];
  const bites =
    parts < 0
      ? presses + ((1 - presses) * give) / Math.max(fullLift, 1e-6)
      : before && at
        ? Math.max(
            presses + 1e-6,
            before.lever +
              ((give - before.lift) * (at.lever - before.lever)) / (at.lift - before.lift),
          )
        : presses + 1e-6;
  // The corner where the plate begins to rise is a place of its own.
  const bent = lifts.flatMap((p) =>
    p === next && presses > rising.lever ? [{ lever: presses, lift: 0 }, p] : [p],
  );
  // A lever at rest asks for the same position at every frame.
  let latest: { readonly lever: number; readonly at: AtLever } | undefined;
  return {
    fullLift,
    presses,
    bites,
    estimated,
    at(lever) {
      if (latest?.lever === lever) return latest.at;
      check('lever', lever, { min: 0, max: 1 });
      const lift = valueAlong(
        bent,
        lever,
        (p) => p.lever,
        (p) => p.lift,
      );
      const { springForce, leverPull, clearancePerFace } = model.at({ lift: Math.min(50, lift) });
      const pressed = pressedShare(lever, { presses, bites });
      const at = {
        lift,
        pressed,
        clearance: pressed > 0 ? 0 : Math.max(0, clearancePerFace ?? 0),
        ...(springForce === undefined ? {} : { springForce }),
        ...(leverPull === undefined ? {} : { pull: lift > 0 ? leverPull : 0 }),
      };
      latest = { lever, at };
      return at;
    },
  };
}
