import fc from 'fast-check';

import { clutchType, typeAsCame } from '@/core/clutch/type';
import { demoLibrary } from '@/demo/library';
import { begunJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { readSentence } from '@/core/text/sentence';
import { specSheetPaper } from '@/core/paper/specSheetPaper';
import { buildLines } from '@/core/worksheet/buildLines';
import { setLines } from '@/core/worksheet/setLines';
import { arbitraryJob } from '@/testing/arbitraryJob';
import { jobsOfEachKind } from '@/testing/jobs';

import { limitTyped, rowAdded, rowChanged, rowRemoved, sheetCopied } from '../edits';
import { compareLeaflet, leafletOf, withLeaflet, LEAFLET_KEYS } from '../leaflet';
import type { SpecSheet } from '../limits';
import { changesBySheet, withSpecSheet } from '../applySpecSheet';
import { sheetProblems } from '../problems';

const NOW = '2026-11-24T10:00:00.000Z';
let n = 0;
const newId = () => `id${++n}`;
const fresh = () => begunJob('new', 'UR-0200', NOW);
const applied = (sheet: SpecSheet, job: Job = fresh()) =>
  withSpecSheet(job, sheet, changesBySheet(sheet, job), newId);
const sheetCalled = (name: string): SpecSheet => {
  const found = demoLibrary().find((s) => s.name.includes(name));
  if (!found) throw new Error(name);
  return found;
};

describe('a leaflet', () => {
  it('of a job, put into a new one, says the same there', () => {
    for (const job of jobsOfEachKind()) {
      const leaflet = leafletOf(job, newId);
      const next = withLeaflet(fresh(), leaflet, LEAFLET_KEYS, newId);
      expect(compareLeaflet(leaflet, next).filter((c) => c.standing !== 'same')).toEqual([]);
    }
  });

  it('changes nothing of a job that has it all, readings included', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const named = job.pack.kinds.map((k) => k.name.trim().toLowerCase());
        // Types differ by their names.
        fc.pre(new Set(named).size === named.length && !named.includes(''));
        const leaflet = leafletOf(job, newId);
        const next = withLeaflet(job, leaflet, ['pack'], newId);
        expect(next.pack.plates.map((p) => p.readings)).toEqual(
          job.pack.plates.map((p) => p.readings),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('gives a new job its clutch, plates, steps, torques and words with one edit', () => {
    const job = applied(sheetCalled('Ring kit'));
    expect(clutchType(job)).toBe('pack');
    expect(job.springs).toMatchObject({ type: 'diaphragm', diaphragm: { stepBy: 'caliper' } });
    expect(job.springs.undecided).toBeUndefined();
    expect(job.pack.plates).toHaveLength(15);
    expect(job.pack.plates[0]).toMatchObject({ judder: true, isNew: true });
    expect(job.pack.plates.at(-1)?.offsetSlot).toBe(true);
    // No type is left over from the empty job.
    expect(job.pack.kinds.map((k) => k.name)).toEqual(['Kit disc', 'Steel 1.6', 'First disc']);
    expect(job.springs.diaphragm.steps.map((s) => s.height?.typed)).toEqual([
      '.190 in',
      '.175 in',
      '.160 in',
    ]);
    expect(job.springs.diaphragm.steps.at(-1)?.bandMax).toBeUndefined();
    const [ring] = job.build.fasteners;
    expect(ring).toMatchObject({ ownScrews: true, lock: 'threadlocker' });
    expect(ring?.torque?.range).toEqual({ low: 8, high: 9 });
    expect(ring?.torque?.source?.note).toBe('3');
    const texts = buildLines(job).map((l) => readSentence(l.text));
    expect(texts.some((t) => t.startsWith('Parts always new: gasket'))).toBe(true);
    // The hub stays on: nothing of it is asked.
    expect(texts.join()).not.toMatch(/Hub on|lock washer|Thrust washer/);
  });

  it('of an auto-clutch kit leaves the clutch that came as it is', () => {
    const job = { ...fresh(), machine: { ...fresh().machine, layout: 'pack' as const } };
    const next = applied(sheetCalled('Auto-clutch'), job);
    expect(clutchType(next)).toBe('auto');
    expect(typeAsCame(next)).toBe('pack');
    expect(
      setLines(next)
        .map((l) => readSentence(l.text))
        .join(),
    ).toContain('felt at the adjuster nut');
    expect(next.prove.starts.map((s) => s.wanted?.value)).toEqual([10, 10]);
  });

  it('takes what was measured on the machine before what is printed', () => {
    const sheet = sheetCalled('Tarn 450');
    const job = applied(sheet);
    const measured = withEntry(job, 'engine.peakTorque', {
      ...entry(39),
      source: { kind: 'measured' },
    });
    expect(changesBySheet(sheet, measured).limits.size).toBe(0);
    expect(changesBySheet(sheet, withEntry(job, 'engine.peakTorque', entry(39))).limits.size).toBe(
      1,
    );
  });

  it('prints every plate and every value with its page', () => {
    const paper = JSON.stringify(specSheetPaper(sheetCalled('Ring kit')));
    for (const text of ['1.360 in', '8–9 Nm', 'judder spring and seat', 'offset slots', 'Counter'])
      expect(paper.toLowerCase()).toContain(text.toLowerCase());
  });
});

describe('a spec sheet as it is typed', () => {
  const EMPTY: SpecSheet = { id: 's', name: 'Kit', note: '', updatedAt: NOW, limits: [] };
  const MIN = 'springs.diaphragm.steps.*.bandMin';
  const MAX = 'springs.diaphragm.steps.*.bandMax';
  const HEIGHT = 'springs.diaphragm.steps.*.height';
  const typed = (
    rows: readonly (readonly [typeof MIN | typeof MAX | typeof HEIGHT, string, number])[],
  ) =>
    rows.reduce(
      (sheet, [pattern, of, value]) =>
        limitTyped(sheet, pattern, of, { value, text: String(value) }, '2', newId),
      EMPTY,
    );
  const texts = (sheet: SpecSheet) => sheetProblems(sheet).map((p) => p.text);

  it('is asked about bands that overlap, leave a hole or run backwards, and steps without a height', () => {
    const good = typed([
      [MIN, '1', 30],
      [MAX, '1', 31],
      [MIN, '2', 31],
    ]);
    expect(texts(good).every((t) => t.includes('has no height'))).toBe(true);
    const sized = [
      [HEIGHT, '1', 4],
      [HEIGHT, '2', 4.3],
    ] as const;
    const bands = (one: number, other: number) =>
      typed([...sized, [MIN, '1', 30], [MAX, '1', one], [MIN, '2', other], [MAX, '2', 33]]);
    expect(texts(bands(31, 31))).toEqual([]);
    expect(texts(bands(31.4, 31))[0]).toMatch(/^Overlaps the band of step 1/);
    expect(texts(bands(31, 31.4))[0]).toMatch(/nothing is selected from 31.000 mm to 31.400 mm/);
    expect(texts(bands(29, 31))[0]).toMatch(/runs backwards/);
    const open = typed([...sized, [MIN, '1', 30], [MIN, '2', 31]]);
    expect(texts(open)[0]).toMatch(/Step 1 has no upper edge/);
  });

  it('asks about limits the wrong way round', () => {
    const sheet = [
      ['pack.windowMin', 35],
      ['pack.windowMax', 34],
    ].reduce(
      (made, [pattern, value]) =>
        limitTyped(
          made,
          pattern as 'pack.windowMin',
          undefined,
          { value: value as number, text: '' },
          '',
          newId,
        ),
      EMPTY,
    );
    expect(texts(sheet)).toEqual(['Below the minimum stack.']);
  });

  it('keeps unit, range and page of a value, and a draft that is none', () => {
    const range = { low: 8, high: 9 };
    const one = limitTyped(
      EMPTY,
      'build.fasteners.*.torque',
      'Bolts',
      { value: 8.5, text: '8–9 Nm', range },
      '3',
      newId,
    );
    expect(one.limits[0]?.entry).toEqual({
      value: 8.5,
      typed: '8–9 Nm',
      range,
      source: { kind: 'manual', note: '3' },
    });
    const draft = limitTyped(
      one,
      'build.fasteners.*.torque',
      'Bolts',
      { value: undefined, text: '9–8' },
      '4',
      newId,
    );
    expect(draft.limits[0]).toMatchObject({ draft: '9–8' });
    expect(draft.limits[0]?.entry).toBeUndefined();
  });

  it('adds, renames and removes rows, the plates of a type with it', () => {
    const two = rowAdded(rowAdded(EMPTY, 'steps', newId), 'steps', newId);
    expect([...new Set(two.limits.map((l) => l.of))]).toEqual(['1', '2']);
    const kit = sheetCalled('Ring kit');
    const named = rowChanged(kit, 'kinds', 'Kit disc', { of: 'Lined plate' });
    expect(named.leaflet?.pack?.plates.filter((p) => p.of === 'Lined plate')).toHaveLength(7);
    const without = rowRemoved(named, 'kinds', 'Lined plate');
    expect(without.leaflet?.pack?.plates).toHaveLength(8);
    expect(sheetCopied(kit, [kit.name], newId, NOW).name).toBe('Ring kit for the Tarn 450, copy');
  });
});
