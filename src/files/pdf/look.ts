import type { ContentTable } from 'pdfmake/interfaces';

import { LIMESTONE as C } from '@/drawing/palette';

/* Faces, sizes and rules of a printed sheet. */

/** Faces by the names under which they are given to the PDF. */
export const TEXT_FACE = 'Text';
export const DIGITS_FACE = 'Digits';

export const SIZE = 8;
export const LARGE = 11;
/** Rows from which a table is set smaller. */
export const MANY = 8;
/** Lists of many rows are set smaller. */
export const SMALL = 7.5;
export const TINY = 7;

/** Lines under each row, none beside it: rows are read across. */
export const RULED: ContentTable['layout'] = {
  hLineWidth: (i) => (i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: () => C.line,
  paddingLeft: () => 0,
  paddingRight: () => 8,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5,
};

/** The same with rows close together, for lists of many. */
export const CLOSE: ContentTable['layout'] = {
  ...RULED,
  paddingTop: () => 1.2,
  paddingBottom: () => 1.2,
};
