import type { Entry } from '../job/record/entry';
import type { Meter } from '../job/record/intake';
import type { Job } from '../job/types';
import type { Quantity } from '../units/quantity';
import type { UnitChoice } from '../units/format';
import { formatWithUnit, shownUnit } from '../units/format';

/** How long a machine has run, by its meter: hours, or kilometres on the road. One of the two throughout. */
export type Run = number;

export interface MeterSpec {
  readonly meter: Meter;
  readonly name: string;
  readonly quantity: Quantity;
  /** Readings nearer to each other than this are of one date. */
  readonly least: Run;
  /** Beyond this nothing is foreseen. */
  readonly farthest: Run;
  /** Over which wear of one disc can be read at a glance. */
  readonly per: Run;
  /** Round length over which wear is stated. */
  readonly step: Run;
}

export const METER: Readonly<Record<Meter, MeterSpec>> = {
  hours: {
    meter: 'hours',
    name: 'Machine hours',
    quantity: 'hours',
    least: 1,
    farthest: 100_000,
    per: 100,
    step: 10,
  },
  distance: {
    meter: 'distance',
    name: 'Distance run',
    quantity: 'distance',
    least: 20,
    farthest: 5_000_000,
    per: 5000,
    step: 500,
  },
};

/**
 * The meter this machine counts by; hours by default.
 * Never throws.
 * @example meterOf(quad).name // "Machine hours"
 */
export const meterOf = (job: Pick<Job, 'machine'>): MeterSpec =>
  METER[job.machine.meter ?? 'hours'];

interface Read {
  readonly hours?: Entry;
  readonly distance?: Entry;
}

/**
 * The meter reading of this machine, in hours or kilometres, from intake or a visit. Readings of the other meter are kept but
 * not used.
 * Never throws.
 * @example runRead(quad, quad.intake)?.value // 1310
 */
export const runRead = (job: Pick<Job, 'machine'>, read: Read): Entry | undefined =>
  read[job.machine.meter ?? 'hours'];

/**
 * A run as a builder reads it off a meter: whole hours, kilometres or miles. Never throws.
 * @example runText(278.4, METER.hours, {}) // "278 h"
 */
export const runText = (run: Run, { quantity }: MeterSpec, units: UnitChoice): string =>
  formatWithUnit(run, quantity, units, 0);

/**
 * A rate stated over a round length in the builder's unit: 100 h, 5000 km or 5000 mi.
 * Never throws.
 * @param perRun something per hour or per kilometre
 * @example overRound(0.0004, METER.hours.per, METER.hours, {}) // { value: 0.04, over: "100 h" }
 */
export function overRound(
  perRun: number,
  round: Run,
  { quantity }: MeterSpec,
  units: UnitChoice,
): { readonly value: number; readonly over: string } {
  const { factor, symbol } = shownUnit(quantity, units);
  return { value: perRun * round * factor, over: `${round} ${symbol}` };
}
