import { jobsOfEachKind, smallLibrary, smallStock } from '@/testing/jobs';
import { FileRefused } from '../refused';
import { readFileSync } from 'node:fs';
import path from 'node:path';

import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';

import type { Workshop } from '@/core/workshop/merge';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { jobFileJsonSchema, workshopFileJsonSchema } from '../jsonSchema';
import { readWorkshopFile, writeWorkshopFile } from '../workshopFile';
import { packBackup, unpackBackup } from '../workshopZip';

const NOW = '2026-11-20T10:00:00.000Z';
const WORKSHOP: Workshop = {
  jobs: jobsOfEachKind(),
  unfinished: { knoll: { 'engine.peakTorque': 'forty' } },
  shelf: smallStock(),
  templates: { 'coil:build': { own: [{ id: 'o1', text: 'Wipe the face' }], order: ['o1'] } },
  library: smallLibrary(),
};
const TEXT = writeWorkshopFile(WORKSHOP, NOW);
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0xff, 0xd9]);

type Data = {
  [key: string]: unknown;
  jobs: { job: Record<string, unknown> }[];
  shelf: {
    plates: Record<string, unknown>[];
    scrap?: unknown;
    scrapSprings?: unknown;
    wanted?: unknown;
  };
  library?: { limits: Record<string, unknown>[] }[];
};
const changed = (edit: (data: Data) => void): string => {
  const data = JSON.parse(TEXT) as Data;
  edit(data);
  return JSON.stringify(data);
};

describe('a workshop file', () => {
  it('is read back as it was written', async () => {
    expect(await readWorkshopFile(TEXT)).toEqual({ workshop: WORKSHOP, refused: [] });
  });

  it('is read back for any workshop, and reports its progress', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(arbitraryJob, { maxLength: 4 }), async (jobs) => {
        const workshop = {
          ...WORKSHOP,
          unfinished: {},
          jobs: jobs.map((j, i) => ({ ...j, id: `j${i}` })),
        };
        const reported: number[] = [];
        const read = await readWorkshopFile(writeWorkshopFile(workshop, NOW), (s) =>
          reported.push(s),
        );
        expect(JSON.parse(JSON.stringify(read.workshop))).toEqual(
          JSON.parse(JSON.stringify(workshop)),
        );
        expect(reported.at(-1)).toBe(1);
      }),
      { numRuns: 25 },
    );
  });

  it('of version 1 is brought up, and says so', async () => {
    const old = changed((d) => {
      d.version = 1;
      delete d.library;
      delete d.shelf.scrap;
      delete d.shelf.scrapSprings;
      delete d.shelf.wanted;
    });
    const { workshop, upgraded } = await readWorkshopFile(old);
    expect(upgraded).toContain('version 1 and was upgraded to version 3');
    expect(workshop).toEqual({
      ...WORKSHOP,
      shelf: { ...WORKSHOP.shelf, scrap: [], scrapSprings: [], wanted: [] },
      library: [],
    });
    // What is wrong with it is refused as in any other.
    const bad = JSON.stringify({ ...(JSON.parse(old) as object), shelf: null });
    await expect(readWorkshopFile(bad)).rejects.toThrow(/at shelf, it must be of type object/);
  });

  it('is described by the written JSON Schema, which is the one in docs/', () => {
    const written = JSON.parse(
      readFileSync(path.join(__dirname, '../../../docs/workshop-file.schema.json'), 'utf8'),
    ) as object;
    expect(written).toEqual(JSON.parse(JSON.stringify(workshopFileJsonSchema())));
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    ajv.addSchema(jobFileJsonSchema(), 'job-file.schema.json');
    const validate = ajv.compile(written);
    expect(validate(JSON.parse(TEXT)) || validate.errors).toBe(true);
    expect(validate({ ...(JSON.parse(TEXT) as object), shelf: {} })).toBe(false);
    expect(validate(JSON.parse(changed((d) => (d.jobs[0] = { job: {} }))))).toBe(false);
  });

  it('sets a job aside that is refused, names it and reads the rest', async () => {
    let fourthNumber: unknown;
    const read = await readWorkshopFile(
      changed((d) => {
        const [, , third, fourth] = d.jobs;
        fourthNumber = fourth?.job?.number;
        if (third?.job) third.job.number = 7;
        if (fourth?.job) fourth.job.createdAt = '2026-99-99T00:00:00.000Z';
      }),
    );
    expect(read.workshop.jobs).toHaveLength(3);
    expect(read.refused.map(({ name }) => name)).toEqual(['job 3', fourthNumber]);
    expect(read.refused[0]?.why).toMatch(/In job 3 of the workshop: .* at jobs\.2\.job\.number/);
    const none = changed((d) =>
      d.jobs.forEach(({ job }) => job && Object.assign(job, { number: 7 })),
    );
    await expect(readWorkshopFile(none)).rejects.toThrow(/In job 1 of the workshop/);
  });

  it.each([
    ['', /empty/],
    [TEXT.slice(0, 5000), /cut off/],
    ['{"format":"other"}', /Not a workshop file of Under Ridge/],
    [
      changed((d) => Object.assign(d.library?.[0]?.limits[0] ?? {}, { entry: { value: -4 } })),
      /at library\.0\.limits\.0\.entry\.value, it must/,
    ],
    [
      changed((d) =>
        Object.assign(d.library?.[0]?.limits[0] ?? {}, { pattern: 'engine.primaryEfficiency' }),
      ),
      /at library\.0\.limits\.0\.pattern/,
    ],
    [changed((d) => (d.version = 4)), /of version 4; this program reads up to 3/],
    [changed((d) => (d.extra = 1)), /at extra/],
    [changed((d) => d.jobs.push(d.jobs[0] ?? { job: {} })), /at jobs, “[^”]*” appears twice/],
    [
      changed((d) => {
        const plate = d.shelf.plates[1];
        if (plate) plate.thickness = -1;
      }),
      /at shelf\.plates\.1\.thickness/,
    ],
    [
      changed((d) => {
        const [a, b] = d.shelf.plates;
        if (a && b) b.id = a.id;
      }),
      /at shelf\.plates, “[^”]*” appears twice/,
    ],
    [
      TEXT.replace('"templates": {', '"templates": { "__proto__": {"own":[],"order":[]},'),
      /not allowed|templates/,
    ],
  ])('is refused whole with the place of its fault (%#)', async (text, why) => {
    await expect(readWorkshopFile(text)).rejects.toThrow(why);
  });
});

