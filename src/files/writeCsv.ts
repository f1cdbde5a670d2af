import Papa from 'papaparse';

export type CsvRow = Readonly<Record<string, string | number>>;

/** What a spreadsheet would reckon, also when more lines follow; the package's own test looks at single lines only. */
const FORMULA = /^[=+\-@\t\r]/;

/** Rows as CSV by RFC 4180 under a header; what a spreadsheet would take for a formula is written as text. */
export function writeCsv(columns: readonly string[], rows: readonly CsvRow[]): string {
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `${Papa.unparse({ fields: [...columns], data }, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}
