import Papa from 'papaparse';

import type { Quantity } from '@/core/units/quantity';
import { toBase, UNITS, unitSpelled } from '@/core/units/quantity';

import { FileRefused } from './refused';
import { countOf } from '@/core/text/countOf';

/* Shared code of CSV readers: rows with line numbers, numbers as people and loggers write them, units. */

export const MAX_CSV_BYTES = 2_000_000;

export interface CsvRows {
  /** Non-empty rows, each with its line number. */
  readonly filled: readonly { readonly line: number; readonly cells: readonly string[] }[];
  readonly numbers: NumberStyle;
}

/** How a file writes its numbers. */
export interface NumberStyle {
  /** Commas part no columns, and one in a number is a decimal comma: a point then parts thousands. */
  readonly decimalComma: boolean;
}

/**
 * Splits a text into rows: comma, semicolon, tab or bar between columns; blank lines and remarks left out.
 * @param what the file should be, for the message: "a torque curve"
 * @throws {FileRefused} when it is too large, empty or no text, or a row has more values than there are columns
 */
export function openCsv(text: string, what: string): CsvRows {
  if (text.length > MAX_CSV_BYTES)
    throw new FileRefused(`The file is too large for ${what}: at most 2 MB.`);
  if (text.trim() === '') throw new FileRefused('The file is empty.');
  if (/[\0]/.test(text)) throw new FileRefused('This is no text file: it holds binary data.');
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(plain);
  const { data } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: false });
  let line = 1;
  const rows = data.map((cells) => {
    const row = { line, cells: cells.map((c) => c.trim()) };
    // A quoted cell may run over several lines.
    line += 1 + (cells.join('').match(/\r\n|\n|\r/g)?.length ?? 0);
    return row;
  });
  const filled = rows.filter(({ cells }) => cells.some((c) => c !== '') && !isRemark(cells));
  const width = filled[0]?.cells.length ?? 0;
  const wide = filled.find(({ cells }) => cells.slice(width).some((c) => c !== ''));
  if (wide)
    throw new FileRefused(
      `Line ${wide.line}: ${countOf(wide.cells.length, 'value')} under ${countOf(width, 'column')}. If commas are decimal commas, separate the columns by semicolons.`,
    );
  const cells = filled.flatMap((row) => row.cells);
  return {
    filled,
    numbers: {
      decimalComma: delimiter !== ',' && cells.some((c) => /^[+-]?[\d.' ]*\d,\d+$/.test(c)),
    },
  };
}

/** The column separator: with semicolons or tabs, commas are decimal commas. */
function delimiterOf(text: string): string {
  const first = text.split(/\r?\n/).find((l) => l.trim() !== '' && !isRemark([l.trim()])) ?? '';
  return [';', '\t', '|'].find((d) => first.includes(d)) ?? ',';
}

/** Lines that loggers put before or between readings. */
const isRemark = ([first = '']: readonly string[]) => /^[#;%]|^\/\//.test(first);

/** Units of files of loggers and testers that nobody types at a bench, by how they are written, in base units. */
const FILE_UNITS: Partial<Record<Quantity, Readonly<Record<string, number>>>> = {
  force: { kn: 1000, dan: 10, gf: 0.00980665, g: 0.00980665 },
  length: { cm: 10, m: 1000, µm: 0.001, um: 0.001 },
  torque: { knm: 1000, mnm: 0.001, ncm: 0.01, danm: 10 },
};

/** Text in brackets after a name that is not a unit. */
const REMARK_IN_BRACKETS = /corr|sae|din|iso|wheel|crank|engine|raw|smooth|run|std|mean|avg|\d/i;

/** A unit as a file names it. */
export interface FileUnit {
  readonly symbol: string;
  readonly toBase: (value: number) => number;
}

function spelled(text: string, quantity: Quantity): FileUnit | undefined {
  const unit = unitSpelled(text, quantity);
  if (unit) return { symbol: unit.symbol, toBase: (value) => toBase(value, unit) };
  const factor = FILE_UNITS[quantity]?.[text.toLowerCase().replace(/[\s.·⋅*-]+/g, '')];
  return factor === undefined
    ? undefined
    : { symbol: text.trim(), toBase: (value) => value * factor };
}

/**
 * The unit of a quantity named in a header: "Torque [ft-lb]", "Torque Nm".
 * @throws {FileRefused} for a unit in brackets that is none of the quantity's, rather than taking it for another
 */
export function unitIn(text: string, quantity: Quantity): FileUnit | undefined {
  const bracketed = [...text.matchAll(/[[(]([^\])]*)[\])]/g)].map(([, inside = '']) => inside);
  for (const inside of bracketed) {
    const found = spelled(inside, quantity);
    if (found) return found;
  }
  const unknown = bracketed.find((b) => b.trim() !== '' && !REMARK_IN_BRACKETS.test(b));
  if (unknown !== undefined)
    throw new FileRefused(
      `“${unknown.trim()}” in “${text.trim().slice(0, 60)}” is not a known unit of ${quantity}; known: ${UNITS[quantity].map((u) => u.symbol).join(', ')}.`,
    );
  const words = text.split(/[\s_,:;|]+/).filter(Boolean);
  const tails = words.flatMap((word, i) => [[words[i - 1] ?? '', word].join(' '), word]);
  return tails.map((tail) => spelled(tail, quantity)).find((unit) => unit !== undefined);
}

/** A number as a person or a logger writes it; nothing for anything else. */
export function readCell(
  cell: string | undefined,
  { decimalComma }: NumberStyle,
): number | undefined {
  if (cell === undefined || cell === '') return undefined;
  const text = cell.replace(/[\u00a0\u202f' ]/g, '').replace(/−/g, '-');
  if (decimalComma && text.includes('.') && !/^[+-]?\d{1,3}(\.\d{3})+(,\d*)?$/.test(text))
    return undefined;
  const plain = decimalComma ? text.replace(/\./g, '').replace(',', '.') : text;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : undefined;
}
