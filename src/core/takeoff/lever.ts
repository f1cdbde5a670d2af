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

/** What a place of the lever does to the pack: 0 let out, 1 pulled to the bar. */
export interface AtLever {
  /** Pressure plate, from where it rests. */
  readonly lift: Mm;
  /** Share of the clamp that still presses on the plates. */
  readonly pressed: number;
  /** At each slipping face, once the plates have parted; 0 until then. */
  readonly clearance: Mm;
  /** Springs at that lift, and the pull at the lever that holds them; absent while not known. */
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
  /** The lift is not known: a design estimate stands in for it. */
  readonly estimated: boolean;
}

/** Where a train is not known yet: plates begin to bite and press in full there. Design estimates. */
export const USUAL_LEVER = { presses: 0.25, bites: 0.65 } as const;
/** What linings give at each face between full clamp and none. Design estimate. */
export const FACE_GIVE: Mm = 0.02;
/** Stands in for a lift that is not known. Design estimate. */
const USUAL_LIFT: Mm = 1.5;
/** The train is looked at in so many places; the arm's angle bends the curve only slightly. */
const PLACES = 40;

/**
 * Share of the clamp that presses with the lever there: all up to `presses`, none from `bites`, straight between.
 * @param lever 0 let out, 1 pulled
 * @example pressedShare(0.9) // 0
 */
export function pressedShare(
  lever: number,
  { presses, bites }: { readonly presses: number; readonly bites: number } = USUAL_LEVER,
): number {
  return Math.min(1, Math.max(0, (bites - lever) / (bites - presses)));
}

/**
 * How far the plate rises before the last plates part: the warp of all plates, and what the linings give at each face.
 * @example packGive(layout) // 0.39
 */
export const packGive = ({ layers, slipping }: PackLayout): Mm =>
  warpOf({ layers }) + slipping.length * FACE_GIVE;

/**
 * The lever of a job: its lift by its own train over the whole pull, and what that leaves of the clamp.
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
    ? places.map((lever) => ({ lever, lift: USUAL_LIFT * lever }))
    : found.map(({ lever, lift }) => ({ lever, lift: lift ?? 0 }));
  const fullLift = lifts.at(-1)?.lift ?? 0;
  const rising = lifts.findLast((p) => p.lift <= 0) ?? { lever: 0, lift: 0 };
  const next = lifts[lifts.indexOf(rising) + 1];
  // The first rise lies between two places: the line of the next two leads back to it.
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
  // A hand that rests asks for the same place at each frame.
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
