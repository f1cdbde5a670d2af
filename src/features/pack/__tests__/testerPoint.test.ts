import { evaluate } from '@/core/evaluate/evaluate';
import { demoJob } from '@/demo/jobs';

import { withTesterPoint } from '../testerPoint';

const job = demoJob('UR-0106');
const points = (j: typeof job) => j.springs.coil.groups[0]?.testerPoints ?? [];

describe('a pull of the spring tester', () => {
  it('becomes a point of its kind, tested on that day, and moves the rate', () => {
    const next = withTesterPoint(
      job,
      'stock',
      { length: '34.00', force: '230.0' },
      'n',
      '2026-11-24',
    );
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
    expect(withTesterPoint(job, 'stock', { length, force }, 'n', '2026-11-24')).toBe(job);
  });

  it('for a kind that is not there leaves all points alone', () => {
    expect(
      points(withTesterPoint(job, 'gone', { length: '34', force: '1' }, 'n', '2026-11-24')),
    ).toEqual(points(job));
  });
});
