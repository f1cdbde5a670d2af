import { crag, jobsOfEachKind } from '@/testing/jobs';
import { layOut } from '@/core/evaluate/engine/layers';
import type { Job, Plate } from '@/core/job/types';

import { marksOf } from '../marks';

const job = crag();
const changed = (part: Partial<Plate>, at = 0, more: Partial<Job['pack']> = {}): Job => ({
  ...job,
  pack: {
    ...job.pack,
    ...more,
    plates: job.pack.plates.map((p, i) => (i === at ? { ...p, ...part } : p)),
  },
});
function marks(of: Job, number: number, expands = false): readonly string[] {
  const layout = layOut(of);
  const layer = layout.layers[number - 1];
  if (!layer) throw new Error(`There is no layer ${number}.`);
  return marksOf(layer, layout, expands);
}

describe('what is special about a layer', () => {
  it('is nothing for a plain disc or steel between others', () => {
    expect(marks(job, 3)).toEqual([]);
    expect(marks(job, 4)).toEqual([]);
  });

  it('names the plate, its position and its direction', () => {
    expect(marks(changed({ judder: true }), 1)).toContain('judder spring');
    expect(marks(changed({ offsetSlot: true }, 14), 15)).toContain('offset slot');
    expect(marks(changed({ facing: 'outward' }), 1)).toContain('faces outward');
    expect(marks(job, 15, true)).toEqual(['expands']);
  });

  it('asks for the facing of a plate that points, and not once it is set', () => {
    const kinds = job.pack.kinds.map((k) => ({ ...k, directional: true }));
    expect(marks(changed({}, 0, { kinds }), 1)).toContain('directional, facing missing');
    const set = marks(changed({ facing: 'inward' }, 0, { kinds }), 1);
    expect(set).toContain('faces inward');
    expect(set.join()).not.toContain('not set');
  });

  it('distinguishes two discs that turn together from a disc and a steel', () => {
    const [disc = { id: '', kindId: '' }] = job.pack.plates;
    const plates = [{ ...disc, id: 'more' }, ...job.pack.plates];
    const doubled: Job = { ...job, pack: { ...job.pack, plates } };
    expect(marks(doubled, 1)).toContain('pair with 2');
    expect(marks(doubled, 2)).toEqual([]);
  });

  it('describes every layer of every job with readable text', () => {
    for (const each of jobsOfEachKind()) {
      const layout = layOut(each);
      for (const layer of layout.layers)
        for (const mark of marksOf(layer, layout, false)) expect(mark).toMatch(/^[a-z][\w ,]+$/);
    }
  });
});
