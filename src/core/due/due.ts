import { say } from '@/core/text/sentence';
import type { Sentence } from '@/core/text/sentence';
import { hasPack } from '../guide/layouts';
import { isAssemblyBegun } from '../job/purpose';
import type { Job } from '../job/types';
import { STAGE_NAME } from '../job/words';
import { meterOf, runRead } from '../life/meter';
import { hasRealDates } from './days';
import { packLife } from '../log/packLife';
import { byText } from '../order';
import { minute } from '../text/minute';
import { soakOf } from '../worksheet/soak';

export type DueKind = 'back' | 'soak' | 'recheck' | 'limit';

/** Something that has its day. */
export interface Due {
  /** Stable id of the event: a calendar updates it by this. */
  readonly id: string;
  readonly kind: DueKind;
  readonly jobId: string;
  readonly number: string;
  readonly machine: string;
  /** ISO date. */
  readonly day: string;
  /** ISO time, for events with a time of day. */
  readonly at?: string;
  readonly title: string;
  readonly reason: Sentence;
}

/** Days after the signature until the recheck, when the job gives none. */
const RECHECK_DAYS = 30;
/** Hours after which an ended soak is no longer shown. */
const SOAK_STALE_HOURS = 24;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

const dayAfter = (iso: string, days: number): string =>
  new Date(Date.parse(iso) + days * DAY_MS).toISOString().slice(0, 10);

/**
 * All due dates of a workshop, earliest first: promised machines, soaking discs, rechecks after break-in, and the day on which
 * wear reaches its first limit. Archived jobs have none.
 * @param now ISO time
 * Never throws for jobs that pass the schema. Source: the record itself; wear by `log/packLife.ts`.
 * @example dueOf([quad], '2026-11-28T10:00:00.000Z').map((d) => d.kind) // ["back"]
 */
export function dueOf(jobs: readonly Job[], now: string): readonly Due[] {
  return (
    jobs
      // One job with a date that is none must not take the list from all others; it is named beside it.
      .filter((job) => !job.archived && hasRealDates(job))
      .flatMap((job) => [dueDateOf(job), soaking(job, now), recheck(job), firstLimit(job, jobs)])
      .filter((due) => due !== undefined)
      .sort((a, b) => byText(a.at ?? a.day, b.at ?? b.day) || byText(a.id, b.id))
  );
}

const base = (
  job: Job,
  kind: DueKind,
): Pick<Due, 'id' | 'kind' | 'jobId' | 'number' | 'machine'> => ({
  id: `${kind}-${job.id}`,
  kind,
  jobId: job.id,
  number: job.number,
  machine: job.machine.name || 'New machine',
});

function dueDateOf(job: Job): Due | undefined {
  const { due } = job.intake;
  if (due === undefined || job.stage === 'log') return undefined;
  return {
    ...base(job, 'back'),
    day: due,
    title: 'due date',
    reason: say`Promised to the rider; now at ${STAGE_NAME[job.stage]}.`,
  };
}

function soaking(job: Job, now: string): Due | undefined {
  const { soakStart } = job.build;
  if (soakStart === undefined || job.stage !== 'build') return undefined;
  const { plan } = soakOf(job);
  const end = Date.parse(soakStart) + plan * 60_000;
  if (Date.parse(now) - end > SOAK_STALE_HOURS * HOUR_MS) return undefined;
  const at = new Date(end).toISOString();
  return {
    ...base(job, 'soak'),
    day: at.slice(0, 10),
    at,
    title: 'discs soaked',
    reason: say`Discs in oil since ${minute(soakStart)}; the planned soak ends then.`,
  };
}

/**
 * When a machine should come back next: after break-in, or before wear meets its first limit; undefined where neither can be
 * said.
 * @param all jobs of the workshop: a later pack in the same machine ends the count
 * @example nextService(job, [job])?.kind // "limit"
 */
export const nextService = (job: Job, all: readonly Job[]): Due | undefined =>
  hasRealDates(job) ? (recheck(job) ?? firstLimit(job, all)) : undefined;

/** The measurement after break-in: due a while after the signature, until it or a return is recorded. */
function recheck(job: Job): Due | undefined {
  const signedAt = job.signOff.revisions.at(-1)?.signedAt;
  const { recheckFreePlay, recheckLift, recheckGain } = job.prove;
  // Shoes, and findings signed without an assembly, have nothing that beds in.
  if (!hasPack(job.machine.layout)) return undefined;
  if (job.intake.purpose === 'findFault' && !isAssemblyBegun(job)) return undefined;
  if (!signedAt || recheckFreePlay || recheckLift || recheckGain || job.visits.length > 0)
    return undefined;
  return {
    ...base(job, 'recheck'),
    day: dayAfter(signedAt, RECHECK_DAYS),
    title: 'measure after break-in',
    reason: say`Discs bed in: free play, lift and gap change. Nothing was measured since the signature.`,
  };
}

/** Wear meets its first limit; only the pack that is in the machine counts. */
function firstLimit(job: Job, all: readonly Job[]): Due | undefined {
  if (all.some((other) => isLater(other, job))) return undefined;
  const { meter, foreseen } = packLife(job, all);
  const [first] = foreseen;
  // Uses the early end of the range, to look in time.
  const day = first?.earliestDate ?? first?.date;
  if (!first || !day) return undefined;
  const at = { value: first.run, quantity: meter.quantity, decimals: 0 };
  return {
    ...base(job, 'limit'),
    day,
    title: `inspect: ${first.name}`,
    reason: first.earliestDate
      ? say`Predicted at ${at}; earliest date of the range.`
      : say`By the trend at ${at}.`,
  };
}

/** Whether another pack went into the machine after this one: by its meter, and by the day where that was changed. */
function isLater(other: Job, job: Job): boolean {
  if (other.id === job.id || other.machine.id !== job.machine.id) return false;
  if (meterOf(other) !== meterOf(job)) return other.createdAt > job.createdAt;
  return (runRead(other, other.intake)?.value ?? 0) > (runRead(job, job.intake)?.value ?? 0);
}
