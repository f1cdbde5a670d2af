import type { Job } from '@/core/job/types';
import { diaphragm } from '@/core/clutch/diaphragm/kind';
import { put } from '@/testing/packs';
import { crag, jobsOfEachKind, sheetFrom, signedOff, torqued } from '@/testing/jobs';
import fc from 'fast-check';

import { FIELDS } from '../../job/fields';
import { LEAFLET_KEYS } from '../leaflet';
import { blankJob } from '../../job/blank';
import { entryAt } from '../../job/entryAt';
import { arbitraryJob } from '@/testing/arbitraryJob';

import type { SpecSheet, limitsOf } from '../limits';
import { compareSpecSheet } from '../compareSpecSheet';
import { LIMIT_PATTERNS, limitName } from '../limitNames';
import { limitField, placesOf, specSheetFromJob } from '../limits';
import { affectedJobs, withSpecSheet } from '../applySpecSheet';

let n = 0;
const newId = () => `id${++n}`;
const NOW = '2026-11-24T10:00:00.000Z';
const EMPTY: SpecSheet = { id: 'sheet', name: 'Crag 400', note: '', updatedAt: NOW, limits: [] };
const sheetOf = (job: Parameters<typeof limitsOf>[0]) => specSheetFromJob(EMPTY, job, newId, NOW);
const all = (sheet: SpecSheet) => ({
  limits: new Set(sheet.limits.map((l) => l.id)),
  parts: LEAFLET_KEYS,
});

/** A diaphragm with three steps of its retainer. */
const steps = diaphragm.example(crag());

