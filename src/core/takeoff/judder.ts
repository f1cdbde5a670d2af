import type { PackLayout } from '@/core/evaluate/engine/layers';
import type { Job, LiningId } from '../job/types';
import type { Mm, NewtonMetre, Second } from '../units/quantity';
import { fadeAt } from './fade';
import { countOf } from '@/core/text/countOf';

/** The pack's contribution to judder: the change of friction with slip speed, and its reasons. */
export interface JudderSetup {
  /** Share of the friction by which it changes for each m/s of slip: below 0 it falls, and feeds a vibration. */
  readonly slope: number;
  /** Mean radius of the friction faces. */
  readonly radius: Mm;
  /** Factor on the driveline's damping by a judder pair. */
  readonly damping: number;
  /** Reasons for a slope worse than the lining's own. */
  readonly reasons: readonly string[];
}

/** How a vibration fares over a start. */
export interface Judder {
  readonly level: 'none' | 'possible' | 'likely';
  /** Times by which a vibration grows while friction feeds it. */
  readonly growth: number;
  /** For so long friction takes more damping away than the driveline has. */
  readonly fed: Second;
  /** Damping that friction takes away, at its worst, as a share of the driveline's. */
  readonly worst: number;
  /** Reasons for falling friction in the pack; heat of the steels is added later. */
  readonly reasons: readonly string[];
}

/** Change of friction per m/s of slip in wet-clutch oil, as a share. Assumed values: paper and cork rise, sintered falls. */
const LINING_SLOPE: Readonly<Record<LiningId, number>> = {
  paper: 0.008,
  cork: 0.006,
  aramid: 0.003,
  sintered: -0.012,
};
/** Slope added by each fault. Assumed values. */
const UNKNOWN_OIL = -0.005;
const GLAZED = -0.02;
const HOT = -0.03;
/** The driveline between hub and wheel as one torsional spring: inertia at the clutch, frequency, share of critical damping. */
const DRIVELINE = { inertia: 0.01, frequency: 12, damping: 0.05 } as const;
/** Damping by a judder pair: 1.5 × the driveline's. Assumed value. */
const PAIR_DAMPS = 1.5;
/** A vibration that grows threefold is felt, tenfold it shakes the machine. Assumed values. */
const FELT = 3;
const SHAKES = 10;
const MOST_GROWTH = 1e6;

const GLAZED_SIGHTS = ['glazed', 'burnt'] as const;

/**
 * The judder data of a job's pack.
 * @example judderSetupOf(job, layout).reasons.length // 0
 */
export function judderSetupOf({ intake }: Job, { layers, slipping }: PackLayout): JudderSetup {
  const faces = slipping.flatMap((f) => {
    const sides = [layers[f.below - 1], layers[f.above - 1]].filter((l) => l !== undefined);
    const disc = sides.find((l) => l.lined !== 'none');
    return disc?.outerRadius && disc.innerRadius
      ? [{ radius: (disc.outerRadius + disc.innerRadius) / 2, lining: disc.kind.lining }]
      : [];
  });
  const mean = (values: readonly number[]) =>
    values.length === 0 ? 0 : values.reduce((sum, v) => sum + v, 0) / values.length;
  const own = mean(faces.map((f) => LINING_SLOPE[f.lining]));
  const glazed = layers.filter((l) => GLAZED_SIGHTS.some((sight) => l.plate.seen?.includes(sight)));
  const share = layers.length === 0 ? 0 : Math.min(1, (2 * glazed.length) / layers.length);
  const unknown = intake.oil === 'unknown';
  return {
    slope: own + share * GLAZED + (unknown ? UNKNOWN_OIL : 0),
    radius: mean(faces.map((f) => f.radius)),
    damping: layers.some((l) => l.plate.judder) ? PAIR_DAMPS : 1,
    reasons: [
      ...(own < 0 ? ['a lining whose friction falls with slip speed'] : []),
      ...(glazed.length > 0 ? [`${countOf(glazed.length, 'plate')} glazed or burnt`] : []),
      ...(unknown ? ['an oil that is not known'] : []),
    ],
  };
}

/**
 * Judges whether slip feeds a vibration of the driveline: friction that falls with slip speed removes damping, T·μ′·R against c
 * = 2ζJω; growth is exp(−(c + T·μ′·R)/2J · t).
 * @param slipping moments of a start in order: time s, torque carried N·m, slip speed rad/s, steels °C
 * @throws nothing; a start that never slips has none
 * Source: self-excited vibration with falling friction, textbooks on mechanical vibration; `docs/mechanics.md` section 10.
 * @example judderOf(judderSetupOf(job, layout), []).level // "none"
 */
export function judderOf(
  { slope, radius, damping, reasons }: JudderSetup,
  slipping: readonly {
    readonly t: Second;
    readonly torque: NewtonMetre;
    readonly slip: number;
    readonly steel: number;
  }[],
): Judder {
  const { inertia, frequency, damping: share } = DRIVELINE;
  const driveline = 2 * share * inertia * (2 * Math.PI * frequency) * damping;
  let grown = 0;
  let most = 0;
  let fed: Second = 0;
  let worst = 0;
  for (let i = 1; i < slipping.length; i++) {
    const before = slipping[i - 1];
    const here = slipping[i];
    if (!before || !here || here.slip <= 0 || here.torque <= 0) continue;
    const step = here.t - before.t;
    const takes = -(here.torque * (slope + HOT * fadeAt(here.steel)) * radius) / 1000;
    worst = Math.max(worst, takes / driveline);
    grown = Math.max(0, grown + ((takes - driveline) / (2 * inertia)) * step);
    most = Math.max(most, grown);
    if (takes > driveline) fed += step;
  }
  const growth = Math.min(MOST_GROWTH, Math.exp(Math.min(20, most)));
  return {
    level: growth >= SHAKES ? 'likely' : growth >= FELT ? 'possible' : 'none',
    growth,
    fed,
    worst,
    reasons,
  };
}
