import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { blankJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { isForOtherClutch, withUpdatedLists } from '../updateLists';
import { smallParts, stripLines } from '../stripList';

const blank = blankJob('j', 'UR-1', '2026-01-01T00:00:00.000Z');
const DIAPHRAGM: Partial<Job> = {
  springs: { ...blank.springs, type: 'diaphragm' },
  release: { ...blank.release, type: 'cable' },
};
let made = 0;
const newId = () => `n${++made}`;

/** The job with the lists that are made for it. */
const listed = (job: Job): Job => ({
  ...job,
  strip: {
    ...job.strip,
    steps: stripLines(job).map((l) => ({ ...l, id: newId(), done: false })),
    parts: smallParts(job).map((p) => ({ ...p, id: newId() })),
  },
});
const steps = (job: Job) => job.strip.steps.map((s) => s.text);
const parts = (job: Job) => job.strip.parts.map((p) => p.name);
const refit = (job: Job): Job => ({ ...job, strip: withUpdatedLists(job, newId) });

describe('lists made for another clutch', () => {
  it('are noticed, and brought to the clutch as if they had been made for it', () => {
    const coil = listed(blank);
    expect(isForOtherClutch(blank)).toBe(false);
    expect(isForOtherClutch(coil)).toBe(false);
    const changed = { ...coil, ...DIAPHRAGM };
    expect(isForOtherClutch(changed)).toBe(true);
    const brought = refit(changed);
    expect(isForOtherClutch(brought)).toBe(false);
    expect(steps(brought)).toEqual(stripLines(changed).map((l) => l.text));
    expect(parts(brought)).toEqual(smallParts(changed).map((p) => p.name));
  });

  it('keep what is done, what is counted, and the builder’s own lines in their place', () => {
    const coil = listed(blank);
    const [first, ...rest] = coil.strip.steps;
    const own: Job = {
      ...coil,
      strip: {
        ...coil.strip,
        steps: [
          ...(first ? [{ ...first, done: true }] : []),
          { id: 'own', text: 'Photograph of the cable’s way', done: false },
          // The slave was off already when somebody noticed that there is a cable too.
          ...rest.map((s) => (s.text.includes('slave cylinder') ? { ...s, done: true } : s)),
        ],
        parts: coil.strip.parts.map((p) => (p.name === 'Springs' ? { ...p, out: entry(6) } : p)),
      },
    };
    const brought = refit({ ...own, ...DIAPHRAGM });
    expect(steps(brought).slice(0, 2)).toEqual([first?.text, 'Photograph of the cable’s way']);
    expect(brought.strip.steps[0]?.done).toBe(true);
    expect(steps(brought).some((s) => s.includes('slave cylinder'))).toBe(true);
    expect(steps(brought)).not.toContain('Springs out in their order');
    expect(parts(brought)).toContain('Springs');
    expect(parts(brought)).toContain('Retainer bolts');
  });

  it('do not bring back what was taken off the list of any clutch', () => {
    const coil = listed(blank);
    const shorter: Job = {
      ...coil,
      strip: { ...coil.strip, steps: coil.strip.steps.filter((s) => !s.text.startsWith('Basket')) },
    };
    const brought = refit({ ...shorter, ...DIAPHRAGM });
    expect(steps(brought).some((s) => s.startsWith('Basket'))).toBe(false);
    expect(steps(brought).some((s) => s.startsWith('Diaphragm out'))).toBe(true);
  });

  it('name the shift pedal where there is no hand lever', () => {
    const quad: Job = {
      ...blank,
      machine: { ...blank.machine, layout: 'startAndPack' },
      startClutch: { place: 'crank' },
    };
    const pedal: Job = { ...listed(quad), release: { ...quad.release, type: 'measured' } };
    expect(isForOtherClutch(pedal)).toBe(true);
    expect(steps(refit(pedal)).join()).toContain('shift shaft');
    expect(steps(refit(pedal)).join()).not.toMatch(/slave cylinder|cable/);
  });

  it('are of this clutch once brought to it, for any job, and lose nothing that is done', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const brought = refit(job);
        expect(isForOtherClutch(brought)).toBe(false);
        const done = job.strip.steps.filter((s) => s.done);
        expect(brought.strip.steps).toEqual(expect.arrayContaining(done));
        const counted = job.strip.parts.filter((p) => p.out);
        expect(brought.strip.parts).toEqual(expect.arrayContaining(counted));
      }),
      { numRuns: 60 },
    );
  });
});
