// cspell:ignore dont
import type { Content, TableCell } from 'pdfmake/interfaces';

import type { PaperBlock, PaperStep, PaperVerdict } from '@/core/paper/paper';
import { LIMESTONE as C } from '@/drawing/palette';

import { CLOSE, DIGITS_FACE, MANY, RULED, SIZE, SMALL, TINY } from './look';
import type { Shapes } from './signs';
import { BOX, STATE_SHAPE } from './signs';

const STATE_WORD = { good: 'OK', watch: 'Watch', stop: 'Stop', unknown: 'Not judged' } as const;
const MARK_WORD = {
  done: 'done',
  open: 'open',
  skipped: 'skipped',
  failed: 'not passed',
  changed: 'redo',
} as const;

interface MarkedRow {
  readonly sign: Shapes;
  readonly word: string;
  readonly body: TableCell;
}

/** Rows with a sign and its word before them. */
export function marked(rows: readonly MarkedRow[], fontSize = SIZE): Content {
  return {
    fontSize,
    layout: RULED,
    table: {
      dontBreakRows: true,
      widths: [12, 40, '*'],
      body: rows.map(({ sign, word, body }) => [
        // pdfmake modifies its input, so every row has its own shapes.
        { canvas: sign.map((shape) => structuredClone(shape)) },
        { text: word, color: C.soft },
        body,
      ]),
    },
  };
}

/** Label and value, two pairs a line. */
export function factsContent(rows: readonly (readonly [string, string])[]): Content {
  const pair = (row: readonly [string, string] | undefined): TableCell[] =>
    row ? [{ text: row[0], color: C.soft }, row[1]] : ['', ''];
  const half = Math.ceil(rows.length / 2);
  return {
    layout: RULED,
    table: {
      widths: [92, '*', 92, '*'],
      body: rows.slice(0, half).map((row, i) => [...pair(row), ...pair(rows[half + i])]),
    },
  };
}

type PaperTable = Extract<PaperBlock, { kind: 'table' }>;

export function tableContent(
  { columns, rows }: Pick<PaperTable, 'columns' | 'rows'>,
  close = false,
): Content {
  return {
    ...(rows.length > MANY ? { fontSize: SMALL } : {}),
    layout: close || rows.length > MANY ? CLOSE : RULED,
    table: {
      headerRows: 1,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: columns.map((_, i) => (i === columns.length - 1 ? '*' : ('auto' as const))),
      body: [
        columns.map((column): TableCell => ({
          text: column.title,
          color: C.soft,
          alignment: column.digits ? 'right' : 'left',
        })),
        ...rows.map((row) =>
          row.map((text, i): TableCell =>
            columns[i]?.digits
              ? { text, font: DIGITS_FACE, alignment: 'right', noWrap: true }
              : { text },
          ),
        ),
      ],
    },
  };
}

/** The second half of the rows beside the first. */
export function halved({ columns, rows }: PaperTable): Content {
  const half = Math.ceil(rows.length / 2);
  return {
    columnGap: 16,
    columns: [rows.slice(0, half), rows.slice(half)]
      .filter((part) => part.length > 0)
      .map((part) => ({ width: '*', stack: [tableContent({ columns, rows: part }, true)] })),
  };
}

/** Steps with their box, in two columns; a word only where a step was not simply done. */
export function stepsContent(rows: readonly PaperStep[]): Content {
  const half = Math.ceil(rows.length / 2);
  return {
    columnGap: 16,
    columns: [rows.slice(0, half), rows.slice(half)]
      .filter((part) => part.length > 0)
      .map((part) => ({
        width: '*',
        fontSize: TINY,
        layout: CLOSE,
        table: {
          dontBreakRows: true,
          widths: [10, '*'],
          body: part.map(({ mark, text, note }) => [
            { canvas: BOX[mark].map((shape) => structuredClone(shape)) },
            {
              text: [
                text,
                ...(mark === 'done' ? [] : [{ text: `  ${MARK_WORD[mark]}`, bold: true }]),
                ...(note ? [{ text: `  ${note}`, color: C.soft }] : []),
              ],
            },
          ]),
        },
      })),
  };
}

export const verdictRow = ({ state, title, text }: PaperVerdict): MarkedRow => ({
  sign: STATE_SHAPE[state],
  word: STATE_WORD[state],
  body: { text: [{ text: `${title}. `, bold: true }, text] },
});
