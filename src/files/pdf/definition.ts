// cspell:ignore dont
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

import type { Paper, PaperBlock } from '@/core/paper/paper';
import { LIMESTONE as C } from '@/drawing/palette';

import { circleSvg } from '../circleSvg';
import { UNPRINTABLE, unprintable, withFaces } from './letters';
import { DIGITS_FACE, LARGE, SIZE, SMALL, TEXT_FACE, TINY } from './look';
import { factsContent, halved, marked, stepsContent, tableContent, verdictRow } from './tables';

/** Pages that a shop's printer takes. */
export const PAGE_SIZES = ['A4', 'LETTER'] as const;
export type PageSize = (typeof PAGE_SIZES)[number];

const MARGIN = 34;
/** Photographs a line, and the side of one. */
const ACROSS = 4;
const PICTURE = 120;
/** What a sheet shows besides text. */
interface Drawings {
  readonly section?: string | undefined;
  /** Data URLs by the id of the photograph. */
  readonly photos?: Readonly<Record<string, string>>;
}

/**
 * A sheet of paper as the definition of a PDF.
 * @param drawings the pack as SVG, where the sheet has a place for it, and photographs by their ids
 */
export function pdfDefinition(
  paper: Paper,
  pageSize: PageSize,
  { section, photos = {} }: Drawings,
  made: Date,
): TDocumentDefinitions {
  // A Letter page is 50 points shorter.
  const high = pageSize === 'LETTER' ? 22 : MARGIN;
  return {
    pageSize,
    pageMargins: [MARGIN, high, MARGIN, high + 14],
    info: {
      title: `${paper.title}: ${paper.subtitle}`,
      creator: 'Under Ridge',
      producer: 'Under Ridge',
      creationDate: made,
    },
    defaultStyle: {
      font: TEXT_FACE,
      fontSize: paper.large ? LARGE : SIZE,
      color: C.ink,
      lineHeight: 1.15,
    },
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
      ...together(paper.blocks, { section, photos }),
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

/** Rows above which a table may be broken over two pages, its heading with its first rows; steps sooner. */
const LONG = { rows: 24, steps: 8 };

const rowsOf = (block: PaperBlock | undefined): number =>
  block?.kind === 'table' || block?.kind === 'steps' || block?.kind === 'verdicts'
    ? block.rows.length
    : 0;

/** The blocks by their headings: none is cut from its content, and no signature is alone on a page. */
function together(blocks: readonly PaperBlock[], drawings: Drawings): Content[] {
  const groups: PaperBlock[][] = [];
  for (const block of blocks) {
    const open = groups.at(-1);
    if (block.kind === 'heading' || !open) groups.push([block]);
    else open.push(block);
  }
  return groups.flatMap((group): Content[] => {
    const steps = group.findIndex((b) => b.kind === 'steps');
    const list = group[steps];
    const rows = group.reduce((sum, b) => sum + rowsOf(b), 0);
    // A long list of steps keeps its first lines with its heading.
    if (list?.kind === 'steps' && rows > LONG.steps)
      return [
        {
          stack: [
            ...group.slice(0, steps).flatMap((block) => blockContent(block, drawings)),
            stepsContent(list.rows.slice(0, LONG.steps)),
          ],
          unbreakable: true,
        },
        stepsContent(list.rows.slice(LONG.steps)),
        ...group.slice(steps + 1).flatMap((block) => blockContent(block, drawings)),
      ];
    return [
      {
        stack: group.flatMap((block) => blockContent(block, drawings)),
        unbreakable: rows <= LONG.rows,
      },
    ];
  });
}

function blockContent(block: PaperBlock, drawings: Drawings): Content[] {
  switch (block.kind) {
    case 'heading':
      return [{ text: block.text, fontSize: 11, bold: true, margin: [0, 8, 0, 3] }];
    case 'text':
      return [{ text: block.text, bold: block.strong === true, margin: [0, 2, 0, 2] }];
    case 'facts':
      return [factsContent(block.rows)];
    case 'table':
      return [block.halves ? halved(block) : tableContent(block)];
    case 'columns':
      return block.columns.length === 0
        ? []
        : [
            {
              columnGap: 14,
              columns: block.columns.map((inner) => ({
                // A drawing keeps its size; what is beside it takes the rest.
                width: inner.some((b) => b.kind === 'section' || b.kind === 'circle')
                  ? 'auto'
                  : '*',
                stack: inner.flatMap((b) => blockContent(b, drawings)),
              })),
            },
          ];
    case 'pictures': {
      const shown = block.pictures.flatMap(({ id, caption }) => {
        const image = drawings.photos?.[id];
        return image === undefined ? [] : [{ image, caption }];
      });
      return shown.length === 0
        ? []
        : [
            {
              columnGap: 8,
              margin: [0, 2, 0, 4],
              columns: shown.slice(0, ACROSS).map(({ image, caption }) => ({
                width: 'auto',
                stack: [
                  { image, fit: [PICTURE, PICTURE] },
                  { text: caption, fontSize: SMALL, color: C.soft },
                ],
              })),
            },
            ...(shown.length > ACROSS
              ? blockContent({ kind: 'pictures', pictures: block.pictures.slice(ACROSS) }, drawings)
              : []),
          ];
    }
    case 'verdicts':
      return [marked(block.rows.map(verdictRow), SMALL)];
    case 'steps':
      return [stepsContent(block.rows)];
    case 'list':
      return block.items.length === 0 ? [] : [{ ul: [...block.items], margin: [0, 0, 0, 2] }];
    case 'circle':
      return [
        {
          unbreakable: true,
          stack: [
            { svg: circleSvg(block.bolts, 78, DIGITS_FACE) },
            {
              text: `${block.name}: order by the numbers`,
              color: C.soft,
              fontSize: TINY,
            },
          ],
        },
      ];
    case 'section':
      return drawings.section === undefined ? [] : [{ svg: drawings.section }];
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
