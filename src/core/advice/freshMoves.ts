import { layOut } from '@/core/evaluate/engine/layers';
import { replaceByNew } from '../job/edits/pack';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';
import type { Move } from './move';

/** Thinner than new by more than this, mm, a plate counts as worn. Assumed value. */
const WORN: Mm = 0.05;

/**
 * Plates that have worn, new in the same places: the discs, the steels, or all of both. Never throws.
 * Source: workshop practice; `docs/mechanics.md`, advice.
 * @example freshMoves(half).map((m) => m.label[0]) // ["8 worn discs replaced", "7 worn steels replaced", "All worn discs and steels replaced"]
 */
export function freshMoves(job: Job): Move[] {
  const worn = layOut(job).layers.filter(
    ({ measured, kind, thickness }) =>
      measured && thickness !== undefined && thickness < (kind.thickness?.value ?? 0) - WORN,
  );
  const discs = worn.filter((l) => l.lined !== 'none').map((l) => l.plate.id);
  const steels = worn.filter((l) => l.lined === 'none').map((l) => l.plate.id);
  const named = (count: number, what: string) =>
    count === 1 ? `Worn ${what} replaced` : `${count} worn ${what}s replaced`;
  const fresh = (label: string, effort: number, ids: readonly string[]): Move => ({
    family: 'new plates',
    label: [label],
    effort,
    // Readings and damage belong to the replaced plates; position and order stay.
    apply: (j) => replaceByNew(j, new Map(ids.map((id) => [id, 'Worn.']))),
  });
  return [
    ...(discs.length > 0 ? [fresh(named(discs.length, 'disc'), 3, discs)] : []),
    ...(steels.length > 0 ? [fresh(named(steels.length, 'steel'), 3, steels)] : []),
    ...(discs.length > 0 && steels.length > 0
      ? [fresh('All worn discs and steels replaced', 4, [...discs, ...steels])]
      : []),
  ];
}
