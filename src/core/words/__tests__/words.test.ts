import { EXERCISE_IDS, EXERCISES } from '../../exercises/exercises';
import { readSentence } from '@/core/text/sentence';
import { FIELDS } from '../../job/fields';
import { FAMILIES, GLOSSARY, TERM_IDS } from '../glossary';
import type { TermId } from '../glossary';
import { METHODS } from '../methods';
import { termOf, termsIn } from '../termsIn';

describe('the glossary', () => {
  it('names each term once, and leads only to terms that there are', () => {
    const names = TERM_IDS.flatMap((id) => [GLOSSARY[id].name, ...(GLOSSARY[id].also ?? [])]).map(
      (n) => n.toLowerCase(),
    );
    expect(new Set(names).size).toBe(names.length);
    for (const id of TERM_IDS) {
      const { text, see = [] } = GLOSSARY[id];
      expect(text).toMatch(/\.$/);
      for (const other of see) expect(TERM_IDS).toContain(other);
      expect(see).not.toContain(id);
    }
  });

  it('reaches every term from the pack by what belongs to what, or is reached from nowhere only by the list', () => {
    const met = new Set<TermId>(['pack']);
    for (const id of met) for (const next of GLOSSARY[id].see ?? []) met.add(next);
    const lost = TERM_IDS.filter((id) => !met.has(id));
    expect(lost.length).toBeLessThan(TERM_IDS.length / 3);
  });

  it('knows the parts and the mistakes by the words that exercises use', () => {
    const texts = EXERCISE_IDS.flatMap((id) =>
      EXERCISES[id].make(1).story.map((s) => readSentence(s)),
    );
    expect(
      texts.filter((t) => termsIn(t).some((p) => typeof p !== 'string')).length,
    ).toBeGreaterThan(10);
  });

  it('explains many labels of fields', () => {
    const labels = [...new Set(Object.values(FIELDS).map((f) => f.label))];
    expect(
      labels.filter((l) => termsIn(l).some((p) => typeof p !== 'string')).length,
    ).toBeGreaterThan(20);
  });
});

describe('words in a text', () => {
  it('are picked out where they stand first, longest first, and put together again to the text', () => {
    const text = 'The pressure plate moves; pressure plates and the thrust washer, not a washer.';
    const pieces = termsIn(text);
    expect(pieces.map((p) => (typeof p === 'string' ? p : p.text)).join('')).toBe(text);
    expect(pieces.filter((p) => typeof p !== 'string')).toEqual([
      { text: 'pressure plate', term: 'pressurePlate' },
      { text: 'thrust washer', term: 'thrustWasher' },
    ]);
    expect(termsIn(text)).toBe(pieces);
  });

  it('are not found inside other words', () => {
    expect(termsIn('A hubbub of basketry, repacked').every((p) => typeof p === 'string')).toBe(
      true,
    );
  });

  it('a label as a whole is a term, with or without what is added to it', () => {
    expect(termOf('Lift')).toBe('lift');
    expect(termOf('Lever pull at full lift')).toBe('leverPull');
    expect(termOf('Coil springs')).toBe('coil');
    expect(termOf('Notes')).toBeUndefined();
  });
});

it('has complete entries for clutch types and methods', () => {
  for (const f of FAMILIES) for (const text of [f.how, f.tell, f.mind]) expect(text).toMatch(/\.$/);
  for (const s of METHODS) {
    expect(s.question).toMatch(/\?$/);
    expect(s.methods.length).toBeGreaterThan(1);
    expect(s.why).toMatch(/\.$/);
  }
});
