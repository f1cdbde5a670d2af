import { layOut } from '../evaluate/engine/layers';
import type { Job } from '../job/types';
import { readingsOf } from '../job/types';
import { byText } from '../order';
import type { Mm } from '../units/quantity';

/** One disc at a return, against its reading before. */
export interface DiscChange {
  readonly plateId: string;
  /** Its number from the hub floor outward. */
  readonly number: number;
  readonly before?: Mm;
  readonly now?: Mm;
  /** Below 0 where it became thinner. */
  readonly change?: Mm;
}

/**
 * What became of each disc since it was read before: at an earlier return, or as the pack went in; a new disc has its
 * nominal thickness.
 * Never throws for a job that passes the schema. Source: wear takes away.
 * @example discChanges(job, 'v1')[0].number // 1
 */
export function discChanges(job: Job, visitId: string): readonly DiscChange[] {
  const visits = job.visits.toSorted((a, b) => byText(a.date, b.date));
  const at = visits.findIndex((v) => v.id === visitId);
  return layOut(job)
    .layers.filter((l) => l.lined !== 'none')
    .map(({ plate, kind, number }): DiscChange => {
      const taken = readingsOf(plate).map((r) => r.value);
      const asBuilt =
        taken.length > 0 ? Math.min(...taken) : plate.isNew ? kind.thickness?.value : undefined;
      const before =
        visits.slice(0, Math.max(0, at)).findLast((v) => v.readings[plate.id])?.readings[plate.id]
          ?.value ?? asBuilt;
      const now = visits[at]?.readings[plate.id]?.value;
      return {
        plateId: plate.id,
        number,
        ...(before === undefined ? {} : { before }),
        ...(now === undefined ? {} : { now }),
        ...(before === undefined || now === undefined ? {} : { change: now - before }),
      };
    });
}

/**
 * Difference between the disc that wore most and the one that wore least; undefined below two.
 * @example spreadOf([]) // undefined
 */
export function spreadOf(changes: readonly DiscChange[]): Mm | undefined {
  const all = changes.flatMap((c) => c.change ?? []);
  return all.length < 2 ? undefined : Math.max(...all) - Math.min(...all);
}
