import { blankSprings } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import { crag, scree } from '@/testing/jobs';
import { evaluate } from '@/core/evaluate/evaluate';
import type { Job } from '@/core/job/types';

import { withDiaphragmPoint, withTesterPoint } from '../testerPoint';

const [springs] = crag().springs.coil.groups;
if (!springs) throw new Error('a pack without springs');
/** Springs of 20 N/mm from three pulls on the tester. */
const job: Job = {
  ...crag(),
  springs: blankSprings([
    {
      ...springs,
      rateFrom: 'tester',
      testerPoints: [29, 31, 33].map((length, i) => ({
        id: `t${i}`,
        length: entry(length),
        force: entry((45 - length) * 20),
      })),
    },
  ]),
};
const points = (j: typeof job) => j.springs.coil.groups[0]?.testerPoints ?? [];

describe('a pull of the spring tester', () => {
  it('becomes a point of its kind, tested on that day, and moves the rate', () => {
    const next = withTesterPoint(job, 'g', { length: '34.00', force: '230.0' }, 'n', '2026-11-24');
    expect(points(next)).toHaveLength(4);
    expect(points(next).at(-1)).toEqual({
      id: 'n',
      length: { value: 34, source: { kind: 'tested', date: '2026-11-24' } },
      force: { value: 230, source: { kind: 'tested', date: '2026-11-24' } },
    });
    const rate = (j: typeof job) => evaluate(j).figures.get('springRate');
    expect(rate(next)).not.toEqual(rate(job));
  });

  it.each([
    ['none', '230'],
    ['-3', '230'],
    ['34', 'E--'],
    ['NaN', 'NaN'],
  ])('of %s mm and %s N changes nothing', (length, force) => {
    expect(withTesterPoint(job, 'g', { length, force }, 'n', '2026-11-24')).toBe(job);
  });

  it('for a kind that is not there leaves all points alone', () => {
    expect(
      points(withTesterPoint(job, 'gone', { length: '34', force: '1' }, 'n', '2026-11-24')),
    ).toEqual(points(job));
  });
});

describe('a press of the diaphragm on the tester', () => {
  const quad = scree();
  const bare: Job = {
    ...quad,
    springs: { ...quad.springs, diaphragm: { ...quad.springs.diaphragm, points: [] } },
  };
  const pressed = (...readings: readonly (readonly [string, string])[]) =>
    readings.reduce(
      (j, [length, force], i) =>
        withDiaphragmPoint(j, 5.2, { length, force }, `p${i}`, '2026-11-29'),
      bare,
    );
  const at = (j: typeof quad) =>
    j.springs.diaphragm.points.map((p) => [p.deflection?.value ?? NaN, p.force?.value ?? NaN]);

  it('is a point at the deflection from where the tester touched first', () => {
    const [touch, first] = at(pressed(['5.22', '0'], ['4.20', '3050']));
    expect(touch).toEqual([0, 0]);
    expect(first?.[0]).toBeCloseTo(1, 9);
    expect(first?.[1]).toBe(3050);
  });

  it('replaces the earlier reading at the same place', () => {
    const again = at(pressed(['5.20', '0'], ['4.20', '3050'], ['4.18', '3090']));
    expect(again.map(([, force]) => force)).toEqual([0, 3090]);
  });

  it.each([
    ['6.40', '0'],
    ['none', '10'],
    ['4.2', '-3'],
  ])('of %s mm and %s N changes nothing', (length, force) => {
    expect(pressed([length, force])).toBe(bare);
  });
});
