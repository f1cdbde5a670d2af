import { basketRpm, discGrowth } from '../assist/centrifugal';
import { expandingOf, expandingTerm } from '../clutch/expandingDisc/figures';
import { engagesByItself } from '../clutch/fitted';
import { hasWeights } from '../evaluate/figures/clampOverSpeed';
import type { Sentence } from '@/core/text/sentence';
import { say } from '@/core/text/sentence';
import { workOut } from '../evaluate/evaluate';
import type { Need } from '@/core/evaluate/engine/figure';
import { steelArea, steelHeat } from '@/core/evaluate/figures/heatFigures';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { springsOverLift } from '../evaluate/engine/springs';
import { packModel } from '../evaluate/states';
import { GRAVITY } from '../heat/road';
import type { Entry, Job } from '../job/types';
import type { Celsius, Mm, NewtonMetre, Rpm } from '../units/quantity';
import type { JudderSetup } from './judder';
import { judderSetupOf } from './judder';
import { leverOf } from './lever';

/** A torque at an engine speed; straight between points, level beyond them. */
export interface TorqueAtSpeed {
  readonly rpm: Rpm;
  readonly torque: NewtonMetre;
}

/** Data of a start. Inertias and torques are at the clutch, speeds at the engine. */
export interface TakeoffSetup {
  readonly primaryRatio: number;
  /** Engine side and vehicle side, kg·m². */
  readonly engineInertia: number;
  readonly vehicleInertia: number;
  /** Weight of the machine on the arm of its wheel, through the gear. */
  readonly weightTorque: NewtonMetre;
  /** Rise over run. */
  readonly grade: number;
  readonly idle: Rpm;
  readonly startRpm: Rpm;
  /** Torque at full throttle; two points or more. */
  readonly engine: readonly TorqueAtSpeed[];
  /** Capacity with the lever released, at typical and at low friction. */
  readonly typical: readonly TorqueAtSpeed[];
  readonly low: readonly TorqueAtSpeed[];
  /** Capacity of a start clutch before the pack, where fitted. */
  readonly shoes?: readonly TorqueAtSpeed[];
  /** Places of the lever up to which the springs press in full, and from which nothing presses. */
  readonly presses: number;
  readonly bites: number;
  /** Share of the lever travel taken by the growth of an expanding disc beyond its gap, over engine speed. */
  readonly grown?: readonly { readonly rpm: Rpm; readonly lever: number }[];
  readonly judder: JudderSetup;
  /** Heat that warms the steels by a degree, J/K. */
  readonly heatCapacity: number;
  /** Cooling by the oil per degree of difference, W/K. */
  readonly cooling: number;
}

/** Oil of a warm engine. Assumed value. */
export const WARM_OIL: Celsius = 90;
/** Speeds at which the clutch is looked at: enough for a curve that bends once. */
const SPEEDS = 24;
/** With weights the clamp bends with the square of the speed. */
const SPEEDS_WITH_WEIGHTS = 121;
/** Where no curve is entered: torque at standstill and at the highest speed as shares of the peak. Assumed value. */
const PLAIN_CURVE = { standstill: 0.6, top: 0.85 } as const;
const IDLE_ESTIMATE: Rpm = 1500;
/**
 * Heat that oil takes from a wetted plate, W/(m²·K). Assumed value for a thin stream of oil on a turning plate, within the 100
 * to 1000 that textbooks on heat transfer give for oil.
 */
const OIL_FILM = 400;
/** Machine and gearing for jobs without these data: average values, marked as assumed. */
const ASSUMED_MACHINE = {
  mass: {
    value: 220,
    label: (value: number) => say`${{ value, quantity: 'mass', decimals: 0 }} with rider`,
  },
  wheel: {
    value: 310,
    label: (value: number) => say`a wheel of ${{ value, quantity: 'length', decimals: 0 }} radius`,
  },
  gear: {
    value: 9,
    label: (value: number) => say`${{ value, quantity: 'count' }} to 1 from clutch to wheel`,
  },
  startRpm: {
    value: 3500,
    label: (value: number) => say`started at ${{ value, quantity: 'speed' }}`,
  },
} as const;

/** A start, with its assumed values. */
export interface AssumedSetup {
  readonly setup: TakeoffSetup;
  readonly assumed: readonly Sentence[];
}

/**
 * A start with assumed machine data where the job has none; pack data are never assumed.
 * @example takeoffWithAssumptions(job).assumed // []
 */
export function takeoffWithAssumptions(
  job: Job,
): AssumedSetup | { readonly needs: readonly Need[] } {
  const { duty } = job;
  const needed = [
    ['mass', duty.mass],
    ['wheel', duty.wheelRadius],
    ['gear', duty.gearRatio],
    ['startRpm', duty.startRpm],
  ] as const;
  const missing = needed.filter(([, given]) => !given).map(([name]) => name);
  const given = (name: 'mass' | 'wheel' | 'gear' | 'startRpm', entry: Entry | undefined) =>
    entry ?? { value: ASSUMED_MACHINE[name].value, source: { kind: 'estimate' as const } };
  const made = takeoffOf({
    ...job,
    duty: {
      ...duty,
      mass: given('mass', duty.mass),
      wheelRadius: given('wheel', duty.wheelRadius),
      gearRatio: given('gear', duty.gearRatio),
      startRpm: given('startRpm', duty.startRpm),
    },
  });
  return 'needs' in made
    ? made
    : {
        setup: made,
        assumed: missing.map((name) => ASSUMED_MACHINE[name].label(ASSUMED_MACHINE[name].value)),
      };
}

