import fc from 'fast-check';
import Joi from 'joi';

import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';

import { entryOf } from '../schema/parts';

const PATTERNS = Object.keys(FIELDS) as FieldPattern[];
const STRICT = { convert: false } as const;

/** Near enough to an entry that most of what can be wrong with one occurs. */
const nearlyEntry = fc.record(
  {
    value: fc.oneof(
      fc.double(),
      fc.integer({ min: -5, max: 5000 }),
      fc.constantFrom('2', null, Number.NaN, Infinity, true),
    ),
    typed: fc.oneof(fc.string({ maxLength: 120 }), fc.constant(5)),
    source: fc.oneof(
      fc.record(
        {
          kind: fc.constantFrom('entered', 'measured', 'guessed', 3),
          date: fc.constantFrom('2026-05-02', '2 May', ' 2026-05-02', 20260502),
          note: fc.oneof(fc.string(), fc.constant('n'.repeat(401))),
          extra: fc.constant(1),
        },
        { requiredKeys: [] },
      ),
      fc.constantFrom(null, 'measured', []),
    ),
    more: fc.constant('x'),
  },
  { requiredKeys: [] },
);

describe('the schema of an entry', () => {
  it('takes at once only what it would take when it looks at it in full', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PATTERNS),
        fc.oneof(nearlyEntry, fc.anything()),
        (pattern, value) => {
          const schema = entryOf(pattern);
          // Preferences can turn the hook off; then every rule of the schema is run.
          const quick = schema.validate(value, STRICT);
          const full = schema.validate(value, { ...STRICT, cache: false });
          expect(quick.error?.message).toBe(full.error?.message);
          expect(quick.value).toEqual(full.value);
        },
      ),
      { numRuns: 3000 },
    );
  });

  it('is used inside objects too, and refuses the same things there', () => {
    const schema = Joi.object({ lift: entryOf('release.measuredLift') });
    expect(schema.validate({ lift: { value: 1.8 } }, STRICT).error).toBeUndefined();
    expect(schema.validate({}, STRICT).error).toBeUndefined();
    expect(schema.validate({ lift: { value: '1.8' } }, STRICT).error?.message).toContain('lift');
    expect(schema.validate({ lift: { value: 1.8, odd: 1 } }, STRICT).error?.message).toContain(
      'lift.odd',
    );
  });
});
