import type { TakeoffResult } from '@/core/takeoff/takeoff';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

/** A start in a sentence with its figures. */
export function describeStart(start: TakeoffResult, units: UnitChoice): string {
  const { outcome, slipTime, energy, lockRpm, leastRpm, warmest } = start;
  const heat = formatWithUnit(warmest, 'temperature', units, 0);
  const slipped = `${slipTime.toFixed(2)} s of slip, ${(energy / 1000).toFixed(1)} kJ of heat, steels at ${heat}`;
  if (outcome === 'locked') return `Locked at ${lockRpm.toFixed(0)} rpm after ${slipped}.`;
  if (outcome === 'stalled') return `Stalled at ${leastRpm.toFixed(0)} rpm after ${slipped}.`;
  return `Still slipping at the end: ${slipped}.`;
}

/** The expected judder of a start, with its causes. */
export function describeJudder({ judder }: TakeoffResult): string {
  const { level, fed, growth, worst, reasons } = judder;
  if (level === 'none')
    return worst <= 0
      ? 'No judder: friction rises with slip speed and damps the driveline.'
      : `No judder: friction takes at most ${(worst * 100).toFixed(0)} % of the driveline’s damping.`;
  const times = growth >= 1000 ? 'over 1000' : `${growth.toFixed(0)} times`;
  const from =
    reasons.length > 0 ? ` Caused by ${reasons.join(', ')}.` : ' Caused by the heat of the steels.';
  return `Judder is ${level}: for ${fed.toFixed(2)} s friction feeds a vibration that grows ${times}.${from}`;
}
