import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Kilogram, Mm, Newton, NewtonMetre, Rpm } from '../units/quantity';
import { omegaSquared } from './centrifugal';

/** Shoes that swing out into a drum: the start clutch of an ATV. */
export interface StartClutch {
  readonly shoes: number;
  /** Mass of one shoe, kg. */
  readonly mass: Kilogram;
  /** Radius of a shoe's centre of mass at contact, mm. */
  readonly radius: Mm;
  /** Spring force on one shoe at first contact, N. */
  readonly springPull: Newton;
  /** Inner radius of the drum, mm. */
  readonly drumRadius: Mm;
  readonly friction: number;
  /** Shoe turns ÷ engine turns: 1 on the crank, 1 ÷ primary ratio on the gearbox input. */
  readonly speedRatio: number;
  /** Share of the engine's torque that reaches the shoes: the primary's efficiency on the gearbox input. 1 unless given. */
  readonly efficiency?: number;
}

/** The data that decide first contact: neither the number of shoes nor their friction matters. */
export type Shoe = Pick<StartClutch, 'mass' | 'radius' | 'springPull' | 'speedRatio'>;

function checkShoe(c: Shoe): void {
  check('mass', c.mass, POSITIVE);
  check('radius', c.radius, POSITIVE);
  check('springPull', c.springPull, NOT_NEGATIVE);
  check('speedRatio', c.speedRatio, POSITIVE);
}

function checkClutch(c: StartClutch): void {
  check('shoes', c.shoes, { min: 1, max: 24, integer: true });
  checkShoe(c);
  check('drumRadius', c.drumRadius, { above: c.radius });
  check('friction', c.friction, { above: 0, max: 1 });
}

/**
 * Engine speed at which the shoes first touch the drum: m·r·ω² = F_s.
 * @throws {DomainError} for a value out of range
 * Source: dynamics; `docs/mechanics.md` section 9.
 * @example firstContactRpm({ mass: 0.095, radius: 46, springPull: 110, speedRatio: 1 }) // 1515.05
 */
export function firstContactRpm(shoe: Shoe): Rpm {
  checkShoe(shoe);
  const omega = Math.sqrt(shoe.springPull / (shoe.mass * (shoe.radius / 1000)));
  return (omega * 30) / Math.PI / shoe.speedRatio;
}

/**
 * Torque at an engine speed: n·μ·(m·r·ω² − F_s)·R_drum, 0 before contact.
 * @returns N·m at the shoes' own shaft
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 9.
 * @example startClutchTorque({ shoes: 3, mass: 0.095, radius: 46, springPull: 110, friction: 0.12, drumRadius: 58, speedRatio: 1 }, 4000) // 13.71
 */
export function startClutchTorque(clutch: StartClutch, engineRpm: Rpm): NewtonMetre {
  checkClutch(clutch);
  const out =
    clutch.mass * (clutch.radius / 1000) * omegaSquared(engineRpm * clutch.speedRatio) -
    clutch.springPull;
  return (clutch.shoes * clutch.friction * Math.max(0, out) * clutch.drumRadius) / 1000;
}

/**
 * Lowest engine speed at which the clutch transmits a given engine torque, after the primary's losses.
 * @param engineTorque N·m, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: {@link startClutchTorque} solved for the speed.
 * @example holdingRpm({ shoes: 3, mass: 0.095, radius: 46, springPull: 110, friction: 0.12, drumRadius: 58, speedRatio: 1 }, 19) // 4613.42
 */
export function holdingRpm(clutch: StartClutch, engineTorque: NewtonMetre): Rpm {
  checkClutch(clutch);
  const efficiency = check('efficiency', clutch.efficiency ?? 1, { above: 0, max: 1 });
  const atShaft =
    (check('engineTorque', engineTorque, NOT_NEGATIVE) / clutch.speedRatio) * efficiency;
  const push =
    (atShaft * 1000) / (clutch.shoes * clutch.friction * clutch.drumRadius) + clutch.springPull;
  return (
    (Math.sqrt(push / (clutch.mass * (clutch.radius / 1000))) * 30) / Math.PI / clutch.speedRatio
  );
}

/**
 * The same clutch with worn lining: the shoe travels further, so spring force and radius grow by the wear; the lost mass was at
 * the drum, so the centre of mass moves inward: r′ = (m·r − Δm·R)/(m − Δm) + w.
 * @param wear mm of lining, 0 or more
 * @param springRate N/mm of one shoe's spring, 0 or more
 * @param massLost kg of one shoe, 0 or more and below its mass
 * @throws {DomainError} for a value out of range, or a centre of mass outside the drum
 * Source: centre of mass of a body less a part of it; `docs/mechanics.md` section 9.
 * @example worn({ mass: 0.11, radius: 42, springPull: 100, drumRadius: 57, speedRatio: 1 }, 1, 8, 0.01).radius // 41.5
 */
export function worn<T extends Shoe & Pick<StartClutch, 'drumRadius'>>(
  clutch: T,
  wear: Mm,
  springRate: number,
  massLost: Kilogram = 0,
): T {
  checkShoe(clutch);
  check('drumRadius', clutch.drumRadius, { above: clutch.radius });
  check('wear', wear, NOT_NEGATIVE);
  check('springRate', springRate, NOT_NEGATIVE);
  check('massLost', massLost, { min: 0, below: clutch.mass });
  return {
    ...clutch,
    mass: clutch.mass - massLost,
    springPull: clutch.springPull + springRate * wear,
    radius: check(
      'radius of the worn shoe',
      (clutch.mass * clutch.radius - massLost * clutch.drumRadius) / (clutch.mass - massLost) +
        wear,
      { above: 0, below: clutch.drumRadius },
    ),
  };
}
