import type { FieldPath } from '@/core/job/fieldPath';
import type { Job, Revision } from '@/core/job/types';

import { jobSheet } from '@/core/paper/jobSheet';
import { orderSheet } from '@/core/paper/orderSheet';
import type { Paper } from '@/core/paper/paper';
import { customerSheet } from '@/core/paper/customerSheet';
import { jobOfRevision } from '@/core/signoff/revisions';
import { specSheetPaper } from '@/core/paper/specSheetPaper';
import type { SpecSheet } from '@/core/library/limits';
import type { UnitChoice } from '@/core/units/format';

import type { PageSize } from './definition';

/** The sheets that a job can be printed as. */
export const SHEETS = ['job', 'rider', 'order'] as const;
export type SheetKind = (typeof SHEETS)[number];

interface Page {
  readonly pageSize: PageSize;
  readonly units: UnitChoice;
}

export interface JobPdf extends Page {
  readonly job: Job;
  readonly kind: SheetKind;
  /** Fields with draft text. */
  readonly unfinished: readonly FieldPath[];
  /** A signed revision to print instead of the current job. */
  readonly revision?: Revision;
  /** Photographs of findings as data URLs, by their ids. */
  readonly photos?: Readonly<Record<string, string>>;
}

export interface SpecPdf extends Page {
  readonly kind: 'spec';
  readonly sheet: SpecSheet;
}

export type PdfRequest = JobPdf | SpecPdf;

const MAKE = { job: jobSheet, rider: customerSheet, order: orderSheet } as const;

/** The sheet that a request is for, as data. */
export function paperOf(request: PdfRequest): Paper {
  if (request.kind === 'spec') return specSheetPaper(request.sheet, request.units);
  const { job, kind, units, unfinished, revision } = request;
  const printed = revision ? jobOfRevision(revision) : job;
  return MAKE[kind](printed, { units, unfinished, revision });
}
