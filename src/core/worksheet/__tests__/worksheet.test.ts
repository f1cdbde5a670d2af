import { diaphragm } from '@/core/clutch/diaphragm/kind';
import {
  cairn,
  crag,
  fen,
  jobsOfEachKind,
  measured,
  scree,
  strippedDown,
  torqued,
} from '@/testing/jobs';
import fc from 'fast-check';

import { blankJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { withEntry } from '@/core/job/paths';
import { WORK_STAGES } from '@/core/job/work';
import { readSentence } from '@/core/text/sentence';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { lineText } from '../line';
import { isOpen, stepMarked, stepsOf, testJudged } from '../worksheet';
import {
  ownStepAdded,
  ownStepRemoved,
  ownStepWritten,
  stepMoved,
  stepNoted,
  templateApplied,
  templateOf,
} from '../edits';

const NOW = '2026-11-25T10:00:00.000Z';
const text = (job: Job, key: string, stage: (typeof WORK_STAGES)[number] = 'build') =>
  readSentence(stepsOf(job, stage).find((s) => s.line.key === key)?.line.text ?? []);
const keys = (job: Job, stage: (typeof WORK_STAGES)[number] = 'build') =>
  stepsOf(job, stage).map((s) => s.line.key);

describe('the spec sheet', () => {
  it('names every plate by number, thickness, face and direction, from the hub floor outward', () => {
    const job = measured(crag(), 0.02);
    const plates = stepsOf(job, 'build').filter((s) => s.line.plateId !== undefined);
    expect(plates).toHaveLength(15);
    expect(text(job, 'plate:p1')).toBe('Plate 1: Disc, 2.980 mm measured, turns with the basket');
    const turned: Job = {
      ...job,
      pack: {
        ...job.pack,
        kinds: job.pack.kinds.map((k) => ({ ...k, directional: true })),
        plates: job.pack.plates.map((p) => ({ ...p, facing: 'outward', judder: p.id === 'p1' })),
      },
    };
    expect(text(turned, 'plate:p1')).toContain(
      'marked face out, pointing with the rotation, judder seat and judder spring in its bore',
    );
  });

  it('never leaves out a nut or a bolt circle that nobody has listed', () => {
    const bare = (job: Job): Job => ({ ...job, build: { ...job.build, fasteners: [] } });
    for (const each of jobsOfEachKind().map(bare)) {
      expect(text(each, 'unlisted:hubNut')).toBe('Hub nut to the manual’s torque; new lock washer');
      expect(text(each, 'unlisted:springs')).toMatch(
        /criss-cross in stages to the manual’s torque/,
      );
      expect(text(each, 'unlisted:cover', 'prove')).toMatch(/^Cover bolts all in finger tight/);
      // The nut before its tab is bent, the springs before the circle that holds them.
      const build = keys(each);
      expect(build.indexOf('unlisted:hubNut')).toBeLessThan(build.indexOf('tab'));
      expect(build.indexOf('springs')).toBeLessThan(build.indexOf('unlisted:springs'));
    }
    // Listed, each appears once, with its own torque.
    for (const stage of WORK_STAGES)
      expect(keys(torqued(crag()), stage).some((k) => k.startsWith('unlisted:'))).toBe(false);
  });

  it('is that of this family: retainer step, spring order, nuts to a gap, expanding disc', () => {
    expect(text(diaphragm.example(crag()), 'springs')).toBe(
      'Diaphragm on, retainer at step 2, its cone the way noted',
    );
    expect(text(scree(), 'plate:p15')).toContain('the expanding disc');
    expect(text(cairn(), 'springs')).toMatch(
      /^Springs in: 4 Long, 4 Short, round the circle from the mark: Long, Short, Long, Short, Long, Short, Long, Short$/,
    );
    expect(text(cairn(), 'plateGap')).toBe(
      'Gap between the plates 5.000 mm to 30.000 mm, nuts drawn to their stop',
    );
    expect(keys(fen())).toContain('startClutch');
    expect(keys(scree(), 'set')).toEqual(
      expect.arrayContaining(['slack', 'gapStart', 'gap', 'gauges', 'freePlay', 'lift']),
    );
    expect(keys(crag(), 'set')).toEqual(expect.arrayContaining(['fluid', 'bleed', 'firm']));
    expect(keys(crag(), 'set')).not.toContain('gap');
  });

  it('tightens in stages, criss-cross, in the unit the manual gave', () => {
    const listed = torqued(diaphragm.example(crag()));
    const bolts = listed.build.fasteners.map((f) =>
      f.role === 'springs'
        ? { ...f, count: entry(8), torque: { value: 11.5, typed: '101.8 in-lb' } }
        : f,
    );
    const job = { ...listed, build: { ...listed.build, fasteners: bolts } };
    const [first, last] = stepsOf(job, 'build').filter((s) => s.line.key.startsWith('stage:'));
    expect(readSentence(first?.line.text ?? [])).toBe(
      'Retainer bolts, stage 1 of 2: to 51 in·lb (5.8 N·m), criss-cross',
    );
    expect(first?.line.watch).toBe(
      'Bolts counted clockwise from the first: 1, 5, 3, 7, 2, 6, 4, 8.',
    );
    expect(readSentence(last?.line.text ?? [])).toContain('to 101.8 in-lb (11.5 N·m)');
    // What was really applied is written where the last stage is done, and nowhere before.
    expect(first?.line.fields).toBeUndefined();
    expect(last?.line.fields?.map((f) => f.replace(/\.[^.]+(?=\.[^.]+$)/, ''))).toEqual([
      'build.fasteners.torque',
      'build.fasteners.applied',
    ]);
    expect(last?.line.watch).toBe('Same order again. Uneven bolts tilt the plate.');
  });

  it('uses the default method where methods differ, gives the reason, and records another one', () => {
    const job = torqued(crag());
    const methods = stepsOf(job, 'build').filter((s) => s.line.method);
    expect(methods.map((s) => s.line.key)).toEqual(['soak', 'fastener:f1', 'tab']);
    const nut = stepNoted(job, 'build', 'fastener:f1', { otherwise: 'impact' });
    expect(stepsOf(nut, 'build').find((s) => s.line.key === 'fastener:f1')?.record.otherwise).toBe(
      'impact',
    );
  });

  it('asks for a step again once its line says something else', () => {
    const job = stepMarked(crag(), 'build', 'plate:p2', true, NOW);
    const state = (j: Job) => stepsOf(j, 'build').find((s) => s.line.key === 'plate:p2')?.state;
    expect(state(job)).toBe('done');
    const thinner: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p) =>
          p.id === 'p2' ? { ...p, readings: { '1': entry(1.4) } } : p,
        ),
      },
    };
    expect(state(thinner)).toBe('changed');
    expect(stepsOf(thinner, 'build').filter(isOpen).length).toBeGreaterThan(
      stepsOf(job, 'build').filter(isOpen).length,
    );
    expect(state(stepMarked(thinner, 'build', 'plate:p2', true, NOW))).toBe('done');
  });

  it('asks for the thumb test once the dial shows a low side that drags, and not before', () => {
    const thumb = (j: Job) => stepsOf(j, 'set').find((s) => s.line.key === 'thumb');
    const tilted: Job = {
      ...cairn(),
      release: {
        ...cairn().release,
        liftReadings: [1.9, 1.2, 1.5].map((lift, i) => ({
          id: `d${i}`,
          angle: entry(i * 120),
          lift: entry(lift),
        })),
      },
    };
    expect(thumb(tilted)).toMatchObject({ state: 'open', line: { optional: false } });
    const even: Job = {
      ...tilted,
      release: {
        ...tilted.release,
        liftReadings: tilted.release.liftReadings.map((r) => ({ ...r, lift: entry(1.5) })),
      },
    };
    expect(thumb(even)?.line.optional).toBe(true);
    // Two angles fix no plane, so nobody can say that it tilts.
    const two = { ...tilted.release, liftReadings: tilted.release.liftReadings.slice(0, 2) };
    expect(thumb({ ...tilted, release: two })?.line.optional).toBe(true);
  });

  it('knows which steps are there to read or count something that is not written yet', () => {
    const unread = (job: Job, stage: 'build' | 'set' | 'prove') =>
      stepsOf(job, stage).flatMap((s) => (s.line.unread ? [s.line.key] : []));
    const auto = scree();
    const { goSize: _go, noGoSize: _no, gapMeasured: _gap, ...setting } = auto.setting;
    const bare: Job = {
      ...auto,
      setting: { ...setting, readings: [] },
      release: { type: 'cable', liftReadings: [] },
    };
    expect(unread(bare, 'set')).toEqual(['gauges', 'freePlay', 'lift']);
    expect(unread(bare, 'prove')).toEqual(['gain', 'recheck']);
    const read: Job = {
      ...bare,
      prove: { ...bare.prove, recheckFreePlay: entry(2.2) },
      setting: {
        ...bare.setting,
        goSize: entry(0.7),
        readings: [{ id: 'a', turns: entry(1), gain: entry(9) }],
      },
      release: {
        ...bare.release,
        freePlay: entry(2),
        liftReadings: [0, 120, 240].map((a) => ({
          id: String(a),
          angle: entry(a),
          lift: entry(1.5),
        })),
      },
    };
    expect([...unread(read, 'set'), ...unread(read, 'prove')]).toEqual([]);
    expect(unread(strippedDown(crag()), 'build')).toEqual(['countIn']);
  });

  it('opens the pack of a machine without a hand lever by its pedal', () => {
    const quad: Job = { ...fen() };
    const keys = (stage: 'set' | 'prove') => stepsOf(quad, stage).map((s) => s.line.key);
    expect(keys('set')).toEqual(expect.arrayContaining(['packAdjuster', 'pedal', 'lift']));
    expect(keys('set')).not.toEqual(expect.arrayContaining(['freePlay']));
    const words = (['set', 'prove'] as const)
      .flatMap((stage) => stepsOf(quad, stage).map((s) => lineText(s.line)))
      .join('\n');
    expect(words).toContain('shift pedal');
    expect(words).not.toMatch(/[Ll]ever in|cable/);
  });

  it('gives the gap at the nearest mark and the gap it is near to', () => {
    const gapOf = (max: number) => {
      const job = withEntry(
        withEntry(scree(), 'setting.gapMin', entry(0.6)),
        'setting.gapMax',
        entry(max),
      );
      const marked = withEntry(
        withEntry(job, 'setting.pitch', entry(1.25)),
        'setting.marksPerTurn',
        entry(8),
      );
      const line = stepsOf(marked, 'set');
      return lineText(line.find((s) => s.line.key === 'gap')?.line ?? { text: [] });
    };
    expect(gapOf(0.9)).toBe(
      'From there out by 5 marks, for a gap of 0.781 mm: the mark nearest to 0.750 mm',
    );
    expect(gapOf(0.65)).toBe('From there out by 4 marks, for a gap of 0.625 mm');
  });

  it('leaves a step out only with a reason', () => {
    const job = blankJob('j', 'UR-1', NOW);
    const open = (j: Job) => stepsOf(j, 'prove').filter(isOpen).length;
    const blank = stepNoted(job, 'prove', 'recheck', { skipped: '   ' });
    expect(open(blank)).toBe(open(job));
    const skipped = stepNoted(job, 'prove', 'recheck', { skipped: 'rider comes back on Friday' });
    expect(open(skipped)).toBe(open(job) - 1);
    // Done after all, it is no longer left out.
    const done = stepMarked(skipped, 'prove', 'recheck', true, NOW);
    expect(done.work.prove.records.recheck?.skipped).toBeUndefined();
  });

  it('holds a test that failed open until it passes', () => {
    const failed = testJudged(crag(), 'drag', 'fail', NOW);
    const drag = (j: Job) => stepsOf(j, 'prove').find((s) => s.line.test === 'drag');
    expect(drag(failed)?.state).toBe('failed');
    expect(drag(testJudged(failed, 'drag', 'pass', NOW))?.state).toBe('done');
  });

  it('holds steps of the shop’s own, in its own order, and keeps them as a template', () => {
    let job = crag();
    job = ownStepAdded(job, 'build', { id: 'oil', text: 'Photograph the oil' });
    expect(keys(job).at(-1)).toBe('own:oil');
    for (let i = 0; i < 60; i++) job = stepMoved(job, 'build', 'own:oil', -1);
    expect(keys(job)[0]).toBe('own:oil');
    job = stepMoved(job, 'build', 'own:oil', 1);
    expect(keys(job).slice(0, 2)).toEqual(['soak', 'own:oil']);
    job = ownStepWritten(job, 'build', 'oil', 'Photograph oil and magnet');

    // Another job of the family, with another pack: its plates lie in their own order.
    const other = templateApplied(crag(), 'build', templateOf(job.work.build));
    expect(keys(other).slice(0, 2)).toEqual(['soak', 'own:oil']);
    expect(text(other, 'own:oil')).toBe('Photograph oil and magnet');
    expect(keys(other).filter((k) => k.startsWith('plate:'))).toHaveLength(15);
    const without = ownStepRemoved(other, 'build', 'oil');
    expect(keys(without)).toEqual(keys(crag()));
  });

  it('loses no line and doubles none, whatever order is kept, for any job', () => {
    fc.assert(
      fc.property(arbitraryJob, fc.constantFrom(...WORK_STAGES), (job, stage) => {
        const plain = { ...job, work: { ...job.work, [stage]: { ...job.work[stage], order: [] } } };
        expect(keys(job, stage).toSorted()).toEqual(keys(plain, stage).toSorted());
        expect(new Set(keys(job, stage)).size).toBe(keys(job, stage).length);
      }),
    );
  });
});
