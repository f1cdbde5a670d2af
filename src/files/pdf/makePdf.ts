import pdfMake from 'pdfmake/build/pdfmake';

import { evaluate } from '@/core/evaluate/evaluate';
import type { FieldPath } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import type { Revision } from '@/core/job/work';
import { jobSheet } from '@/core/paper/jobSheet';
import { orderSheet } from '@/core/paper/orderSheet';
import type { Paper } from '@/core/paper/paper';
import { riderSheet } from '@/core/paper/riderSheet';
import { jobOfRevision } from '@/core/signoff/revisions';
import type { UnitChoice } from '@/core/units/quantity';

import { sectionSvg } from '../sectionSvg';
import type { PageSize } from './definition';
import { DIGITS_FACE, pdfDefinition, TEXT_FACE } from './definition';

/** The sheets that a job can be printed as. */
export const SHEETS = ['job', 'rider', 'order'] as const;
export type SheetKind = (typeof SHEETS)[number];

export interface PdfRequest {
  readonly job: Job;
  readonly kind: SheetKind;
  readonly pageSize: PageSize;
  readonly units: UnitChoice;
  /** Fields that hold text which is no value yet. */
  readonly unfinished: readonly FieldPath[];
  /** A signed revision to print in place of the job as it stands. */
  readonly revision?: Revision;
}

/** The four fonts, TrueType in base64. */
export interface PdfFonts {
  readonly text: string;
  readonly textBold: string;
  readonly digits: string;
  readonly digitsBold: string;
}

const MAKE = { job: jobSheet, rider: riderSheet, order: orderSheet } as const;

/** Inside the margins of the narrower page. */
const SECTION = { width: 430, height: 290 } as const;

/** The sheet that a request is for, as data. */
export function paperOf({ job, kind, units, unfinished, revision }: PdfRequest): Paper {
  const printed = revision ? jobOfRevision(revision) : job;
  return MAKE[kind](printed, { units, unfinished, revision });
}

/**
 * A sheet as the bytes of a PDF: text with its own fonts embedded, the section as vectors. Works the same in a worker and
 * in Node.
 */
export async function makePdf(request: PdfRequest, fonts: PdfFonts): Promise<Uint8Array> {
  takeFonts(fonts);
  const paper = paperOf(request);
  const section = paper.blocks.some((b) => b.kind === 'section') ? drawSection(request) : undefined;
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
  });
  const face = (name: string) => ({
    normal: `${name}.ttf`,
    bold: `${name}-bold.ttf`,
    italics: `${name}.ttf`,
    bolditalics: `${name}-bold.ttf`,
  });
  pdfMake.addFonts({ [TEXT_FACE]: face('text'), [DIGITS_FACE]: face('digits') });
}

function drawSection({ job, units, revision }: PdfRequest): string {
  const printed = revision ? jobOfRevision(revision) : job;
  const { layout, problems } = evaluate(printed);
  return sectionSvg(layout, {
    ...SECTION,
    units,
    font: TEXT_FACE,
    expanding: printed.expanding.fitted,
    ...(printed.pack.splineLength ? { splineLength: printed.pack.splineLength.value } : {}),
    wrong: new Set(problems.flatMap((p) => p.plateId ?? [])),
  });
}
