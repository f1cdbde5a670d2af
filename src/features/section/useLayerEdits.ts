import { nanoid } from '@reduxjs/toolkit';

import type { Plate } from '@/core/job/types';
import {
  alikeTo,
  duplicated,
  flipped,
  inserted,
  markedNew,
  movedByOne,
  movedTo,
  ofKind,
  ofThickness,
  removed,
} from '@/core/pack/edit';
import { useEditJob } from '@/state/jobs/editJob';

import type { Selection } from './useSelection';

/** Actions on the selected layers. Each is one undo step. */
export interface LayerEdits {
  readonly move: (by: 1 | -1) => void;
  readonly drop: (plateId: string, gap: number) => void;
  readonly again: () => void;
  readonly flip: () => void;
  readonly remove: () => void;
  /** Puts a plate of the kind of the chosen one over or under it. */
  readonly insert: (where: 'over' | 'under') => void;
  readonly kind: (kindId: string) => void;
  readonly thickness: (mm: number) => void;
  /** Marks the selected plates as new parts, or as used ones. */
  readonly age: (isNew: boolean) => void;
  readonly alike: () => void;
  /** Chooses the next layer outward or inward. */
  readonly step: (by: 1 | -1) => void;
  /** Extends the selection to the next layer outward or inward. */
  readonly stepMore: (by: 1 | -1) => void;
}

const newId = () => nanoid(10);

export function useLayerEdits({ ids, set }: Selection): LayerEdits {
  const change = useEditJob();
  const last = ids.at(-1);
  /** Reads the present plates without subscribing to them. */
  const look = (see: (plates: readonly Plate[], at: number) => void) =>
    change((j) => {
      see(
        j.pack.plates,
        j.pack.plates.findIndex((p) => p.id === last),
      );
      return j;
    });
  return {
    move: (by) => change((j) => movedByOne(j, ids, by)),
    drop: (plateId, gap) => {
      const moved = ids.includes(plateId) ? ids : [plateId];
      set(moved);
      change((j) => movedTo(j, moved, gap));
    },
    again: () => change((j) => duplicated(j, ids, newId)),
    flip: () => change((j) => flipped(j, ids)),
    remove: () => {
      look((plates, at) => {
        // The neighbour is chosen then, so that a key pressed again takes the next one.
        const left = plates.filter((p) => !ids.includes(p.id));
        const next = left[Math.min(Math.max(0, at), left.length - 1)];
        set(next ? [next.id] : []);
      });
      change((j) => removed(j, ids));
    },
    insert: (where) =>
      look((plates, at) => {
        const plate = plates[at];
        if (!plate) return;
        const id = newId();
        change((j) => inserted(j, plate.kindId, where === 'over' ? at + 1 : at, id));
        set([id]);
      }),
    kind: (kindId) => change((j) => ofKind(j, ids, kindId)),
    thickness: (mm) => change((j) => ofThickness(j, ids, mm, newId)),
    age: (isNew) => change((j) => markedNew(j, ids, isNew)),
    alike: () =>
      change((j) => {
        if (last !== undefined) set(alikeTo(j, last));
        return j;
      }),
    step: (by) =>
      look((plates, at) => {
        const next = plates[at < 0 ? (by === 1 ? 0 : plates.length - 1) : at + by];
        if (next) set([next.id]);
      }),
    stepMore: (by) =>
      look((plates, at) => {
        const next = plates[at + by];
        if (next) set([...ids.filter((id) => id !== next.id), next.id]);
      }),
  };
}
