import { attempt } from '../errors';
import { SETTING_FIELDS } from '../job/specs/setting';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';
import type { Adjuster, Turning } from './adjuster';
import { gapFromTurns, turnsForGap } from './adjuster';
import type { GainReading } from './leverGain';
import { correctGain } from './leverGain';

/* The required turn of a screw from its entries; undefined while any is missing. */

/**
 * The adjuster of the install gap, once its pitch is known.
 * @example adjusterOf(quad).marksPerTurn // 8
 */
export function adjusterOf({ setting }: Pick<Job, 'setting'>): Adjuster | undefined {
  const { pitch, marksPerTurn, linkage } = setting;
  return pitch
    ? {
        pitch: pitch.value,
        marksPerTurn:
          marksPerTurn?.value ?? SETTING_FIELDS['setting.marksPerTurn'].absent?.value ?? 1,
        linkage: linkage?.value ?? 1,
      }
    : undefined;
}

export interface GapPlan {
  /** The target gap: the middle of the limits, or the only limit. */
  readonly wanted: Mm;
  /** From the start point to the setting. */
  readonly turning: Turning;
  /** The leaflet gives the turns themselves. */
  readonly given?: true;
}

/**
 * Turns and marks from firm contact to the middle of the gap limits.
 * @example gapPlan(quad).wanted // 0.95
 */
export function gapPlan(job: Pick<Job, 'setting'>): GapPlan | undefined {
  const { gapMin, gapMax, turnsGiven } = job.setting;
  const adjuster = adjusterOf(job);
  if (adjuster && turnsGiven)
    return attempt(() => {
      const wanted = gapFromTurns(adjuster, turnsGiven.value, 0);
      return { wanted, turning: turnsForGap(adjuster, wanted), given: true };
    });
  const low = gapMin?.value ?? gapMax?.value;
  const high = gapMax?.value ?? gapMin?.value;
  if (!adjuster || low === undefined || high === undefined || low > high) return undefined;
  const wanted = (low + high) / 2;
  return attempt(() => ({ wanted, turning: turnsForGap(adjuster, wanted) }));
}

/** Without marks a turn is read by eye to an eighth. */
const READ_BY_EYE = 8;

function screwPlan(pitch: Mm | undefined, travel: Mm | undefined): Turning | undefined {
  return pitch === undefined || travel === undefined
    ? undefined
    : attempt(() => turnsForGap({ pitch, marksPerTurn: READ_BY_EYE }, travel));
}

/**
 * How far the pushrod screw is backed off from light touch; marks are eighths of a turn.
 * @example pushrodPlan(quad) // — undefined: no clearance is entered
 */
export const pushrodPlan = ({ setting }: Pick<Job, 'setting'>): Turning | undefined =>
  screwPlan(setting.pushrodPitch?.value, setting.pushrodClearance?.value);

/**
 * How far the end float screw is backed off from touch; marks are eighths of a turn.
 * @example endFloatPlan(quad) // — undefined: no end float is entered
 */
export const endFloatPlan = ({ setting }: Pick<Job, 'setting'>): Turning | undefined =>
  screwPlan(setting.endFloatPitch?.value, setting.endFloatWanted?.value);

/**
 * Eighths of a turn in words: "3/8 turn", "1 1/2 turns".
 * @example eighthsText({ turns: 1, marks: 4 }) // "1 1/2 turns"
 */
export function eighthsText({ turns, marks }: Pick<Turning, 'turns' | 'marks'>): string {
  const parts = { 0: '', 1: '1/8', 2: '1/4', 3: '3/8', 4: '1/2', 5: '5/8', 6: '3/4', 7: '7/8' };
  const part = parts[marks as keyof typeof parts] ?? '';
  const whole = turns > 0 ? String(turns) : '';
  const all = [whole, part].filter(Boolean).join(' ') || 'no';
  return `${all} ${turns > 1 || (turns === 1 && part) ? 'turns' : 'turn'}`;
}

/**
 * Adjuster position, in turns out from the start point; undefined while not recorded.
 * @example adjusterPosition(quad) // 1.25
 */
export function adjusterPosition(job: Pick<Job, 'setting'>): number | undefined {
  const { turnsOut, marksOut } = job.setting;
  if (!turnsOut && !marksOut) return undefined;
  const marksPerTurn = adjusterOf(job)?.marksPerTurn ?? 1;
  return (turnsOut?.value ?? 0) + (marksOut?.value ?? 0) / marksPerTurn;
}

/**
 * Turns the adjuster on from its position, and updates the install gap. Returns the same record where the position is unknown
 * or would pass the start point.
 * @example turnedBy(quad, { turns: 0, marks: 1, gap: 0.1, rest: 0, direction: 'open' }).setting.turnsOut.value // 1
 */
