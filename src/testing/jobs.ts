import { blankCoilGroup } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Entry, Job, Visit } from '@/core/job/types';
import type { WorkStage } from '@/core/job/work';
import type { SpecSheet } from '@/core/library/limits';
import { specSheetFromJob } from '@/core/library/limits';
import { openItems } from '@/core/signoff/openItems';
import { withReason, signed } from '@/core/signoff/revisions';
import { smallParts, stripLines } from '@/core/strip/stripList';
import type { Stock } from '@/core/shelf/stock';
import { usualFasteners } from '@/core/worksheet/fasteners';
import { stepMarked, stepsOf, testJudged } from '@/core/worksheet/worksheet';
import { digestOf } from '@/files/digest';

import { autoPack, coilPack, diaphragmPack, loosePack, pedalPack } from './packs';

/* Whole small jobs for tests: packs with a machine, a rider, and work on them. */

export const NOW = '2026-03-09T12:00:00.000Z';
const on = (date: string) => ({ kind: 'measured', date }) as const;

/** A complete pack in a machine, with a complaint. */
function inMachine(pack: Job, id: string, number: string, name: string): Job {
  return {
    ...pack,
    id,
    number,
    machine: {
      ...pack.machine,
      id: `machine-${id}`,
      name,
      use: 'test bench',
      layout: pack.machine.layout === 'unknown' ? 'pack' : pack.machine.layout,
    },
    duty: {
      mass: entry(180),
      wheelRadius: entry(320),
      gearRatio: entry(9),
      startRpm: entry(4000),
    },
    intake: { ...pack.intake, complaints: ['heavy'], aims: ['lighter'], oil: 'wetClutch' },
  };
}

export const crag = (): Job => inMachine(coilPack(), 'crag', 'T-1', 'Crag 400');
export const scree = (): Job => inMachine(autoPack(), 'scree', 'T-2', 'Scree 700');
export const knoll = (): Job => inMachine(diaphragmPack(), 'knoll', 'T-3', 'Knoll 1200');

/** Two kinds of spring that alternate. */
export function cairn(): Job {
  const job = inMachine(loosePack(), 'cairn', 'T-4', 'Cairn 500');
  const [springs] = job.springs.coil.groups;
  if (!springs) throw new Error('a pack without springs');
  const four = (id: string, name: string, free: number) => ({
    ...springs,
    id,
    name,
    count: entry(4),
    freeLength: entry(free),
  });
  return {
    ...job,
    springs: {
      ...job.springs,
      coil: {
        ...job.springs.coil,
        groups: [four('long', 'Long', 46), four('short', 'Short', 45)],
        ring: Array.from({ length: 8 }, (_, i) => (i % 2 === 0 ? 'long' : 'short')),
        ringRadius: entry(50),
      },
    },
  };
}
export const fen = (): Job => inMachine(pedalPack(), 'fen', 'T-5', 'Fen 250');

/** One job of each spring type and attachment. */
export const jobsOfEachKind = (): readonly Job[] => [crag(), scree(), knoll(), cairn(), fen()];

/** Taken apart: every line done, every part counted out. */
export function strippedDown(job: Job, count = 6): Job {
  return {
    ...job,
    strip: {
      ...job.strip,
      steps: stripLines(job).map((l, i) => ({ ...l, id: `s${i}`, done: true })),
      parts: smallParts(job).map((p, i) => ({
        ...p,
        id: `n${i}`,
        out: entry(p.key === 'springs' || p.key === 'pins' ? count : 2, on('2026-03-01')),
      })),
    },
  };
}

/** Every plate measured at each of its points, so much below new, and the steels on a surface plate. */
export const measured = (job: Job, worn: number, date = '2026-03-01'): Job => ({
  ...job,
  pack: {
    ...job.pack,
    plates: job.pack.plates.map((p) => {
      const kind = job.pack.kinds.find((k) => k.id === p.kindId);
      const isDisc = kind?.lined !== 'none';
      const at = entry((kind?.thickness?.value ?? 0) - worn, on(date));
      const points = isDisc ? job.inspection.discPoints : job.inspection.steelPoints;
      return {
        ...p,
        readings: Object.fromEntries(Array.from({ length: points }, (_, i) => [i + 1, at])),
        ...(isDisc ? {} : { outOfFlat: entry(0.01, on(date)) }),
      };
    }),
  },
});

