import { entry } from '@/core/job/entry';
import { seededRandom } from '@/core/random/random';
import type { ScrapPlate, Stock, StockPlate, StockSpring } from '@/core/shelf/stock';

import { testedOn } from './common';

/* The shelf of the invented workshop: made-up plates and springs, measured one by one. */

const SEED = 704;
const TESTED = '2026-08-14';

/** So many steels of a nominal thickness; used ones have lost a little, new ones lie within their tolerance. */
const STEELS = [
  { nominal: 1.2, used: 12, fresh: 10 },
  { nominal: 1.5, used: 12, fresh: 8 },
  { nominal: 1.6, used: 12, fresh: 6 },
] as const;
const DISCS = [
  { nominal: 2.8, count: 8 },
  { nominal: 2.92, count: 10 },
  { nominal: 3.0, count: 12 },
] as const;

/** Rate, free and solid length of four kinds of spring. */
const SPRINGS = [
  { name: 'Fell 14', rate: 14.2, free: 42.5, solid: 24.5, count: 12 },
  { name: 'Fell 17', rate: 17.1, free: 42.0, solid: 25.2, count: 12 },
  { name: 'Fell 20', rate: 20.3, free: 41.4, solid: 26.1, count: 6 },
  { name: 'Short 22', rate: 22.0, free: 39.0, solid: 25.8, count: 8 },
] as const;

/** A plate that was measured and found no good. */
const SCRAP: ScrapPlate = {
  id: 'shelf-scrap-1',
  label: 'S70',
  sort: 'steel',
  nominal: 1.5,
  thickness: 1.462,
  count: 1,
  isNew: false,
  outOfFlat: 0.24,
  measured: TESTED,
  why: 'warped',
  scrapped: TESTED,
};

/** As a micrometer reads: to a thousandth. */
const read = (mm: number) => Math.round(mm * 1000) / 1000;

export function demoShelf(): Stock {
  const random = seededRandom(SEED);
  const plates: StockPlate[] = [];
  const put = (plate: Omit<StockPlate, 'id' | 'label'>) => {
    const mark = plate.sort === 'steel' ? 'S' : 'D';
    const n = plates.filter((p) => p.sort === plate.sort).length + 1;
    plates.push({ ...plate, id: `shelf-${mark}${n}`.toLowerCase(), label: `${mark}${n}` });
  };
  for (const { nominal, used, fresh } of STEELS) {
    for (let i = 0; i < used; i++)
      put({
        sort: 'steel',
        nominal,
        thickness: read(nominal - 0.01 - 0.06 * random()),
        count: 1,
        isNew: false,
        measured: TESTED,
      });
    for (let i = 0; i < fresh; i++)
      put({
        sort: 'steel',
        nominal,
        thickness: read(nominal + 0.03 * (random() - 0.5)),
        count: 1,
        isNew: true,
        measured: TESTED,
      });
  }
  for (const { nominal, count } of DISCS)
    put({ sort: 'disc', nominal, thickness: nominal, count, isNew: true, lining: 'paper' });
  const springs = SPRINGS.map(({ name, rate, free, solid, count }, i): StockSpring => {
    const source = testedOn(TESTED);
    const force = (length: number) => Math.round(rate * (free - length));
    return {
      id: `shelf-f${i + 1}`,
      count,
      group: {
        id: `shelf-f${i + 1}`,
        name,
        rateFrom: 'tester',
        solidLength: entry(solid, source),
        testerPoints: [36, 33, 30].map((length, k) => ({
          id: `t${k}`,
          length: entry(length, source),
          force: entry(force(length), source),
        })),
      },
    };
  });
  return {
    plates,
    springs,
    scrap: [SCRAP],
    scrapSprings: [],
    wanted: STEELS.map(({ nominal }) => ({
      id: `wanted-${nominal}`.replace('.', '-'),
      sort: 'steel' as const,
      nominal,
      atLeast: 20,
    })),
    gauges: ['metricBlades', 'metricDrills', 'fractionDrills'],
  };
}
