import { smallLibrary, smallStock } from '@/testing/jobs';
import { makeStore } from '@/state/store';

import { STORED_PARTS } from '../parts';

function part(key: string) {
  const found = STORED_PARTS.find((p) => p.key === key);
  if (!found) throw new Error(`There is no part ${key}.`);
  return found;
}

/** Offers a record to a part of a fresh store; its value there after it, where it was accepted. */
function offered(
  key: string,
  value: unknown,
): { readonly taken: boolean; readonly state: unknown } {
  const store = makeStore();
  const taken = part(key).take(store.dispatch, value);
  return { taken, state: part(key).of(store.getState()) };
}

const CASE = { seed: 7, taken: ['a'], answers: { which: 'one', several: ['one', 'two'] } };
const PROGRESS = { done: 3, right: 2, best: 1, last: 0.5 };
const HANDS = [
  { t: 0, lever: 1, throttle: 0 },
  { t: 2, lever: 0, throttle: 1 },
];

const PULL = { number: 1, parts: 2, samples: [{ rpm: 3000, torque: 31.5 }], state: 'whole' };

/** What each part takes. */
const WHOLE: Readonly<Record<string, readonly unknown[]>> = {
  display: [
    { theme: 'peat', units: {} },
    { theme: 'system', units: { length: 'in', torque: 'ftlb' } },
  ],
  shelf: [smallStock(), { plates: [], springs: [] }],
  templates: [{}, { 'pack build': { order: [], own: [] } }],
  library: [[], smallLibrary()],
  typed: [{}, { 'shelf.new.thickness': '1.' }],
  practice: [
    { exercises: {} },
    { exercises: { gap: PROGRESS }, hands: HANDS },
    { exercises: { gap: { ...PROGRESS, open: CASE } } },
  ],
  pulls: [{}, { job: [PULL, { ...PULL, parts: 0, samples: [], state: 'broken' }] }],
  backup: [{ since: '2026-11-28T10:00:00.000Z', made: true }],
};

/** What an odd version or somebody's hand may have left there. */
const SPOILT: Readonly<Record<string, readonly unknown[]>> = {
  display: [
    { theme: 'pink', units: {} },
    { theme: 'peat' },
    { theme: 'peat', units: { length: 'furlong' } },
    { theme: 'peat', units: { weight: 'kg' } },
    { theme: 'peat', units: { length: 'Nm' } },
  ],
  shelf: [
    { plates: [] },
    { plates: {}, springs: [] },
    { plates: [{ thickness: 2 }], springs: [] },
    { plates: [], springs: [], scrap: 'none' },
    { plates: [], springs: [], wanted: [5] },
  ],
  templates: [{ build: 'mine' }, { build: null }],
  library: [{}, [{ id: 'a' }], [{ limits: [] }], ['a']],
  typed: [{ a: 5 }, { a: null }],
  practice: [
    {},
    { exercises: { gap: { ...PROGRESS, done: -1 } } },
    { exercises: { gap: { ...PROGRESS, best: 1.1 } } },
    { exercises: { gap: { ...PROGRESS, right: 0.5 } } },
    { exercises: { gap: { ...PROGRESS, open: { ...CASE, taken: [5] } } } },
    { exercises: { gap: { ...PROGRESS, open: { ...CASE, answers: { which: 5 } } } } },
    { exercises: {}, hands: [HANDS[0]] },
    { exercises: {}, hands: [HANDS[1], HANDS[0]] },
    { exercises: {}, hands: 'mine' },
  ],
  pulls: [
    { job: PULL },
    { job: [{ ...PULL, number: -1 }] },
    { job: [{ ...PULL, parts: 0.5 }] },
    { job: [{ ...PULL, state: 'late' }] },
    { job: [{ ...PULL, samples: {} }] },
    { job: [{ ...PULL, samples: [{ rpm: 3000, torque: null }] }] },
  ],
  backup: [{}, { since: 5 }, { since: 'yesterday', made: true }],
};

const NOTHING_OF_OURS: readonly unknown[] = [undefined, null, 5, 'text', true, [1], [null]];

describe('the parts of a stored workshop', () => {
  it('are all tried here', () => {
    const keys = STORED_PARTS.map((p) => p.key).sort();
    expect(Object.keys(WHOLE).sort()).toEqual(keys);
    expect(Object.keys(SPOILT).sort()).toEqual(keys);
  });

  it.each(STORED_PARTS.map(({ key }) => key))('%s takes what it has written itself', (key) => {
    const fresh = makeStore();
    const own: unknown = JSON.parse(JSON.stringify(part(key).of(fresh.getState())));
    // Before the first backup there is no day of one yet.
    if (key !== 'backup') expect(offered(key, own).taken).toBe(true);
    for (const value of WHOLE[key] ?? []) {
      const { taken, state } = offered(key, value);
      expect(taken).toBe(true);
      expect(state).toMatchObject(value as object);
    }
  });

  it.each(STORED_PARTS.map(({ key }) => key))(
    '%s refuses what is none of it, and stays as it was',
    (key) => {
      const before = part(key).of(makeStore().getState());
      for (const value of [...NOTHING_OF_OURS, ...(SPOILT[key] ?? [])]) {
        const { taken, state } = offered(key, value);
        expect([value, taken]).toEqual([value, false]);
        expect(state).toEqual(before);
      }
    },
  );

  it('a shelf of an earlier version has the lists that came later, empty', () => {
    const { state } = offered('shelf', { plates: [], springs: [] });
    expect(state).toMatchObject({ scrap: [], scrapSprings: [], wanted: [] });
  });
});
