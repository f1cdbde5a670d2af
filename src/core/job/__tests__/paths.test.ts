import { blankSprings } from '@/core/job/blank';
import type { Job } from '@/core/job/types';
import { crag } from '@/testing/jobs';
import type { FieldPath, FieldPattern } from '@/core/job/fieldPath';
import fc from 'fast-check';

import { entry } from '../entry';
import { fieldAt, FIELDS, patternOf } from '../fields';
import { fieldPath } from '../fieldPath';
import { withEntry } from '../paths';
import { entryAt } from '../entryAt';

const [springs] = crag().springs.coil.groups;
if (!springs) throw new Error('a pack without springs');
const job: Job = {
  ...crag(),
  springs: blankSprings([{ ...springs, testerPoints: [{ id: 't2' }] }]),
};

/** Every path that the job has room for. */
const paths = (Object.keys(FIELDS) as FieldPattern[]).flatMap((pattern) => {
  if (pattern.startsWith('pack.kinds')) return [fieldPath(pattern, 'disc')];
  if (pattern.startsWith('pack.plates')) return [fieldPath(pattern, 'p3', '2')];
  if (pattern.includes('testerPoints')) return [fieldPath(pattern, 'g', 't2')];
  if (pattern.includes('groups')) return [fieldPath(pattern, 'g')];
  return pattern.includes('*') ? [] : [pattern];
});

describe('paths into a job', () => {
  it('set, read and take out any field, and leave everything else shared', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...paths),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (path, value) => {
          const changed = withEntry(job, path, entry(value));
          expect(entryAt(changed, path)?.value).toBe(value);
          expect(entryAt(withEntry(changed, path, undefined), path)).toBeUndefined();
          for (const other of paths)
            if (other !== path) expect(entryAt(changed, other)).toBe(entryAt(job, other));
          if (!path.startsWith('engine')) expect(changed.engine).toBe(job.engine);
          if (!path.startsWith('release')) expect(changed.release).toBe(job.release);
        },
      ),
    );
  });

  it('know their field by its pattern, whatever the identifiers are called', () => {
    expect(patternOf('pack.kinds.thickness.thickness')).toBe('pack.kinds.*.thickness');
    expect(fieldAt('springs.coil.groups.x.rate').label).toBe('Rate of one spring');
    for (const path of [
      'pack.kinds',
      'engine',
      'engine.peakTorque.value',
      '__proto__.polluted',
      'constructor',
      '',
    ]) {
      expect([path, patternOf(path)]).toEqual([path, undefined]);
      expect(() => withEntry(job, path as FieldPath, entry(1))).toThrow('no field at');
    }
    expect(() => fieldAt('engine.colour' as FieldPath)).toThrow('no field at engine.colour');
  });

  it('leave the job as it is for a list item that is not there', () => {
    expect(withEntry(job, 'pack.kinds.ghost.thickness', entry(3))).toEqual(job);
    expect(entryAt(job, 'pack.kinds.ghost.thickness')).toBeUndefined();
  });

  it('have bounds that contain their assumed values and plausible ranges', () => {
    for (const pattern of Object.keys(FIELDS) as FieldPattern[]) {
      const { bounds, plausible, estimate, absent } = fieldAt(fieldPath(pattern, 'x', 'x'));
      const low = bounds.min ?? bounds.above ?? -Infinity;
      const high = bounds.max ?? bounds.below ?? Infinity;
      for (const v of [
        ...(plausible ?? []),
        ...[estimate, absent].flatMap((s) => (s ? [s.value] : [])),
      ]) {
        expect([pattern, v >= low && v <= high]).toEqual([pattern, true]);
      }
    }
  });
});
