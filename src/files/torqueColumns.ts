// cspell:ignore drehzahl drehmoment leistung
import { torqueOfPower } from '@/core/torque/pulls';
import type { NewtonMetre } from '@/core/units/quantity';

import type { NumberStyle } from './csvTable';
import { readCell, unitIn } from './csvTable';
import { FileRefused } from './refused';

/** A dyno column with torque, or power from which torque follows. */
export interface PullColumn {
  readonly at: number;
  /** As the header has it. */
  readonly name: string;
  readonly symbol: string;
  /** Its unit is named in the file. */
  readonly named: boolean;
  readonly toTorque: (value: number, rpm: number) => NewtonMetre;
}

/** Columns of speed and torque in a file. */
export interface Columns {
  readonly speed: number;
  readonly speedFactor: number;
  readonly torque: PullColumn;
  /** The file has power alone, and torque follows from it. */
  readonly fromPower: boolean;
  /** Power beside torque, for a cross-check. */
  readonly power?: PullColumn;
  /** The header says it was measured at the wheel. */
  readonly atWheel: boolean;
  /** How the columns were interpreted, one sentence each. */
  readonly notes: readonly string[];
  /** Rows before the first reading. */
  readonly skip: number;
}

const SPEED_HEAD = /rpm|1\/min|r\/min|min-1|speed|drehzahl|revs?\b|engine ?speed/i;
const TORQUE_HEAD =
  /torque|n[·.\s-]?m\b|(ft|in)[·.\s-]?lbf?|lbf?[·.\s-]?(ft|in)|drehmoment|couple/i;
const POWER_HEAD = /power|leistung|puissance|\b(k?w|[bw]?hp|ps|cv|ch)\b/i;
const WHEEL_HEAD = /\bwhp\b|wheel|roller/i;
const THOUSANDS = /(x|×|\*)\s*1000|krpm|1000\s*(rpm|1\/min)/i;

/** W in one of each; a mechanical horsepower is 550 ft·lbf/s, a metric one 75 kgf·m/s. */
const POWER_UNITS = [
  { symbol: 'kW', spelt: /\bkw\b/i, watts: 1000 },
  { symbol: 'hp', spelt: /\b[bw]?hp\b/i, watts: 745.6998715822702 },
  { symbol: 'PS', spelt: /\b(ps|cv|ch)\b/i, watts: 735.49875 },
  { symbol: 'W', spelt: /\bw\b/i, watts: 1 },
] as const;

/**
 * Finds speed and torque among the columns by the header, or by magnitude without one.
 * @param head the first rows
 * @throws {FileRefused} when there is no column for one of them
 */
export function findColumns(head: readonly (readonly string[])[], numbers: NumberStyle): Columns {
  const first = head[0] ?? [];
  const isNumber = (cell: string | undefined) => readCell(cell, numbers) !== undefined;
  if (first.length < 2)
    throw new FileRefused('Two columns are needed, rpm and torque; the file has one.');
  const headers = head.findIndex((cells) => cells.some((c) => SPEED_HEAD.test(c)));
  if (headers >= 0) return headed(head, headers, isNumber);
  if (!first.every((c) => c === '' || isNumber(c)))
    throw new FileRefused(
      `Line 1: neither numbers nor a header with rpm and torque: “${first.join(', ').slice(0, 80)}”.`,
    );
  // Without a header the larger numbers are speeds.
  const middle = head[Math.floor(head.length / 2)] ?? first;
  const a = readCell(middle[0], numbers) ?? 0;
  const b = readCell(middle[1], numbers) ?? 0;
  const speed = a >= b ? 0 : 1;
  return {
    speed,
    speedFactor: 1,
    torque: torqueColumn(1 - speed, '', ''),
    fromPower: false,
    atWheel: false,
    skip: 0,
    notes: [
      `No header: the ${speed === 0 ? 'first' : 'second'} column is taken as rpm, the other as torque in N·m.`,
    ],
  };
}

function headed(
  head: readonly (readonly string[])[],
  row: number,
  isNumber: (cell: string | undefined) => boolean,
): Columns {
  const cells = head[row] ?? [];
  const speed = cells.findIndex((c) => SPEED_HEAD.test(c) && !TORQUE_HEAD.test(c));
  const torqueAt = cells.findIndex((c, i) => i !== speed && TORQUE_HEAD.test(c));
  const powerAt = cells.findIndex((c, i) => i !== speed && i !== torqueAt && POWER_HEAD.test(c));
  const at = torqueAt < 0 ? powerAt : torqueAt;
  // A row of units may follow the names.
  const under = head[row + 1] ?? [];
  const hasUnits = !isNumber(under[speed]) && !isNumber(under[at]);
  const said = (column: number) =>
    `${cells[column] ?? ''} ${hasUnits ? (under[column] ?? '') : ''}`;
  const power = powerAt < 0 ? undefined : powerColumn(powerAt, cells[powerAt] ?? '', said(powerAt));
  const torque =
    torqueAt < 0 ? power : torqueColumn(torqueAt, cells[torqueAt] ?? '', said(torqueAt));
  if (speed < 0 || !torque)
    throw new FileRefused(
      `The header has no column for ${speed < 0 ? 'rpm' : 'torque or power'}: ${cells.filter(Boolean).join(', ').slice(0, 120)}.`,
    );
  return {
    speed,
    speedFactor: THOUSANDS.test(said(speed)) ? 1000 : 1,
    torque,
    fromPower: torqueAt < 0,
    // Power in a unit that nobody named proves nothing against torque.
    ...(torqueAt >= 0 && power?.named ? { power } : {}),
    atWheel: WHEEL_HEAD.test(cells.join(' ')),
    skip: row + (hasUnits ? 2 : 1),
    notes: [
      `Speed from “${cells[speed]}”, torque from “${torque.name}”${torque.named ? `, in ${torque.symbol}` : `, assumed ${torque.symbol}: no unit given`}.`,
    ],
  };
}

function torqueColumn(at: number, name: string, said: string): PullColumn {
  const found = unitIn(said, 'torque');
  return {
    at,
    name,
    symbol: found?.symbol ?? 'N·m',
    named: found !== undefined,
    toTorque: found?.toBase ?? ((value) => value),
  };
}

function powerColumn(at: number, name: string, said: string): PullColumn {
  const found = POWER_UNITS.find(({ spelt }) => spelt.test(said));
  const { symbol, watts } = found ?? POWER_UNITS[0];
  return {
    at,
    name,
    symbol,
    named: found !== undefined,
    toTorque: (value, rpm) => torqueOfPower(value * watts, rpm),
  };
}
