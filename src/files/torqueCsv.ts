import type { TorqueCurve, TorquePoint } from '@/core/job/types';
import { MAX_CURVE_POINTS, MAX_NAME } from '@/core/job/fields';
import type { Unit } from '@/core/units/quantity';
import { toBase, unitById } from '@/core/units/quantity';

import { openCsv, readCell, unitIn } from './csvTable';
import { FileRefused } from './refused';

/** A curve read from a file, and how it was read, for the builder to look over before it is taken. */
export interface TorqueFile {
  readonly curve: TorqueCurve;
  /** What was taken as what, and what was left out, a sentence each. */
  readonly notes: readonly string[];
}

const SPEED_HEAD = /rpm|1\/min|r\/min|min-1|speed|drehzahl|revs?\b|engine ?speed/i;
const TORQUE_HEAD =
  /torque|n[·.\s-]?m\b|(ft|in)[·.\s-]?lbf?|lbf?[·.\s-]?(ft|in)|drehmoment|couple/i;
const THOUSANDS = /(x|×|\*)\s*1000|krpm|1000\s*(rpm|1\/min)/i;

interface Columns {
  readonly speed: number;
  readonly torque: number;
  readonly unit: Unit;
  readonly speedFactor: number;
  readonly notes: readonly string[];
  /** Rows before the first reading. */
  readonly skip: number;
}

/**
 * Reads torque over rpm from a CSV file: comma, semicolon or tab, decimal point or comma, columns in any order, units
 * in the header or N·m, blank lines left out. Rows are put in order of rpm, and several at one rpm become their mean.
 * @param text the file's text, at most 2 MB
 * @throws {FileRefused} naming the line, when it is no such file
 */
export function readTorqueCsv(text: string, fileName: string): TorqueFile {
  const { filled, decimalComma } = openCsv(text, 'a torque curve');
  const columns = findColumns(
    filled.slice(0, 6).map((r) => r.cells),
    decimalComma,
  );
  const sums = new Map<number, { torque: number; n: number }>();
  for (const { line, cells } of filled.slice(columns.skip)) {
    const rpm = readCell(cells[columns.speed], decimalComma);
    const torque = readCell(cells[columns.torque], decimalComma);
    if (rpm === undefined || torque === undefined) {
      const bad = rpm === undefined ? cells[columns.speed] : cells[columns.torque];
      throw new FileRefused(
        `Line ${line}: ${bad ? `“${bad.slice(0, 40)}” is no number` : 'a value is missing'}.`,
      );
    }
    const speed = rpm * columns.speedFactor;
    const nm = toBase(torque, columns.unit);
    if (speed < 0 || speed > 30_000)
      throw new FileRefused(`Line ${line}: ${rpm} is no engine speed, 0 to 30,000 rpm.`);
    if (Math.abs(nm) > 1000)
      throw new FileRefused(
        `Line ${line}: ${torque} ${columns.unit.symbol} is no torque of such an engine.`,
      );
    const at = sums.get(speed) ?? { torque: 0, n: 0 };
    sums.set(speed, { torque: at.torque + nm, n: at.n + 1 });
  }
  if (sums.size < 2) throw new FileRefused('A curve needs two speeds or more; the file has fewer.');
  if (sums.size > MAX_CURVE_POINTS)
    throw new FileRefused(
      `The file has ${sums.size} speeds; at most ${MAX_CURVE_POINTS} are taken.`,
    );
  const points = [...sums]
    .map(([rpm, { torque, n }]): TorquePoint => ({ rpm, torque: torque / n }))
    .sort((a, b) => a.rpm - b.rpm);
  const doubled = filled.length - columns.skip - sums.size;
  return {
    curve: { name: fileName.slice(0, MAX_NAME), points },
    notes: [
      ...columns.notes,
      ...(doubled > 0 ? [`${doubled} rows at a speed already there: their mean counts.`] : []),
    ],
  };
}

function findColumns(head: readonly (readonly string[])[], decimalComma: boolean): Columns {
  const first = head[0] ?? [];
  const isNumber = (cell: string | undefined) => readCell(cell, decimalComma) !== undefined;
  if (first.length < 2)
    throw new FileRefused('Two columns are needed, rpm and torque; the file has one.');
  const headers = head.findIndex((cells) => cells.some((c) => SPEED_HEAD.test(c)));
  if (headers >= 0) {
    const cells = head[headers] ?? [];
    const speed = cells.findIndex((c) => SPEED_HEAD.test(c) && !TORQUE_HEAD.test(c));
    const torque = cells.findIndex((c, i) => i !== speed && TORQUE_HEAD.test(c));
    if (speed < 0 || torque < 0)
      throw new FileRefused(
        `The header has no column for ${speed < 0 ? 'rpm' : 'torque'}: ${cells.filter(Boolean).join(', ').slice(0, 120)}.`,
      );
    // A line of units may stand under the names.
    const under = head[headers + 1] ?? [];
    const hasUnits = !isNumber(under[speed]) && !isNumber(under[torque]);
    const said = `${cells[torque] ?? ''} ${hasUnits ? (under[torque] ?? '') : ''}`;
    const unit = unitIn(said, 'torque');
    const thousands = THOUSANDS.test(
      `${cells[speed] ?? ''} ${hasUnits ? (under[speed] ?? '') : ''}`,
    );
    return {
      speed,
      torque,
      unit: unit ?? unitById('Nm'),
      speedFactor: thousands ? 1000 : 1,
      skip: headers + (hasUnits ? 2 : 1),
      notes: [
        `Speed from “${cells[speed]}”, torque from “${cells[torque]}”${unit ? `, in ${unit.symbol}` : ', taken as N·m: no unit is named'}.`,
      ],
    };
  }
  if (!first.every((c) => c === '' || isNumber(c)))
    throw new FileRefused(
      `Line 1: neither numbers nor a header with rpm and torque: “${first.join(', ').slice(0, 80)}”.`,
    );
  // Without a header the larger numbers are speeds.
  const middle = head[Math.floor(head.length / 2)] ?? first;
  const a = readCell(middle[0], decimalComma) ?? 0;
  const b = readCell(middle[1], decimalComma) ?? 0;
  const speed = a >= b ? 0 : 1;
  return {
    speed,
    torque: 1 - speed,
    unit: unitById('Nm'),
    speedFactor: 1,
    skip: 0,
    notes: [
      `No header: the ${speed === 0 ? 'first' : 'second'} column is taken as rpm, the other as torque in N·m.`,
    ],
  };
}
