import { engagesByItself } from '@/core/clutch/fitted';
import { evaluate } from '../evaluate/evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Job, LiningId, Meter, Visit } from '../job/types';
import type { Run } from '../life/meter';
import { METER, runRead } from '../life/meter';
import { byText } from '../order';
import type { Mm } from '../units/quantity';
import { packLife } from './packLife';

/** One line of a machine's log: a pack that went in, or a return. */
export interface LogLine {
  readonly id: string;
  readonly jobId: string;
  readonly number: string;
  readonly kind: 'job' | 'visit';
  /** ISO date. */
  readonly date: string;
  /** By which the machine counted then. */
  readonly meter: Meter;
  readonly run?: Run;
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
    .sort((a, b) => byText(a.date, b.date) || (a.run ?? 0) - (b.run ?? 0));
}

function lineOfJob(job: Job): LogLine {
  const { figures } = evaluate(job);
  const settings: Partial<Record<LogSetting, number>> = {};
  for (const id of FIGURES) {
    const outcome = figures.get(id);
    if (outcome?.status === 'known') settings[id] = outcome.value;
  }
  if (job.release.freePlay) settings.freePlay = job.release.freePlay.value;
  if (engagesByItself(job, 'inPack') && job.setting.installGap)
    settings.installGap = job.setting.installGap.value;
  return {
    id: job.id,
    jobId: job.id,
    number: job.number,
    kind: 'job',
    date: (job.signOff.revisions.at(-1)?.signedAt ?? job.createdAt).slice(0, 10),
    ...runOf(job, job.intake),
    settings,
    note: job.notes,
  };
}

function lineOfVisit(job: Job, visit: Visit): LogLine {
  return {
    id: visit.id,
    jobId: job.id,
    number: job.number,
    kind: 'visit',
    date: visit.date,
    ...runOf(job, visit),
    settings: {
      ...(visit.lift ? { liftHad: visit.lift.value } : {}),
      ...(visit.freePlay ? { freePlay: visit.freePlay.value } : {}),
    },
    note: visit.note,
  };
}

function runOf(job: Job, read: Job['intake'] | Visit): Pick<LogLine, 'meter' | 'run'> {
  const run = runRead(job, read);
  return { meter: job.machine.meter ?? 'hours', ...(run ? { run: run.value } : {}) };
}

/** How packs are grouped to compare their wear. */
export type WearGroup = 'use' | 'machine';

/** How fast discs of one lining wore in one use of machine, or in one machine. */
export interface WearRate {
  readonly lining: LiningId;
  /** The use, or the machine with its use. */
  readonly group: string;
  /** By which those machines count. */
  readonly meter: Meter;
  /** Of one disc, mm per hour or kilometre: the mean over the packs. */
  readonly perRun: Mm;
  /** Number of packs behind it. */
  readonly packs: number;
  /** Over which those packs were followed. */
  readonly run: Run;
  /** Too little to go by: one pack, or a rate taken from new. */
  readonly few: boolean;
}

/**
 * Disc wear per hour or kilometre, by lining and use or machine, over all packs with a known rate; longest followed first.
 * Hours and distance are never mixed. Packs with several linings are left out, since their wear can't be assigned.
 * @example wearRates([job])[0].packs // 1
 */
export function wearRates(jobs: readonly Job[], by: WearGroup = 'use'): readonly WearRate[] {
  const found = new Map<string, { lining: LiningId; meter: Meter; group: string; of: Rate[] }>();
  for (const job of jobs) {
    const rate = rateOf(job);
    if (!rate) continue;
    const { id, name, use, meter = 'hours' } = job.machine;
    const group = by === 'use' ? use : [name, use].filter(Boolean).join(', ');
    const key = `${rate.lining}|${meter}|${by === 'use' ? use.toLowerCase() : id}`;
    const known = found.get(key) ?? { lining: rate.lining, meter, group, of: [] };
    known.of.push(rate);
    found.set(key, known);
  }
  return [...found.values()]
    .map(({ lining, meter, group, of }) => ({
      lining,
      meter,
      group,
      perRun: of.reduce((s, r) => s + r.perRun, 0) / of.length,
      packs: of.length,
      run: of.reduce((s, r) => s + r.run, 0),
      few: of.length < 2 || of.every((r) => r.fromNew),
    }))
    .sort((a, b) => share(b) - share(a));
}

/** Followed length, so that hours and kilometres sort together. */
const share = ({ run, meter }: WearRate): number => run / METER[meter].per;

interface Rate {
  readonly lining: LiningId;
  readonly perRun: Mm;
  readonly run: Run;
  readonly fromNew: boolean;
}

function rateOf(job: Job): Rate | undefined {
  const used = new Set(job.pack.plates.map((p) => p.kindId));
  const linings = new Set(
    job.pack.kinds.filter((k) => used.has(k.id) && k.lined !== 'none').map((k) => k.lining),
  );
  const [lining] = linings;
  const { line, points, discs } = packLife(job).pack;
  if (linings.size !== 1 || !lining || !line || !(line.slope > 0)) return undefined;
  const first = points[0]?.run ?? 0;
  const last = points.at(-1)?.run ?? 0;
  const fromNew = line.basis === 'new';
  return {
    lining,
    perRun: line.slope / discs,
    run: fromNew ? last : last - first,
    fromNew,
  };
}
