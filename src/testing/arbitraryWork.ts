import fc from 'fast-check';

import { FASTENER_ROLES, TIGHTENING_TOOLS, LOCKS, PROVE_TESTS } from '@/core/job/work';

import { sparse, withId } from './arbitraryEntry';

/** Arbitrary step, build and prove records as wide as the schema allows. */

const TIME = fc.constantFrom('2026-01-01T00:00:00.000Z', '2026-11-25T13:50:00.000Z');
const WORDS = fc.string({ maxLength: 20 });
const SAFE_KEY = fc.constantFrom(
  'soak',
  'plate:x0',
  'plate:x3',
  'countIn',
  'own:x0',
  'lift',
  'recheck',
);

const worksheet = fc.record({
  records: fc.dictionary(
    SAFE_KEY,
    fc.record(
      {
        done: fc.record({ at: TIME, by: WORDS, said: WORDS }),
        otherwise: WORDS,
        skipped: WORDS,
        note: WORDS,
      },
      { requiredKeys: [] },
    ),
    { maxKeys: 5 },
  ),
  own: fc.array(fc.record({ text: WORDS }), { maxLength: 3 }).map((own) => withId([], own)),
  order: fc.uniqueArray(fc.oneof(SAFE_KEY, fc.constant('plates')), { maxLength: 6 }),
});

export const arbitraryWork = fc.record({
  work: fc.record({ by: WORDS, build: worksheet, set: worksheet, prove: worksheet }),
  build: sparse(
    {
      stages: fc.integer({ min: 1, max: 4 }),
      fasteners: fc
        .array(
          sparse(
            {
              role: fc.constantFrom(...FASTENER_ROLES),
              name: WORDS,
              lock: fc.constantFrom(...LOCKS),
              grade: WORDS,
              tool: fc.constantFrom(...TIGHTENING_TOOLS),
              lockReused: fc.boolean(),
            },
            'build.fasteners.*',
          ),
          { maxLength: 4 },
        )
        .map((all) => withId([], all)),
    },
    'build',
  ),
  prove: sparse(
    {
      outcomes: fc.record(
        Object.fromEntries(PROVE_TESTS.map((t) => [t, fc.constantFrom('pass', 'fail')])),
        { requiredKeys: [] },
      ),
      starts: fc
        .array(sparse({ name: WORDS }, 'prove.starts.*'), { maxLength: 3 })
        .map((all) => withId([], all)),
    },
    'prove',
  ),
  parts: fc
    .array(sparse({ name: WORDS, note: WORDS }, 'strip.parts.*'), { maxLength: 4 })
    .map((all) => withId([], all)),
});
