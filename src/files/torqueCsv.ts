import type { TorqueCurve, TorquePoint } from '@/core/job/types';
import { MAX_CURVE_POINTS, MAX_NAME } from '@/core/job/fields';

import type { NumberStyle } from './csvTable';
import { openCsv, readCell } from './csvTable';
import { FileRefused } from './refused';
import type { Columns } from './torqueColumns';
import { findColumns } from './torqueColumns';

/** A curve from a file with its interpretation, for review before use. */
export interface TorqueFile {
  readonly curve: TorqueCurve;
  /** How the columns were interpreted, and the rows left out, one sentence each. */
  readonly notes: readonly string[];
  /** The file says it was measured at the wheel, after the drivetrain's losses. */
  readonly atWheel: boolean;
}

/** A curve that ends below this, rpm, is in another unit or its numbers are written otherwise. */
const LEAST_TOP = 100;

/** Power and torque of one row that differ by more than this share are not of one engine, or not in their units. */
const APART = 0.04;

/**
 * Reads torque over rpm from a CSV file: comma, semicolon or tab, decimal point or comma, columns in any order, units in the
 * header or N·m, blank lines left out. Torque is calculated from power if it is missing, and cross-checked otherwise. Rows are
 * sorted by rpm, and repeated speeds averaged.
 * @param text the file's text, at most 2 MB
 * @throws {FileRefused} naming the line, when it is no such file
 */
export function readTorqueCsv(text: string, fileName: string): TorqueFile {
  const { filled, numbers } = openCsv(text, 'a torque curve');
  const columns = findColumns(
    filled.slice(0, 6).map((r) => r.cells),
    numbers,
  );
  const rows = filled
    .slice(columns.skip)
    .map(({ line, cells }) => readRow(line, cells, columns, numbers));
  const read = rows.filter((row) => row !== undefined);
  const sums = new Map<number, { torque: number; n: number }>();
  for (const { rpm, torque } of read) {
    const at = sums.get(rpm) ?? { torque: 0, n: 0 };
    sums.set(rpm, { torque: at.torque + torque, n: at.n + 1 });
  }
  if (sums.size < 2) throw new FileRefused('A curve needs two speeds or more; the file has fewer.');
  if (sums.size > MAX_CURVE_POINTS)
    throw new FileRefused(`The file has ${sums.size} speeds; the maximum is ${MAX_CURVE_POINTS}.`);
  const points = [...sums]
    .map(([rpm, { torque, n }]): TorquePoint => ({ rpm, torque: torque / n }))
    .sort((a, b) => a.rpm - b.rpm);
  const last = points.at(-1)?.rpm ?? 0;
  if (last < LEAST_TOP)
    throw new FileRefused(
      `The curve ends at ${last} rpm; engines run above ${LEAST_TOP} rpm. Is the speed in thousands, or is a point used as a thousands separator?`,
    );
  const doubled = read.length - sums.size;
  const still = rows.length - read.length;
  return {
    curve: { name: fileName.slice(0, MAX_NAME), points },
    atWheel: columns.atWheel,
    notes: [
      ...columns.notes,
      ...(columns.fromPower ? ['Torque calculated from power and speed.'] : []),
      ...(doubled > 0 ? [`${doubled} rows repeat a speed: their mean is used.`] : []),
      ...(still > 0 ? [`${still} rows without speed: not used.`] : []),
      ...againstPower(read),
    ],
  };
}

interface Row extends TorquePoint {
  /** Torque from the row's power. */
  readonly byPower?: number;
}

/** A row as speed and torque; nothing for one that has power alone and no speed. */
function readRow(
  line: number,
  cells: readonly string[],
  { speed, speedFactor, torque, fromPower, power }: Columns,
  numbers: NumberStyle,
): Row | undefined {
  const said = readCell(cells[speed], numbers);
  const value = readCell(cells[torque.at], numbers);
  if (said === undefined || value === undefined) {
    const bad = said === undefined ? cells[speed] : cells[torque.at];
    throw new FileRefused(
      `Line ${line}: ${bad ? `“${bad.slice(0, 40)}” is not a number` : 'a value is missing'}.`,
    );
  }
  const rpm = said * speedFactor;
  if (rpm < 0 || rpm > 30_000)
    throw new FileRefused(`Line ${line}: ${said} is not an engine speed, 0 to 30,000 rpm.`);
  if (fromPower && rpm === 0) return undefined;
  const nm = torque.toTorque(value, rpm);
  if (!(Math.abs(nm) <= 1000))
    throw new FileRefused(
      `Line ${line}: ${value} ${torque.symbol} is not a possible engine ${fromPower ? 'power' : 'torque'}.`,
    );
  const beside = power && rpm > 0 ? readCell(cells[power.at], numbers) : undefined;
  return {
    rpm,
    torque: nm,
    ...(power && beside !== undefined ? { byPower: power.toTorque(beside, rpm) } : {}),
  };
}

/** Message for a file whose power and torque do not match. */
function againstPower(rows: readonly Row[]): string[] {
  const most = rows.reduce<Row | undefined>(
    (best, row) => (row.byPower !== undefined && row.torque > (best?.torque ?? 0) ? row : best),
    undefined,
  );
  if (most?.byPower === undefined) return [];
  if (Math.abs(most.byPower / most.torque - 1) <= APART) return [];
  return [
    `Power and torque in the file do not match: at ${Math.round(most.rpm)} rpm the power gives ${most.byPower.toFixed(1)} N·m, the file says ${most.torque.toFixed(1)}. One may have a different unit, or be measured elsewhere.`,
  ];
}
