import { upperFirst } from '@/core/text/sentence';
import type { Job } from '../job/types';
import type { MeterSpec, Run } from '../life/meter';
import { meterOf } from '../life/meter';
import type { WearLine } from '../life/wear';
import { meterRanBack } from '@/core/life/visits';
import { firstDisc, packLimits } from './lifeLimits';
import type { Foreseen, Named } from './lifeLimits';
import { DAY, datesOf, discLives, earlierDates, lineOf, others, wearRateOf } from './wearReadings';
import type { DiscLife, LifePoint, Reading } from './wearReadings';

/** Wear and predictions of a pack from its readings. */
export interface PackLife {
  readonly meter: MeterSpec;
  readonly discs: readonly DiscLife[];
  /** Wear of the discs that were measured, together; the same discs count at each date. */
  readonly pack: {
    readonly points: readonly LifePoint[];
    readonly line?: WearLine;
    /** How many discs it is the wear of. */
    readonly discs: number;
  };
  /** Hours or kilometres a week, by its own readings. */
  readonly perWeek?: Run;
  /** Limits by when they are met, the first one first; empty where nothing can be foreseen. */
  readonly foreseen: readonly Foreseen[];
  /** Reason why there is no prediction, or a note on its quality. */
  readonly caution?: string;
}

const NO_METER_READINGS =
  'No prediction: no disc was measured at a known meter reading. Enter the meter reading, and a thickness for each disc.';

const ONE_DATE = 'No prediction from one date: measure again at the next visit.';

const NO_SLOPE = 'No prediction: the readings show no wear between the dates.';

const FROM_NEW = 'One reading: the rate assumes that these discs were fitted new.';

const TWO_DATES = 'Two dates: a trend without a range. A third reading gives the range.';

const METER_RAN_BACK =
  'No prediction: the meter reading was higher at an earlier date. Correct it; after a meter change, enter the total run of the machine.';

/**
 * Wear of a pack over its run, from assembly and each visit, with the limit reached first. The thickness at assembly is the
 * lowest reading of a disc, or the nominal for a new, unmeasured one; wear is relative to new.
 * @param job the record; hours or distance from `intake` and the visits
 * @param jobs of the workshop: those of the same machine give the earlier readings of the plates that stayed in
 * Never throws for a job that passes the schema: what can't be foreseen is said in `caution`.
 * Source: linear regression; `docs/mechanics.md` section 11.
 * @example packLife(job).foreseen[0].name // "stack below its limits"
 */
export function packLife(job: Job, jobs: readonly Job[] = []): PackLife {
  const meter = meterOf(job);
  const dates = [...earlierDates(job, jobs), ...datesOf(job)].sort((a, b) => a.run - b.run);
  const discs = discLives(job, dates, meter);
  const all = packPoints(dates, discs);
  // The pack is another from where one of its discs is.
  const from = Math.max(0, ...discs.flatMap((d) => d.otherFrom ?? []));
  const points = all.filter((p) => p.run >= from);
  const ranBack = meterRanBack(job).length > 0;
  const line = ranBack ? undefined : lineOf(points, meter, from > 0);
  const pack = { points, discs: counted(discs).length, ...(line ? { line } : {}) };
  const perWeek = ranBack ? undefined : wearRateOf(all);
  const base = { meter, discs, pack, ...(perWeek === undefined ? {} : { perWeek }) };
  const says = (caution?: string) => {
    const words = [others(discs), unmeasured(discs), caution ?? ''].filter((w) => w !== '');
    return words.length > 0 ? { caution: words.join(' ') } : {};
  };
  const last = points.at(-1);
  if (!last) return { ...base, foreseen: [], ...says(NO_METER_READINGS) };
  if (ranBack) return { ...base, foreseen: [], caution: METER_RAN_BACK };
  if (!line) return { ...base, foreseen: [], ...says(ONE_DATE) };
  if (!(line.slope > 0)) return { ...base, foreseen: [], ...says(NO_SLOPE) };
  const foreseen = [...packLimits(job, all[0]?.wear ?? 0, line, meter), ...firstDisc(discs, meter)]
    .sort((a, b) => a.run - b.run)
    .map((f) => dated(f, last, perWeek));
  const passed = line.basis === 'new' ? foreseen.find((f) => f.run <= last.run) : undefined;
  if (passed) return { ...base, foreseen: [], ...says(passedLimit(passed.name)) };
  const basis =
    line.basis === 'new' ? FROM_NEW : line.deviation === undefined ? TWO_DATES : undefined;
  return { ...base, foreseen, ...says(basis) };
}

/** The discs whose wear is counted: measured discs, or all while none is measured. */
function counted(discs: readonly DiscLife[]): readonly DiscLife[] {
  const measured = discs.filter((d) => d.measured);
  return measured.length > 0 ? measured : discs;
}

/**
 * Wear of the pack at each date: the mean of the discs that were read at all of them, times the discs that count. A disc read
 * at some dates only must not make the pack look more worn at one and less at another.
 */
function packPoints(dates: readonly Reading[], all: readonly DiscLife[]): readonly LifePoint[] {
  const discs = counted(all);
  const at = (d: DiscLife, { date, run }: Reading) =>
    d.points.find((p) => p.date === date && p.run === run);
  const read = dates.filter((then) => discs.some((d) => at(d, then)));
  const always = discs.filter((d) => read.every((then) => at(d, then)));
  return read.map((then) => {
    const points = (always.length > 0 ? always : discs).flatMap((d) => at(d, then) ?? []);
    const mean = points.reduce((s, p) => s + p.wear, 0) / points.length;
    return { date: then.date, run: then.run, wear: mean * discs.length };
  });
}

/** Unmeasured discs while others are measured; otherwise empty. */
function unmeasured(discs: readonly DiscLife[]): string {
  const names = discs.filter((d) => !d.measured).map((d) => d.name);
  if (names.length === 0 || names.length === discs.length) return '';
  return names.length === 1
    ? `${upperFirst(names[0] ?? '')} was never measured: its wear is not included.`
    : `${names.length} discs were never measured: their wear is not included.`;
}

const passedLimit = (name: string): string =>
  `No prediction from one date: a limit is already passed (${name}).`;

/** Latest predicted day: a later date is meaningless. */
const FARTHEST_WEEKS = 52 * 20;

function dated(f: Named, last: LifePoint, pace: number | undefined): Foreseen {
  const left = Math.max(0, f.run - last.run);
  const day = (run: Run | undefined): string | undefined => {
    if (pace === undefined || run === undefined) return undefined;
    const weeks = (run - last.run) / pace;
    return weeks > FARTHEST_WEEKS
      ? undefined
      : new Date(Date.parse(last.date) + Math.round(weeks * 7) * DAY).toISOString().slice(0, 10);
  };
  const date = day(f.run);
  const earliestDate = day(f.earliest);
  const latestDate = day(f.latest);
  return {
    ...f,
    left,
    ...(date ? { date } : {}),
    ...(earliestDate ? { earliestDate } : {}),
    ...(latestDate ? { latestDate } : {}),
  };
}
