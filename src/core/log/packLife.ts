import { upperFirst } from '@/core/text/sentence';
import { engagesByItself } from '@/core/clutch/fitted';
import { layOut } from '@/core/evaluate/engine/layers';
import { packModel } from '../evaluate/states';
import type { Job } from '../job/types';
import type { MeterSpec, Run } from '../life/meter';
import { meterOf, runRead } from '../life/meter';
import type { LimitForecast, WearLine, WearPoint } from '../life/wear';
import { GROWN, meterRanBack } from '@/core/life/visits';
import { fitWear, forecastLimits } from '../life/wear';
import type { Mm } from '../units/quantity';

/** Wear at one date: as the pack went in, or at a return. */
export interface LifePoint extends WearPoint {
  /** ISO date. */
  readonly date: string;
}

/** One disc over the life of its pack. */
export interface DiscLife {
  readonly plateId: string;
  readonly name: string;
  readonly points: readonly LifePoint[];
  /** Measured, at the start or at a visit; the nominal thickness of a new disc is not a measurement. */
  readonly measured: boolean;
  /** Meter reading at which the disc was thicker than before, so it is a different disc: earlier readings are not its wear. */
  readonly otherFrom?: Run;
  readonly line?: WearLine;
  /** Wear against new at which the disc is too thin. */
  readonly limit?: Mm;
}

export type LimitKind = 'disc' | 'pack' | 'stackLimits' | 'holds' | 'gap';

/** A limit with the reading of the meter at which wear will meet it, and the day where the machine's pace is known. */
export interface Foreseen extends LimitForecast {
  readonly kind: LimitKind;
  /** Hours or kilometres from the last reading. */
  readonly left: Run;
  readonly date?: string;
  readonly earliestDate?: string;
  readonly latestDate?: string;
}

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

/** Replaced discs; empty when all were replaced. */
function others(discs: readonly DiscLife[]): string {
  const names = discs.filter((d) => d.otherFrom !== undefined).map((d) => d.name);
  if (names.length === 0) return '';
  const [who, was] =
    names.length === 1
      ? [upperFirst(names[0] ?? ''), 'was']
      : [names.length === discs.length ? 'All discs' : `${names.length} discs`, 'were'];
  return `${who} ${was} thicker at a later visit than before: earlier readings are not used. ${names.length === 1 ? 'It is a different disc' : 'They are different discs'}, or a reading is wrong.`;
}

interface Reading {
  readonly date: string;
  readonly run: Run;
  /** Least thickness by plate. */
  readonly read: ReadonlyMap<string, Mm>;
}

/** The dates at which the meter was read, by rising readings: the pack as it went in, then the returns. */
function datesOf(job: Job): readonly Reading[] {
  const all: Reading[] = [];
  const atIntake = runRead(job, job.intake);
  if (atIntake) {
    const read = new Map<string, Mm>();
    let date = '';
    const asNew = new Map(job.pack.kinds.map((k) => [k.id, k.thickness?.value]));
    for (const plate of job.pack.plates) {
      const readings = Object.values(plate.readings ?? {});
      if (readings.length === 0) {
        // New where the meter stood: without this a first return would spread its wear over all that the machine ever ran.
        const nominal = plate.isNew ? asNew.get(plate.kindId) : undefined;
        if (nominal !== undefined) read.set(plate.id, nominal);
        continue;
      }
      read.set(plate.id, Math.min(...readings.map((r) => r.value)));
      date = readings[0]?.source?.date ?? date;
    }
    const signedAt = job.signOff.revisions[0]?.signedAt;
    all.push({
      date: date || (atIntake.source?.date ?? (signedAt ?? job.createdAt).slice(0, 10)),
      run: atIntake.value,
      read,
    });
  }
  for (const visit of job.visits) {
    const then = runRead(job, visit);
    if (!then) continue;
    const read = new Map(Object.entries(visit.readings).map(([id, e]) => [id, e.value] as const));
    all.push({ date: visit.date, run: then.value, read });
  }
  return all.filter((d) => d.read.size > 0).sort((a, b) => a.run - b.run);
}

/** Readings of earlier jobs of the machine, of the plates that stayed in since. */
function earlierDates(job: Job, jobs: readonly Job[]): readonly Reading[] {
  const stayed = new Map(job.pack.plates.flatMap((p) => (p.isNew ? [] : [[p.id, p.kindId]])));
  return jobs
    .filter(
      (other) =>
        other.id !== job.id &&
        other.machine.id === job.machine.id &&
        other.createdAt < job.createdAt &&
        meterOf(other) === meterOf(job),
    )
    .flatMap((other) => {
      const same = new Set(
        other.pack.plates.flatMap((p) => (stayed.get(p.id) === p.kindId ? [p.id] : [])),
      );
      return datesOf(other).map((d) => ({
        ...d,
        read: new Map([...d.read].filter(([id]) => same.has(id))),
      }));
    })
    .filter((d) => d.read.size > 0);
}

