import { ATTACHMENTS } from '../clutch/fitted';
import { omit } from '../omit';
import type { AsCame, Job, SpringType } from '../job/types';

/* The clutch that is on the machine, apart from the one that is designed. */

/**
 * The job with the clutch that the machine came with; the same job while both are one.
 * @example asCame(job) === job // true
 */
export function asCame(job: Job): Job {
  const { came } = job.strip;
  if (!came) return job;
  const springs: Job['springs'] =
    came.springs === undefined
      ? job.springs
      : { ...omit(job.springs, 'undecided'), type: came.springs };
  return ATTACHMENTS.reduce(
    (made, { id, choice }) => {
      const value = came.attached[id];
      return choice && value !== undefined && choice.of(made) !== value
        ? choice.put(made, value)
        : made;
    },
    { ...job, springs },
  );
}

/**
 * What the clutch of a job is, to be kept when the lists of Strip are made: later changes of the design leave it alone.
 * @example cameAsNow(job).springs // "coil"
 */
export const cameAsNow = (job: Job): AsCame => ({
  ...(job.springs.undecided ? {} : { springs: job.springs.type }),
  attached: {
    ...Object.fromEntries(
      ATTACHMENTS.flatMap(({ id, choice }) => (choice ? [[id, choice.of(job)] as const] : [])),
    ),
    ...job.strip.came?.attached,
  },
  ...(job.strip.came?.springs ? { springs: job.strip.came.springs } : {}),
});

/**
 * Says which springs the machine came with; the design follows while nobody has said anything else of it.
 * @example springsCame(blank, 'diaphragm').strip.came.springs // "diaphragm"
 */
export function springsCame(job: Job, type: SpringType): Job {
  const { came } = job.strip;
  const follows = job.springs.undecided === true || came?.springs === job.springs.type;
  return {
    ...job,
    ...(follows ? { springs: { ...omit(job.springs, 'undecided'), type } } : {}),
    strip: { ...job.strip, came: { attached: {}, ...came, springs: type } },
  };
}

/**
 * Says what was attached to the clutch as it came; the design follows while it has the same.
 * @example attachedCame(blank, 'expanding', 'yes').expanding.fitted // true
 */
export function attachedCame(job: Job, kindId: string, value: string): Job {
  const choice = ATTACHMENTS.find(({ id }) => id === kindId)?.choice;
  if (!choice) return job;
  const { came } = job.strip;
  const before = came?.attached[kindId];
  const follows = before === undefined || before === choice.of(job);
  const next = follows ? choice.put(job, value) : job;
  return came
    ? {
        ...next,
        strip: {
          ...next.strip,
          came: { ...came, attached: { ...came.attached, [kindId]: value } },
        },
      }
    : next;
}
