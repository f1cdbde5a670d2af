import { INK } from '@/drawing/palette';
import pdfMake from 'pdfmake/build/pdfmake';

import { evaluate } from '@/core/evaluate/evaluate';
import { jobOfRevision } from '@/core/signoff/revisions';

import { sectionSvg } from '../sectionSvg';
import { DIGITS_FACE, pdfDefinition, TEXT_FACE } from './definition';
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

/** Inside the margins of the narrower page. */
const SECTION = { width: 430, height: 290 } as const;

/**
 * A sheet as the bytes of a PDF: text with its own fonts embedded, the section as vectors. Works the same in a worker and
 * in Node.
 */
export async function makePdf(request: PdfRequest, fonts: PdfFonts): Promise<Uint8Array> {
  takeFonts(fonts);
  const paper = paperOf(request);
  const section =
    request.kind !== 'spec' && paper.blocks.some((b) => b.kind === 'section')
      ? drawSection(request)
      : undefined;
  const definition = pdfDefinition(paper, request.pageSize, section, new Date());
  return new Uint8Array(await pdfMake.createPdf(definition).getBuffer());
}

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
    units,
    font: TEXT_FACE,
    strata: INK,
    wrong: new Set(evaluation.problems.flatMap((p) => p.plateId ?? [])),
  });
}