export function turnedBy<T extends Pick<Job, 'setting'>>(job: T, turning: Turning): T {
  const from = adjusterPosition(job);
  const adjuster = adjusterOf(job);
  if (from === undefined || !adjuster) return job;
  const { marksPerTurn } = adjuster;
  const sign = turning.direction === 'open' ? 1 : -1;
  const marks =
    Math.round(from * marksPerTurn) + sign * (turning.turns * marksPerTurn + turning.marks);
  if (marks < 0) return job;
  const turnsOut = Math.floor(marks / marksPerTurn);
  const marksOut = marks % marksPerTurn;
  return {
    ...job,
    setting: {
      ...job.setting,
      turnsOut: { value: turnsOut },
      marksOut: { value: marksOut },
      installGap: { value: gapFromTurns(adjuster, turnsOut, marksOut) },
    },
  };
}

/**
 * The readings of lever gain that are whole, in the order taken, with their identifiers: warm and cold ones apart, those like
 * the last one.
 * @example gainReadings(quad).length // 2
 */
export function gainReadings({
  setting,
}: Pick<Job, 'setting'>): readonly (GainReading & { readonly id: string })[] {
  const whole = setting.readings.filter((r) => r.turns && r.gain);
  const engine = whole.at(-1)?.engine ?? 'warm';
  return whole.flatMap((r) =>
    r.turns && r.gain && (r.engine ?? 'warm') === engine
      ? [{ id: r.id, turns: r.turns.value, gain: r.gain.value }]
      : [],
  );
}

export interface GainPlan {
  readonly turning: Turning;
  /** Resulting adjuster position, in turns from the same point as the readings. */
  readonly turns: number;
  readonly atLeast: boolean;
  /** What the lever should read after that turn; nobody knows after a reading of 0. */
  readonly expected?: Mm;
  /** The ratio it was worked out with, and where that came from. */
  readonly ratio: number;
  readonly from: 'given ratio' | 'measured ratio' | 'assumed ratio';
}

/** Lever gain that is this close to a target of one value, mm, is on it: a lever is not read finer. Assumed value. */
export const GAIN_READS: Mm = 0.5;

/** Lever travel ÷ lift of a usual train, until the machine's own is known. Assumed value. */
export const USUAL_RATIO = 35;

/** Lever gains on target: the printed range, or the value within {@link GAIN_READS}. */
export interface GainTarget {
  readonly low: Mm;
  readonly high: Mm;
  readonly middle: Mm;
}

/**
 * The target of lever gain; undefined while none is entered.
 * @example gainTarget(quad).middle // 12
 */
export function gainTarget({ setting }: Pick<Job, 'setting'>): GainTarget | undefined {
  const { targetGain } = setting;
  if (!targetGain) return undefined;
  const { value, range } = targetGain;
  return range
    ? { ...range, middle: value }
    : { low: value - GAIN_READS, high: value + GAIN_READS, middle: value };
}

/**
 * Whether a gain is on target.
 * @example isOnTarget(12.4, { low: 11.5, high: 12.5, middle: 12 }) // true
 */
export const isOnTarget = (gain: Mm, { low, high }: GainTarget): boolean =>
  gain >= low - EDGE && gain <= high + EDGE;

const EDGE = 1e-9;

/**
 * The adjuster correction after the last lever gain reading, from the first reading on.
 * @param givenRatio the train's overall ratio, used until the machine's own is measured; a usual one while it is not known
 * @returns undefined while an input is missing or contradictory, or the last reading is on target
 * @example gainAdvice(quad, 40).turning.direction // "open"
 */
export function gainAdvice(
  job: Pick<Job, 'setting'>,
  givenRatio: number | undefined,
): GainPlan | undefined {
  const adjuster = adjusterOf(job);
  const target = gainTarget(job);
  const readings = gainReadings(job);
  const last = readings.at(-1);
  const open = job.setting.readings.some((r) => !r.turns || !r.gain);
  // A reading that is begun and not finished comes first.
  if (!adjuster || !target || !last || open || isOnTarget(last.gain, target)) return undefined;
  return attempt(() => {
    const advice = correctGain(adjuster, readings, target.middle, givenRatio ?? USUAL_RATIO);
    const { turning, ratio } = advice;
    const sign = turning.direction === 'open' ? 1 : -1;
    const assumed = advice.from === 'given ratio' && givenRatio === undefined;
    return {
      turning,
      turns: last.turns + sign * (turning.turns + turning.marks / adjuster.marksPerTurn),
      atLeast: advice.kind === 'bound',
      ...(advice.kind === 'turn' ? { expected: Math.max(0, last.gain - ratio * turning.gap) } : {}),
      ratio,
      from: assumed ? 'assumed ratio' : advice.from,
    };
  });
}
