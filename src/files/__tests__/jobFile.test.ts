// cspell:ignore abuot
import { withVariant } from '@/core/job/variants';
import { crag, jobsOfEachKind, knoll, measured, signedOff, visitOf } from '@/testing/jobs';
import { readFileSync } from 'node:fs';
import path from 'node:path';

import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';

import type { Job } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { jobFileName, readJobFile, writeJobFile } from '../jobFile';
import { jobFileJsonSchema } from '../jsonSchema';

const NOW = '2026-11-24T10:00:00.000Z';
const job = crag();
/** A signed job with a variant, a visit and everything that a list can hold. */
const full: Job = {
  ...signedOff(withVariant(measured(crag(), 0.02), 'v', 'As it came')),
  visits: [visitOf(crag(), '2026-05-01', 230, 0.02)],
};
const text = writeJobFile(job, {}, NOW);

type Json = Record<string, unknown>;
const changed = (change: (file: Json & { job: Json & { pack: Json } }) => void): string => {
  const file = JSON.parse(text) as Json & { job: Json & { pack: Json } };
  change(file);
  return JSON.stringify(file);
};

describe('job file', () => {
  it('gives the same job back, value for value, with what was typed and is no value yet', () => {
    for (const each of jobsOfEachKind()) {
      expect(readJobFile(writeJobFile(each, { 'engine.idleRpm': 'abuot 1500' }, NOW))).toEqual({
        job: each,
        unfinished: { 'engine.idleRpm': 'abuot 1500' },
      });
    }
  });

  it('does so for every job that can be', () => {
    fc.assert(
      fc.property(arbitraryJob, (each) => {
        expect(readJobFile(writeJobFile(each, {}, NOW)).job).toEqual(
          JSON.parse(JSON.stringify(each)),
        );
      }),
      { numRuns: 100 },
    );
  });

  it('is described by the written JSON Schema, which is the one in docs/', () => {
    const written = JSON.parse(
      readFileSync(path.join(__dirname, '../../../docs/job-file.schema.json'), 'utf8'),
    ) as object;
    expect(written).toEqual(JSON.parse(JSON.stringify(jobFileJsonSchema())));
    const validate = new Ajv2020({ strict: false }).compile(written);
    expect(validate(JSON.parse(text))).toBe(true);
    fc.assert(
      fc.property(arbitraryJob, (each) => {
        expect(validate(JSON.parse(writeJobFile(each, {}, NOW)))).toBe(true);
      }),
      { numRuns: 50 },
    );
    for (const bad of [
      changed((f) => {
        f.version = 3;
      }),
      changed((f) => {
        f.job.stage = 'nowhere';
      }),
      changed((f) => {
        f.job.engine = { peakTorque: { value: -1 } };
      }),
      changed((f) => {
        f.job.extra = 1;
      }),
      changed((f) => {
        delete f.job.notes;
      }),
    ]) {
      expect(validate(JSON.parse(bad))).toBe(false);
      expect(() => readJobFile(bad)).toThrow();
    }
  });

  it.each([
    ['nothing', '', 'The file is empty.'],
    ['text', 'hello', 'line 1 is not JSON'],
    ['half a file', text.slice(0, 900), 'cut off'],
    ['a slip in line 3', text.replace('"exportedAt": ', '"exportedAt" '), 'line 4 is not JSON'],
    ['another program’s JSON', '{"plates": []}', 'Not a job file of Under Ridge'],
    ['a list', '[1,2]', 'Not a job file of Under Ridge'],
    [
      'a newer version',
      changed((f) => {
        f.version = 7;
      }),
      'version 7; this program reads up to 2',
    ],
    [
      'a version that is no number',
      changed((f) => {
        f.version = 'new';
      }),
      'at version',
    ],
    [
      'a missing part',
      changed((f) => {
        delete f.job.release;
      }),
      'at job.release',
    ],
    [
      'a value out of range',
      changed((f) => {
        f.job.engine = { primaryRatio: { value: 0 } };
      }),
      'at job.engine.primaryRatio.value',
    ],
    [
      'a number as text',
      changed((f) => {
        f.job.engine = { primaryRatio: { value: '2.5' } };
      }),
      'at job.engine.primaryRatio.value',
    ],
    [
      'two hundred plates',
      changed((f) => {
        f.job.pack.plates = Array.from({ length: 200 }, (_, i) => ({
          id: `p${i}`,
          kindId: 'disc',
        }));
      }),
      'at job.pack.plates',
    ],
    [
      'a plate of no kind',
      changed((f) => {
        f.job.pack.plates = [{ id: 'p', kindId: 'ghost' }];
      }),
      'at job.pack.plates.0.kindId',
    ],
    [
      'one identifier twice',
      changed((f) => {
        f.job.pack.plates = [
          { id: 'p', kindId: 'disc' },
          { id: 'p', kindId: 'disc' },
        ];
      }),
      '“p” appears twice',
    ],
    [
      'a name that reaches into every object',
      text.replace('"engine": {', '"engine": { "__proto__": { "polluted": true },'),
      '__proto__ is not allowed',
    ],
    ['more than 5 MB', ' '.repeat(5_000_001), 'too large'],
  ])('refuses %s and says where', (_what, bad, message) => {
    expect(() => readJobFile(bad)).toThrow(message);
    expect(({} as Json).polluted).toBeUndefined();
  });

  it('names the file so that every system takes it', () => {
    expect(jobFileName(job)).toBe('T-1 Crag 400.json');
    expect(
      jobFileName({ ...job, number: '../..', machine: { ...job.machine, name: '<b>', use: '' } }),
    ).toBe('b.json');
    expect(
      jobFileName({ ...job, number: '', machine: { ...job.machine, name: '', use: '' } }),
    ).toBe('job.json');
  });

  it('keeps signed revisions as they were signed, and refuses one that was changed after', () => {
    const job = signedOff(crag());
    const text = writeJobFile(job, {}, NOW);
    expect(readJobFile(text).job.signOff).toEqual(job.signOff);
    const tampered = JSON.parse(text) as { job: Job };
    const [revision] = tampered.job.signOff.revisions;
    (revision?.record.strip.parts[0] as { name: string }).name = 'Other bolts';
    expect(() => readJobFile(JSON.stringify(tampered))).toThrow(
      /at job\.signOff\.revisions\.0\.digest, revision 1 was changed after it was signed/,
    );
  });

  it('reads a file from before there were worksheets and signatures', () => {
    const { work: _w, build: _b, prove: _p, signOff: _s, ...earlier } = knoll();
    const text = JSON.stringify({
      format: 'under-ridge-job',
      version: 1,
      exportedAt: NOW,
      job: earlier,
    });
    expect(readJobFile(text).job).toMatchObject({
      work: { by: '', build: { records: {}, own: [], order: [] } },
      signOff: { overrides: [], revisions: [] },
    });
  });
});

