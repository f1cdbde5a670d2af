import { INK } from '@/drawing/palette';
import pdfMake from 'pdfmake/build/pdfmake';

import { evaluate } from '@/core/evaluate/evaluate';
import type { PaperBlock } from '@/core/paper/paper';
import { jobOfRevision } from '@/core/signoff/revisions';

import { sectionSvg } from '../sectionSvg';
import { pdfDefinition } from './definition';
import { DIGITS_FACE, TEXT_FACE } from './look';
import { LETTERS_FACE, SIGNS_FACE } from './letters';
import type { JobPdf, PdfRequest } from './paperOf';
import { paperOf } from './paperOf';

/** The fonts, TrueType in base64. */
export interface PdfFonts {
  readonly text: string;
  readonly textBold: string;
  readonly digits: string;
  readonly digitsBold: string;
  /** Cyrillic and Greek. */
  readonly letters: string;
  /** Arrows and signs. */
  readonly signs: string;
}

/** Beside the table of plates on the narrower page. */
const SECTION = { width: 250, height: 260 } as const;

/**
 * A sheet as the bytes of a PDF: text with its own fonts embedded, the section as vectors. Works the same in a worker and
 * in Node.
 */
export async function makePdf(request: PdfRequest, fonts: PdfFonts): Promise<Uint8Array> {
  takeFonts(fonts);
  const paper = paperOf(request);
  const section =
    request.kind !== 'spec' && needsSection(paper.blocks) ? drawSection(request) : undefined;
  const photos = request.kind === 'spec' ? {} : (request.photos ?? {});
  const definition = pdfDefinition(paper, request.pageSize, { section, photos }, new Date());
  return new Uint8Array(await pdfMake.createPdf(definition).getBuffer());
}

const needsSection = (blocks: readonly PaperBlock[]): boolean =>
  blocks.some(
    (b) => b.kind === 'section' || (b.kind === 'columns' && b.columns.some(needsSection)),
  );

let taken: PdfFonts | undefined;

/** Gives the library its fonts, once. */
function takeFonts(fonts: PdfFonts): void {
  if (taken === fonts) return;
  taken = fonts;
  pdfMake.addVirtualFileSystem({
    'text.ttf': fonts.text,
    'text-bold.ttf': fonts.textBold,
    'digits.ttf': fonts.digits,
    'digits-bold.ttf': fonts.digitsBold,
    'letters.ttf': fonts.letters,
    'signs.ttf': fonts.signs,
  });
  const face = (normal: string, bold = normal) => ({
    normal: `${normal}.ttf`,
    bold: `${bold}.ttf`,
    italics: `${normal}.ttf`,
    bolditalics: `${bold}.ttf`,
  });
  pdfMake.addFonts({
    [TEXT_FACE]: face('text', 'text-bold'),
    [DIGITS_FACE]: face('digits', 'digits-bold'),
    [LETTERS_FACE]: face('letters'),
    [SIGNS_FACE]: face('signs'),
  });
}

function drawSection({ job, units, revision }: JobPdf): string {
  const printed = revision ? jobOfRevision(revision) : job;
  const evaluation = evaluate(printed);
  return sectionSvg(printed, evaluation, {
    ...SECTION,
    numbersOnly: true,
    units,
    font: TEXT_FACE,
    strata: INK,
    wrong: new Set(evaluation.problems.flatMap((p) => p.plateId ?? [])),
  });
}
