import { smallLibrary, smallStock } from '@/testing/jobs';
import fc from 'fast-check';

import { evaluate } from '@/core/evaluate/evaluate';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { coilPack, pedalPack } from '@/testing/packs';
import { spoiltBytes, spoiltJson, spoiltText } from '@/testing/hostile';

import { jobFileOf, readJobFile, writeJobFile } from '../jobFile';
import { readPackCode, writePackCode } from '../packCode';
import { FileRefused } from '../refused';
import { readShelfFile } from '../shelfFile';
import { readSpringCsv } from '../springCsv';
import { readTorqueCsv } from '../torqueCsv';
import { readWorkshopFile, writeWorkshopFile } from '../workshopFile';
import { packBackup, unpackBackup } from '../workshopZip';

/*
 * Every format that is taken in, spoilt hundreds of times over (FUZZ=20000 for a longer look): it is taken whole, and then it holds, or it is refused in
 * words. Nothing else may come of it, least of all a change of what every object has.
 */

const ROUNDS = Number(process.env.FUZZ ?? 600);
const NOW = '2026-11-26T08:00:00.000Z';

/** A refusal is a sentence; any other fault is one of ours. */
function refusedWell(error: unknown): void {
  if (!(error instanceof FileRefused)) throw error;
  // One expectation for all of it: a hundred thousand take longer than what is looked at.
  expect(error.message).toMatch(/^(?=\S)[^\p{Cc}\u202A-\u202E]{11,419}$/u);
}

function notPolluted(): void {
  if ('polluted' in {}) throw new Error('every object has been given something');
}

function holds<T>(read: () => T, check: (value: T) => void = () => undefined): void {
  let value: T;
  try {
    value = read();
  } catch (error) {
    refusedWell(error);
    return;
  } finally {
    notPolluted();
  }
  check(value);
}

/** What is taken can be listed and evaluated. */
function isJob(job: Job): void {
  rowOf(job);
  const wrong = [...evaluate(job).figures.values()].filter(
    (f) => f.status === 'known' && !Number.isFinite(f.value),
  );
  expect(wrong).toEqual([]);
}

const always = <T>(spoilt: fc.Arbitrary<T>, look: (value: T) => void): void =>
  fc.assert(fc.property(spoilt, look), { numRuns: ROUNDS });

describe('spoilt again and again', () => {
  const job = coilPack();
  const jobText = writeJobFile(job, { 'engine.peakTorque': 'about' }, NOW);

  it('a job file is taken whole or refused in words', () => {
    always(fc.oneof(spoiltJson(JSON.parse(jobText)), spoiltText(jobText)), (text) =>
      holds(
        () => readJobFile(text),
        ({ job }) => isJob(job),
      ),
    );
  });

  it('a workshop file is', async () => {
    const text = writeWorkshopFile(
      {
        jobs: [{ ...pedalPack(), photos: [] }],
        unfinished: {},
        // One or two of each will do: damage may be in any of them.
        shelf: {
          ...EMPTY_STOCK,
          plates: smallStock().plates.slice(0, 2),
          springs: smallStock().springs.slice(0, 1),
        },
        templates: {},
        library: smallLibrary().slice(0, 1),
      },
      NOW,
    );
    await fc.assert(
      fc.asyncProperty(fc.oneof(spoiltJson(JSON.parse(text)), spoiltText(text)), async (spoilt) => {
        const read = await readWorkshopFile(spoilt).catch(refusedWell);
        notPolluted();
        read?.workshop.jobs.forEach(isJob);
      }),
      { numRuns: ROUNDS },
    );
  });

  it('a backup is, and grows no larger than it says', () => {
    const zip = packBackup({
      workshop: jobText.slice(0, 4000),
      photos: new Map([['p1', new Uint8Array([0xff, 0xd8, 1, 2, 3])]]),
    });
    always(spoiltBytes(zip), (bytes) =>
      holds(
        () => unpackBackup(bytes),
        ({ workshop }) => expect(workshop.length).toBeLessThan(200_000),
      ),
    );
  });

  it('a pack’s code is', () => {
    const code = writePackCode(job);
    always(spoiltBytes(code), (bytes) =>
      holds(() => readPackCode(bytes, 'new', 'UR-1', NOW), isJob),
    );
  });

  it('a shelf to choose from is', () => {
    const shelf = {
      format: 'under-ridge-shelf',
      version: 1,
      plates: [
        { id: 'a', thickness: 1.5, count: 4, isNew: true },
        { id: 'b', thickness: 2.9 },
      ],
    };
    always(fc.oneof(spoiltJson(shelf), spoiltText(JSON.stringify(shelf))), (text) =>
      holds(
        () => readShelfFile(text),
        (plates) => {
          for (const { thickness, count } of plates) {
            expect(thickness).toBeGreaterThan(0);
            expect(Number.isInteger(count)).toBe(true);
          }
        },
      ),
    );
  });

  const finite = (...values: number[]) =>
    values.forEach((v) => expect(Number.isFinite(v)).toBe(true));

  it('tester points are', () => {
    const csv = 'length [mm];force [N]\n40,0;0\n38,5;30,2\n36,0;82\n';
    always(spoiltText(csv), (text) =>
      holds(
        () => readSpringCsv(text, 'length'),
        (points) => points.forEach(({ at, force }) => finite(at, force)),
      ),
    );
  });

  it('a torque curve is', () => {
    const csv = '# made up\nrpm,torque ft-lb\n3000,20.5\n4000,24\n5000,26.1\n';
    always(spoiltText(csv), (text) =>
      holds(
        () => readTorqueCsv(text, 'curve.csv'),
        ({ curve }) => curve.points.forEach(({ rpm, torque }) => finite(rpm, torque)),
      ),
    );
  });

  it('a job of another shop, nested without end or of a length without end, is refused', () => {
    const deep = `${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}`;
    holds(() => readJobFile(deep));
    const file = jobFileOf(job, {}, NOW) as { job: Job };
    const long = { ...file, job: { ...job, notes: 'x'.repeat(100_000) } };
    expect(() => readJobFile(JSON.stringify(long))).toThrow(/notes/);
    const inside = JSON.stringify(file).replace('"pack":{', `"pack":{"a":${deep},`);
    expect(() => readJobFile(inside)).toThrow(FileRefused);
  });
});
