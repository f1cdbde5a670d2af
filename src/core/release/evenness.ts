import { check, DomainError } from '../errors';
import { directionOf } from '../springs/circle';
import type { Degree, Mm } from '../units/quantity';

/** A dial reading of lift at an angle round the plate. */
export interface LiftReading {
  readonly angle: Degree;
  readonly lift: Mm;
}

export interface Evenness {
  readonly mean: Mm;
  /** How much more than the mean the plate lifts at its highest point, over the reading radius. */
  readonly tilt: Mm;
  /** Direction of the highest point, 0 up to 360 degrees. */
  readonly direction: Degree;
  /** Minimum local lift, mean − tilt: decisive for drag. */
  readonly least: Mm;
  /** Root mean square distance of the readings from the plane; 0 for three readings, which it meets exactly. */
  readonly residual: Mm;
}

/**
 * Least-squares plane through lift readings round the plate: z = mean + a·cos θ + b·sin θ.
 * @param readings three or more at different angles; several pulls at one angle may be given
 * @throws {DomainError} for fewer than three different angles: two fix no plane
 * Source: linear regression; `docs/mechanics.md` section 6.
 * @example evenness([{angle: 0, lift: 1.62}, {angle: 120, lift: 1.21}, {angle: 240, lift: 1.49}]).mean // 1.44
 */
export function evenness(readings: readonly LiftReading[]): Evenness {
  readings.forEach((r, i) => {
    check(`readings.${i}.angle`, r.angle, {});
    check(`readings.${i}.lift`, r.lift, {});
  });
  const angles = new Set(readings.map((r) => Math.round((((r.angle % 360) + 360) % 360) * 1000)));
  if (angles.size < 3) throw new DomainError('angles', '3 or more different ones', angles.size);
  // Normal equations of 1, cos, sin.
  const m = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  const v = [0, 0, 0];
  for (const { angle, lift } of readings) {
    const a = (angle * Math.PI) / 180;
    const row = [1, Math.cos(a), Math.sin(a)] as const;
    for (let i = 0; i < 3; i++) {
      v[i] = (v[i] as number) + (row[i] as number) * lift;
      for (let j = 0; j < 3; j++)
        m[3 * i + j] = (m[3 * i + j] as number) + (row[i] as number) * (row[j] as number);
    }
  }
  const [mean, a, b] = solve3(m, v);
  const tilt = Math.hypot(a, b);
  const squares = readings.reduce((sum, { angle, lift }) => {
    const t = (angle * Math.PI) / 180;
    return sum + (lift - mean - a * Math.cos(t) - b * Math.sin(t)) ** 2;
  }, 0);
  return {
    mean,
    tilt,
    direction: tilt < 1e-9 ? 0 : directionOf(a, b),
    least: mean - tilt,
    residual: readings.length === 3 ? 0 : Math.sqrt(squares / readings.length),
  };
}

/** Solves a symmetric system of three by Cramer's rule. */
function solve3(m: readonly number[], v: readonly number[]): [number, number, number] {
  const [a, b, c, d, e, f, g, h, i] = m as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const [p, q, r] = v as [number, number, number];
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  if (Math.abs(det) < 1e-9)
    throw new DomainError('readings', 'angles spread further round the plate', det);
  return [
    (p * (e * i - f * h) - b * (q * i - f * r) + c * (q * h - e * r)) / det,
    (a * (q * i - f * r) - p * (d * i - f * g) + c * (d * r - q * g)) / det,
    (a * (e * r - q * h) - b * (d * r - q * g) + p * (d * h - e * g)) / det,
  ];
}

/**
 * Repeatability of readings: the maximum spread of lift at one angle; 0 where no angle has two.
 * @param readings any number, angles in degrees
 * @throws {DomainError} for a value that is no finite number
 * Source: repeatability of a measurement; `docs/mechanics.md` section 6.
 * @example repeatability([{ angle: 0, lift: 1.5 }, { angle: 0, lift: 1.54 }]) // 0.04
 */
export function repeatability(readings: readonly LiftReading[]): Mm {
  const places = new Map<number, { low: Mm; high: Mm }>();
  for (const [i, { angle, lift }] of readings.entries()) {
    check(`readings.${i}.angle`, angle, {});
    check(`readings.${i}.lift`, lift, {});
    const place = Math.round((((angle % 360) + 360) % 360) * 10);
    const seen = places.get(place);
    places.set(place, {
      low: Math.min(lift, seen?.low ?? lift),
      high: Math.max(lift, seen?.high ?? lift),
    });
  }
  return [...places.values()].reduce((most, { low, high }) => Math.max(most, high - low), 0);
}
