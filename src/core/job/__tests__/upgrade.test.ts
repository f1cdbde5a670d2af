import { blankJob } from '../blank';
import { upgradeJob } from '../upgrade';
import { omit } from '../../omit';

const NOW = '2026-11-24T10:00:00.000Z';
const LATER = ['duty', 'variants', 'work', 'build', 'prove', 'signOff', 'visits'] as const;

describe('a record of an earlier version', () => {
  it('gets what is new in it, as a new job has it', () => {
    const job = blankJob('one', 'UR-0001', NOW);
    expect(upgradeJob(omit(job, ...LATER))).toEqual(job);
  });

  it.each(LATER)('keeps %s where it has it already', (part) => {
    const job = { ...blankJob('one', 'UR-0001', NOW), visits: [], notes: 'as it was' };
    const others = LATER.filter((p) => p !== part);
    expect(upgradeJob(omit(job, ...others))[part]).toBe(job[part]);
  });

  it('gets the keys of the standard lines by their words, and none for the builder’s own', () => {
    const job = blankJob('one', 'UR-0001', NOW);
    const step = (id: string, text: string) => ({ id, text, done: false });
    const strip = {
      ...job.strip,
      steps: [step('a', 'Diaphragm out'), step('b', 'Diaphragm out, slowly')],
      parts: [{ id: 'c', name: 'Springs', note: '' }],
    };
    const { steps, parts } = upgradeJob({ ...job, strip }).strip;
    expect(steps.map((s) => s.key)).toEqual(['diaphragm', undefined]);
    expect(parts.map((p) => p.key)).toEqual(['springs']);
  });
});
