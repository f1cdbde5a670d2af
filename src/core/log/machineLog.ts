import { evaluate } from '../evaluate/evaluate';
import type { FigureId } from '../evaluate/figure';
import type { Job, LiningId } from '../job/types';
import type { Hour, Mm } from '../units/quantity';
import { packLife } from './packLife';

/** One line of a machine's log: a pack that went in, or a return. */
export interface LogLine {
  readonly id: string;
  readonly jobId: string;
  readonly number: string;
  readonly kind: 'job' | 'return';
  /** ISO date. */
  readonly date: string;
  readonly hours?: Hour;
  /** Settings as they were left or found, known ones only. */
  readonly settings: Readonly<Partial<Record<LogSetting, number>>>;
  readonly note: string;
}

export type LogSetting = 'stack' | 'clamp' | 'leverPull' | 'liftHad' | 'freePlay' | 'installGap';

const FIGURES = ['stack', 'clamp', 'leverPull', 'liftHad'] as const satisfies readonly FigureId[];

/**
 * All that one machine went through, over its jobs and their returns, the oldest first.
 * @param jobs of one machine, in any order
 * @example machineLog([job]).length // 4
 */
export function machineLog(jobs: readonly Job[]): readonly LogLine[] {
  return jobs
    .flatMap((job) => [lineOfJob(job), ...job.visits.map((v) => lineOfVisit(job, v))])
    .sort((a, b) => a.date.localeCompare(b.date) || (a.hours ?? 0) - (b.hours ?? 0));
}

function lineOfJob(job: Job): LogLine {
  const { figures } = evaluate(job);
  const settings: Partial<Record<LogSetting, number>> = {};
  for (const id of FIGURES) {
    const outcome = figures.get(id);
    if (outcome?.status === 'known') settings[id] = outcome.value;
  }
  if (job.release.freePlay) settings.freePlay = job.release.freePlay.value;
  if (job.expanding.fitted && job.setting.installGap)
    settings.installGap = job.setting.installGap.value;
  return {
    id: job.id,
    jobId: job.id,
    number: job.number,
    kind: 'job',
    date: (job.signOff.revisions.at(-1)?.signedAt ?? job.createdAt).slice(0, 10),
    ...(job.intake.hours ? { hours: job.intake.hours.value } : {}),
    settings,
    note: job.notes,
  };
}

function lineOfVisit(job: Job, visit: Job['visits'][number]): LogLine {
  return {
    id: visit.id,
    jobId: job.id,
    number: job.number,
    kind: 'return',
    date: visit.date,
    ...(visit.hours ? { hours: visit.hours.value } : {}),
    settings: {
      ...(visit.lift ? { liftHad: visit.lift.value } : {}),
      ...(visit.freePlay ? { freePlay: visit.freePlay.value } : {}),
    },
    note: visit.note,
  };
}

/** By what packs are put together when their wear is compared. */
export type WearGroup = 'use' | 'machine';

/** How fast discs of one lining wore in one use of machine, or in one machine. */
export interface WearRate {
  readonly lining: LiningId;
  /** The use, or the machine with its use. */
  readonly group: string;
  /** Of one disc, mm/h: the mean over the packs. */
  readonly perHour: Mm;
  /** Packs that it rests on. */
  readonly packs: number;
  /** Hours over which those packs were followed. */
  readonly hours: Hour;
  /** Too little to go by: one pack, or a rate taken from new. */
  readonly few: boolean;
}

/**
 * Wear per hour and disc by lining and use or machine, over all packs whose readings give a rate; most hours first.
 * Packs with discs of more than one lining are left out, since they would tell of neither.
 * @example wearRates([job])[0].packs // 1
 */
export function wearRates(jobs: readonly Job[], by: WearGroup = 'use'): readonly WearRate[] {
  const found = new Map<string, { lining: LiningId; group: string; of: Rate[] }>();
  for (const job of jobs) {
    const rate = rateOf(job);
    if (!rate) continue;
    const { id, name, use } = job.machine;
    const group = by === 'use' ? use : [name, use].filter(Boolean).join(', ');
    const key = `${rate.lining}|${by === 'use' ? use.toLowerCase() : id}`;
    const known = found.get(key) ?? { lining: rate.lining, group, of: [] };
    known.of.push(rate);
    found.set(key, known);
  }
  return [...found.values()]
    .map(({ lining, group, of }) => ({
      lining,
      group,
      perHour: of.reduce((s, r) => s + r.perHour, 0) / of.length,
      packs: of.length,
      hours: of.reduce((s, r) => s + r.hours, 0),
      few: of.length < 2 || of.every((r) => r.fromNew),
    }))
    .sort((a, b) => b.hours - a.hours);
}

interface Rate {
  readonly lining: LiningId;
  readonly perHour: Mm;
  readonly hours: Hour;
  readonly fromNew: boolean;
}

function rateOf(job: Job): Rate | undefined {
  const used = new Set(job.pack.plates.map((p) => p.kindId));
  const linings = new Set(
    job.pack.kinds.filter((k) => used.has(k.id) && k.lined !== 'none').map((k) => k.lining),
  );
  const [lining] = linings;
  const { discs, pack } = packLife(job);
  const { line, points } = pack;
  if (linings.size !== 1 || !lining || !line || !(line.slope > 0)) return undefined;
  const first = points[0]?.hours ?? 0;
  const last = points.at(-1)?.hours ?? 0;
  const fromNew = line.basis === 'new';
  return {
    lining,
    perHour: line.slope / discs.length,
    hours: fromNew ? last : last - first,
    fromNew,
  };
}
