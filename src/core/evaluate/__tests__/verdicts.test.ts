import { crag, fen } from '@/testing/jobs';
import type { FieldPath } from '@/core/job/fieldPath';
import { put } from '@/testing/packs';
import fc from 'fast-check';

import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { bindMargin } from '../../springs/coil';
import { evaluate } from '../evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { RESERVE_GOOD, RESERVE_STOP } from '@/core/evaluate/verdicts/holdingVerdict';
import { LIFT_WATCH } from '@/core/evaluate/verdicts/releaseVerdicts';
import { readSentence } from '@/core/text/sentence';
import type { VerdictId } from '@/core/evaluate/engine/verdict';

/* Each verdict at the edges between its states: the entry at an edge is calculated from the figures. */

/** A pack that is good in every respect, without a torque curve. */
const sound = ((): Job => {
  const { curve: _curve, ...engine } = crag().engine;
  return { ...crag(), engine };
})();

const without = (job: Job, path: FieldPath): Job => withEntry(job, path, undefined);

function known(job: Job, id: FigureId): number {
  const f = evaluate(job).figures.get(id);
  if (f?.status !== 'known') throw new Error(`${id}: ${f?.reason ?? 'absent'}`);
  return f.value;
}

function lowReserve(job: Job): number {
  const f = evaluate(job).figures.get('reserveWithTangs');
  return f?.status === 'known' ? (f.range?.low ?? f.value) : Number.NaN;
}

const verdict = (job: Job, id: VerdictId) => evaluate(job).verdicts.find((v) => v.id === id);
const state = (job: Job, id: VerdictId) => verdict(job, id)?.state;
const words = (job: Job, id: VerdictId) => readSentence(verdict(job, id)?.sentence ?? []);

const plates = (job: Job, keep: (kindId: string, i: number) => boolean): Job => ({
  ...job,
  pack: { ...job.pack, plates: job.pack.plates.filter((p, i) => keep(p.kindId, i)) },
});
const linedOf = (job: Job) =>
  new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));

describe('plate order', () => {
  const lined = linedOf(sound);

  it('is not judged without plates, and counts the faces of a sound pack', () => {
    const empty = plates(sound, () => false);
    expect(verdict(empty, 'order')).toMatchObject({ state: 'unknown', title: 'No plates yet' });
    expect(evaluate(empty).overall.state).toBe('unknown');
    const faces = 2 * sound.pack.plates.filter((p) => lined.has(p.kindId)).length;
    expect(verdict(sound, 'order')).toMatchObject({
      state: 'good',
      title: `${faces} friction faces`,
    });
  });

  it('takes two steels side by side for one, and stops where metal slips on metal', () => {
    const inner = sound.pack.plates.flatMap((p, i) =>
      lined.has(p.kindId) && i > 0 && i < sound.pack.plates.length - 1 ? [i] : [],
    );
    const [at] = inner;
    expect(
      state(
        plates(sound, (_, i) => i !== at),
        'order',
      ),
    ).toBe('good');
    // A disc that has lost its lining turns with the basket still, and its neighbours with the hub.
    const [disc] = sound.pack.kinds.filter((k) => lined.has(k.id));
    if (!disc) throw new Error('no disc');
    const bare = (which: readonly (number | undefined)[]): Job => ({
      ...sound,
      pack: {
        ...sound.pack,
        kinds: [...sound.pack.kinds, { ...disc, id: 'bare', lined: 'none' }],
        plates: sound.pack.plates.map((p, i) => (which.includes(i) ? { ...p, kindId: 'bare' } : p)),
      },
    });
    expect(verdict(bare([at]), 'order')).toMatchObject({ state: 'stop', title: 'Metal on metal' });
    expect(words(bare([at]), 'order')).toContain('and so do 1 more pairs');
    expect(words(bare(inner.slice(0, 2)), 'order')).toContain('and so do 3 more pairs');
    expect(evaluate(bare([at])).overall.title).toBe('Metal on metal');
  });
});

