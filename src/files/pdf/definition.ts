// cspell:ignore dont
import type {
  Content,
  ContentCanvas,
  ContentTable,
  TableCell,
  TDocumentDefinitions,
} from 'pdfmake/interfaces';

import type { Paper, PaperBlock, PaperStep, PaperVerdict } from '@/core/paper/paper';
import { LIMESTONE as C } from '@/drawing/palette';

import { circleSvg } from '../circleSvg';
import { UNPRINTABLE, unprintable, withFaces } from './letters';

/** Pages that a shop's printer takes. */
export const PAGE_SIZES = ['A4', 'LETTER'] as const;
export type PageSize = (typeof PAGE_SIZES)[number];

/** Faces by the names under which they are given to the PDF. */
export const TEXT_FACE = 'Text';
export const DIGITS_FACE = 'Digits';

const MARGIN = 40;
const SIZE = 9;

const STATE_WORD = { good: 'OK', watch: 'Watch', stop: 'Stop', unknown: 'Not judged' } as const;
const MARK_WORD = {
  done: 'done',
  open: 'open',
  skipped: 'skipped',
  failed: 'not passed',
  changed: 'redo',
} as const;

type Shapes = ContentCanvas['canvas'];

const WHITE = '#FFFFFF';
const stroke = (points: readonly (readonly [number, number])[], lineColor: string): Shapes[0] => ({
  type: 'polyline',
  points: points.map(([x, y]) => ({ x, y })),
  lineWidth: 1.2,
  lineColor,
});
const disc = (color: string, filled: boolean): Shapes[0] => ({
  type: 'ellipse',
  x: 5,
  y: 5,
  r1: 4.2,
  r2: 4.2,
  lineColor: color,
  ...(filled ? { color } : {}),
});
const area = (points: readonly (readonly [number, number])[], color: string): Shapes[0] => ({
  type: 'polyline',
  closePath: true,
  points: points.map(([x, y]) => ({ x, y })),
  lineWidth: 0,
  color,
});
const TICK = [
  [2.6, 5.2],
  [4.3, 6.9],
  [7.4, 3.4],
] as const;

/** State by shape as well as by word: print has no colour. Plain shapes, which cost a tenth of an SVG each. */
const STATE_SHAPE: Readonly<Record<PaperVerdict['state'], Shapes>> = {
  good: [disc(C.good, true), stroke(TICK, WHITE)],
  watch: [
    area(
      [
        [5, 0.3],
        [9.7, 5],
        [5, 9.7],
        [0.3, 5],
      ],
      C.watch,
    ),
    stroke(
      [
        [5, 2.6],
        [5, 5.8],
      ],
      WHITE,
    ),
    stroke(
      [
        [5, 6.8],
        [5, 7.4],
      ],
      WHITE,
    ),
  ],
  stop: [
    area(
      [
        [3.2, 0.8],
        [6.8, 0.8],
        [9.2, 3.2],
        [9.2, 6.8],
        [6.8, 9.2],
        [3.2, 9.2],
        [0.8, 6.8],
        [0.8, 3.2],
      ],
      C.stop,
    ),
    stroke(
      [
        [3.4, 3.4],
        [6.6, 6.6],
      ],
      WHITE,
    ),
    stroke(
      [
        [6.6, 3.4],
        [3.4, 6.6],
      ],
      WHITE,
    ),
  ],
  unknown: [
    disc(C.soft, false),
    stroke(
      [
        [3.4, 5],
        [6.6, 5],
      ],
      C.soft,
    ),
  ],
};

const SQUARE: Shapes[0] = {
  type: 'rect',
  x: 1,
  y: 1,
  w: 8,
  h: 8,
  lineWidth: 0.8,
  lineColor: C.ink,
};

const BOX: Readonly<Record<PaperStep['mark'], Shapes>> = {
  done: [SQUARE, stroke(TICK, C.ink)],
  open: [SQUARE],
  skipped: [
    SQUARE,
    stroke(
      [
        [3, 5],
        [7, 5],
      ],
      C.ink,
    ),
  ],
  failed: STATE_SHAPE.stop,
  changed: STATE_SHAPE.watch,
};

