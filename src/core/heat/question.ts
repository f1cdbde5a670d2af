import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import { valueAlong } from '../points';
import type { NewtonMetre, Second } from '../units/quantity';
import type { Engagement, EngagementResult } from './engagement';
import { engage } from './engagement';

/** An engagement as plain data, so that it can be sent to a worker or written in a file. Speeds are at the clutch. */
export interface EngagementQuestion {
  /** kg·m², at the clutch's shaft. */
  readonly engineInertia: number;
  readonly vehicleInertia: number;
  /** rad/s. */
  readonly engineSpeed: number;
  readonly vehicleSpeed: number;
  /** Engine torque at the clutch over its speed there, straight between points, level beyond them; two or more. */
  readonly engine: readonly { readonly speed: number; readonly torque: NewtonMetre }[];
  readonly load: NewtonMetre;
  /** Torque that the clutch carries once let out, and the time in which the lever lets it rise to that. */
  readonly clutch: NewtonMetre;
  readonly letOut: Second;
  readonly stallSpeed?: number;
  readonly liningArea?: number;
}

/**
 * Follows an engagement given as data: engine torque by points, a level load, a clutch torque that rises evenly while
 * the lever is let out and stays.
 * @throws {DomainError} for values out of range, fewer than two points, or points out of order
 * Source: `docs/mechanics.md` section 10.
 * @example engageFrom({ engineInertia: 0.06, vehicleInertia: 0.25, engineSpeed: 300, vehicleSpeed: 60, engine: [{ speed: 0, torque: 90 }, { speed: 400, torque: 90 }], load: 20, clutch: 140, letOut: 0 }).time // 0.1827
 */
export function engageFrom(question: EngagementQuestion): EngagementResult {
  const { engine, load, clutch, letOut, ...rest } = question;
  if (engine.length < 2) throw new DomainError('engine', 'two points or more', engine.length);
  engine.forEach((p, i) => {
    const before = engine[i - 1];
    check(`engine.${i}.speed`, p.speed, before ? { above: before.speed } : {});
    check(`engine.${i}.torque`, p.torque, {});
  });
  check('load', load, NOT_NEGATIVE);
  check('clutch', clutch, POSITIVE);
  check('letOut', letOut, { min: 0, max: 60 });
  const model: Engagement = {
    ...rest,
    engineTorque: (speed) =>
      valueAlong(
        engine,
        speed,
        (p) => p.speed,
        (p) => p.torque,
      ),
    loadTorque: () => load,
    clutchTorque: (t) => (t >= letOut ? clutch : (clutch * t) / letOut),
    ...(letOut > 0 ? { corners: [letOut] } : {}),
  };
  return engage(model);
}
