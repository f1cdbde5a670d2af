import { ATTACHMENTS } from '../clutch/fitted';
import { omit } from '../omit';
import type { AsCame, Job, SpringType } from '../job/types';

/* The clutch that is on the machine, apart from the one that is designed. */

/**
 * Whether the job puts another clutch together than came: nothing of the design says what is on the machine then.
 * @example isRebuilt(blank) // false
 */
export const isRebuilt = ({ intake: { purpose } }: Pick<Job, 'intake'>): boolean =>
  purpose === 'installKit' || purpose === 'buildToSpec';

/**
 * The springs that the machine came with; undefined until chosen.
 * @example springsAsCame(job) // "coil"
 */
export const springsAsCame = (job: Job): SpringType | undefined =>
  job.strip.came?.springs ??
  (job.springs.undecided || isRebuilt(job) ? undefined : job.springs.type);

/** The plates as they came out, from the hub floor outward; of a rebuilt clutch those that were found. */
function platesAsCame({ pack, strip }: Job): Job['pack']['plates'] {
  return strip.found.length > 0
    ? strip.found
        .map(({ id, kindId }) => ({
          id,
          kindId,
          ...(pack.plates.some((p) => p.id === id && p.judder) ? { judder: true } : {}),
        }))
        .reverse()
    : [];
}

/**
 * The job with the clutch that the machine came with; the same job while both are one.
 * @example asCame(job) === job // true
 */
export function asCame(job: Job): Job {
  const rebuilt = isRebuilt(job);
  const came = job.strip.came ?? { attached: {} };
  if (!job.strip.came && !rebuilt) return job;
  const springs: Job['springs'] =
    came.springs === undefined
      ? job.springs
      : { ...omit(job.springs, 'undecided'), type: came.springs };
  const pack = rebuilt ? { ...job.pack, plates: platesAsCame(job) } : job.pack;
  return ATTACHMENTS.reduce(
    (made, { id, choice }) => {
      const value = came.attached[id];
      return choice && value !== undefined && choice.of(made) !== value
        ? choice.put(made, value)
        : made;
    },
    { ...job, springs, pack },
  );
}

/**
 * What the clutch of a job is, to be kept when the lists of Strip are made: later changes of the design leave it alone.
 * @example cameAsNow(job).springs // "coil"
 */
export function cameAsNow(job: Job): AsCame {
  const springs = springsAsCame(job);
  return {
    ...(springs ? { springs } : {}),
    attached: {
      ...Object.fromEntries(
        ATTACHMENTS.flatMap(({ id, choice }) => (choice ? [[id, choice.of(job)] as const] : [])),
      ),
      ...job.strip.came?.attached,
    },
  };
}

/**
 * Sets the springs that the machine came with; the design follows until it gets springs of its own.
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
 * Sets what was attached to the clutch as it came; the design follows while it has the same.
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
