import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm, Newton } from '../units/quantity';

/**
 * Travel left at the cable or piston once the lever's ratio and the loss are taken: lever travel ÷ lever ratio − lost,
 * 0 when all is lost.
 * @param leverTravel mm at the finger, 0 or more
 * @param leverRatio above 0
 * @param lost mm at the cable or piston, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 7.
 * @example cableTravel(60, 5, 2) // 10
 */
export function cableTravel(leverTravel: Mm, leverRatio: number, lost: Mm): Mm {
  check('leverTravel', leverTravel, NOT_NEGATIVE);
  check('leverRatio', leverRatio, POSITIVE);
  check('lost', lost, NOT_NEGATIVE);
  return Math.max(0, leverTravel / leverRatio - lost);
}

/**
 * Lift of a hydraulic train: (lever travel ÷ lever ratio − lost)·(d_master/d_slave)².
 * @param leverTravel mm at the finger, 0 or more
 * @param lost mm of piston travel, 0 or more; a loss greater than the travel gives 0
 * @throws {DomainError} for a value out of range
 * Source: hydrostatics; `docs/mechanics.md` section 7.
 * @example hydraulicLift(62, 5.2, 0.4, 9.5, 27) // 1.4266
 */
export function hydraulicLift(
  leverTravel: Mm,
  leverRatio: number,
  lost: Mm,
  masterDiameter: Mm,
  slaveDiameter: Mm,
): Mm {
  check('masterDiameter', masterDiameter, POSITIVE);
  check('slaveDiameter', slaveDiameter, POSITIVE);
  return cableTravel(leverTravel, leverRatio, lost) * (masterDiameter / slaveDiameter) ** 2;
}

/**
 * Lift of a cable train with a worm, screw or ramp: θ = (lever travel ÷ lever ratio − slack)/arm, x = θ·lead/2π.
 * The arm is taken as square to the cable.
 * @param lead mm of lift per turn, above 0
 * @throws {DomainError} for a value out of range
 * Source: kinematics of a screw; `docs/mechanics.md` section 7.
 * @example cableLift(60, 5, 2, 32, 30) // 1.4921
 */
export function cableLift(
  leverTravel: Mm,
  leverRatio: number,
  slack: Mm,
  armLength: Mm,
  lead: Mm,
): Mm {
  check('armLength', armLength, POSITIVE);
  check('lead', lead, POSITIVE);
  return (cableTravel(leverTravel, leverRatio, slack) / armLength) * (lead / (2 * Math.PI));
}

/**
 * Lever travel ÷ lift. @throws {DomainError} for a lift of 0. Source: `docs/mechanics.md` section 7.
 * @example overallRatio(40, 1.8) // 22.2222
 */
export function overallRatio(leverTravel: Mm, lift: Mm): number {
  return check('leverTravel', leverTravel, POSITIVE) / check('lift', lift, POSITIVE);
}

/**
 * Force at the lever: release force ÷ (overall ratio · efficiency). The release force is the springs' force
 * at the lifted position.
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 7.
 * @example leverForce(1600, 22, 0.8) // 90.9091
 */
export function leverForce(releaseForce: Newton, ratio: number, efficiency: number): Newton {
  check('releaseForce', releaseForce, NOT_NEGATIVE);
  check('ratio', ratio, POSITIVE);
  check('efficiency', efficiency, { above: 0, max: 1 });
  if (!Number.isFinite(releaseForce / ratio))
    throw new DomainError('ratio', 'a larger ratio', ratio);
  return releaseForce / (ratio * efficiency);
}

/**
 * Force with which the lever comes back: the pull on the way out, F/(R·η), once more times η², since friction then works
 * against the springs.
 * @param pull N on the way out, 0 or more
 * @param efficiency of the train, above 0 to 1
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 16.
 * @example returnForce(90.909, 0.8) // 58.182
 */
export function returnForce(pull: Newton, efficiency: number): Newton {
  check('pull', pull, NOT_NEGATIVE);
  return pull * check('efficiency', efficiency, { above: 0, max: 1 }) ** 2;
}
