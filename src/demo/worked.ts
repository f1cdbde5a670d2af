import { entry } from '@/core/job/entry';
import type { Job, SmallPart } from '@/core/job/types';
import type { Fastener, WorkStage } from '@/core/job/work';
import { usualFasteners } from '@/core/worksheet/fasteners';
import { stepMarked, stepsOf, testJudged } from '@/core/worksheet/worksheet';

import { MANUAL, measuredOn } from './common';

/* How far the work on a job of the invented workshop has come: who did it, and when. */

export const BENCH = 'Bench 1';

/** Torques by the made-up manual, as it gives them. */
export interface DemoTorques {
  readonly hubNut: readonly [number, string];
  readonly springs: readonly [number, string];
  readonly cover: readonly [number, string];
  readonly springCount: number;
  readonly coverCount: number;
}

/** The fasteners of the clutch with the torques of its made-up manual. */
export function withTorques(job: Job, torques: DemoTorques): Job {
  let n = 0;
  const torqued = (f: Fastener): Fastener => {
    const given = f.role === 'other' ? undefined : torques[f.role];
    const count =
      f.role === 'springs'
        ? torques.springCount
        : f.role === 'cover'
          ? torques.coverCount
          : undefined;
    return {
      ...f,
      ...(given
        ? { torque: { value: given[0], typed: given[1], source: MANUAL }, applied: entry(given[0]) }
        : {}),
      ...(count === undefined ? {} : { count: entry(count) }),
    };
  };
  return {
    ...job,
    work: { ...job.work, by: BENCH },
    build: {
      ...job.build,
      fasteners: usualFasteners(job, () => `f${n++}`).map(torqued),
      headClearance: entry(3.4),
    },
  };
}

/** All small parts counted back in, except one each of those named. */
export function countedIn(job: Job, date: string, short: readonly string[] = []): Job {
  const source = measuredOn(date);
  const back = (part: SmallPart): SmallPart => {
    const out = part.out?.value ?? 0;
    return out === 0
      ? part
      : { ...part, in: entry(short.includes(part.name) ? out - 1 : out, source) };
  };
  return { ...job, strip: { ...job.strip, parts: job.strip.parts.map(back) } };
}

/** Marks the steps of a stage done, a few minutes apart, until one whose key begins as named. */
export function worked(job: Job, stage: WorkStage, from: string, until?: string): Job {
  let next = job;
  let at = Date.parse(from);
  for (const { line } of stepsOf(job, stage)) {
    if (until !== undefined && line.key.startsWith(until)) break;
    const time = new Date(at).toISOString();
    next = line.test
      ? testJudged(next, line.test, 'pass', time)
      : stepMarked(next, stage, line.key, true, time);
    at += 240_000;
  }
  return next;
}
