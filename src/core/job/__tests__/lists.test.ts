import { JOB_FILE } from '@/files/schema/job';

import { blankJob } from '../blank';
import { LIST_LENGTHS, longList } from '../lists';

interface Described {
  readonly type?: string;
  readonly keys?: Readonly<Record<string, Described>>;
  readonly items?: readonly Described[];
  readonly rules?: readonly {
    readonly name: string;
    readonly args?: { readonly limit?: number };
  }[];
}

/** The maximum length of every list of objects or texts in a file, by its path. */
function listsIn(schema: Described, path: string, found: Map<string, number>): void {
  for (const [key, child] of Object.entries(schema.keys ?? {}))
    listsIn(child, path === '' ? key : `${path}.${key}`, found);
  if (schema.type !== 'array') return;
  const most = schema.rules?.find((rule) => rule.name === 'max')?.args?.limit;
  // A choice out of a few words can't grow.
  if (schema.rules?.some((rule) => rule.name === 'unique')) return;
  if (most !== undefined) found.set(path, most);
  for (const item of schema.items ?? []) listsIn(item, `${path}.*`, found);
}

const job = blankJob('a', 'UR-0101', '2026-05-04T09:00:00Z');

describe('the lists of a job', () => {
  it('are as long in an edit as in a file', () => {
    const found = new Map<string, number>();
    const { keys } = JOB_FILE.describe() as Described;
    listsIn(keys?.job ?? {}, '', found);
    const own = [...found].filter(([path]) => !path.startsWith('signOff.revisions.*'));
    expect(Object.fromEntries(own.sort())).toEqual(
      Object.fromEntries(Object.entries(LIST_LENGTHS).sort()),
    );
  });

  it('are named when one is too long, and only when it was changed', () => {
    const photo = { id: 'p', caption: '', takenAt: '', width: 1, height: 1, bytes: 0 };
    const long = { ...job, photos: Array.from({ length: 201 }, () => photo) };
    expect(longList(long, job)).toEqual({ path: 'photos', most: 200 });
    expect(longList({ ...long, notes: 'x' }, long)).toBeUndefined();
    expect(longList({ ...job, photos: [photo] }, job)).toBeUndefined();
  });

  it('are named inside an item as well', () => {
    const point = (n: number) => ({ id: `t${n}` });
    const group = {
      id: 'g',
      name: 'Coil',
      rateFrom: 'tester' as const,
      testerPoints: Array.from({ length: 41 }, (_, n) => point(n)),
    };
    const { springs } = job;
    const long = { ...job, springs: { ...springs, coil: { ...springs.coil, groups: [group] } } };
    expect(longList(long, job)?.path).toBe('springs.coil.groups.*.testerPoints');
  });
});
