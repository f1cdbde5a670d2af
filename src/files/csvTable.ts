import Papa from 'papaparse';

import type { Quantity, Unit } from '@/core/units/quantity';
import { UNITS } from '@/core/units/quantity';

import { FileRefused } from './refused';

/* What readers of CSV files of readings share: rows with their lines, numbers as people and loggers write them, units. */

export const MAX_CSV_BYTES = 2_000_000;

export interface CsvRows {
  /** Rows that hold something, each with its line in the file. */
  readonly filled: readonly { readonly line: number; readonly cells: readonly string[] }[];
  /** Commas part no columns, so one in a number is a decimal comma. */
  readonly decimalComma: boolean;
}

/**
 * Parts a text into rows: comma, semicolon, tab or bar between columns; blank lines and remarks left out.
 * @param what the file should be, for the message: "a torque curve"
 * @throws {FileRefused} when it is too large, empty or no text
 */
export function openCsv(text: string, what: string): CsvRows {
  if (text.length > MAX_CSV_BYTES)
    throw new FileRefused(`The file is too large for ${what}: at most 2 MB.`);
  if (text.trim() === '') throw new FileRefused('The file is empty.');
  if (/[\0]/.test(text)) throw new FileRefused('This is no text file: it holds binary data.');
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(plain);
  const { data } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: false });
  return {
    decimalComma: delimiter !== ',',
    filled: data
      .map((cells, i) => ({ line: i + 1, cells: cells.map((c) => c.trim()) }))
      .filter(({ cells }) => cells.some((c) => c !== '') && !isRemark(cells)),
  };
}

/** What parts the columns: where a line has semicolons or tabs, its commas are decimal ones. */
function delimiterOf(text: string): string {
  const first = text.split(/\r?\n/).find((l) => l.trim() !== '' && !isRemark([l.trim()])) ?? '';
  return [';', '\t', '|'].find((d) => first.includes(d)) ?? ',';
}

/** Lines that loggers put before or between readings. */
const isRemark = ([first = '']: readonly string[]) => /^[#;%]|^\/\//.test(first);

/** The unit of a quantity named in a header: "Torque [ft-lb]". */
export function unitIn(text: string, quantity: Quantity): Unit | undefined {
  const flat = text.toLowerCase().replace(/\s+/g, '');
  const found = UNITS[quantity].flatMap((unit) =>
    unit.spellings.filter((s) => flat.includes(s.replace(/\s+/g, ''))).map((s) => ({ unit, s })),
  );
  // The longest spelling says most: "in-lb" holds no "lb-in" by chance, but "nm" may hide in a word.
  return found.sort((x, y) => y.s.length - x.s.length)[0]?.unit;
}

/** A number as a person or a logger writes it; nothing for anything else. */
export function readCell(cell: string | undefined, decimalComma: boolean): number | undefined {
  if (cell === undefined || cell === '') return undefined;
  const text = cell.replace(/[\u00a0\u202f' ]/g, '');
  const plain = decimalComma ? text.replace(',', '.') : text;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : undefined;
}
