import fc from 'fast-check';

import { Killed, MemoryRaw } from '@/testing/memoryRaw';

import { NewerRecords, seal } from '../envelope';
import { sealedRecords } from '../records';

const KEYS = ['job:a', 'job:b', 'shelf', 'rows:1', 'drafts:a'];

/** The content of the records, as found by a new opening. */
async function found(raw: MemoryRaw) {
  const { records, damaged } = await sealedRecords(raw, 'test').read(KEYS);
  return { damaged, records: Object.fromEntries(records) };
}

const revived = (raw: MemoryRaw) => new MemoryRaw(new Map(raw.kept));

describe('records', () => {
  const change = fc.record({
    put: fc.dictionary(fc.constantFrom(...KEYS), fc.record({ n: fc.nat(), text: fc.string() })),
    take: fc.subarray(KEYS),
  });

  it('are all changed or none, at whichever of its transactions the process ends', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.dictionary(fc.constantFrom(...KEYS), fc.record({ n: fc.nat(), text: fc.string() })),
        change,
        fc.nat(3),
        async (first, { put, take }, killAt) => {
          const raw = new MemoryRaw();
          const records = sealedRecords(raw, 'test');
          await records.write(new Map(Object.entries(first)), []);
          const before = await found(revived(raw));
          const gone = take.filter((key) => !(key in put) && key in first);
          const changed = new Map(Object.entries(put));
          raw.steps = 0;
          raw.killAt = killAt;
          await records.write(changed, gone).catch((error: unknown) => {
            if (!(error instanceof Killed)) throw error;
          });
          const after = Object.fromEntries(
            Object.entries({ ...first, ...put }).filter(([key]) => !gone.includes(key)),
          );
          const now = await found(revived(raw));
          expect([before.records, after]).toContainEqual(now.records);
          expect(now.damaged).toEqual([]);
        },
      ),
      { numRuns: 1500 },
    );
  });

  it('of the first layout, without checksums, are read and become sealed when they change', async () => {
    const raw = new MemoryRaw(
      new Map([
        ['job:a', '{"id":"a"}'],
        ['rows:1', '[{"id":"a"}]'],
        ['photo:p', 'data:image/jpeg;base64,AAAA'],
      ]),
    );
    const records = sealedRecords(raw, 'test');
    const { records: read } = await records.read(['job:a', 'rows:1', 'photo:p']);
    expect(Object.fromEntries(read)).toEqual({
      'job:a': { id: 'a' },
      'rows:1': [{ id: 'a' }],
      'photo:p': 'data:image/jpeg;base64,AAAA',
    });
    expect(await records.write(new Map([['job:a', { id: 'a', n: 2 }]]), [])).toEqual({
      foreign: [],
    });
    expect(raw.kept.get('job:a')).toBe(seal({ id: 'a', n: 2 }));
    expect(raw.kept.get('last:job:a')).toBe('{"id":"a"}');
  });

  it('with a single letter changed are found out', async () => {
    const text = seal({ clamp: 2400, plates: [1, 2, 3] });
    await fc.assert(
      fc.asyncProperty(
        fc.nat(text.length - 1),
        fc.string({ minLength: 1, maxLength: 1 }),
        async (at, c) => {
          fc.pre(text[at] !== c);
          const raw = new MemoryRaw(
            new Map([['shelf', text.slice(0, at) + c + text.slice(at + 1)]]),
          );
          const outcome = await found(raw).catch((error: unknown) => error);
          if (outcome instanceof NewerRecords) return;
          expect(outcome).toEqual({ records: {}, damaged: [{ key: 'shelf', fixed: false }] });
          const [aside] = await sealedRecords(raw, 'test').aside();
          expect(aside?.text).toBe(text.slice(0, at) + c + text.slice(at + 1));
        },
      ),
    );
  });

  it('that somebody else wrote meanwhile are not written over', async () => {
    const raw = new MemoryRaw();
    const [one, two] = [sealedRecords(raw, 'test'), sealedRecords(raw, 'test')];
    await one.write(new Map([['shelf', { n: 1 }]]), []);
    await two.read(['shelf']);
    await one.write(new Map([['shelf', { n: 2 }]]), []);
    const mine = new Map([['shelf', { n: 3 }]]);
    expect(await two.write(mine, [])).toEqual({ foreign: ['shelf'] });
    expect(await two.write(new Map(), ['shelf'])).toEqual({ foreign: ['shelf'] });
    expect((await found(raw)).records.shelf).toEqual({ n: 2 });
    await two.read(['shelf']);
    expect(await two.write(mine, [])).toEqual({ foreign: [] });
    expect((await found(raw)).records.shelf).toEqual({ n: 3 });
  });

  it('that are damaged can be deleted one by one', async () => {
    const raw = new MemoryRaw(
      new Map([
        ['shelf', 'ur2 00000000 {"n":1}'],
        ['job:a', '{'],
      ]),
    );
    const records = sealedRecords(raw, 'test');
    await records.read(['shelf', 'job:a']);
    expect(await records.keys()).toEqual([]);
    const [first, second] = await records.aside();
    if (!first) throw new Error('no damaged record');
    await records.throwAway(first);
    expect(await records.aside()).toEqual([second]);
  });
});