describe('holding', () => {
  /** Engine torque at which the weakest lining holds just so many times. */
  const torqueFor = (times: number) =>
    ((sound.engine.peakTorque?.value ?? Number.NaN) * lowReserve(sound)) / times;

  it('turns from good to watch to stop at its two thresholds, judged at the weakest lining', () => {
    for (const [times, expected] of [
      [RESERVE_GOOD + 1e-3, 'good'],
      [RESERVE_GOOD - 1e-3, 'watch'],
      [RESERVE_STOP + 1e-3, 'watch'],
      [RESERVE_STOP - 1e-3, 'stop'],
    ] as const) {
      const job = put(sound, { 'engine.peakTorque': torqueFor(times) });
      expect(lowReserve(job)).toBeCloseTo(times, 9);
      expect([times, state(job, 'holds')]).toEqual([times, expected]);
    }
  });

  it('never rounds a reserve up to what is wanted', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 0.004, noNaN: true }), (short) => {
        const little = put(sound, { 'engine.peakTorque': torqueFor(RESERVE_GOOD - short) });
        const said = Number(/^([\d.]+) × peak torque/.exec(words(little, 'holds'))?.[1]);
        expect(said).toBeLessThanOrEqual(RESERVE_GOOD);
        expect(said).toBeCloseTo(RESERVE_GOOD - short, 2);
      }),
    );
  });

  it('says by how much springs are too long for their place, and that there is no clamp', () => {
    const free =
      known(sound, 'clamp') / known(sound, 'springRate') + known(sound, 'installedLength');
    const loose = put(sound, {
      'springs.coil.seatDistance':
        (sound.springs.coil.seatDistance?.value ?? 0) + free - known(sound, 'installedLength') + 1,
    });
    expect(verdict(loose, 'holds')).toMatchObject({ state: 'stop', title: 'No clamp' });
    expect(words(loose, 'holds')).toContain('1.000 mm longer than free');
  });

  it('asks for what is missing, and gives no verdict on the pack without it', () => {
    const asked = without(sound, 'engine.peakTorque');
    expect(state(asked, 'holds')).toBe('unknown');
    expect(evaluate(asked).overall).toMatchObject({ state: 'unknown', title: 'Not judged' });
  });
});

describe('release', () => {
  const needed = known(sound, 'liftNeeded');
  const lifting = (lift: number): Job => ({
    ...sound,
    release: {
      type: 'measured',
      measuredLift: entry(lift),
      liftReadings: [],
      faceClearance: entry(0.08),
    },
  });

  it('turns from good to watch to stop as lift goes', () => {
    for (const [lift, expected, title] of [
      [needed, 'good', 'Releases'],
      [needed - 0.001, 'watch', 'Low lift'],
      [LIFT_WATCH * needed + 0.001, 'watch', 'Low lift'],
      [LIFT_WATCH * needed - 0.001, 'stop', 'Drags'],
    ] as const)
      expect([lift, verdict(lifting(lift), 'releases')]).toEqual([
        lift,
        expect.objectContaining({ state: expected, title }),
      ]);
    expect(words(lifting(needed - 0.25), 'releases')).toContain('0.250 mm too little');
  });

  it('gets no worse with more lift', () => {
    const rank = { stop: 0, watch: 1, good: 2, unknown: Number.NaN };
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lift, more) => {
          const [less, great] = [lift, lift + more].map((x) => state(lifting(x), 'releases'));
          expect(rank[great ?? 'unknown']).toBeGreaterThanOrEqual(rank[less ?? 'unknown']);
        },
      ),
    );
  });
});

describe('the pull at the lever', () => {
  const pull = known(sound, 'leverPull');

  it('is heavy above what this hand wants, by how much, and only then', () => {
    expect(verdict(sound, 'pull')).toMatchObject({ state: 'good' });
    expect(words(sound, 'pull')).toContain('140 N is the assumed limit');
    expect(state(put(sound, { 'release.pullMax': pull }), 'pull')).toBe('good');
    const heavy = put(sound, { 'release.pullMax': pull - 12 });
    expect(verdict(heavy, 'pull')).toMatchObject({ state: 'watch', title: 'Heavy lever' });
    expect(words(heavy, 'pull')).toContain('12 N too much');
    expect(words(heavy, 'pull')).toContain('is the entered limit');
  });

  it('comes after the function of the pack and never hides the reserve', () => {
    const heavy = put(sound, { 'release.pullMax': pull - 12 });
    expect(evaluate(heavy).overall).toMatchObject({
      state: 'watch',
      title: 'Holds and releases, heavy lever',
    });
    const both = put(heavy, {
      'engine.peakTorque':
        ((sound.engine.peakTorque?.value ?? Number.NaN) * lowReserve(sound)) / 1.05,
    });
    expect(evaluate(both).overall.title).toBe('Low torque reserve');
  });

  it('is not asked of a machine without a hand lever, nor where it is not known', () => {
    const farm = fen();
    expect(verdict(farm, 'pull')).toBeUndefined();
    expect(verdict(without(sound, 'release.leverTravel'), 'pull')).toBeUndefined();
  });
});

