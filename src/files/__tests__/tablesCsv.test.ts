import type { Job } from '@/core/job/types';
import { put } from '@/testing/packs';
import { crag, jobsOfEachKind, knoll, measured, smallStock, visitOf } from '@/testing/jobs';
import Papa from 'papaparse';

import { withEntry } from '@/core/job/paths';

import { writeLogCsv, writeMeasurementsCsv, writeShelfCsv, writeTorqueCsv } from '../tablesCsv';
import { readTorqueCsv } from '../torqueCsv';

const read = (text: string) => {
  const { data, errors } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: true,
  });
  expect(errors).toEqual([]);
  return data;
};

/** Measured at 212 h, and at two visits after that. */
const job: Job = {
  ...put(measured(crag(), 0.02), { 'intake.hours': 212 }),
  visits: [visitOf(crag(), '2026-05-01', 230, 0.03), visitOf(crag(), '2026-08-01', 253, 0.05)],
};

describe('tables of the workshop', () => {
  it('write numbers no finer than the gauge reads them', () => {
    const plate = job.pack.plates[0];
    if (!plate) throw new Error('no plate');
    const fine = withEntry(job, `pack.plates.${plate.id}.readings.1`, { value: 2.1 + 0.8 / 3 });
    expect(read(writeMeasurementsCsv([fine]))[0]?.['point 1 (mm)']).toBe('2.367');
    for (const row of read(writeLogCsv(jobsOfEachKind())))
      for (const [column, text] of Object.entries(row))
        if (/\((mm|N|h|km)\)$/.test(column)) expect(text).toMatch(/^(-?\d+(\.\d{1,3})?)?$/);
  });

  it('hold every plate that was measured, at the inspection and at each return', () => {
    const rows = read(writeMeasurementsCsv([job]));
    expect(rows).toHaveLength(15 + 2 * 8);
    expect(rows[0]).toMatchObject({
      job: 'T-1',
      when: 'inspected',
      plate: '1',
      kind: 'Disc',
      'point 1 (mm)': '2.98',
      'point 4 (mm)': '2.98',
      'minimum (mm)': '2.98',
      'machine hours (h)': '212',
    });
    expect(rows.at(-1)).toMatchObject({
      when: 'service visit',
      date: '2026-08-01',
      plate: '15',
      'minimum (mm)': '2.95',
    });
    expect(read(writeMeasurementsCsv([{ ...job, pack: { ...job.pack, plates: [] } }]))).toEqual([]);
  });

  it('hold the logs machine after machine, with the units in the header', () => {
    const road: Job = {
      ...put(knoll(), { 'intake.distance': 46800 }),
      machine: { ...knoll().machine, meter: 'distance' },
    };
    const rows = read(writeLogCsv([job, road]));
    const first = rows.filter((r) => r.job === 'T-1');
    expect(first.map((r) => r['machine hours (h)'])).toEqual(['212', '230', '253']);
    expect(Number(first[0]?.['stack (mm)'])).toBeCloseTo(34.2, 9);
    expect(rows.find((r) => r.job === 'T-3')).toMatchObject({
      'machine hours (h)': '',
      'distance run (km)': '46800',
    });
    expect(first[2]).toMatchObject({ what: 'service visit', 'clamp (N)': '' });
  });

  it('hold the shelf with the parts in jobs', () => {
    const shelf = smallStock();
    const [plate] = shelf.plates;
    const using = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p, i) => (i === 1 && plate ? { ...p, shelfId: plate.id } : p)),
      },
    };
    const rows = read(writeShelfCsv(shelf, [using]));
    expect(rows).toHaveLength(shelf.plates.length + shelf.springs.length);
    expect(rows[0]).toMatchObject({
      label: 'S1',
      count: '3',
      'in jobs': '1',
      free: '2',
      state: 'used',
    });
  });

  it('write formulas as text, and anything else as it is', () => {
    const name = '=HYPERLINK("x"),"quoted"\n😀\u202e';
    const [row] = read(writeMeasurementsCsv([{ ...job, machine: { ...job.machine, name } }]));
    expect(row?.machine).toBe(`'${name}`);
    for (const start of ['+1', '-1', '@x', '\t=1']) {
      const [hostile] = read(writeLogCsv([{ ...job, notes: start }]));
      expect(hostile?.note).toBe(`'${start}`);
    }
  });

  it('write a torque curve that our own reader takes back', () => {
    const curve = {
      name: 'made up',
      at: 'crank' as const,
      points: [2000, 4000, 6000].map((rpm) => ({ rpm, torque: 30 + rpm / 1000 })),
    };
    expect(readTorqueCsv(writeTorqueCsv(curve), 'again.csv').curve.points).toEqual(curve.points);
  });
});
