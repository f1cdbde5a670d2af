import type { Content } from 'pdfmake/interfaces';

import type { Paper } from '@/core/paper/paper';

import coverage from './coverage.json';

/*
 * The sheet's fonts have Latin letters. Cyrillic, Greek, arrows and symbols come from two more; characters in none of them are
 * printed as a box and reported before printing.
 */

/** Faces by the names under which they are given to the PDF. */
export const LETTERS_FACE = 'Letters';
export const SIGNS_FACE = 'Signs';

/** Replaces an unprintable character. */
export const UNPRINTABLE = '□';

type Ranges = readonly (readonly number[])[];

const has = (ranges: Ranges, code: number): boolean =>
  ranges.some(([from = 0, to = 0]) => code >= from && code <= to);

/** A face besides the sheet's own, or none where the sheet's own has the letter. */
type Face = typeof LETTERS_FACE | typeof SIGNS_FACE | undefined;

interface Run {
  readonly text: string;
  readonly font?: Exclude<Face, undefined> | undefined;
}

/** Characters without a shape: line ends, variation selectors, direction marks. */
const SHAPELESS = /[\p{Cc}\p{Cf}\uFE00-\uFE0F]/u;

/** The face that has a letter; null when none has. */
function faceOf(letter: string): Face | null {
  const code = letter.codePointAt(0) ?? 0;
  if (letter === '\n' || has(coverage.own, code)) return undefined;
  if (has(coverage.letters, code)) return LETTERS_FACE;
  return has(coverage.signs, code) ? SIGNS_FACE : null;
}

/** Composed, so that é is one character, and without shapeless ones. */
const lettersOf = (text: string): readonly string[] =>
  [...text.normalize('NFC')].filter((letter) => letter === '\n' || !SHAPELESS.test(letter));

/** A text as runs of one face each, with a box for each letter that none has. */
export function runsOf(text: string): readonly Run[] {
  const runs: { text: string; font?: Run['font'] }[] = [];
  for (const letter of lettersOf(text)) {
    const face = faceOf(letter);
    const font = face === null ? SIGNS_FACE : face;
    const shape = face === null ? UNPRINTABLE : letter;
    const last = runs.at(-1);
    // A space belongs to the text before it.
    if (last && (last.font === font || shape === ' ')) last.text += shape;
    else runs.push(font ? { text: shape, font } : { text: shape });
  }
  return runs;
}

const isPlain = (text: string): boolean =>
  lettersOf(text).join('') === text && [...text].every((letter) => faceOf(letter) === undefined);

/** The content of a sheet with every text in faces that have its letters. */
export function withFaces<T extends Content>(content: T): T {
  return mapped(content) as T;
}

/** Keys of a sheet that hold text; all others are numbers, colours and shapes. */
const HOLDERS = new Set(['text', 'stack', 'columns', 'ul', 'table', 'body']);

function mapped(node: unknown): unknown {
  if (typeof node === 'string') return isPlain(node) ? node : { text: runsOf(node) };
  if (Array.isArray(node)) return node.map(mapped);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([key, value]: [string, unknown]) => {
      if (key === 'svg' && typeof value === 'string') return [key, svgWithFaces(value)];
      if (!HOLDERS.has(key)) return [key, value];
      return [key, key === 'text' && typeof value === 'string' ? textOf(value) : mapped(value)];
    }),
  );
}

const textOf = (text: string) => (isPlain(text) ? text : runsOf(text));

/** A drawing with its text in fonts that have its characters. */
function svgWithFaces(svg: string): string {
  return runsOf(svg)
    .map(({ text, font }) => (font ? `<tspan font-family="${font}">${text}</tspan>` : text))
    .join('');
}

/** Letters of a sheet that no face has, each once, in their order on the sheet. */
export function unprintable({ title, subtitle, blocks, foot }: Paper): readonly string[] {
  const text = JSON.stringify([title, subtitle, blocks, foot]);
  return [...new Set(lettersOf(text).filter((letter) => faceOf(letter) === null))];
}