/**
 * The start described by the job, or its missing inputs. Friction, clamp over speed, torque curve and lever are the pack's own.
 * Source: `docs/mechanics.md` section 10.
 * @example takeoffOf(job).primaryRatio // 2.5
 */
export function takeoffOf(job: Job): TakeoffSetup | { readonly needs: readonly Need[] } {
  const { sheet, layout } = workOut(job);
  const terms = {
    ratio: sheet.entry('engine.primaryRatio'),
    mass: sheet.entry('duty.mass'),
    wheel: sheet.entry('duty.wheelRadius'),
    gear: sheet.entry('duty.gearRatio'),
    startRpm: sheet.entry('duty.startRpm'),
    crank: sheet.entry('duty.engineInertia'),
    grade: sheet.entry('duty.grade'),
    peak: sheet.figure('torqueAtClutch', 'T_req'),
    held: sheet.figure('capacityWithTangs', 'T'),
    heat: steelHeat(sheet, layout),
    area: steelArea(sheet, layout),
    ...(engagesByItself(job, 'inPack') ? { disc: expandingTerm(sheet) } : {}),
  };
  const needs = Object.values(terms).flatMap((t) => (t.known ? [] : t.needs));
  if (needs.length > 0) return { needs: [...new Map(needs.map((n) => [n.label, n])).values()] };
  const value = (name: keyof typeof terms): number => {
    const made = terms[name];
    return made?.known ? made.value : NaN;
  };
  const idle = sheet.valueAt('engine.idleRpm') ?? IDLE_ESTIMATE;
  const engine = engineCurve(sheet, value('peak'), value('startRpm'));
  const top = engine.at(-1)?.rpm ?? idle;
  const model = packModel(job);
  const speeds = hasWeights(job) || engagesByItself(job) ? SPEEDS_WITH_WEIGHTS : SPEEDS;
  const looked = Array.from({ length: speeds }, (_, i) => {
    const rpm = (top * i) / (speeds - 1);
    return { rpm, ...model.at({ rpm }) };
  });
  const lever = leverOf(job, model);
  const over = (level: 'typical' | 'low') =>
    looked.flatMap(({ rpm, capacity }) => (capacity ? [{ rpm, torque: capacity[level] }] : []));
  const { place } = job.startClutch;
  const auto = expandingOf(sheet);
  const springs = springsOverLift(sheet);
  const grownAt = (rpm: Rpm): Mm =>
    auto ? discGrowth(auto.disc, auto.gap, springs, basketRpm(rpm, value('ratio'))) : 0;
  const arm = value('wheel') / 1000 / value('gear');
  return {
    primaryRatio: value('ratio'),
    engineInertia: value('crank') * value('ratio') ** 2,
    vehicleInertia: value('mass') * arm * arm,
    weightTorque: value('mass') * GRAVITY * arm,
    grade: value('grade'),
    idle,
    startRpm: value('startRpm'),
    engine,
    typical: over('typical'),
    low: over('low'),
    ...(place === 'none'
      ? {}
      : {
          shoes: looked.map(({ rpm, startTorque = 0 }) => ({
            rpm,
            torque: startTorque * (place === 'crank' ? value('ratio') : 1),
          })),
        }),
    presses: lever.presses,
    bites: lever.bites,
    ...(auto
      ? {
          grown: looked.map(({ rpm }) => ({
            rpm,
            lever: leverSetupOf(lever, auto.gap, grownAt(rpm)),
          })),
        }
      : {}),
    judder: judderSetupOf(job, layout),
    heatCapacity: value('heat'),
    cooling: OIL_FILM * value('area') * 1e-6,
  };
}

/**
 * Share of the lever that lifts as far as a disc has grown beyond its gap: only from there on does the lever release.
 * @example leverSetupOf({ fullLift: 1.8, presses: 0.4 }, 1, 0.5) // 0
 */
export const leverSetupOf = (
  { fullLift, presses }: { readonly fullLift: Mm; readonly presses: number },
  gap: Mm,
  growth: Mm,
): number => (fullLift > 0 ? (Math.max(0, growth - gap) / fullLift) * (1 - presses) : 0);

/** Torque at the clutch over rpm: the engine's curve, else a plain one through its peak. */
function engineCurve(sheet: Sheet, peak: NewtonMetre, startRpm: Rpm): readonly TorqueAtSpeed[] {
  const points = sheet.job.engine.curve?.points ?? [];
  const maximum = Math.max(...points.map((p) => p.torque));
  if (points.length >= 2 && maximum > 0)
    return points.map((p) => ({ rpm: p.rpm, torque: Math.max(0, (p.torque / maximum) * peak) }));
  const at = sheet.valueAt('engine.peakTorqueRpm') ?? startRpm;
  return [
    { rpm: 0, torque: peak * PLAIN_CURVE.standstill },
    { rpm: at, torque: peak },
    { rpm: at * 1.4, torque: peak * PLAIN_CURVE.top },
  ];
}