/** The fasteners of the clutch, each with a torque by the manual and as applied. */
export function torqued(job: Job, torque = 10): Job {
  let n = 0;
  const given: Entry = { value: torque, typed: `${torque} Nm`, source: { kind: 'manual' } };
  return {
    ...job,
    build: {
      ...job.build,
      headClearance: entry(3),
      fasteners: usualFasteners(job, () => `f${n++}`).map((f) => ({
        ...f,
        count: f.count ?? entry(6),
        torque: given,
        applied: entry(torque),
      })),
    },
  };
}

/** The steps of a stage done, some minutes apart. */
export function done(job: Job, stage: WorkStage, from = NOW): Job {
  let next = job;
  stepsOf(job, stage).forEach(({ line }, i) => {
    const at = new Date(Date.parse(from) + i * 240_000).toISOString();
    next = line.test
      ? testJudged(next, line.test, 'pass', at)
      : stepMarked(next, stage, line.key, true, at);
  });
  return next;
}

/** Assembled, set and proved, ready to sign. */
export function finished(base: Job): Job {
  const job = torqued(strippedDown(base));
  const ready: Job = {
    ...job,
    stage: 'log',
    strip: { ...job.strip, parts: job.strip.parts.map((p) => ({ ...p, in: p.out ?? entry(0) })) },
    build: { ...job.build, soakStart: '2026-03-08T17:00:00.000Z' },
    setting: { ...job.setting, freePlayMin: entry(2), freePlayMax: entry(6) },
    release: {
      ...job.release,
      freePlay: entry(2.5),
      liftReadings: [0, 120, 240].map((angle, i) => ({
        id: `d${i}`,
        angle: entry(angle),
        lift: entry(1.84 + i / 100),
      })),
    },
    prove: {
      ...job.prove,
      starts: [{ id: 'first', name: 'First gear', wanted: entry(10), done: entry(10) }],
      recheckFreePlay: entry(2.2),
      recheckLift: entry(1.84),
    },
  };
  return done(done(done(ready, 'build'), 'set'), 'prove');
}

/** Finished and signed, with a reason for whatever is open. */
export function signedOff(base: Job): Job {
  const job = finished(base);
  const reasoned = openItems(job).reduce(
    (j, { id }) => withReason(j, { itemId: id, reason: 'made up', by: 'Bench 1', at: NOW }),
    job,
  );
  return signed(reasoned, 'Bench 1', NOW, digestOf);
}

/** A visit with one reading of every disc, so much below new. */
export const visitOf = (job: Job, date: string, hours: number, worn: number): Visit => ({
  id: `v-${date}`,
  date,
  hours: entry(hours),
  readings: Object.fromEntries(
    job.pack.plates.flatMap((p) => {
      const kind = job.pack.kinds.find((k) => k.id === p.kindId);
      return kind?.lined === 'none' ? [] : [[p.id, entry((kind?.thickness?.value ?? 0) - worn)]];
    }),
  ),
  note: '',
});

/** Thirty steels round 1.5 mm, and springs of two kinds. */
export const smallStock = (): Stock => ({
  plates: Array.from({ length: 30 }, (_, i) => ({
    id: `st${i}`,
    label: `S${i + 1}`,
    sort: 'steel' as const,
    nominal: 1.5,
    thickness: 1.46 + (i % 9) / 100,
    count: i === 0 ? 3 : 1,
    isNew: false,
    measured: '2026-01-10',
  })),
  springs: [16, 24].map((rate, i) => ({
    id: `sp${i}`,
    count: 12,
    group: {
      ...blankCoilGroup(`sp${i}`, `Rate ${rate}`),
      rate: entry(rate),
      freeLength: entry(45),
      solidLength: entry(22),
    },
  })),
  scrap: [],
  scrapSprings: [],
  wanted: [],
  gauges: [],
});

/** The limits of a job as a sheet of the library. */
export function sheetFrom(job: Job): SpecSheet {
  let n = 0;
  const empty = { id: `of-${job.id}`, name: job.machine.name, note: '', updatedAt: '', limits: [] };
  return specSheetFromJob(empty, job, () => `${job.id}-${++n}`, NOW);
}

export const smallLibrary = (): readonly SpecSheet[] => [sheetFrom(crag()), sheetFrom(scree())];

/** The job of a number. @throws where there is none */
export function jobOf(number: string): Job {
  const job = jobsOfEachKind().find((j) => j.number === number);
  if (!job) throw new Error(`no job ${number}`);
  return job;
}
