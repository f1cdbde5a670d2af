import { nanoid } from '@reduxjs/toolkit';

import { readSentence } from '@/core/evaluate/sentence';
import type { PartVerdict } from '@/core/inspect/inspect';
import { mainReason } from '@/core/inspect/inspect';
import { asSpecified } from '@/core/job/derive';
import type { Job, Plate } from '@/core/job/types';
import { NO_THICKNESS, scrapOf, stockPlateOf } from '@/core/shelf/fromJob';
import { changeJob } from '@/features/jobs/changeJob';
import type { AppStore, RootState } from '@/store/store';

import { shelfActions } from './shelfSlice';

/** What came of putting plates away, and the way back. */
export interface PutAway {
  readonly text: string;
  readonly undo?: () => void;
}

const withPlates = (job: Job, change: (plate: Plate) => Plate): Job => ({
  ...job,
  pack: { ...job.pack, plates: job.pack.plates.map(change) },
});

/**
 * Takes plates out of a job with what was measured on them, to the shelf or to the scrap; a new one lies in the place of each.
 * A plate that came from the shelf goes back as the item that it was.
 * @param today ISO date
 */
export const putAway =
  (jobId: string, parts: readonly PartVerdict[], where: 'shelf' | 'scrap', today: string) =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): PutAway => {
    const job = getState().jobs.entities[jobId];
    if (!job) return { text: 'There is no such job.' };
    const { units } = getState().display;
    const before = new Map<string, Plate>();
    const made: string[] = [];
    const told: string[] = [];
    let kept = getState().shelf;
    for (const part of parts) {
      const plate = part.plate?.plate;
      if (!plate) continue;
      if (plate.shelfId !== undefined && where === 'shelf') {
        const label = kept.plates.find((p) => p.id === plate.shelfId)?.label;
        told.push(`${part.name} is on the shelf again${label ? ` as ${label}` : ''}.`);
      } else {
        const item = stockPlateOf(job, part, kept, nanoid(10), today);
        if (!item) {
          told.push(`${part.name} stays: ${NO_THICKNESS}.`);
          continue;
        }
        made.push(item.id);
        if (where === 'shelf') dispatch(shelfActions.stockPlatePut(item));
        else {
          const why = readSentence(mainReason(part), units) || 'put there by the builder';
          dispatch(shelfActions.plateScrapped(scrapOf(item, why.slice(0, 400), today)));
        }
        kept = getState().shelf;
        told.push(
          `${part.name} is ${where === 'shelf' ? 'on the shelf' : 'scrap'}, as ${item.label}.`,
        );
      }
      before.set(plate.id, plate);
    }
    if (before.size === 0) return { text: told.join(' ') };
    dispatch(
      changeJob(jobId, (j) =>
        withPlates(j, (p) => (before.has(p.id) ? { ...asSpecified(p), isNew: true } : p)),
      ),
    );
    return {
      text: [
        ...told,
        before.size === 1 ? 'A new one lies in its place.' : 'New ones lie in their places.',
      ].join(' '),
      undo: () => {
        for (const id of made)
          dispatch(
            where === 'shelf' ? shelfActions.stockPlateTaken(id) : shelfActions.scrapForgotten(id),
          );
        dispatch(changeJob(jobId, (j) => withPlates(j, (p) => before.get(p.id) ?? p)));
      },
    };
  };
