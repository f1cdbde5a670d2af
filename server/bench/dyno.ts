import { fromBase, unitById } from '../../src/core/units/quantity';

/*
 * A simulated dyno: an engine by a formula is pulled up through its speeds and coasts down. Readings scatter, and no two pulls
 * are equal.
 */

export type DynoUnit = 'N·m' | 'ft·lb';

/** The engine on the dyno: a parabola through its peak. */
export interface DynoEngine {
  /** N·m. */
  readonly peakTorque: number;
  readonly peakRpm: number;
  readonly from: number;
  readonly to: number;
  /** How long a pull takes, s. */
  readonly seconds: number;
}

export const DEFAULT_ENGINE: DynoEngine = {
  peakTorque: 41,
  peakRpm: 7000,
  from: 2600,
  to: 9400,
  seconds: 7,
};

/** Samples sent at once during a pull. */
export interface SimulatedPull {
  readonly device: 'dyno';
  readonly id: number;
  /** Number of the pull, and of the part within it, from 0. */
  readonly pull: number;
  readonly part: number;
  readonly unit: DynoUnit;
  /** Speed in rpm and torque as the display shows it. */
  readonly samples: readonly (readonly [number, string])[];
  /** With this part the pull is over. */
  readonly last: boolean;
}

/** Share of the peak that is lost at the far end of the curve. */
const DROP = 0.35;
/** Standard deviations: of a reading and of a whole pull as shares, of the speed in rpm. */
const SCATTER = 0.006;
const PULL_SCATTER = 0.004;
const SCATTER_RPM = 4;
const SAMPLES = 140;
/** Engine braking while coasting, N·m, until about half speed. */
const DRAG = -4.5;
const DOWN = 20;

/** The samples of one pull, in order, as speed and torque in N·m. */
export function pullOf(engine: DynoEngine, normal: () => number): (readonly [number, number])[] {
  const { peakTorque, peakRpm, from, to } = engine;
  const reach = Math.max(Math.abs(peakRpm - from), Math.abs(to - peakRpm), 1);
  const whole = 1 + PULL_SCATTER * normal();
  const up = Array.from({ length: SAMPLES }, (_, i) => {
    const rpm = from + ((to - from) * i) / (SAMPLES - 1);
    const torque = peakTorque * whole * (1 - DROP * ((rpm - peakRpm) / reach) ** 2);
    return [rpm + SCATTER_RPM * normal(), torque * (1 + SCATTER * normal())] as const;
  });
  const down = Array.from({ length: DOWN }, (_, i) => {
    const rpm = to * (1 - (0.5 * (i + 1)) / DOWN);
    return [rpm + SCATTER_RPM * normal(), DRAG * (1 + SCATTER * normal())] as const;
  });
  return [...up, ...down];
}

/** Samples as the display shows them. */
export const shownAs = (
  samples: readonly (readonly [number, number])[],
  unit: DynoUnit,
): (readonly [number, string])[] =>
  samples.map(([rpm, torque]) => [
    Math.round(rpm),
    fromBase(torque, unitById(unit === 'N·m' ? 'Nm' : 'ftlb')).toFixed(2),
  ]);
