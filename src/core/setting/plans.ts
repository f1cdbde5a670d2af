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
}

/**
 * Turns and marks from firm contact to the middle of the gap limits.
 * @example gapPlan(quad).wanted // 0.95
 */
export function gapPlan(job: Pick<Job, 'setting'>): GapPlan | undefined {
  const { gapMin, gapMax } = job.setting;
  const adjuster = adjusterOf(job);
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
 * The readings of lever gain that are whole, in the order taken, with their identifiers.
 * @example gainReadings(quad).length // 2
 */
export const gainReadings = ({
  setting,
}: Pick<Job, 'setting'>): readonly (GainReading & { readonly id: string })[] =>
  setting.readings.flatMap(({ id, turns, gain }) =>
    turns && gain ? [{ id, turns: turns.value, gain: gain.value }] : [],
  );

export interface GainPlan {
  readonly turning: Turning;
  /** Resulting adjuster position, in turns from the same point as the readings. */
  readonly turns: number;
  readonly atLeast: boolean;
}

/** Lever gain that is this close to its target, mm, is on it: nobody reads a lever finer. Assumed value. */
export const GAIN_READS: Mm = 0.5;

/**
 * The adjuster correction after the last lever gain reading.
 * @param givenRatio the train's overall ratio, used until the machine's own is measured
 * @returns undefined while an input is missing or contradictory, or the last reading is on target
 * @example gainAdvice(quad, 40).turning.direction // "open"
 */
export function gainAdvice(
  job: Pick<Job, 'setting'>,
  givenRatio: number | undefined,
): GainPlan | undefined {
  const adjuster = adjusterOf(job);
  const target = job.setting.targetGain?.value;
  const readings = gainReadings(job);
  const last = readings.at(-1);
  // A reading that is begun and not finished comes first.
  if (!adjuster || target === undefined || !last || readings.length < job.setting.readings.length)
    return undefined;
  if (givenRatio === undefined || Math.abs(last.gain - target) <= GAIN_READS) return undefined;
  return attempt(() => {
    const advice = correctGain(adjuster, readings, target, givenRatio);
    const { turning } = advice;
    const sign = turning.direction === 'open' ? 1 : -1;
    return {
      turning,
      turns: last.turns + sign * (turning.turns + turning.marks / adjuster.marksPerTurn),
      atLeast: advice.kind === 'bound',
    };
  });
}
