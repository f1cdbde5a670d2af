import { crag, fen, jobsOfEachKind } from '@/testing/jobs';
import { put } from '@/testing/packs';

import { entry } from '../../job/entry';
import type { FieldPath } from '../../job/fieldPath';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { evaluate } from '../evaluate';
import type { Figure, FigureId, WorkingInput } from '@/core/evaluate/engine/figure';

/*
 * What a working lists is what its figure rests on: each row moves the figure, and nothing moves it that is in no row. Found by
 * changing one value after the other.
 */

/** Figures of which a row need not count just now: a minimum or maximum of several values, a bound, or what cancels out. */
const ONE_OF_SEVERAL: ReadonlySet<FigureId> = new Set([
  'liftNeeded',
  'liningPressure',
  'clampAtPeak',
  'expandContact',
  'expandLockUp',
  'stackMargin',
  'liftLost',
  // What is lost at the lever cancels out of a straight train's ratio, and a place is not moved by what scales the whole curve.
  'overallRatio',
  'pullLift',
  'leastCurveSpeed',
  // Idle is a bound: below it the engine stalls.
  'startHeat',
]);

/** Steels without radii are as wide as the widest lining: that another would be is in no row. */
const WIDEST: ReadonlySet<FigureId> = new Set(['packInertia']);

type Known = ReadonlyMap<FigureId, Figure>;

const knownOf = (job: Job): Known =>
  new Map([...evaluate(job).figures].flatMap(([id, f]) => (f.status === 'known' ? [[id, f]] : [])));

const differs = (a: Figure, b: Figure): boolean =>
  a.value !== b.value || a.range?.low !== b.range?.low || a.range?.high !== b.range?.high;

/** The fields that a figure rests on, by way of other figures too. */
function fieldsOf(figures: Known, id: FigureId): ReadonlySet<FieldPath> {
  const inputs = figures.get(id)?.working.inputs ?? [];
  return new Set(
    inputs.flatMap(({ path, figure }) => [
      ...(path ? [path] : []),
      ...(figure ? fieldsOf(figures, figure) : []),
    ]),
  );
}

/** The job with a value a little greater and a little less. */
const moved = (job: Job, { path, value, quantity }: WorkingInput): readonly Job[] =>
  path === undefined
    ? []
    : [0.07, -0.07].map((by) => {
        const near = value === 0 ? 0.05 + by / 10 : value * (1 + by);
        const next = quantity === 'count' ? Math.round(value) + Math.sign(by) : near;
        return withEntry(job, path, entry(next));
      });

/** The demo jobs, and what none of them has. */
const JOBS: readonly (readonly [string, Job])[] = [
  ...jobsOfEachKind().map((job) => [job.number, job] as const),
  [
    'a caliper and an arm at an angle',
    put(crag(), {
      'pack.caliper': 34,
      'release.armStart': -6,
      'release.freePlay': 2,
    }),
  ],
  [
    'worn shoes',
    put(fen(), {
      'startClutch.wear': 0.8,
      'startClutch.springRate': 9,
      'startClutch.massLost': 0.004,
    }),
  ],
];

describe.each(JOBS)('workings of %s', (_name, job) => {
  const figures = knownOf(job);
  const inputs = new Map(
    [...figures.values()]
      .flatMap((f) => f.working.inputs)
      .flatMap((input) => (input.path ? [[input.path, input] as const] : [])),
  );
  const after = new Map(
    [...inputs].map(([path, input]) => [path, moved(job, input).map(knownOf)] as const),
  );
  /** @param gone whether it counts as moved where it is not known any more */
  const moves = (path: FieldPath, figure: Figure, gone: boolean): boolean =>
    (after.get(path) ?? []).some((all) => {
      const now = all.get(figure.id);
      return now ? differs(figure, now) : gone;
    });

  it('have no row that does not count', () => {
    const idle = [...figures.values()]
      .filter((f) => !ONE_OF_SEVERAL.has(f.id))
      .flatMap((f) =>
        f.working.inputs.flatMap(({ path, symbol, label }) =>
          path && !moves(path, f, true) ? [`${f.id}: ${symbol} ${label}`] : [],
        ),
      );
    expect(idle).toEqual([]);
  });

  it('leave nothing out that counts', () => {
    const hidden = [...figures.values()]
      .filter((f) => !WIDEST.has(f.id))
      .flatMap((f) => {
        const listed = fieldsOf(figures, f.id);
        return [...inputs.keys()].flatMap((path) =>
          !listed.has(path) && moves(path, f, false) ? [`${f.id}: ${path}`] : [],
        );
      });
    expect(hidden).toEqual([]);
  });
});
