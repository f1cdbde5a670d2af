import { readJobFile, writeJobFile } from '@/files/jobFile';
import { coilPack } from '@/testing/packs';

import { evaluate } from '../../evaluate/evaluate';
import { FIELDS } from '../../job/fields';
import { fittedKinds } from '../fitted';
import { CLUTCH_KINDS } from '../kinds';

const NOW = '2026-11-28T10:00:00.000Z';
const kinds = CLUTCH_KINDS.map((kind) => [kind.id, kind] as const);

describe('the kinds of clutch', () => {
  it('have names of their own', () => {
    const names = CLUTCH_KINDS.flatMap(({ id, name }) => [id, name]);
    expect(new Set(names).size).toBeGreaterThan(CLUTCH_KINDS.length);
    expect(new Set(CLUTCH_KINDS.map(({ id }) => id)).size).toBe(CLUTCH_KINDS.length);
  });

  it.each(kinds)('%s: is fitted in its example, and its figures are known there', (_id, kind) => {
    const job = kind.example(coilPack());
    expect(fittedKinds(job)).toContain(kind);
    const { figures, problems } = evaluate(job);
    const before = new Set(evaluate(coilPack()).figures.keys());
    const own = [...figures.values()].filter((f) => !before.has(f.id) || f.id === 'clamp');
    expect(own.filter((f) => f.status === 'unknown').map((f) => f.reason)).toEqual([]);
    expect(problems.filter((p) => p.state === 'stop')).toEqual([]);
  });

  it.each(kinds)('%s: is kept whole in a file', (_id, kind) => {
    const job = kind.example(coilPack());
    expect(readJobFile(writeJobFile(job, {}, NOW)).job).toEqual(job);
  });

  it.each(kinds)('%s: asks on screen for fields that there are', (_id, kind) => {
    const asked = (kind.form?.(kind.example(coilPack())) ?? []).flatMap((g) => g.fields);
    expect(asked.filter((path) => !Object.hasOwn(FIELDS, path))).toEqual([]);
    expect(kind.families.length).toBeGreaterThan(0);
  });

  it.each(kinds.filter(([, kind]) => kind.choice))('%s: is put in and taken out', (_id, kind) => {
    const { choice } = kind;
    const [none, ...ways] = choice?.options ?? [];
    const without = choice?.put(kind.example(coilPack()), none?.value ?? '') ?? coilPack();
    expect(kind.isFitted(without)).toBe(false);
    for (const { value } of ways) {
      const again = choice?.put(without, value) ?? without;
      expect(choice?.of(again)).toBe(value);
      expect(kind.isFitted(again)).toBe(true);
    }
  });
});
