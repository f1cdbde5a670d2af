import {
  cairn,
  crag,
  fen,
  jobsOfEachKind,
  knoll,
  scree,
  smallLibrary,
  smallStock,
} from '@/testing/jobs';
import fc from 'fast-check';

import { EMPTY_STOCK } from '../../shelf/stock';
import type { MergeChoice, Workshop } from '../merge';
import { merged, planMerge } from '../merge';
import { unmerged } from '../unmerge';

const WORKSHOP: Workshop = {
  jobs: [...jobsOfEachKind()],
  unfinished: { knoll: { 'engine.peakTorque': 'forty' } },
  shelf: smallStock(),
  templates: { 'coil:build': { own: [{ id: 'o1', text: 'Wipe the mating face' }], order: [] } },
  library: smallLibrary(),
};
const EMPTY: Workshop = {
  jobs: [],
  unfinished: {},
  shelf: EMPTY_STOCK,
  library: [],
  templates: {},
};
const NONE = new Map<string, MergeChoice>();
let n = 0;
const newId = () => `fresh${++n}`;
const take = (here: Workshop, file: Workshop, choices: ReadonlyMap<string, MergeChoice> = NONE) =>
  merged(here, file, choices, newId).workshop;

const withNotes = (notes: string): Workshop => ({
  ...WORKSHOP,
  jobs: WORKSHOP.jobs.map((j) => (j.number === 'T-3' ? { ...j, notes } : j)),
});

