// cspell:ignore länge höhe
import { MAX_TESTER_POINTS } from '@/core/job/fields';
import type { Mm, Newton } from '@/core/units/quantity';

import { openCsv, readCell, unitIn } from './csvTable';
import { FileRefused } from './refused';

/** A reading of a spring tester: where it stood, length or deflection, and the force there. */
export interface TesterRow {
  readonly at: Mm;
  readonly force: Newton;
}

const FORCE_HEAD = /force|load|kraft|\blbf?\b|\bkgf?\b|(^|[\s[(])n([\])]|$)/i;
const PLACE_HEAD = {
  length: /length|height|länge|höhe/i,
  deflection: /deflection|travel|stroke|compression|weg/i,
} as const;

/**
 * Reads spring tester points from a CSV file: a column of length (coil springs) or deflection (diaphragms) and one of force, in
 * any order, with units in the header or mm and N. Without a header the first column is length or deflection.
 * @param place what the points are taken over
 * @throws {FileRefused} naming the line, when it is no such file
 */
export function readSpringCsv(text: string, place: 'length' | 'deflection'): TesterRow[] {
  const { filled, numbers } = openCsv(text, 'spring tester points');
  const [first] = filled;
  if (!first || first.cells.length < 2)
    throw new FileRefused(`Two columns are needed, ${place} and force; the file has one.`);
  const headed = first.cells.some((c) => c !== '' && readCell(c, numbers) === undefined);
  const head = headed ? first.cells : [];
  const columns = headed ? columnsOf(head, place) : { at: 0, force: 1 };
  const inBase = (column: number, quantity: 'length' | 'force') =>
    unitIn(head[column] ?? '', quantity)?.toBase ?? ((value: number) => value);
  const toMm = inBase(columns.at, 'length');
  const toNewton = inBase(columns.force, 'force');
  const rows = headed ? filled.slice(1) : filled;
  if (rows.length < 2) throw new FileRefused('Two points or more are needed; the file has fewer.');
  if (rows.length > MAX_TESTER_POINTS)
    throw new FileRefused(
      `The file has ${rows.length} points; the maximum is ${MAX_TESTER_POINTS}.`,
    );
  return rows.map(({ line, cells }) => {
    const read = (column: number) => {
      const value = readCell(cells[column], numbers);
      if (value === undefined)
        throw new FileRefused(
          `Line ${line}: ${cells[column] ? `“${cells[column].slice(0, 40)}” is not a number` : 'a value is missing'}.`,
        );
      return value;
    };
    const at = toMm(read(columns.at));
    const force = toNewton(read(columns.force));
    const least = place === 'length' ? 0.5 : 0;
    if (at < least || at > 300)
      throw new FileRefused(`Line ${line}: ${at} mm is not a possible ${place}.`);
    if (force < 0 || force > 20_000)
      throw new FileRefused(`Line ${line}: ${force} N is not a possible spring force.`);
    return { at, force };
  });
}

function columnsOf(head: readonly string[], place: 'length' | 'deflection') {
  const at = head.findIndex((c) => PLACE_HEAD[place].test(c));
  const force = head.findIndex((c, i) => i !== at && FORCE_HEAD.test(c));
  if (at < 0 || force < 0)
    throw new FileRefused(
      `The header has no column for ${at < 0 ? place : 'force'}: ${head.filter(Boolean).join(', ').slice(0, 120)}.`,
    );
  return { at, force };
}
