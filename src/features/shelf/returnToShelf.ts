import { nanoid } from '@reduxjs/toolkit';

import { evaluate } from '@/core/evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import type { PartVerdict } from '@/core/inspect/partVerdict';
import { inspect, mainReason } from '@/core/inspect/inspect';
import { groupAsSpecified } from '@/core/job/derive';
import { replaceByNew } from '@/core/job/edits/pack';
import type { Job, Plate } from '@/core/job/types';
import { omit } from '@/core/omit';
import {
  NO_THICKNESS,
  scrapOf,
  scrapSpringsOf,
  stockPlateOf,
  stockSpringsOf,
} from '@/core/shelf/fromJob';
import type { UnitChoice } from '@/core/units/format';
import { editJob } from '@/state/jobs/editJob';
import type { AppStore, RootState } from '@/state/store';

import { shelfActions } from '@/state/shelfSlice';

/** The result of returning plates, with undo. */
export interface ReturnedParts {
  readonly text: string;
  readonly undo?: () => void;
}

const withPlates = (job: Job, change: (plate: Plate) => Plate): Job => ({
  ...job,
  pack: { ...job.pack, plates: job.pack.plates.map(change) },
});

const MAX_WHY = 400;

/** Reason for scrapping: from the inspection, else the builder's judgement. */
function whyScrapped(part: PartVerdict | undefined, units: UnitChoice): string {
  const judged = part && (part.decision === 'change' || part.decision === 'scrap');
  return judged ? readSentence(mainReason(part), units).slice(0, MAX_WHY) : 'by the builder';
}

/**
 * Moves plates with their readings from a job to the shelf or to scrap, and puts a new one in each place. A plate from the
 * shelf returns as the same item.
 * @param today ISO date
 */
export const returnPlate =
  (jobId: string, parts: readonly PartVerdict[], where: 'shelf' | 'scrap', today: string) =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): ReturnedParts => {
    const job = getState().jobs.entities[jobId];
    if (!job) return { text: 'Job not found.' };
    const { units } = getState().display;
    const before = new Map<string, Plate>();
    const why = new Map<string, string>();
    const made: string[] = [];
    const gone: string[] = [];
    const reported: string[] = [];
    let kept = getState().shelf;
    for (const part of parts) {
      const plate = part.plate?.plate;
      if (!plate) continue;
      if (plate.shelfId !== undefined && where === 'shelf') {
        const label = kept.plates.find((p) => p.id === plate.shelfId)?.label;
        reported.push(`${part.name} is back on the shelf${label ? ` as ${label}` : ''}.`);
      } else {
        const item = stockPlateOf(job, part, kept, nanoid(10), today);
        if (!item) {
          reported.push(`${part.name} stays: ${NO_THICKNESS}.`);
          continue;
        }
        made.push(item.id);
        if (where === 'shelf') dispatch(shelfActions.stockPlatePut(item));
        else {
          // Parts that did not come from the shelf become new items.
          if (plate.shelfId !== undefined) {
            gone.push(plate.shelfId);
            dispatch(shelfActions.piecesRemoved({ id: plate.shelfId, count: 1 }));
          }
          dispatch(shelfActions.plateScrapped(scrapOf(item, whyScrapped(part, units), today)));
        }
        kept = getState().shelf;
        reported.push(
          `${part.name} is ${where === 'shelf' ? 'on the shelf' : 'scrap'}, as ${item.label}.`,
        );
      }
      before.set(plate.id, plate);
      why.set(plate.id, where === 'shelf' ? 'On the shelf.' : whyScrapped(part, units));
    }
    if (before.size === 0) return { text: reported.join(' ') };
    dispatch(editJob(jobId, (j) => replaceByNew(j, why)));
    return {
      text: [
        ...reported,
        before.size === 1 ? 'Replaced by a new part.' : 'Replaced by new parts.',
      ].join(' '),
      undo: () => {
        for (const id of made)
          dispatch(
            where === 'shelf' ? shelfActions.stockPlateTaken(id) : shelfActions.scrapForgotten(id),
          );
        for (const id of gone) dispatch(shelfActions.piecesRemoved({ id, count: -1 }));
        dispatch(
          editJob(jobId, (j) => ({
            ...withPlates(omit(j, 'replaced'), (p) => before.get(p.id) ?? p),
            ...(job.replaced ? { replaced: job.replaced } : {}),
          })),
        );
      },
    };
  };

/** Moves springs with their readings out of a job. Their type stays specified without readings, for replacements. */
export const returnSpringsToShelf =
  (jobId: string, groupId: string, where: 'shelf' | 'scrap', today: string) =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): ReturnedParts => {
    const job = getState().jobs.entities[jobId];
    const group = job?.springs.coil.groups.find((g) => g.id === groupId);
    if (!job || !group) return { text: 'Springs not found.' };
    const name = group.name || 'Springs';
    const springs = stockSpringsOf(job, group, nanoid(10));
    if (!springs) return { text: `${name} not moved: enter their number at Specify.` };
    const again = where === 'shelf' && group.shelfId !== undefined;
    if (!again && where === 'shelf') dispatch(shelfActions.springsPut(springs));
    const fromShelf = where === 'scrap' ? group.shelfId : undefined;
    if (fromShelf !== undefined)
      dispatch(shelfActions.piecesRemoved({ id: fromShelf, count: springs.count }));
    if (where === 'scrap') {
      const part = inspect(job, evaluate(job)).parts.find((p) => p.fixture === 'springs');
      const why = whyScrapped(part, getState().display.units);
      dispatch(shelfActions.springsScrapped(scrapSpringsOf(springs, why, today)));
    }
    const { springs: before, inspection } = job;
    dispatch(editJob(jobId, (j) => withoutSprings(j, groupId)));
    return {
      text: again
        ? `${name} are back on the shelf.`
        : `${springs.count} of ${name} are ${where === 'shelf' ? 'on the shelf' : 'scrap'}.`,
      undo: () => {
        if (where === 'scrap') dispatch(shelfActions.scrapSpringsForgotten(springs.id));
        else if (!again) dispatch(shelfActions.springsTaken(springs.id));
        if (fromShelf !== undefined)
          dispatch(shelfActions.piecesRemoved({ id: fromShelf, count: -springs.count }));
        dispatch(editJob(jobId, (j) => ({ ...j, springs: before, inspection })));
      },
    };
  };

/** The job with its springs of one kind as specified: without a place on the shelf, and without measured lengths. */
function withoutSprings(job: Job, groupId: string): Job {
  const { coil } = job.springs;
  const groups = coil.groups.map((g) => {
    if (g.id !== groupId) return g;
    const { shelfId: _shelf, ...rest } = groupAsSpecified(g);
    return rest;
  });
  return {
    ...job,
    springs: { ...job.springs, coil: { ...coil, groups } },
    inspection: {
      ...job.inspection,
      springLengths: job.inspection.springLengths.map((r) =>
        r.groupId === groupId ? { id: r.id, groupId } : r,
      ),
    },
  };
}