describe('taking a file into a workshop', () => {
  it('restores an empty workshop to an equal one', () => {
    expect(take(EMPTY, WORKSHOP)).toEqual(WORKSHOP);
    expect(planMerge(EMPTY, WORKSHOP).every((i) => i.status === 'new')).toBe(true);
  });

  it.each<MergeChoice>(['here', 'file', 'both'])(
    'changes nothing when all is the same, with %s chosen',
    (choice) => {
      const plan = planMerge(WORKSHOP, WORKSHOP);
      const choices = new Map(plan.map((i) => [i.key, choice] as const));
      expect(plan.every((i) => i.status === 'same')).toBe(true);
      expect(take(WORKSHOP, WORKSHOP, choices)).toEqual(WORKSHOP);
    },
  );

  it('keeps both versions of a job that differs, complete, unless decided otherwise', () => {
    const file = withNotes('from the other bench');
    const key = 'job:knoll';
    expect(planMerge(WORKSHOP, file).filter((i) => i.status === 'differs')).toEqual([
      expect.objectContaining({ key, name: expect.stringContaining('T-3') as string }),
    ]);
    const both = take(WORKSHOP, file);
    expect(both.jobs).toHaveLength(WORKSHOP.jobs.length + 1);
    const ours = both.jobs.find((j) => j.id === 'knoll');
    const theirs = both.jobs.at(-1);
    expect(ours?.notes).not.toBe('from the other bench');
    expect(theirs).toMatchObject({ notes: 'from the other bench', number: 'T-3, from a file' });
    // Unfinished text comes along with its own job.
    expect(both.unfinished[theirs?.id ?? '']).toEqual(WORKSHOP.unfinished['knoll']);
    expect(take(WORKSHOP, file, new Map([[key, 'file']])).jobs).toEqual(file.jobs);
    expect(take(WORKSHOP, file, new Map([[key, 'here']]))).toEqual(WORKSHOP);
  });

  it('lets a job from a clashing workshop go on naming its own plates of the shelf', () => {
    const [plate] = WORKSHOP.shelf.plates;
    if (!plate) throw new Error('no plate');
    const job = knoll();
    const using = {
      ...job,
      id: 'theirs',
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p, i) => (i === 1 ? { ...p, shelfId: plate.id } : p)),
      },
    };
    const other: Workshop = {
      ...EMPTY,
      jobs: [using],
      shelf: { ...EMPTY_STOCK, plates: [{ ...plate, thickness: 2.31, label: 'X1' }] },
    };
    const { jobs, shelf } = take(WORKSHOP, other);
    const put = shelf.plates.find((p) => p.thickness === 2.31);
    expect(put?.id).not.toBe(plate.id);
    expect(put?.label).toBe('X1, from a file');
    expect(jobs.find((j) => j.id === 'theirs')?.pack.plates[1]?.shelfId).toBe(put?.id);
    expect(shelf.plates.find((p) => p.id === plate.id)).toEqual(plate);
  });

  it('gives photographs of a job that is kept beside ours identifiers of their own', () => {
    const photo = {
      id: 'ph1',
      caption: '',
      takenAt: '2026-11-01T08:00:00.000Z',
      width: 8,
      height: 8,
      bytes: 9,
    };
    const here = { ...WORKSHOP, jobs: [{ ...knoll(), photos: [photo] }] };
    const file = { ...here, jobs: [{ ...knoll(), photos: [photo], notes: 'other' }] };
    const { workshop, photos } = merged(here, file, NONE, newId);
    const id = workshop.jobs.at(-1)?.photos[0]?.id;
    expect(id).not.toBe('ph1');
    expect([...photos]).toEqual([['ph1', id]]);
    expect([...merged(EMPTY, here, NONE, newId).photos]).toEqual([['ph1', 'ph1']]);
  });

  it('puts a sheet of limits with other values beside ours, and the file’s jobs go on naming theirs', () => {
    const [sheet] = WORKSHOP.library;
    if (!sheet) throw new Error('no sheet');
    const base = scree();
    const job = {
      ...base,
      id: 'from-file',
      machine: { ...base.machine, limitsId: sheet.id },
    };
    const file = {
      ...EMPTY,
      jobs: [job],
      library: [{ ...sheet, note: 'another edition', limits: sheet.limits.slice(1) }],
    };
    const after = take(WORKSHOP, file);
    const taken = after.library.find((s) => s.note === 'another edition');
    expect(after.library).toContain(sheet);
    expect(taken?.id).not.toBe(sheet.id);
    expect(after.jobs.find((j) => j.id === 'from-file')?.machine.limitsId).toBe(taken?.id);
  });

  it('loses nothing that is here, whatever comes and whatever is chosen but the file’s own', () => {
    const some = fc.subarray([...jobsOfEachKind()]).chain((jobs) =>
      fc.record({
        jobs: fc.tuple(
          ...jobs.map((j) => fc.constantFrom(j, { ...j, notes: 'x' }, { ...j, number: 'Z' })),
        ),
        shelf: fc.subarray([...smallStock().plates], { maxLength: 5 }).map((plates) => ({
          ...EMPTY_STOCK,
          plates,
        })),
        unfinished: fc.constant({}),
        templates: fc.constantFrom({}, WORKSHOP.templates),
        library: fc.subarray([...WORKSHOP.library]),
      }),
    );
    fc.assert(
      fc.property(
        some,
        some,
        fc.constantFrom<MergeChoice>('here', 'both'),
        (here, file, choice) => {
          const choices = new Map(planMerge(here, file).map((i) => [i.key, choice] as const));
          const after = take(here, file, choices);
          for (const job of here.jobs) expect(after.jobs).toContain(job);
          for (const plate of here.shelf.plates) expect(after.shelf.plates).toContain(plate);
          // Taken in again, the same file brings nothing new and nothing else by its name.
          expect(planMerge(after, file).every((i) => i.status !== 'new')).toBe(true);
          const ids = after.jobs.map((j) => j.id);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('an import that is taken back', () => {
  it('takes out what the file brought, and nothing that was done since', () => {
    const file: Workshop = { ...EMPTY, jobs: [knoll(), cairn()] };
    const before: Workshop = { ...EMPTY, jobs: [crag(), scree()] };
    const { workshop: after } = merged(before, file, NONE, newId);
    const edit = (workshop: Workshop, number: string, notes: string): Workshop => ({
      ...workshop,
      jobs: workshop.jobs.map((j) => (j.number === number ? { ...j, notes } : j)),
    });
    // Since then one of ours and one of the file's were worked on, and a job was begun.
    const begun = { ...fen(), id: 'begun' };
    const now = edit(edit(after, 'T-1', 'signed since'), 'T-4', 'measured since');
    const { workshop, kept } = unmerged({ ...now, jobs: [...now.jobs, begun] }, before, after);
    expect(workshop.jobs.map((j) => [j.number, j.notes])).toEqual([
      ['T-1', 'signed since'],
      ['T-2', scree().notes],
      ['T-4', 'measured since'],
      ['T-5', begun.notes],
    ]);
    expect(kept).toEqual(['T-4']);
  });

  it('puts back what the file replaced, and a whole workshop where nothing was done since', () => {
    const before: Workshop = { ...EMPTY, jobs: [crag()] };
    const other = { ...crag(), notes: 'from the file' };
    const choices = new Map([[`job:${other.id}`, 'file' as const]]);
    const { workshop: after } = merged(before, { ...EMPTY, jobs: [other] }, choices, newId);
    expect(after.jobs[0]?.notes).toBe('from the file');
    expect(unmerged(after, before, after)).toEqual({ workshop: before, kept: [] });
  });
});
