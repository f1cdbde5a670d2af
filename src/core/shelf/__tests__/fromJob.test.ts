import { crag, jobsOfEachKind, measured, smallStock } from '@/testing/jobs';
import { inspect } from '../../inspect/inspect';
import { evaluate } from '../../evaluate/evaluate';
import { readingsOf } from '../../job/types';

import { orderList } from '../../paper/orderList';
import {
  nextLabel,
  ordersOfJobs,
  scrapOf,
  scrapSpringsOf,
  missingStock,
  stockPlateOf,
  stockSpringsOf,
} from '../fromJob';
import { EMPTY_STOCK } from '../stock';

const job = measured(crag(), 0.02);
const { parts } = inspect(job, evaluate(job));
const TODAY = '2026-11-24';
const mm = (value: number) => `${value} mm`;

describe('a plate of a job on the shelf', () => {
  it('keeps its thinnest spot, what it is sold as, its lining and where it came from', () => {
    const disc = parts.find((p) => p.plate && p.plate.kind.lined !== 'none');
    if (!disc?.plate) throw new Error('no disc');
    const plate = stockPlateOf(job, disc, EMPTY_STOCK, 'x', TODAY);
    const thinnest = Math.min(...readingsOf(disc.plate.plate).map((r) => r.value));
    expect(plate).toMatchObject({
      sort: 'disc',
      label: 'D1',
      thickness: thinnest,
      nominal: disc.plate.kind.thickness?.value,
      lining: disc.plate.kind.lining,
      from: `T-1, plate ${disc.plate.number}`,
      count: 1,
      isNew: false,
    });
    expect(plate?.measured).toMatch(/^2026-/);
  });

  it('keeps the out-of-flat of a steel, and has no lining', () => {
    const steel = parts.find((p) => p.plate?.kind.lined === 'none' && p.plate.plate.outOfFlat);
    const plate = steel && stockPlateOf(job, steel, smallStock(), 'x', TODAY);
    expect(plate?.outOfFlat).toBe(steel?.plate?.plate.outOfFlat?.value);
    expect(plate?.lining).toBeUndefined();
    expect(plate?.label).toBe('S31');
  });

  it('is new only while nothing was measured on it', () => {
    const layer = parts.find((p) => p.plate?.plate.readings)?.plate;
    if (!layer) throw new Error('no plate that was measured');
    const as = (plate: object) => {
      const plates = job.pack.plates.map((p) =>
        p.id === layer.plate.id ? { id: p.id, kindId: p.kindId, ...plate } : p,
      );
      const changed = { ...job, pack: { ...job.pack, plates } };
      const part = inspect(changed, evaluate(changed)).parts.find(
        (p) => p.plate?.plate.id === layer.plate.id,
      );
      return part && stockPlateOf(changed, part, EMPTY_STOCK, 'x', TODAY)?.isNew;
    };
    expect(as({ isNew: true })).toBe(true);
    expect(as({})).toBe(false);
    expect(as({ isNew: true, readings: layer.plate.readings })).toBe(false);
    expect(as({ readings: layer.plate.readings })).toBe(false);
  });

  it('can’t be one without any thickness, and what is no plate neither', () => {
    const [any] = parts.filter((p) => p.plate);
    if (!any?.plate) throw new Error('no plate');
    const { thickness: _t, ...kind } = any.plate.kind;
    const { readings: _r, ...bare } = any.plate.plate;
    expect(
      stockPlateOf(
        job,
        { ...any, plate: { ...any.plate, kind, plate: bare } },
        EMPTY_STOCK,
        'x',
        TODAY,
      ),
    ).toBeUndefined();
    const { plate: _p, ...noPlate } = any;
    expect(stockPlateOf(job, noPlate, EMPTY_STOCK, 'x', TODAY)).toBeUndefined();
  });

  it('goes to the scrap with why', () => {
    const [first] = smallStock().plates;
    if (!first) throw new Error('no plate');
    expect(scrapOf(first, 'warped', TODAY)).toEqual({ ...first, why: 'warped', scrapped: TODAY });
  });

  it('gets a label that neither shelf nor scrap has', () => {
    expect(nextLabel(EMPTY_STOCK, 'steel')).toBe('S1');
    expect(nextLabel(smallStock(), 'disc')).toBe('D1');
  });
});

describe('springs of a job on the shelf', () => {
  const [group] = job.springs.coil.groups;
  if (!group) throw new Error('no springs');

  it('keep what they are, their number, where they came from and the shortest that was measured', () => {
    const measured = {
      ...job,
      inspection: {
        ...job.inspection,
        springLengths: [41.2, 40.8, 41.5].map((mm, i) => ({
          id: `l${i}`,
          groupId: group.id,
          length: { value: mm },
        })),
      },
    };
    const springs = stockSpringsOf(measured, group, 'x');
    expect(springs).toMatchObject({
      id: 'x',
      count: group.count?.value,
      from: 'T-1',
      group: { id: 'x', name: group.name, freeLength: { value: 40.8 } },
    });
    expect(springs?.group.count).toBeUndefined();
    expect(stockSpringsOf(job, group, 'x')?.group.freeLength).toEqual(group.freeLength);
    expect(springs && scrapSpringsOf(springs, 'short', TODAY)).toEqual({
      id: 'x',
      name: group.name,
      count: group.count?.value,
      freeLength: 40.8,
      from: 'T-1',
      why: 'short',
      scrapped: TODAY,
    });
  });

  it('are nothing while their number is not known', () => {
    const { count: _count, ...unknown } = group;
    expect(stockSpringsOf(job, unknown, 'x')).toBeUndefined();
  });
});

describe('what the shop has to order', () => {
  it('lists per job the parts to order at Specify and Build, without parts on the shelf', () => {
    const stages = ['build', 'set', 'inspect', 'specify', 'intake'] as const;
    const jobs = jobsOfEachKind().map((j, i) => ({ ...j, stage: stages[i] ?? 'intake' }));
    const orders = ordersOfJobs(jobs);
    expect(orders.map((o) => o.job.number)).toEqual(['T-1', 'T-4']);
    for (const { job: of, lines } of orders)
      expect(lines).toEqual(orderList(of).filter((line) => line.from === 'order'));
    expect(ordersOfJobs(jobs.map((j) => ({ ...j, archived: true })))).toEqual([]);
  });

  it('is what is wanted less what is free, sizes by what they are sold as', () => {
    const shelf = {
      ...smallStock(),
      wanted: [{ id: 'w', sort: 'steel' as const, nominal: 1.5, atLeast: 34 }],
    };
    const jobs = jobsOfEachKind();
    const before = missingStock(shelf, [], mm);
    expect(before).toEqual([
      { what: 'Steel 1.5 mm', count: 2, why: '32 free, 34 wanted on the shelf' },
    ]);
    const [plate] = shelf.plates.filter((p) => p.nominal === 1.5);
    const holder = {
      ...jobs[0]!,
      pack: {
        ...jobs[0]!.pack,
        plates: [{ id: 'p', kindId: 'steel', ...(plate ? { shelfId: plate.id } : {}) }],
      },
    };
    expect(missingStock(shelf, [holder], mm)[0]).toMatchObject({ count: 3 });
    expect(missingStock({ ...shelf, wanted: [] }, jobs, mm)).toEqual([]);
  });
});
