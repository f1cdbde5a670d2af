import { basketRpm, discGrowth, omegaSquared } from '../assist/centrifugal';
import type { Sentence } from '@/core/text/sentence';
import { expandingOf } from '../clutch/expandingDisc/figures';
import { startClutchOf } from '../clutch/startClutch/figures';
import { clampAtRpm } from '../evaluate/figures/clampOverSpeed';
import { workOut } from '../evaluate/evaluate';
import { springsOverLift } from '../evaluate/engine/springs';
import type { Need } from '@/core/evaluate/engine/figure';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { packModel } from '../evaluate/states';
import type { Job } from '../job/types';
import { clearancePerFace } from '../release/clearance';
import { leverGain } from '../setting/leverGain';
import type { Celsius, Mm, Newton, NewtonMetre, Rpm } from '../units/quantity';
import type { AtLever, LeverModel } from './lever';
import { leverOf, pressedShare } from './lever';
import type { Ride } from './motion';
import { rideOf } from './motion';
import { leverSetupOf, takeoffWithAssumptions } from './setup';

/** Positions of the moving parts for a lever position and engine speed. */
export interface CutawayLook extends AtLever {
  /** Rise of the pressure plate over the solid pack. */
  readonly plate: Mm;
  /** Growth of the expanding disc. */
  readonly growth: Mm;
  /** Room between the plates, all together. */
  readonly opening: Mm;
  /** On the plates, springs and weights together; absent while not known. */
  readonly clamp?: Newton | undefined;
  /** Lever movement by growth of the expanding disc. */
  readonly gain: Mm;
  /** Lever position including its gain: 0 released to 1 pulled. */
  readonly leverAt: number;
  /** How far the shoes of a start clutch have swung out: 1 at the drum. */
  readonly shoes: number;
}

/** A job's own clutch as a cutaway that can be worked. */
export interface Cutaway {
  readonly layout: PackLayout;
  readonly lever: LeverModel;
  readonly expanding: boolean;
  readonly shoes: number;
  /** The simulated machine, or the missing inputs. */
  readonly ride: Ride | undefined;
  readonly needs: readonly Need[];
  /** Assumed values for machine data the job does not have. */
  readonly assumed: readonly Sentence[];
  at(lever: number, engineRpm: Rpm): CutawayLook;
  /** The most that the clutch carries at typical friction, with the lever out. */
  readonly full: NewtonMetre;
  /** The most that the plates ever open, for the room that a drawing leaves. */
  readonly widest: Mm;
}

/** Weights are looked at up to here. */
const TOP: Rpm = 20_000;

/**
 * The cutaway of a job: moving parts over lever and engine speed, and the simulated machine.
 * @param oil °C
 * Source: `docs/mechanics.md` sections 6 to 10.
 * @example cutawayOf(quad, 60).expanding // true
 */
export function cutawayOf(job: Job, oil: Celsius): Cutaway {
  const { sheet, layout } = workOut(job);
  const model = packModel(job);
  const lever = leverOf(job, model);
  const made = takeoffWithAssumptions(job);
  const ride = 'setup' in made ? rideOf(made.setup, oil) : undefined;
  const auto = expandingOf(sheet);
  const shoes = startClutchOf(sheet);
  const ratio = sheet.valueAt('engine.primaryRatio');
  const travel = sheet.valueAt('release.leverTravel');
  const overall = (sheet.known('ownRatio') ?? sheet.known('overallRatio'))?.value;
  const pressing = clampAtRpm(sheet);
  const gap = auto?.gap ?? 0;
  const warp = warpOf(layout);
  const springs = springsOverLift(sheet);
  const grown = (gapThere: Mm, rpm: Rpm): Mm =>
    auto && ratio ? discGrowth(auto.disc, gapThere, springs, basketRpm(rpm, ratio)) : 0;
  return {
    layout,
    lever,
    expanding: auto !== undefined,
    shoes: shoes?.shoes ?? 0,
    ride,
    needs: 'needs' in made ? made.needs : [],
    assumed: 'assumed' in made ? made.assumed : [],
    full: 'setup' in made ? Math.max(0, ...made.setup.typical.map((p) => p.torque)) : 0,
    widest: lever.fullLift + gap,
    at(pulled, engineRpm) {
      const there = lever.at(pulled);
      const rest = gap + there.lift;
      const growth = grown(rest, engineRpm);
      const pressed = auto
        ? pressedShare(pulled - leverSetupOf(lever, gap, grown(gap, engineRpm)), lever)
        : there.pressed;
      const plate = Math.max(rest, growth);
      const opening = plate - growth;
      const faces = Math.max(1, layout.slipping.length);
      const clamp = pressing ? pressed * pressing(Math.min(TOP, engineRpm)) : undefined;
      const gain =
        auto && overall && travel && pulled === 0
          ? Math.min(travel, leverGain(overall, growth, gap))
          : 0;
      return {
        ...there,
        pressed,
        plate,
        growth,
        opening,
        clearance: auto ? Math.max(0, clearancePerFace(opening, faces, warp)) : there.clearance,
        ...(clamp === undefined ? {} : { clamp }),
        gain,
        leverAt: Math.min(1, pulled + (travel ? gain / travel : 0)),
        shoes: shoes
          ? Math.min(
              1,
              (shoes.mass * (shoes.radius / 1000) * omegaSquared(engineRpm * shoes.speedRatio)) /
                Math.max(1e-9, shoes.springPull),
            )
          : 0,
      };
    },
  };
}
