import { crag, jobsOfEachKind } from '@/testing/jobs';
import fc from 'fast-check';
import { deflateSync, strToU8 } from 'fflate';

import { evaluate } from '@/core/evaluate/evaluate';
import { nextJobOf } from '@/core/job/derive';
import { specificationOf } from '@/core/job/specification';
import type { Job } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { MOST_BYTES, readPackCode, writePackCode } from '../packCode';

const NOW = '2026-11-24T10:00:00.000Z';
const read = (bytes: Uint8Array) => readPackCode(bytes, 'new', 'UR-0300', NOW);
const figures = (job: Job) =>
  [...evaluate(job).figures].map(([id, f]) => [id, f.status === 'known' ? f.value : 'unknown']);

describe('a pack as a code', () => {
  it.each(jobsOfEachKind().map((job) => [job.number, job] as const))(
    '%s fits and gives the same pack back, figure for figure',
    (_number, job) => {
      const bytes = writePackCode(job);
      expect(bytes.length).toBeLessThan(1300);
      const back = read(bytes);
      expect(back.machine).toMatchObject({ id: 'new', name: job.machine.name });
      const { curve: _curve, ...engine } = job.engine;
      // Measured things and the curve stay behind, as for the machine's next job.
      expect(figures(back)).toEqual(
        figures({ ...nextJobOf(job, 'x', '', NOW), engine, machine: back.machine }),
      );
    },
  );

  it('comes back as it was for every job that can be, and a large one is still a code’s bytes or more', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const spec = specificationOf(job);
        const back = read(writePackCode(job));
        expect(specificationOf(back)).toEqual(JSON.parse(JSON.stringify(spec)));
      }),
      { numRuns: 60 },
    );
    expect(MOST_BYTES).toBe(2953);
  });

  it('refuses a code that unpacks to more than any pack is', () => {
    const text = JSON.stringify(specificationOf(crag()));
    const code = (more: number) =>
      new Uint8Array([
        0x55,
        0x52,
        1,
        ...deflateSync(strToU8(`{${' '.repeat(more)}${text.slice(1)}`)),
      ]);
    expect(read(code(100)).engine.peakTorque?.value).toBe(crag().engine.peakTorque?.value);
    expect(code(1_000_000).length).toBeLessThan(MOST_BYTES);
    expect(() => read(code(1_000_000))).toThrow(/damaged/);
  });

  it('refuses whatever is no such code, in words', () => {
    const good = writePackCode(crag());
    expect(() => read(new TextEncoder().encode('https://example.invalid'))).toThrow(
      /not an Under Ridge pack/,
    );
    expect(() => read(good.subarray(0, 80))).toThrow(/damaged/);
    const newer = good.slice();
    newer[2] = 9;
    expect(() => read(newer)).toThrow(/version 9; this program reads up to 1/);
  });
});