describe('a backup', () => {
  const bytes = packBackup({ workshop: TEXT, photos: new Map([['ph-1', JPEG]]) });

  it('is a zip as other programs read it, and is unpacked as it was packed', () => {
    expect(Object.keys(unzipSync(bytes))).toEqual(['workshop.json', 'photographs/ph-1.jpg']);
    const { workshop, photos } = unpackBackup(bytes);
    expect(workshop).toBe(TEXT);
    expect([...photos]).toEqual([['ph-1', JPEG]]);
  });

  const of = (files: Record<string, Uint8Array>) =>
    zipSync({ 'workshop.json': strToU8('{}'), ...files });

  it.each([
    ['a path out of the folder', of({ '../../evil.jpg': JPEG }), /is not part of a backup/],
    ['an absolute path', of({ '/photographs/a.jpg': JPEG }), /is not part of a backup/],
    ['another file', of({ 'readme.txt': strToU8('x') }), /“readme.txt” is not part/],
    ['a picture that is none', of({ 'photographs/a.jpg': strToU8('<script>') }), /is not a JPEG/],
    ['a bomb', of({ 'photographs/a.jpg': new Uint8Array(9_000_000) }), /would unpack to 9 MB/],
    ['nothing of ours', zipSync({ 'photographs/a.jpg': JPEG }), /“workshop.json” is missing/],
    ['no zip', strToU8('no zip at all'), /not a zip, so it is not a backup/],
    ['a broken zip', strToU8('PK, but no zip at all'), /the zip is broken/],
    ['a zip that was cut off', bytes.slice(0, bytes.length - 30), /is broken or incomplete/],
  ])('refuses %s', (_name, data, why) => {
    expect(() => unpackBackup(data)).toThrow(why);
  });

  it('refuses every bit that flips in what was packed', () => {
    // In the content of its entries, behind the local header and its name.
    const start = 30 + 'workshop.json'.length;
    fc.assert(
      fc.property(fc.integer({ min: start, max: start + 2000 }), fc.nat(7), (at, bit) => {
        const flipped = bytes.slice();
        flipped[at] = (flipped[at] ?? 0) ^ (1 << bit);
        expect(() => unpackBackup(flipped)).toThrow(FileRefused);
      }),
      { numRuns: 200 },
    );
  });

  it('lets no entry grow beyond its size in the directory', () => {
    // The directory of a bomb is wrong: 50 MB are declared as 1,000 bytes.
    const zip = zipSync({ 'workshop.json': new Uint8Array(50_000_000) });
    const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
    for (let i = 0; i + 4 < zip.length; i++) {
      const signature = view.getUint32(i, true);
      if (signature === 0x04034b50) view.setUint32(i + 22, 1000, true);
      if (signature === 0x02014b50) view.setUint32(i + 24, 1000, true);
    }
    let size = 0;
    try {
      size = unpackBackup(zip).workshop.length;
    } catch {
      // Refused is as good.
    }
    expect(size).toBeLessThanOrEqual(1000);
  });
});
