import { blankJob } from '../blank';
import { changedFields } from '../changed';
import { withEntry } from '../paths';

const job = blankJob('a', 'UR-0101', '2026-05-04T09:00:00Z');

describe('fields that differ', () => {
  it('names each by its path, whichever of the two has a value', () => {
    const other = withEntry(withEntry(job, 'engine.peakTorque', { value: 45 }), 'pack.maxWear', {
      value: 1,
    });
    expect([...changedFields(job, other)].sort()).toEqual(['engine.peakTorque', 'pack.maxWear']);
    expect([...changedFields(other, job)].sort()).toEqual(['engine.peakTorque', 'pack.maxWear']);
    expect(changedFields(job, structuredClone(job))).toEqual([]);
  });

  it('leaves texts and the way in which a value was typed aside', () => {
    const typed = withEntry(job, 'pack.maxWear', { value: 1, typed: '1.0' });
    const plain = withEntry({ ...job, notes: 'x' }, 'pack.maxWear', { value: 1 });
    expect(changedFields(typed, plain)).toEqual([]);
  });
});
