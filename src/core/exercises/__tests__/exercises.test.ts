import fc from 'fast-check';

import { readSentence } from '@/core/text/sentence';
import { EXERCISE_IDS, EXERCISES, isExercise } from '../exercises';
import type { Answer, Exercise, Question } from '../model';
import { MISTAKES } from '../model';
import { isAnswered, score } from '../score';

const seeds = fc.integer({ min: 0, max: 1_000_000_000 });
const allSpots = ({ bench }: Exercise): string[] =>
  bench?.parts.flatMap((p) => p.spots.map((s) => `${p.id}.${s.id}`)) ?? [];
const solved = ({ questions }: Exercise): Record<string, Answer> =>
  Object.fromEntries(questions.map((q) => [q.id, q.solution]));
const find = <K extends Question['kind']>(exercise: Exercise, id: string, kind: K) => {
  const q = exercise.questions.find((each) => each.id === id);
  if (q?.kind !== kind) throw new Error(`no ${id}`);
  return q as Extract<Question, { kind: K }>;
};
const story = (e: Exercise) => e.story.map((s) => readSentence(s)).join(' ');

it('meet every mistake that is made at the bench', () => {
  const met = new Set(EXERCISE_IDS.flatMap((id) => EXERCISES[id].mistakes));
  expect([...met].sort()).toEqual(Object.keys(MISTAKES).sort());
  expect(isExercise('measureDisc')).toBe(true);
  expect(isExercise('toString')).toBe(false);
});

describe.each(EXERCISE_IDS)('%s', (id) => {
  const { make } = EXERCISES[id];

  it('is the same case for the same seed, and others for others', () => {
    expect(JSON.stringify(make(7))).toBe(JSON.stringify(make(7)));
    const stories = new Set(Array.from({ length: 12 }, (_, i) => JSON.stringify(make(i))));
    expect(stories.size).toBeGreaterThan(8);
  });

  it('gives its solution every point and no other choice as many', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const e = make(seed);
        expect(score(e, solved(e), allSpots(e)).share).toBe(1);
        for (const q of e.questions) {
          expect(isAnswered(q, q.solution)).toBe(true);
          if (q.kind === 'one') {
            const full = q.options.filter((o) => q.mark(o.id).points === 1).map((o) => o.id);
            expect(full).toEqual([q.solution]);
          }
          if (q.kind === 'many' && q.solution.length > 0) expect(q.mark([]).points).toBe(0);
        }
        expect(score(e, {}, []).share).toBeLessThan(1);
      }),
      { numRuns: 60 },
    );
  });

  it('speaks in whole sentences without what is no number', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const e = make(seed);
        const { marks } = score(e, solved(e), allSpots(e));
        const texts = [
          ...e.story,
          ...e.questions.map((q) => q.ask),
          ...Object.values(marks).map((m) => m.says),
          ...(e.bench?.parts.flatMap((p) => p.spots.map((s) => s.shows)) ?? []),
        ].map((s) => readSentence(s));
        for (const text of texts) {
          expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
          expect(text.length).toBeGreaterThan(0);
        }
        for (const text of e.story.map((s) => readSentence(s))) expect(text).toMatch(/[.?]$/);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a worn disc', () => {
  it('measured in one spot is no measured disc', () => {
    const e = EXERCISES.measureDisc.make(3);
    const measured = (taken: string[]) => score(e, solved(e), taken).marks.measuring?.points;
    expect(measured(['disc.0'])).toBe(0);
    expect(measured(['disc.0', 'disc.1', 'disc.2'])).toBe(0.5);
    expect(measured(['disc.0', 'disc.3', 'disc.6'])).toBe(1);
    expect(measured([])).toBe(0);
  });

  it('often passes where one spot is looked at and fails all round', () => {
    let fooled = 0;
    for (let seed = 0; seed < 60; seed++) {
      const e = EXERCISES.measureDisc.make(seed);
      if (find(e, 'verdict', 'one').solution !== 'change') continue;
      const limit = Number(/minimum is ([\d.]+)/.exec(story(e))?.[1]);
      const shown =
        e.bench?.parts[0]?.spots.map((s) => Number.parseFloat(readSentence(s.shows))) ?? [];
      if (shown.some((t) => t > limit)) fooled++;
    }
    expect(fooled).toBeGreaterThan(10);
  });
});

describe('known mistakes are named', () => {
  it.each([
    [
      'basketSpeed',
      'speed',
      (e: Exercise) =>
        /at (\d+) rpm of the engine/.exec(readSentence(find(e, 'speed', 'number').ask))?.[1],
      'primary drive',
    ],
    [
      'tighten',
      'torque',
      (e: Exercise) => String(Number(/gives (\d+) in·lb/.exec(story(e))?.[1]) * 1.3558179483314),
      'foot-pounds',
    ],
    [
      'readChart',
      'inches',
      (e: Exercise) => String(Number(/reads ([\d.]+) mm/.exec(story(e))?.[1]) / 25),
      'An inch is 25.4 mm',
    ],
  ] as const)('%s', (id, question, typed, told) => {
    const e = EXERCISES[id].make(11);
    const mark = score(e, { [question]: typed(e) ?? '' }, []).marks[question];
    expect(mark?.points).toBe(0);
    expect(readSentence(mark?.says ?? [])).toContain(told);
  });

  it('reads numbers as people write them, in their units', () => {
    const e = EXERCISES.unevenSprings.make(5);
    const q = find(e, 'offset', 'number');
    const mm = Number.parseFloat(String(q.solution));
    expect(score(e, { offset: `${(mm / 25.4).toFixed(5)} in` }, []).marks.offset?.points).toBe(1);
    expect(
      score(e, { offset: (mm / 25.4).toFixed(5) }, [], { length: 'in' }).marks.offset?.points,
    ).toBe(1);
    expect(isAnswered(q, 'much')).toBe(false);
  });
});

it('cases are as they are at a bench: nothing worn is thicker than new, the kit’s own bolts fit', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const disc = EXERCISES.measureDisc.make(seed);
      const shown =
        disc.bench?.parts[0]?.spots.map((s) => Number.parseFloat(readSentence(s.shows))) ?? [];
      const made = Number(/Nominal thickness ([\d.]+)/.exec(story(disc))?.[1]);
      expect(Math.max(...shown)).toBeLessThanOrEqual(made);
      expect(find(EXERCISES.usedAgain.make(seed), 'back', 'many').solution).toContain('own');
    }),
    { numRuns: 60 },
  );
});

it('a star is drawn up in more than one order, and never by neighbours', () => {
  const q = [0, 1, 2, 3, 4, 5]
    .map((seed) => find(EXERCISES.tighten.make(seed), 'order', 'order'))
    .find(({ bolts }) => bolts === 6);
  if (!q) throw new Error('no circle of six');
  expect(q.mark([1, 4, 6, 3, 5, 2]).points).toBe(1);
  expect(q.mark([1, 2, 3, 4, 5, 6]).points).toBe(0);
  expect(q.mark([1, 3, 5, 2, 4, 6]).points).toBe(0.5);
  expect(q.mark([1, 4]).points).toBe(0);
});

it('springs in other even orders are right too', () => {
  const e = EXERCISES.unevenSprings.make(2);
  const q = find(e, 'ring', 'ring');
  const turned = (q.solution as readonly string[]).map((k) => (k === 'hard' ? 'soft' : 'hard'));
  expect(q.mark(turned).points).toBe(1);
  expect(q.mark(turned.toSorted()).points).toBe(0);
});
