import { roadLoad } from '../heat/road';
import { valueAlong } from '../points';
import { peakOf } from '../torque/engineCurve';
import type { Celsius, NewtonMetre, Rpm } from '../units/quantity';
import { fadeAt } from './fade';
import { pressedShare } from './lever';
import type { TakeoffSetup, TorqueAtSpeed } from './setup';

/* Engine, clutch and road torque: the same for a simulated start and one by hand. */

/** A closed throttle brakes with this share of the peak torque at the speed of the peak. Assumed value. */
const BRAKING = 0.15;
/** The engine holds its idle with up to this share of its torque, within a quarter of it. Assumed value. */
const IDLE_HELP = 0.35;
/** Below this share of its idle an engine stalls. Assumed value. */
const STALLS = 0.5;
const TO_RPM = 30 / Math.PI;

export interface Dynamics {
  /** Engine speed for a speed at the clutch in rad/s, and back. */
  readonly rpmOf: (speed: number) => Rpm;
  readonly speedOf: (rpm: Rpm) => number;
  /** Road torque at the clutch, N·m. It only brakes: a standing machine is held, not rolled back. */
  readonly load: NewtonMetre;
  /** Below this speed at the clutch the engine stalls, rad/s. */
  readonly stall: number;
  /** Torque of the engine at the clutch; a closed throttle brakes, and below idle the engine helps itself. */
  readonly engine: (rpm: Rpm, throttle: number) => NewtonMetre;
  /** Clutch capacity at this lever position. */
  readonly carries: (lever: number, rpm: Rpm, steel: Celsius) => NewtonMetre;
  /** Whether the shoes of a start clutch slip instead of the pack: its steels then stay cool. */
  readonly givesAtShoes: (lever: number, rpm: Rpm, steel: Celsius) => boolean;
}

/**
 * @param grade added to the grade of the setup, rise over run
 * @example dynamicsOf(setup).stall // 31.42
 */
export function dynamicsOf(setup: TakeoffSetup, grade = 0): Dynamics {
  const { primaryRatio, idle } = setup;
  const angle = Math.atan(setup.grade + grade);
  const peak = peakOf(setup.engine);
  const top = setup.engine.at(-1)?.rpm ?? 0;
  const packHolds = (lever: number, rpm: Rpm, steel: Celsius): NewtonMetre => {
    const taken = setup.grown
      ? valueAlong(
          setup.grown,
          rpm,
          (p) => p.rpm,
          (p) => p.lever,
        )
      : 0;
    const pressed = pressedShare(lever - taken, setup);
    if (pressed === 0) return 0;
    const typical = along(setup.typical, rpm);
    return pressed * (typical - fadeAt(steel) * (typical - along(setup.low, rpm)));
  };
  return {
    rpmOf: (speed) => speed * primaryRatio * TO_RPM,
    speedOf: (rpm) => rpm / (primaryRatio * TO_RPM),
    load: setup.weightTorque * roadLoad(angle),
    stall: (idle * STALLS) / (primaryRatio * TO_RPM),
    engine: (rpm, throttle) => {
      const limited = rpm > top ? Math.max(0, 1 - (rpm / top - 1) * 10) : 1;
      const full = along(setup.engine, rpm) * limited;
      const braking = BRAKING * peak.torque * (rpm / Math.max(1, peak.rpm));
      const help = Math.min(1, Math.max(0, (idle - rpm) / (idle / 4))) * IDLE_HELP;
      return Math.max(throttle, help) * full - (1 - throttle) * braking;
    },
    carries: (lever, rpm, steel) => {
      const held = packHolds(lever, rpm, steel);
      return setup.shoes ? Math.min(held, along(setup.shoes, rpm)) : held;
    },
    givesAtShoes: (lever, rpm, steel) =>
      setup.shoes !== undefined && along(setup.shoes, rpm) < packHolds(lever, rpm, steel),
  };
}

const along = (points: readonly TorqueAtSpeed[], rpm: Rpm): NewtonMetre =>
  valueAlong(
    points,
    rpm,
    (p) => p.rpm,
    (p) => p.torque,
  );
