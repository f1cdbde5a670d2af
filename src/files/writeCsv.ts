import Papa from 'papaparse';

export type CsvRow<Column extends string = string> = Readonly<
  Partial<Record<Column, string | number>>
>;

/**
 * Text that a spreadsheet would treat as a formula, even in multi-line cells; the package's own test checks single lines only.
 */
const FORMULA = /^[=+\-@\t\r]/;

/** Decimals by the unit that a column names: as finely as the gauge of the trade reads, and never more digits than were measured. */
const DECIMALS: Readonly<Record<string, number>> = { mm: 3, N: 1, Nm: 2, h: 1, km: 1, rpm: 0 };

function rounded(value: string | number, column: string): string | number {
  const decimals = DECIMALS[/\((\w+)\)$/.exec(column)?.[1] ?? column];
  return typeof value === 'number' && decimals !== undefined
    ? Number(value.toFixed(decimals))
    : value;
}

/** Rows as CSV by RFC 4180 under a header; text that looks like a formula is escaped. */
export function writeCsv<const Column extends string>(
  columns: readonly Column[],
  rows: readonly CsvRow<NoInfer<Column>>[],
): string {
  const data = rows.map((row) => columns.map((column) => rounded(row[column] ?? '', column)));
  return `${Papa.unparse({ fields: [...columns], data }, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}
