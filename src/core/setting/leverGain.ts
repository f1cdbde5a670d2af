import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';
import type { Adjuster, Turning } from './adjuster';
import { gapPerTurn, turnsForGap } from './adjuster';

/**
 * Lever gain of an expanding disc: y = R·(e − g) for e > g, else 0.
 * @param ratio overall ratio, lever travel ÷ lift, above 0
 * @param growth full growth of the disc, mm, 0 or more
 * @param gap install gap, mm, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 8.
 * @example leverGain(40, 1.6, 1.25) // 14
 */
export function leverGain(ratio: number, growth: Mm, gap: Mm): Mm {
  check('ratio', ratio, POSITIVE);
  check('growth', growth, NOT_NEGATIVE);
  check('gap', gap, NOT_NEGATIVE);
  return ratio * Math.max(0, growth - gap);
}

/**
 * Install gap from a lever gain, the inverse: g = e − y/R; below 0 when the disc grows less than entered.
 * @param ratio the machine's own ratio, above 0: that of the train has slack and free play in it
 * @param growth full growth of the disc, mm, 0 or more
 * @param gain lever gain with the disc fully out, mm, above 0: one of 0 is a bound
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 8.
 * @example gapByLever(40, 1.6, 14) // 1.25
 */
export function gapByLever(ratio: number, growth: Mm, gain: Mm): Mm {
  check('ratio', ratio, POSITIVE);
  check('growth', growth, NOT_NEGATIVE);
  check('gain', gain, POSITIVE);
  return growth - gain / ratio;
}

/** A reading at the lever, with the setting of the adjuster it was taken at, in turns from any fixed point. */
export interface GainReading {
  readonly turns: number;
  /** mm at the lever; 0 carries only a bound. */
  readonly gain: Mm;
}

export type GainAdvice =
  | {
      readonly kind: 'turn';
      /** Change of gap to reach the target; above 0 opens. */
      readonly change: Mm;
      readonly turning: Turning;
      /** Where the ratio came from: the train's own figures, or this machine's two readings. */
      readonly from: 'given ratio' | 'measured ratio';
      readonly ratio: number;
    }
  | {
      /** The lever did not move: the gap is at least this much too large, perhaps more. */
      readonly kind: 'bound';
      readonly atLeast: Mm;
      readonly turning: Turning;
      readonly ratio: number;
      readonly from: 'given ratio' | 'measured ratio';
    };

/**
 * Overall ratio of this very machine from two settings with two readings: the gain falls by R·pitch for each turn
 * that opens the gap.
 * @throws {DomainError} for readings of 0, settings that are the same, or a gain that grows as the gap opens
 * Source: `docs/mechanics.md` section 8.
 * @example measuredRatio({ pitch: 1, marksPerTurn: 8 }, { turns: 1, gain: 22 }, { turns: 1.25, gain: 12 }) // 40
 */
export function measuredRatio(adjuster: Adjuster, first: GainReading, second: GainReading): number {
  for (const [i, r] of [first, second].entries()) check(`readings.${i}.gain`, r.gain, POSITIVE);
  const turned = second.turns - first.turns;
  if (Math.abs(turned) < 1e-9)
    throw new DomainError('readings', 'two different adjuster settings', turned);
  const ratio = (first.gain - second.gain) / (turned * gapPerTurn(adjuster));
  if (!(ratio > 0)) throw new DomainError('readings', 'less gain at the wider gap', ratio);
  return ratio;
}

/**
 * The next turn of the adjuster from lever readings: change of gap (y − y*)/R. Two readings above 0 at two settings give the
 * machine's own ratio. A last reading of 0 gives a bound only.
 * @param readings one or more, in the order taken
 * @param target gain to reach, mm, above 0
 * @param givenRatio the train's overall ratio, used until the machine's own is measured
 * @throws {DomainError} for no reading, or values out of range
 * Source: `docs/mechanics.md` section 8.
 * @example correctGain({ pitch: 1, marksPerTurn: 8 }, [{ turns: 1, gain: 22 }], 12, 40).turning.marks // 2
 */
export function correctGain(
  adjuster: Adjuster,
  readings: readonly GainReading[],
  target: Mm,
  givenRatio: number,
): GainAdvice {
  check('target', target, POSITIVE);
  check('givenRatio', givenRatio, POSITIVE);
  const last = readings.at(-1);
  if (!last) throw new DomainError('readings', 'at least one reading', 0);
  readings.forEach((r, i) => check(`readings.${i}.gain`, r.gain, NOT_NEGATIVE));
  const ratio = ownRatio(adjuster, readings);
  const used = ratio ?? givenRatio;
  const from = ratio === undefined ? 'given ratio' : 'measured ratio';
  const change = (last.gain - target) / used;
  // A bound is not a value: the turn must at least reach it.
  return last.gain > 0
    ? { kind: 'turn', change, turning: turnsForGap(adjuster, change), from, ratio: used }
    : {
        kind: 'bound',
        atLeast: -change,
        turning: turnsForGap(adjuster, change, 'reach'),
        from,
        ratio: used,
      };
}

/**
 * The last reading above 0 and the last before it at another setting: the two that teach the ratio. A reading of 0
 * carries only a bound, and settings closer than the adjuster repeats, half a mark, are one setting.
 * @param marksPerTurn marks round one turn of the adjuster, 1 or more
 * @example readingsAtTwoSettings([{ turns: 1, gain: 22 }, { turns: 1.25, gain: 12 }], 8).length // 2
 */
export function readingsAtTwoSettings<T extends GainReading>(
  readings: readonly T[],
  marksPerTurn: number,
): readonly [T, T] | undefined {
  const usable = readings.filter((r) => r.gain > 0);
  const last = usable.at(-1);
  const apart = REPEATS_TO / marksPerTurn - 1e-9;
  const before = usable.findLast((r) => last && Math.abs(r.turns - last.turns) >= apart);
  return last && before ? [before, last] : undefined;
}

/** An adjuster repeats to half a mark. Assumed value. */
const REPEATS_TO = 0.5;

/** The ratio that the readings teach, if they teach one. */
function ownRatio(adjuster: Adjuster, readings: readonly GainReading[]): number | undefined {
  const pair = readingsAtTwoSettings(readings, adjuster.marksPerTurn);
  if (!pair) return undefined;
  try {
    return measuredRatio(adjuster, ...pair);
  } catch (error) {
    // Two readings that contradict each other teach nothing.
    if (error instanceof DomainError) return undefined;
    throw error;
  }
}
