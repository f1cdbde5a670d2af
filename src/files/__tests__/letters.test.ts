// cspell:ignore Муфта Λέξη שלום
import { readFileSync } from 'node:fs';
import path from 'node:path';

import fc from 'fast-check';
import { create } from 'fontkit';

import { coilPack } from '@/testing/packs';

import coverage from '../pdf/coverage.json';
import {
  LETTERS_FACE,
  runsOf,
  SIGNS_FACE,
  UNPRINTABLE,
  unprintable,
  withFaces,
} from '../pdf/letters';
import { paperOf } from '../pdf/paperOf';

const charactersOf = (file: string): ReadonlySet<number> => {
  const font = create(readFileSync(path.join(__dirname, '../../..', file)));
  if (!('characterSet' in font)) throw new Error(`${file} is no font`);
  return new Set(font.characterSet);
};

describe('letters on a sheet', () => {
  it('come from the face that has them, spaces with the word before', () => {
    expect(runsOf('Clutch Муфта → ok')).toEqual([
      { text: 'Clutch ' },
      { text: 'Муфта ', font: LETTERS_FACE },
      { text: '→ ', font: SIGNS_FACE },
      { text: 'ok' },
    ]);
    expect(runsOf('Λέξη 0.940 mm')).toEqual([
      { text: 'Λέξη ', font: LETTERS_FACE },
      { text: '0.940 mm' },
    ]);
    expect(runsOf('e\u0301')).toEqual([{ text: 'é' }]);
  });

  it('are a box where no face has them, and are named before printing', () => {
    expect(runsOf('漢字 x')).toEqual([{ text: '□□ ', font: SIGNS_FACE }, { text: 'x' }]);
    const job = { ...coilPack(), notes: 'שלום 漢字漢 \u{1F600} и → é' };
    const paper = paperOf({ job, kind: 'job', pageSize: 'A4', units: {}, unfinished: [] });
    expect(unprintable(paper)).toEqual([...'שלום漢字\u{1F600}']);
  });

  it('are never lost: each is itself or a box', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const letters = [...text.normalize('NFC')].filter(
          (c) => !/[\p{Cc}\p{Cf}\uFE00-\uFE0F]/u.test(c),
        );
        const printed = [
          ...runsOf(text.replaceAll('\n', ''))
            .map((run) => run.text)
            .join(''),
        ];
        expect(printed).toHaveLength(letters.length);
        printed.forEach((c, i) => expect([letters[i], UNPRINTABLE]).toContain(c));
      }),
    );
  });

  it('are looked up in what the fonts that ship do have', () => {
    for (const [name, file] of [
      ['letters', 'assets/paper/letters.ttf'],
      ['signs', 'assets/paper/signs.ttf'],
    ] as const) {
      const characters = charactersOf(file);
      for (const [from = 0, to = 0] of coverage[name])
        for (let code = from; code <= to; code++) expect(characters.has(code)).toBe(true);
    }
  });

  it('leave a definition as it is where all letters are plain', () => {
    const plain = [{ text: 'Stack', bold: true }, { columns: [{ text: '34.5' }] }];
    expect(withFaces(plain)).toEqual(plain);
    expect(withFaces([{ svg: '<text>ж</text>' }])).toEqual([
      { svg: `<text><tspan font-family="${LETTERS_FACE}">ж</tspan></text>` },
    ]);
  });
});