/** Lines under each row, none beside it: rows are read across. */
const RULED: ContentTable['layout'] = {
  hLineWidth: (i) => (i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: () => C.line,
  paddingLeft: () => 0,
  paddingRight: () => 8,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5,
};

/**
 * A sheet of paper as the definition of a PDF.
 * @param section the drawing of the pack as SVG, where the sheet has a place for it
 */
export function pdfDefinition(
  paper: Paper,
  pageSize: PageSize,
  section: string | undefined,
  made: Date,
): TDocumentDefinitions {
  return {
    pageSize,
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 14],
    info: {
      title: `${paper.title}: ${paper.subtitle}`,
      creator: 'Under Ridge',
      producer: 'Under Ridge',
      creationDate: made,
    },
    // A heading stays with its content.
    pageBreakBefore: (node, nodes) =>
      node.headlineLevel === 1 && nodes.getFollowingNodesOnPage().length === 0,
    defaultStyle: { font: TEXT_FACE, fontSize: SIZE, color: C.ink, lineHeight: 1.15 },
    footer: (page, pages) => ({
      margin: [MARGIN, 12, MARGIN, 0],
      columns: [
        withFaces({ text: paper.foot, fontSize: 7, color: C.soft }),
        { text: `${page} of ${pages}`, alignment: 'right', fontSize: 7, color: C.soft, width: 50 },
      ],
    }),
    content: withFaces<Content[]>([
      { text: paper.title, fontSize: 18, bold: true },
      { text: paper.subtitle, color: C.soft, margin: [0, 0, 0, 8] },
      ...paper.blocks.flatMap((block) => blockContent(block, section)),
      ...(unprintable(paper).length > 0
        ? [
            {
              text: `${UNPRINTABLE} marks a character that this sheet can’t print; it is in the record.`,
              color: C.soft,
              margin: [0, 8, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
    ]),
  };
}

function blockContent(block: PaperBlock, section: string | undefined): Content[] {
  switch (block.kind) {
    case 'heading':
      return [
        { text: block.text, fontSize: 12, bold: true, margin: [0, 12, 0, 4], headlineLevel: 1 },
      ];
    case 'text':
      return [{ text: block.text, bold: block.strong === true, margin: [0, 2, 0, 2] }];
    case 'facts':
      return [
        {
          layout: RULED,
          table: {
            widths: [120, '*'],
            body: block.rows.map(([label, value]) => [{ text: label, color: C.soft }, value]),
          },
        },
      ];
    case 'table':
      return [
        {
          layout: RULED,
          table: {
            headerRows: 1,
            dontBreakRows: true,
            widths: block.columns.map((_, i) =>
              i === block.columns.length - 1 ? '*' : ('auto' as const),
            ),
            body: [
              block.columns.map((column): TableCell => ({
                text: column.title,
                color: C.soft,
                alignment: column.digits ? 'right' : 'left',
              })),
              ...block.rows.map((row) =>
                row.map((text, i): TableCell =>
                  block.columns[i]?.digits
                    ? { text, font: DIGITS_FACE, alignment: 'right' }
                    : { text },
                ),
              ),
            ],
          },
        },
      ];
    case 'verdicts':
      return [marked(block.rows.map(verdictRow))];
    case 'steps':
      return [marked(block.rows.map(stepRow))];
    case 'list':
      return block.items.length === 0 ? [] : [{ ul: [...block.items], margin: [0, 0, 0, 2] }];
    case 'circle':
      return [
        {
          unbreakable: true,
          margin: [0, 6, 0, 2],
          columnGap: 10,
          columns: [
            { svg: circleSvg(block.bolts, 110, DIGITS_FACE), width: 112 },
            {
              text: `${block.name}: the numbers show the order, the same in every stage`,
              color: C.soft,
            },
          ],
        },
      ];
    case 'section':
      return section === undefined ? [] : [{ svg: section, margin: [0, 4, 0, 8] }];
    case 'sign':
      return [
        {
          unbreakable: true,
          margin: [0, 34, 0, 0],
          columnGap: 30,
          columns: block.lines.map((text) => ({
            stack: [
              {
                canvas: [
                  { type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.7, lineColor: C.ink },
                ],
              },
              { text, fontSize: 8, color: C.soft, margin: [0, 3, 0, 0] },
            ],
          })),
        },
      ];
  }
}

interface MarkedRow {
  readonly sign: Shapes;
  readonly word: string;
  readonly body: TableCell;
}

/** Rows with a sign and its word before them. */
function marked(rows: readonly MarkedRow[]): Content {
  return {
    layout: RULED,
    table: {
      dontBreakRows: true,
      widths: [12, 46, '*'],
      body: rows.map(({ sign, word, body }) => [
        // pdfmake modifies its input, so every row has its own shapes.
        { canvas: sign.map((shape) => structuredClone(shape)) },
        { text: word, color: C.soft },
        body,
      ]),
    },
  };
}

const verdictRow = ({ state, title, text }: PaperVerdict): MarkedRow => ({
  sign: STATE_SHAPE[state],
  word: STATE_WORD[state],
  body: { text: [{ text: `${title}. `, bold: true }, text] },
});

const stepRow = ({ mark, text, note }: PaperStep): MarkedRow => ({
  sign: BOX[mark],
  word: MARK_WORD[mark],
  body: { text: [text, ...(note ? [{ text: `  ${note}`, color: C.soft }] : [])] },
});