function discLives(job: Job, dates: readonly Reading[], meter: MeterSpec): readonly DiscLife[] {
  return layOut(job)
    .layers.filter((l) => l.lined !== 'none' && l.kind.thickness !== undefined)
    .map((l) => {
      const asNew = l.kind.thickness?.value ?? Number.NaN;
      const points = dates.flatMap(({ date, run, read }) => {
        const now = read.get(l.plate.id);
        return now === undefined ? [] : [{ date, run, wear: asNew - now }];
      });
      const otherFrom = points.findLast((p, n) => grew(points[n - 1], p))?.run;
      const line = lineOf(
        points.filter((p) => p.run >= (otherFrom ?? 0)),
        meter,
        otherFrom !== undefined,
      );
      const least = l.kind.minThickness?.value;
      return {
        plateId: l.plate.id,
        name: `plate ${l.number}`,
        points,
        measured:
          Object.keys(l.plate.readings ?? {}).length > 0 ||
          job.visits.some((visit) => visit.readings[l.plate.id] !== undefined),
        ...(otherFrom === undefined ? {} : { otherFrom }),
        ...(line ? { line } : {}),
        ...(least === undefined ? {} : { limit: asNew - least }),
      };
    });
}

const grew = (before: LifePoint | undefined, now: LifePoint): boolean =>
  before !== undefined && before.wear - now.wear > GROWN;

/**
 * The line through some points; from new where there is but one after some running, and none where nothing can be drawn.
 * @param others the points are of discs that came later: how long those have run is not known from one date
 */
function lineOf(
  points: readonly LifePoint[],
  { least }: MeterSpec,
  others: boolean,
): WearLine | undefined {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return undefined;
  // A single date only describes discs that are already worn.
  const oneDate = last.run - first.run < least;
  if (oneDate && (others || last.run < least || last.wear < LEAST_WEAR)) return undefined;
  return fitWear(oneDate ? [last] : points);
}

/** Resolution of a micrometer, mm. */
const LEAST_WEAR: Mm = 0.02;

const LIMIT_NAME: Readonly<Record<Exclude<LimitKind, 'disc'>, string>> = {
  stackLimits: 'stack below its limits',
  pack: 'pack at its wear limit',
  holds: 'slips at worst-case friction',
  gap: 'install gap outside its limits',
};

type Named = LimitForecast & { readonly kind: LimitKind };

/** Limits of the whole pack; the model counts wear from the pack as it went in. */
function packLimits(job: Job, worn: Mm, line: WearLine, { farthest }: MeterSpec): readonly Named[] {
  // Each disc has a line of its own.
  const limits: { readonly kind: Exclude<LimitKind, 'disc'>; readonly at: Mm }[] = packModel(job)
    .wearReserve()
    .flatMap(({ kind, wear }) => (kind === 'disc' ? [] : [{ kind, at: worn + wear }]));
  const { setting } = job;
  // The gap of an expanding disc grows by the wear of the discs.
  if (engagesByItself(job, 'inPack') && setting.gapMax && setting.installGap)
    limits.push({ kind: 'gap', at: worn + setting.gapMax.value - setting.installGap.value });
  return limits.flatMap(({ kind, at }) =>
    forecastLimits(line, [{ name: LIMIT_NAME[kind], at }], farthest).map((f) => ({
      ...f,
      kind,
    })),
  );
}

/** The disc that will be too thin before any other. */
function firstDisc(discs: readonly DiscLife[], { farthest }: MeterSpec): readonly Named[] {
  return discs
    .flatMap(({ name, line, limit }) =>
      line && limit !== undefined && line.slope > 0
        ? forecastLimits(line, [{ name: `${name} too thin`, at: limit }], farthest)
        : [],
    )
    .map((f) => ({ ...f, kind: 'disc' as const }))
    .sort((a, b) => a.run - b.run)
    .slice(0, 1);
}

const DAY = 86_400_000;
const daysBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / DAY;

/** Hours or kilometres per week between the first and the last reading; unknown within one week. */
function wearRateOf(points: readonly LifePoint[]): Run | undefined {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return undefined;
  const days = daysBetween(first.date, last.date);
  const run = last.run - first.run;
  return days >= 7 && run > 0 ? (run / days) * 7 : undefined;
}

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
