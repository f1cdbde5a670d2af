import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Amount, Sentence } from '@/core/text/sentence';
import { force, length, say, times, torque } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { unknownVerdict } from '@/core/evaluate/engine/verdict';

/**
 * Where a reserve turns from stop to watch to good, at the weakest lining with tang friction. Design
 * estimates: below 1 the clutch slips; a tenth is left for hot oil and wear.
 */
export const RESERVE_STOP = 1;
export const RESERVE_GOOD = 1.1;

/**
 * Judges the torque reserve at low friction and the worst known speed.
 * @param sheet with clamp and reserves worked out
 * Never throws for a job that passes the schema.
 * Source: `docs/mechanics.md` sections 2 and 5; thresholds are assumed values.
 * @example judgeReserve(sheet).title // "Torque reserve OK"
 */
export function judgeReserve(sheet: Sheet): Verdict {
  const clamp = sheet.known('clamp');
  const deflection = sheet.known('deflection');
  const stack = sheet.known('stack');
  if (stack && deflection && deflection.value <= 0) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'No clamp',
      figures: ['deflection', 'stack'],
      sentence: say`The spring is not compressed: the stack of ${length(stack.value)} would have to be ${length(-deflection.value)} taller.`,
    };
  }
  if (clamp && clamp.value <= 0) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'No clamp',
      figures: ['clamp', 'installedLength'],
      sentence: sheet.springs.unpressed(sheet),
    };
  }
  const reserve = sheet.known('reserveWithTangs');
  if (!reserve)
    return unknownVerdict(
      'holds',
      'Torque reserve not judged',
      sheet.outcomes.get('reserveWithTangs'),
    );
  const atPeak = reserve.range?.low ?? reserve.value;
  const alongCurve = sheet.known('leastCurveReserve');
  // With the weights still slow or the torque early, another speed than that of peak torque may be the worst.
  const onCurve = alongCurve !== undefined && alongCurve.value < atPeak - 1e-9;
  const weakest = onCurve ? alongCurve.value : atPeak;
  const figures: FigureId[] = ['reserveWithTangs', 'capacityWithTangs', 'torqueAtClutch', 'clamp'];
  if (onCurve) figures.unshift('leastCurveReserve', 'leastCurveSpeed');
  const speed = sheet.known('leastCurveSpeed')?.value ?? 0;
  const where: Sentence = onCurve ? say` at ${{ value: speed, quantity: 'speed' }}` : [];
  const asked = torque(
    onCurve ? torqueAtClutchText(sheet, speed) : (sheet.known('torqueAtClutch')?.value ?? 0),
  );
  if (weakest < RESERVE_STOP) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'Slips',
      figures,
      sentence: [
        ...say`${below(weakest, RESERVE_STOP)} × peak torque`,
        ...where,
        ...(onCurve
          ? say` at worst-case friction with tang friction; torque at the clutch is ${asked}.`
          : say` at worst-case friction with tang friction, ${times(reserve.value)} × typical; torque at the clutch is ${asked}.`),
        ...lateDisc(sheet),
      ],
    };
  }
  if (weakest < RESERVE_GOOD) {
    return {
      id: 'holds',
      state: 'watch',
      title: 'Low torque reserve',
      figures,
      sentence: [
        ...say`${below(weakest, RESERVE_GOOD)} × peak torque`,
        ...where,
        ...say` at worst-case friction with tang friction: too little for hot starts; ${times(RESERVE_GOOD)} × required.`,
      ],
    };
  }
  return {
    id: 'holds',
    state: 'good',
    title: 'Torque reserve OK',
    figures,
    sentence: [
      ...say`${times(weakest)} × peak torque`,
      ...where,
      ...(onCurve
        ? say` at worst-case friction with tang friction.`
        : say` at worst-case friction with tang friction, ${times(reserve.value)} × typical.`),
    ],
  };
}

/** Torque at the clutch from the engine's curve at one speed, N·m. */
function torqueAtClutchText(sheet: Sheet, rpm: number): number {
  const torque = sheet.job.engine.curve?.points.find((p) => p.rpm === rpm)?.torque ?? 0;
  return (
    torque *
    (sheet.valueAt('engine.primaryRatio') ?? 0) *
    (sheet.valueAt('engine.primaryEfficiency') ?? 0)
  );
}

/** A reserve below its threshold, with one more decimal where rounding would hide it. */
const below = (value: number, wanted: number): Amount =>
  Number(value.toFixed(2)) >= wanted ? { ...times(value), decimals: 4 } : times(value);

/** Where an expanding disc has not locked up at peak torque: that is why it slips. */
function lateDisc(sheet: Sheet): Sentence {
  const pressed = sheet.known('clampAtPeak');
  const lockUp = sheet.known('expandLockUp');
  const peak = sheet.valueAt('engine.peakTorqueRpm');
  if (!pressed || !lockUp || peak === undefined) return [];
  return lockUp.value <= peak
    ? []
    : say` The expanding disc is not locked up at peak torque: its force there is ${force(pressed.value)}, lock-up is at ${{ value: lockUp.value, quantity: 'speed' }}.`;
}