describe('the stack in its window', () => {
  const stack = known(sound, 'stack');
  const window = (min: number, max: number) =>
    put(sound, { 'pack.windowMin': min, 'pack.windowMax': max });

  it('belongs to both of its edges, and misses by a hundredth', () => {
    expect(verdict(window(stack, stack + 1), 'stack')?.title).toContain('at its limit');
    expect(state(window(stack - 1, stack), 'stack')).toBe('good');
    expect(verdict(window(stack + 0.01, stack + 1), 'stack')).toMatchObject({
      state: 'stop',
      title: 'Stack too low',
    });
    expect(verdict(window(stack - 1, stack - 0.01), 'stack')).toMatchObject({
      state: 'stop',
      title: 'Stack too tall',
    });
    expect(words(window(stack - 1, stack - 0.01), 'stack')).toContain('0.010 mm above its maximum');
  });

  it('is open where no window is entered, which the verdict on the pack then says', () => {
    const open = without(without(sound, 'pack.windowMin'), 'pack.windowMax');
    expect(state(open, 'stack')).toBe('unknown');
    const { overall } = evaluate(open);
    expect(overall.title).toBe('Holds and releases');
    expect(readSentence(overall.sentence)).toContain('no stack limits entered');
  });
});

describe('springs and linings', () => {
  const [group] = sound.springs.coil.groups;
  const solid = `springs.coil.groups.${group?.id}.solidLength`;
  /** Solid length that leaves so much before the coils touch at full lift. */
  const solidFor = (room: number) =>
    known(sound, 'installedLength') - known(sound, 'liftHad') - room;

  it('stay open by their margin, come near it, or go solid', () => {
    const margin = bindMargin(known(sound, 'liftHad'));
    for (const [room, expected] of [
      [margin + 0.01, 'good'],
      [margin - 0.01, 'watch'],
      [0.01, 'watch'],
      [-0.01, 'stop'],
    ] as const)
      expect([room, state(put(sound, { [solid]: solidFor(room) }), 'coils')]).toEqual([
        room,
        expected,
      ]);
  });

  it('are pressed no harder than the lining’s maker allows, where that is known', () => {
    const pressure = known(sound, 'liningPressure');
    const [lining] = linedOf(sound);
    const limit = (to: number) => put(sound, { [`pack.kinds.${lining}.pressureLimit`]: to });
    expect(state(sound, 'pressure')).toBe('unknown');
    expect(state(limit(pressure * 1.001), 'pressure')).toBe('good');
    expect(state(limit(pressure * 0.999), 'pressure')).toBe('stop');
  });
});

describe('the verdict on the pack', () => {
  it('is its worst part, with every other that stops named after it', () => {
    const stack = known(sound, 'stack');
    const job = put(sound, {
      'pack.windowMin': stack + 0.5,
      'pack.windowMax': stack + 1,
      'engine.peakTorque': (sound.engine.peakTorque?.value ?? 0) * 10,
    });
    const { overall } = evaluate(job);
    expect(overall).toMatchObject({ state: 'stop', title: 'Slips' });
    expect(readSentence(overall.sentence)).toContain(
      'Also: stack too low, the described start fails.',
    );
  });

  it('never is better than any part of it', () => {
    const rank = { good: 0, unknown: 0, watch: 1, stop: 2 };
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 30, max: 300, noNaN: true }),
        (peak, travel, pullMax) => {
          const { overall, verdicts } = evaluate(
            put(sound, {
              'engine.peakTorque': peak,
              'release.leverTravel': travel,
              'release.pullMax': pullMax,
            }),
          );
          const worst = Math.max(...verdicts.map((v) => rank[v.state]));
          expect(rank[overall.state]).toBe(worst);
        },
      ),
    );
  });
});
