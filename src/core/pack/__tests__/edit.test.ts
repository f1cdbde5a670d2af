import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import { MAX_PLATES } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { loosePack } from '@/testing/packs';
import { arbitraryJob } from '@/testing/arbitraryJob';

import {
  alikeTo,
  duplicated,
  flipped,
  inserted,
  movedByOne,
  movedTo,
  ofKind,
  ofThickness,
  removed,
} from '../edit';

const job = loosePack();
const ids = (j: Job) => j.pack.plates.map((p) => p.id);
const [a = '', b = '', c = '', d = ''] = ids(job);
let made = 0;
const newId = () => `new${made++}`;

const anyChoice = fc.tuple(arbitraryJob, fc.func(fc.boolean())).map(([any, choose]) => ({
  any,
  chosen: ids(any).filter((id) => choose(id)),
}));

describe('edits of the pack', () => {
  it('moves a plate past its neighbour, and several in their order', () => {
    expect(ids(movedByOne(job, [a], 1)).slice(0, 4)).toEqual([b, a, c, d]);
    expect(ids(movedByOne(job, [a, b], 1)).slice(0, 4)).toEqual([c, a, b, d]);
    expect(ids(movedByOne(job, [b, c], -1)).slice(0, 4)).toEqual([b, c, a, d]);
    expect(movedByOne(job, [a], -1)).toBe(job);
  });

  it('gives the record itself back where nothing is to be changed, so that there is no step to undo', () => {
    expect(flipped(job, [])).toBe(job);
    expect(flipped(job, ['nobody'])).toBe(job);
    const [kind = ''] = job.pack.plates.map((p) => p.kindId);
    expect(ofKind(job, [a], kind)).toBe(job);
    expect(removed(job, ['nobody'])).toBe(job);
    expect(movedTo(job, [a], 0)).toBe(job);
  });

  it('moves plates together into a gap', () => {
    expect(ids(movedTo(job, [a], 3)).slice(0, 4)).toEqual([b, c, a, d]);
    expect(ids(movedTo(job, [a, c], 4)).slice(0, 4)).toEqual([b, d, a, c]);
    expect(movedTo(job, [b], 1)).toBe(job);
    expect(movedTo(job, [b], 2)).toBe(job);
    expect(ids(movedTo(job, [a], 99)).at(-1)).toBe(a);
  });

  it('leaves every plate in the pack, whatever is moved wherever', () => {
    fc.assert(
      fc.property(anyChoice, fc.integer({ min: -2, max: 70 }), ({ any, chosen }, gap) => {
        const before = [...ids(any)].sort();
        expect([...ids(movedTo(any, chosen, gap))].sort()).toEqual(before);
        expect([...ids(movedByOne(any, chosen, 1))].sort()).toEqual(before);
        // One place out and one place in is home again, unless the end of the pack stopped it.
        const out = movedByOne(any, chosen, 1);
        if (out !== any && !chosen.includes(ids(any).at(-1) ?? ''))
          expect(ids(movedByOne(out, chosen, -1))).toEqual(ids(any));
      }),
      { numRuns: 60 },
    );
  });

  it('duplicates without what was measured, and never past the most', () => {
    const measured: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p) => ({ ...p, readings: { '1': entry(2) }, judder: true })),
      },
    };
    const next = duplicated(measured, [b], newId);
    expect(next.pack.plates).toHaveLength(job.pack.plates.length + 1);
    expect(next.pack.plates[2]).toEqual({
      id: expect.any(String),
      kindId: job.pack.plates[1]?.kindId,
    });
    let full = job;
    while (full.pack.plates.length * 2 <= MAX_PLATES) full = duplicated(full, ids(full), newId);
    expect(duplicated(full, ids(full), newId)).toBe(full);
  });

  it('inserts by kind and index, and takes out', () => {
    const kind = job.pack.plates[0]?.kindId ?? '';
    expect(ids(inserted(job, kind, 1, 'x')).slice(0, 3)).toEqual([a, 'x', b]);
    expect(inserted(job, 'no such kind', 1, 'x')).toBe(job);
    expect(ids(removed(job, [a, c])).slice(0, 2)).toEqual([b, d]);
    expect(removed(job, ['nobody'])).toBe(job);
  });

  it('turns over, twice is back but for a plate without a mark', () => {
    const once = flipped(job, [a]);
    expect(once.pack.plates[0]?.facing).toBe('outward');
    expect(flipped(once, [a]).pack.plates[0]?.facing).toBe('inward');
  });

  it('knows all plates of a kind, and puts another kind in their place', () => {
    const alike = alikeTo(job, a);
    expect(alike.length).toBeGreaterThan(1);
    const other = job.pack.kinds.find((k) => k.id !== job.pack.plates[0]?.kindId)?.id ?? '';
    const next = ofKind(job, alike, other);
    expect(new Set(next.pack.plates.map((p) => p.kindId))).toEqual(new Set([other]));
    expect(ofKind(job, alike, 'no such kind')).toBe(job);
  });

  it('makes all steels another thickness, with a kind of that name, and finds it again', () => {
    const steel = job.pack.kinds.find((k) => k.lined === 'none');
    if (!steel) throw new Error('no steel');
    const all = job.pack.plates.filter((p) => p.kindId === steel.id).map((p) => p.id);
    const next = ofThickness(job, all, 1.6, newId);
    const made16 = next.pack.kinds.find((k) => k.thickness?.value === 1.6);
    expect(made16?.name).toBe('Steel 1.6');
    expect(alikeTo(next, all[0] ?? '')).toEqual(all);
    const back = ofThickness(next, all, steel.thickness?.value ?? 0, newId);
    expect(back.pack.kinds).toHaveLength(next.pack.kinds.length);
    expect(alikeTo(back, all[0] ?? '')).toEqual(all);
    expect(back.pack.plates.find((p) => p.id === all[0])?.kindId).toBe(steel.id);
  });
});
