import { attempt } from '../errors';
import type { FieldPath } from '../job/fieldPath';
import type { TorqueCurve } from '../job/types';
import { valueAlong } from '../points';
import type { Mm, Newton, NewtonMetre, Rpm } from '../units/quantity';
import { torqueAtClutch } from '../torque/capacity';
import type { Sheet } from './engine/sheet';

/** Figures of the pack in a state; unknown ones are absent. */
export interface StateFigures {
  readonly stack: Mm;
  /** Springs and weights together; 0 on the plates once lifted free. */
  readonly clamp?: Newton;
  /** Spring force at the lifted position: the force the train must overcome. */
  readonly springForce?: Newton;
  readonly capacity?: Readonly<Record<'low' | 'typical' | 'high', NewtonMetre>>;
  /** Torque of the engine at the clutch: of its curve at that rpm where there is one, else its peak. */
  readonly asked?: NewtonMetre;
  /** Capacity with tang friction ÷ torque at the clutch. Hot oil uses the low friction. */
  readonly reserve?: Readonly<Record<'low' | 'typical' | 'high', number>>;
  /** The one that this state comes to: low in hot oil, else typical. */
  readonly reserveHere?: number;
  /** At that lift, including the load of centrifugal weights at that speed. */
  readonly leverPull?: Newton;
  /** Force of centrifugal weights at that speed. */
  readonly assist?: Newton;
  readonly clearancePerFace?: Mm;
  /** Torque of a start clutch at that speed, at its own shaft. */
  readonly startTorque?: NewtonMetre;
}

export interface CurvePoint {
  readonly x: number;
  readonly at: StateFigures;
}

export const MAX_RPM: Rpm = 25_000;

export const DEFAULT_POINTS = 41;

/** Removes overflowed values: a figure too large for a number is unknown. */
export function finiteOnly(state: StateFigures): StateFigures {
  const isFinite = (value: unknown): boolean =>
    typeof value === 'object' && value !== null
      ? Object.values(value).every(isFinite)
      : Number.isFinite(value);
  const { stack, ...rest } = state;
  return {
    stack,
    ...Object.fromEntries(Object.entries(rest).filter(([, value]) => isFinite(value))),
  };
}

export function number(sheet: Sheet, path: FieldPath): number | undefined {
  const term = sheet.entry(path);
  return term.known ? term.value : undefined;
}

/** Torque of the engine's curve at the clutch; undefined outside the curve, where nothing is extrapolated. */
export function torqueOverRpm(sheet: Sheet): ((rpm: Rpm) => NewtonMetre | undefined) | undefined {
  const { curve } = sheet.job.engine;
  const ratio = number(sheet, 'engine.primaryRatio');
  const efficiency = number(sheet, 'engine.primaryEfficiency');
  if (!curve || ratio === undefined || efficiency === undefined) return undefined;
  return (rpm) => {
    const torque = torqueAt(curve, rpm);
    return torque === undefined || torque <= 0
      ? undefined
      : attempt(() => torqueAtClutch(torque, ratio, efficiency));
  };
}

/**
 * Torque of a curve at a speed, straight between its points; undefined outside them.
 * @example torqueAt({ name: '', points: [{ rpm: 3000, torque: 30 }, { rpm: 5000, torque: 40 }] }, 4000) // 35
 */
export function torqueAt({ points }: TorqueCurve, rpm: Rpm): NewtonMetre | undefined {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || first === last || rpm < first.rpm || rpm > last.rpm) return undefined;
  return valueAlong(
    points,
    rpm,
    (p) => p.rpm,
    (p) => p.torque,
  );
}
