import type { Job, Plate, TorqueCurve } from '@/core/job/types';
import { POINTS } from '@/core/job/types';
import { machineLog } from '@/core/log/machineLog';
import type { Stock } from '@/core/shelf/stock';
import { reserved } from '@/core/shelf/stock';

import type { CsvRow } from './writeCsv';
import { writeCsv } from './writeCsv';

/* Tables of a workshop as CSV: base units, named in the header. */

const POINT_COLUMNS = POINTS.map((p) => `point ${p} (mm)`);
const MEASUREMENT_COLUMNS = [
  'job',
  'machine',
  'when',
  'date',
  'machine hours (h)',
  'distance run (km)',
  'plate',
  'kind',
  ...POINT_COLUMNS,
  'minimum (mm)',
  'out-of-flat (mm)',
  'tang clearance (mm)',
] as const;

type MeasurementRow = CsvRow<(typeof MEASUREMENT_COLUMNS)[number]>;

/** Every plate that was measured: once as it was inspected, and once for each visit. */
export function writeMeasurementsCsv(jobs: readonly Job[]): string {
  return writeCsv(
    MEASUREMENT_COLUMNS,
    jobs.flatMap((job) => [...inspected(job), ...returned(job)]),
  );
}

const runCells = (hours?: number, distance?: number): MeasurementRow => ({
  'machine hours (h)': hours ?? '',
  'distance run (km)': distance ?? '',
});

const about = (job: Job, plate: Plate): MeasurementRow => ({
  job: job.number,
  machine: job.machine.name,
  plate: job.pack.plates.indexOf(plate) + 1,
  kind: job.pack.kinds.find((k) => k.id === plate.kindId)?.name ?? '',
});

function inspected(job: Job): readonly MeasurementRow[] {
  return job.pack.plates.flatMap((plate) => {
    const readings = Object.entries(plate.readings ?? {});
    const flat = plate.outOfFlat;
    const tang = plate.tangClearance;
    if (readings.length === 0 && !flat && !tang) return [];
    const date = [...readings.map(([, r]) => r), flat, tang].find((e) => e?.source?.date);
    return [
      {
        ...about(job, plate),
        when: 'inspected',
        date: date?.source?.date ?? '',
        ...runCells(job.intake.hours?.value, job.intake.distance?.value),
        ...Object.fromEntries(readings.map(([point, r]) => [`point ${point} (mm)`, r.value])),
        'minimum (mm)': readings.length > 0 ? Math.min(...readings.map(([, r]) => r.value)) : '',
        'out-of-flat (mm)': flat?.value ?? '',
        'tang clearance (mm)': tang?.value ?? '',
      },
    ];
  });
}

function returned(job: Job): readonly MeasurementRow[] {
  return job.visits.flatMap((visit) =>
    job.pack.plates.flatMap((plate) => {
      const reading = visit.readings[plate.id];
      return reading
        ? [
            {
              ...about(job, plate),
              when: 'service visit',
              date: visit.date,
              ...runCells(visit.hours?.value, visit.distance?.value),
              'minimum (mm)': reading.value,
            },
          ]
        : [];
    }),
  );
}

const LOG_COLUMNS = {
  stack: 'stack (mm)',
  clamp: 'clamp (N)',
  leverPull: 'lever pull (N)',
  liftHad: 'lift (mm)',
  freePlay: 'free play (mm)',
  installGap: 'install gap (mm)',
} as const;

/** The logs of all machines, machine after machine, each by its dates. */
export function writeLogCsv(jobs: readonly Job[]): string {
  const machines = new Map<string, Job[]>();
  for (const job of jobs)
    machines.set(job.machine.id, [...(machines.get(job.machine.id) ?? []), job]);
  return writeCsv(
    [
      'machine',
      'use',
      'date',
      'machine hours (h)',
      'distance run (km)',
      'job',
      'what',
      ...Object.values(LOG_COLUMNS),
      'note',
    ],
    [...machines.values()].flatMap((of) =>
      machineLog(of).map((line) => ({
        machine: of[0]?.machine.name ?? '',
        use: of[0]?.machine.use ?? '',
        date: line.date,
        ...(line.meter === 'hours' ? runCells(line.run) : runCells(undefined, line.run)),
        job: line.number,
        what: line.kind === 'job' ? 'pack' : 'service visit',
        ...Object.fromEntries(
          Object.entries(line.settings).map(([id, value]) => [
            LOG_COLUMNS[id as keyof typeof LOG_COLUMNS],
            value,
          ]),
        ),
        note: line.note,
      })),
    ),
  );
}

/** The shelf, with the parts in jobs. */
export function writeShelfCsv(stock: Stock, jobs: readonly Job[]): string {
  const taken = reserved(jobs);
  const left = (id: string, count: number) => ({
    count,
    'in jobs': taken.get(id) ?? 0,
    free: count - (taken.get(id) ?? 0),
  });
  return writeCsv(
    ['label', 'sort', 'nominal (mm)', 'thickness (mm)', 'state', 'count', 'in jobs', 'free'],
    [
      ...stock.plates.map((p) => ({
        label: p.label,
        sort: p.sort,
        'nominal (mm)': p.nominal,
        'thickness (mm)': p.thickness,
        state: p.isNew ? 'new' : 'used',
        ...left(p.id, p.count),
      })),
      ...stock.springs.map((s) => ({
        label: s.group.name,
        sort: 'spring',
        ...left(s.id, s.count),
      })),
    ],
  );
}

/** A torque curve, as our own reader takes it. */
export const writeTorqueCsv = ({ points }: TorqueCurve): string =>
  writeCsv(
    ['rpm', 'torque (Nm)'],
    points.map((p) => ({ rpm: p.rpm, 'torque (Nm)': p.torque })),
  );
