import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm, Newton, NewtonMetre } from '../units/quantity';

/**
 * Torque that reaches the clutch: engine torque × primary ratio × primary efficiency.
 * @param engineTorque N·m, above 0
 * @param primaryRatio above 0 (basket teeth ÷ crank teeth)
 * @param efficiency above 0, up to 1
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 3.
 * @example torqueAtClutch(40, 2.5) // 100
 */
export function torqueAtClutch(
  engineTorque: NewtonMetre,
  primaryRatio: number,
  efficiency = 1,
): NewtonMetre {
  return (
    check('engineTorque', engineTorque, POSITIVE) *
    check('primaryRatio', primaryRatio, POSITIVE) *
    check('efficiency', efficiency, { above: 0, max: 1 })
  );
}

/** One friction face on the clamp path, counted from the pressure plate inward. */
export interface FrictionFace {
  /** Effective radius, mm. */
  readonly radius: Mm;
  /** Friction coefficient of the pair. */
  readonly friction: number;
  /** Tang radius of the plate on the hub floor's side of this face, mm. Needed only where another friction face follows. */
  readonly tangRadiusBelow?: Mm | undefined;
  /** Tang radius of the plate on the pressure plate's side of this face, mm; as above. */
  readonly tangRadiusAbove?: Mm | undefined;
}

export interface Capacity {
  /** N·m. */
  readonly torque: NewtonMetre;
  /** Clamp that reaches each face, N, in the order given. */
  readonly clampAtFace: readonly Newton[];
  /** Torque of each face, N·m. */
  readonly torqueAtFace: readonly NewtonMetre[];
}

/**
 * Torque capacity of a pack: Σ μ·F·R over its friction faces, with the clamp left by tang friction at each. From the pressure
 * plate, F₁ is the full clamp and F(k+1) = F(k)·(1 − μt·μ·R(k)/r)/(1 + μt·μ·R(k+1)/r), r the tang radius of the plate between.
 * Where two plates that turn together are between two faces, each face's torque is taken at the tangs of its own neighbour.
 * With `tangFriction` 0 every face has the full clamp.
 *
 * @param clamp N, 0 or more
 * @param faces from the pressure plate inward; radius mm above 0, friction above 0 up to 1
 * @param tangFriction 0 to 0.5
 * @throws {DomainError} for a value out of range, or a tang radius that is needed and missing
 * Source: equilibrium of one plate under axial tang friction, machine-element textbooks;
 * `docs/mechanics.md` section 3.
 * @example packCapacity(1600, [{ friction: 0.12, radius: 52.5 }]).torque // 10.08
 */
export function packCapacity(
  clamp: Newton,
  faces: readonly FrictionFace[],
  tangFriction = 0,
): Capacity {
  check('clamp', clamp, NOT_NEGATIVE);
  check('tangFriction', tangFriction, { min: 0, max: 0.5 });
  const clampAtFace: Newton[] = [];
  const torqueAtFace: NewtonMetre[] = [];
  let force = clamp;
  let torque = 0;
  for (let k = 0; k < faces.length; k++) {
    const face = faces[k];
    if (!face) break;
    const { radius, friction } = face;
    if (!(radius > 0) || radius === Infinity) check(`faces.${k}.radius`, radius, POSITIVE);
    if (!(friction > 0 && friction <= 1)) check(`faces.${k}.friction`, friction, FRICTION);
    const previous = faces[k - 1];
    if (previous && tangFriction > 0) {
      const above = previous.tangRadiusBelow;
      const below = face.tangRadiusAbove;
      if (above === undefined || below === undefined || !(above > 0) || !(below > 0)) {
        throw new DomainError(`faces.${k}.tangRadius`, 'a tang radius above 0', above ?? below);
      }
      const drop = 1 - (tangFriction * previous.friction * previous.radius) / above;
      const grip = 1 + (tangFriction * friction * radius) / below;
      // A plate that jams on its tangs passes no clamp; it never pulls.
      force = Math.max(0, (force * drop) / grip);
    }
    const share = (friction * force * radius) / 1000;
    clampAtFace.push(force);
    torqueAtFace.push(share);
    torque += share;
  }
  return { torque, clampAtFace, torqueAtFace };
}

const FRICTION = { above: 0, max: 1 } as const;