describe('what a file may not hold', () => {
  /** The file of a demo job with the value at a path replaced. */
  const put = (where: string, change: (old: unknown) => unknown): string => {
    const keys = where.split('.');
    const last = keys.pop() ?? '';
    const file = JSON.parse(writeJobFile(full, {}, NOW)) as Json;
    const holder = keys.reduce((node, key) => node[key] as Json, file);
    holder[last] = change(holder[last]);
    return JSON.stringify(file);
  };
  const twice = (items: unknown): unknown => [...(items as unknown[]), (items as unknown[])[0]];
  const become = (value: unknown) => () => value;

  it.each([
    ['a day of no calendar', 'job.intake.due', become('2026-99-99'), /job\.intake\.due/],
    ['a leap day of no leap year', 'job.intake.due', become('2026-02-29'), /date of the calendar/],
    ['an hour of no day', 'job.createdAt', become('2026-01-01T25:00:00Z'), /job\.createdAt/],
    [
      'a variant’s plate of no kind',
      'job.variants.0.pack.plates.0.kindId',
      become('nowhere'),
      /job\.variants\.0\.pack\.plates\.0\.kindId/,
    ],
    ['a variant’s plate twice', 'job.variants.0.pack.plates', twice, /variants\.0\.pack\.plates, /],
    ['a variant twice', 'job.variants', twice, /job\.variants, /],
    ['a fastener twice', 'job.build.fasteners', twice, /job\.build\.fasteners, /],
    ['a start twice', 'job.prove.starts', twice, /job\.prove\.starts, /],
    [
      'a step’s place twice',
      'job.work.build.order',
      become(['soak', 'soak']),
      /work\.build\.order/,
    ],
    ['a number next to nothing', 'job.duty.grade', become({ value: 5e-324 }), /than 1e-300/],
  ])('is %s', (_name, where, change, why) => {
    expect(() => readJobFile(put(where, change))).toThrow(why);
  });
});
