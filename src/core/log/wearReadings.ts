import { upperFirst } from '@/core/text/sentence';
import { layOut } from '@/core/evaluate/engine/layers';
import type { Job } from '../job/types';
import type { MeterSpec, Run } from '../life/meter';
import { meterOf, runRead } from '../life/meter';
import type { WearLine, WearPoint } from '../life/wear';
import { GROWN } from '@/core/life/visits';
import { fitWear } from '../life/wear';
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

/** Replaced discs; empty when all were replaced. */
export function others(discs: readonly DiscLife[]): string {
  const names = discs.filter((d) => d.otherFrom !== undefined).map((d) => d.name);
  if (names.length === 0) return '';
  const [who, was] =
    names.length === 1
      ? [upperFirst(names[0] ?? ''), 'was']
      : [names.length === discs.length ? 'All discs' : `${names.length} discs`, 'were'];
  return `${who} ${was} thicker at a later visit than before: earlier readings are not used. ${names.length === 1 ? 'It is a different disc' : 'They are different discs'}, or a reading is wrong.`;
}

export interface Reading {
  readonly date: string;
  readonly run: Run;
  /** Least thickness by plate. */
  readonly read: ReadonlyMap<string, Mm>;
}

/** The dates at which the meter was read, by rising readings: the pack as it went in, then the returns. */
export function datesOf(job: Job): readonly Reading[] {
  const all: Reading[] = [];
  const atIntake = runRead(job, job.intake);
  if (atIntake) {
    const read = new Map<string, Mm>();
    let date = '';
    const asNew = new Map(job.pack.kinds.map((k) => [k.id, k.thickness?.value]));
    for (const plate of job.pack.plates) {
      const readings = Object.values(plate.readings ?? {});
      if (readings.length === 0) {
        // New at the meter reading of the assembly: without this a first return would spread its wear over all that the machine ever ran.
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
export function earlierDates(job: Job, jobs: readonly Job[]): readonly Reading[] {
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

export function discLives(
  job: Job,
  dates: readonly Reading[],
  meter: MeterSpec,
): readonly DiscLife[] {
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
export function lineOf(
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

export const DAY = 86_400_000;

const daysBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / DAY;

/** Hours or kilometres per week between the first and the last reading; unknown within one week. */
export function wearRateOf(points: readonly LifePoint[]): Run | undefined {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return undefined;
  const days = daysBetween(first.date, last.date);
  const run = last.run - first.run;
  return days >= 7 && run > 0 ? (run / days) * 7 : undefined;
}