describe('the limits library', () => {
  it('keeps only fields that there are, each with a name', () => {
    for (const pattern of LIMIT_PATTERNS) {
      expect(FIELDS[pattern]).toBe(limitField(pattern));
      expect(limitName({ pattern, of: 'Disc' })).toMatch(/^(Step )?Disc, [a-z]/);
    }
    expect(limitName({ pattern: 'pack.windowMin' })).toBe('Minimum stack');
  });

  it('holds every limit of a job, with its source, and finds the same job to agree', () => {
    for (const job of jobsOfEachKind()) {
      const sheet = sheetOf(job);
      for (const limit of sheet.limits) {
        const [place] = placesOf(job, limit);
        expect(place && entryAt(job, place)).toEqual(limit.entry);
      }
      expect(compareSpecSheet(sheet, job).every((c) => c.standing === 'same')).toBe(true);
    }
    const tarn = sheetOf(crag());
    expect(tarn.limits.map(limitName)).toEqual(
      expect.arrayContaining(['Minimum stack', 'Disc, minimum thickness']),
    );
  });

  it('gives a new job windows, steps and torques, and remembers the sheet', () => {
    const job = torqued(steps);
    const sheet = sheetOf(job);
    const blank = blankJob('new', 'UR-0200', NOW);
    expect(compareSpecSheet(sheet, blank).some((c) => c.standing === 'missing')).toBe(true);
    const next = withSpecSheet(blank, sheet, all(sheet), newId);
    expect(next.machine.limitsId).toBe('sheet');
    expect(next.pack.windowMin).toEqual(job.pack.windowMin);
    expect(next.springs.diaphragm.steps.map((s) => [s.name, s.offset, s.bandMax])).toEqual(
      job.springs.diaphragm.steps.map((s) => [s.name, s.offset, s.bandMax]),
    );
    expect(next.build.fasteners.map(({ id: _id, ...f }) => f)).toEqual(
      job.build.fasteners.map(({ id: _id, applied: _applied, ...f }) => f),
    );
    // The plates in their order, with none of the readings of the old ones.
    expect(next.pack.plates.map((p) => p.kindId)).toHaveLength(job.pack.plates.length);
    expect(next.pack.plates.every((p) => p.readings === undefined)).toBe(true);
  });

  it('misses what can be made, and has no place for what the job does not have', () => {
    const sheet = sheetOf(torqued(steps));
    const blank = blankJob('new', 'UR-0200', NOW);
    const bare = { ...blank, pack: { ...blank.pack, kinds: [] } };
    const standing = new Map(
      compareSpecSheet(sheet, bare).map((c) => [c.limit.pattern, c.standing]),
    );
    expect(standing.get('build.fasteners.*.torque')).toBe('missing');
    expect(standing.get('springs.diaphragm.steps.*.offset')).toBe('missing');
    expect(standing.get('pack.windowMin')).toBe('missing');
    expect(standing.get('pack.kinds.*.minThickness')).toBe('missing');
    const { leaflet: _left, ...earlier } = sheet;
    // A sheet of an earlier version has no plate order: a plate that the job does not have is not made up.
    expect(
      compareSpecSheet(earlier, bare).find((c) => c.limit.pattern === 'pack.kinds.*.minThickness')
        ?.standing,
    ).toBe('noPlace');
  });

  it('takes whatever is chosen and nothing else, for every job that can be', () => {
    let taken = 0;
    fc.assert(
      fc.property(arbitraryJob, arbitraryJob, fc.float({ min: 0, max: 1 }), (from, to, share) => {
        const sheet = sheetOf(from);
        const which = new Set(
          sheet.limits.filter((_, i) => i / sheet.limits.length < share).map((l) => l.id),
        );
        const next = withSpecSheet(to, sheet, { limits: which, parts: [] }, newId);
        for (const compared of compareSpecSheet(sheet, next))
          if (which.has(compared.limit.id) && compared.standing !== 'noPlace') {
            const [place = 'pack.maxWear'] = placesOf(next, compared.limit);
            // Of two entries with one name in the sheet the later one counts.
            const twins = sheet.limits.filter(
              (l) => which.has(l.id) && placesOf(next, l).includes(place),
            );
            expect(entryAt(next, place)).toEqual(twins.at(-1)?.entry);
            taken++;
          }
        if (which.size === 0) expect({ ...next, machine: to.machine }).toEqual(to);
      }),
      { numRuns: 60 },
    );
    expect(taken).toBeGreaterThan(0);
  });

  it('takes a job’s values over and keeps what only the sheet has', () => {
    const sheet = sheetOf(crag());
    const job = put(crag(), { 'pack.windowMin': 33.5 });
    const after = specSheetFromJob(sheet, job, newId, NOW);
    const value = (s: SpecSheet, pattern: string) =>
      s.limits.find((l) => l.pattern === pattern)?.entry?.value;
    expect(value(sheet, 'pack.windowMin')).toBe(34);
    expect(value(after, 'pack.windowMin')).toBe(33.5);
    expect(after.limits.length).toBeGreaterThanOrEqual(sheet.limits.length);
    expect(after.limits.slice(0, sheet.limits.length).map((l) => l.id)).toEqual(
      sheet.limits.map((l) => l.id),
    );
  });

  it('lists the jobs a changed limit affects; signed and archived jobs stay unchanged', () => {
    const sheet = sheetFrom(crag());
    const took = (job: Job): Job => ({ ...job, machine: { ...job.machine, limitsId: sheet.id } });
    const open = took({ ...crag(), id: 'open', number: 'T-9' });
    const jobs = [
      ...jobsOfEachKind(),
      open,
      signedOff(took(put(crag(), { 'pack.windowMin': 33.5 }))),
    ];
    expect(affectedJobs(sheet, jobs).map((t) => [t.job.number, t.signed])).toEqual([['T-1', true]]);
    const changed: SpecSheet = {
      ...sheet,
      limits: sheet.limits.map((l) =>
        l.pattern === 'pack.windowMax' ? { ...l, entry: { value: 34.6 } } : l,
      ),
    };
    const touched = affectedJobs(changed, jobs);
    expect(touched.map((t) => [t.job.number, t.signed])).toEqual([
      ['T-9', false],
      ['T-1', true],
    ]);
    expect(touched[0]?.differs.map((d) => [limitName(d.limit), d.here?.value])).toEqual([
      ['Maximum stack', 35],
    ]);
    expect(
      affectedJobs(
        changed,
        jobs.map((j) => ({ ...j, archived: true })),
      ),
    ).toEqual([]);
  });

  it('lists a job in which only the words of the leaflet differ', () => {
    const sheet = sheetFrom(crag());
    const job: Job = { ...crag(), machine: { ...crag().machine, limitsId: sheet.id } };
    expect(affectedJobs(sheet, [job])).toEqual([]);
    const turned: SpecSheet = {
      ...sheet,
      leaflet: { ...sheet.leaflet, rotation: 'counterclockwise' },
    };
    const [touched] = affectedJobs(turned, [job]);
    expect([touched?.differs, touched?.parts.map((p) => p.key)]).toEqual([[], ['rotation']]);
  });

  it('leaves out a limit whose field holds no value yet', () => {
    const sheet: SpecSheet = {
      ...EMPTY,
      limits: [{ id: 'a', pattern: 'pack.maxWear', draft: 'about 2' }],
    };
    const job = crag();
    expect(compareSpecSheet(sheet, job)[0]?.standing).toBe('open');
    expect(withSpecSheet(job, sheet, { limits: new Set(['a']), parts: [] }, newId).pack).toBe(
      job.pack,
    );
  });
});
