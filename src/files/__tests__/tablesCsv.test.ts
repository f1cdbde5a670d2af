import Papa from 'papaparse';

import { withEntry } from '@/core/job/paths';
import { demoJob, demoJobs } from '@/demo/jobs';
import { demoShelf } from '@/demo/shelf';

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

describe('tables of the workshop', () => {
  it('write numbers no finer than the gauge reads them', () => {
    const job = demoJob('UR-0101');
    const plate = job.pack.plates[0];
    if (!plate) throw new Error('no plate');
    const fine = withEntry(job, `pack.plates.${plate.id}.readings.1`, { value: 2.1 + 0.8 / 3 });
    expect(read(writeMeasurementsCsv([fine]))[0]?.['point 1 (mm)']).toBe('2.367');
    for (const row of read(writeLogCsv(demoJobs())))
      for (const [column, text] of Object.entries(row))
        if (/\((mm|N|h|km)\)$/.test(column)) expect(text).toMatch(/^(-?\d+(\.\d{1,3})?)?$/);
  });

  it('hold every plate that was measured, at the inspection and at each return', () => {
    const job = demoJob('UR-0101');
    const rows = read(writeMeasurementsCsv([job]));
    expect(rows).toHaveLength(17 + 3 * 9);
    expect(rows[0]).toMatchObject({
      job: 'UR-0101',
      when: 'inspected',
      plate: '1',
      kind: 'Disc, large bore',
      'point 1 (mm)': '2.89',
      'point 4 (mm)': '',
      'least (mm)': '2.88',
      'machine hours (h)': '212',
    });
    expect(rows.at(-1)).toMatchObject({
      when: 'return',
      date: '2026-11-16',
      plate: '17',
      'least (mm)': '2.844',
    });
    expect(read(writeMeasurementsCsv([{ ...job, pack: { ...job.pack, plates: [] } }]))).toEqual([]);
  });

  it('hold the logs machine after machine, with the units in the header', () => {
    const rows = read(writeLogCsv(demoJobs()));
    const first = rows.filter((r) => r.job === 'UR-0101');
    expect(first.map((r) => r['machine hours (h)'])).toEqual(['212', '230', '253', '278']);
    expect(Number(first[0]?.['stack (mm)'])).toBeCloseTo(33.93, 9);
    expect(rows.find((r) => r.job === 'UR-0103')).toMatchObject({
      'machine hours (h)': '',
      'distance run (km)': '46800',
    });
    expect(first[3]).toMatchObject({ what: 'return', 'free play (mm)': '2.7', 'clamp (N)': '' });
  });

  it('hold the shelf with what lies in jobs', () => {
    const shelf = demoShelf();
    const [plate] = shelf.plates;
    const job = demoJob('UR-0106');
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
      count: '1',
      'in jobs': '1',
      free: '0',
      state: 'used',
    });
  });

  it('write what a spreadsheet would reckon as text, and anything else as it is', () => {
    const job = demoJob('UR-0101');
    const name = '=HYPERLINK("x"),"quoted"\n😀\u202e';
    const [row] = read(writeMeasurementsCsv([{ ...job, machine: { ...job.machine, name } }]));
    expect(row?.machine).toBe(`'${name}`);
    for (const start of ['+1', '-1', '@x', '\t=1']) {
      const [hostile] = read(writeLogCsv([{ ...job, notes: start }]));
      expect(hostile?.note).toBe(`'${start}`);
    }
  });

  it('write a torque curve that our own reader takes back', () => {
    const { curve } = demoJob('UR-0101').engine;
    if (!curve) throw new Error('no curve');
    expect(readTorqueCsv(writeTorqueCsv(curve), 'again.csv').curve.points).toEqual(curve.points);
  });
});
