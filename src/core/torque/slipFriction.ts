import { attempt, Impossible } from '../errors';
import { JobSheet } from '../evaluate/engine/jobSheet';
import { workOut } from '../evaluate/evaluate';
import { clampAtRpm } from '../evaluate/figures/clampOverSpeed';
import { torqueChain } from '../evaluate/figures/torqueChain';
import { GRAVITY, roadLoad } from '../heat/road';
import { entry } from '../job/entry';
import { fieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import type { Job, LiningId, Slip } from '../job/types';
import type { NewtonMetre } from '../units/quantity';
import { torqueAtClutch } from './capacity';

/* The friction that a lining really had, from a slip that was seen. */

const LEAST = 0.01;
const MOST = 0.6;
/** Halvings: to a millionth. */
const HALVINGS = 20;

/**
 * Torque at the clutch at a slip, N·m: of the engine, or of gear and grade climbed at a steady speed; undefined while neither
 * is known.
 * Source: `docs/mechanics.md` section 17. Never throws for a slip that passes the schema.
 * @example slipTorque(job, { id: 's', date: '2026-11-01', kindId: 'disc', note: '', torque: entry(40) }) // 100
 */
export function slipTorque(job: Job, slip: Slip): NewtonMetre | undefined {
  const sheet = new JobSheet(job);
  const at = (path: Parameters<typeof sheet.valueAt>[0]) => sheet.valueAt(path) ?? Number.NaN;
  const torque = slip.torque
    ? attempt(() =>
        torqueAtClutch(
          slip.torque?.value ?? 0,
          at('engine.primaryRatio'),
          at('engine.primaryEfficiency'),
        ),
      )
    : slip.gearRatio && slip.grade
      ? (at('duty.mass') *
          GRAVITY *
          roadLoad(Math.atan(slip.grade.value)) *
          at('duty.wheelRadius')) /
        1000 /
        slip.gearRatio.value
      : undefined;
  return torque !== undefined && Number.isFinite(torque) ? torque : undefined;
}

/**
 * The friction at which a pack just slips at the torque of a slip; undefined while it can't be worked out, or where no
 * friction from 0.01 to 0.6 explains it.
 * Source: bisection over the torque capacity; `docs/mechanics.md` section 17. Never throws for a job that passes the schema.
 * @example frictionOfSlip(job, { id: 's', date: '2026-11-01', kindId: 'disc', note: '' }) // undefined
 */
export function frictionOfSlip(job: Job, slip: Slip): number | undefined {
  const torque = slipTorque(job, slip);
  const { sheet, layout } = workOut(job);
  const rpm = slip.rpm?.value;
  const clamp =
    (rpm === undefined ? undefined : attempt(() => clampAtRpm(sheet)?.(rpm))) ??
    (sheet.known('clampAtPeak') ?? sheet.known('clamp'))?.value;
  if (torque === undefined || clamp === undefined) return undefined;
  const path = fieldPath('pack.kinds.*.frictionTypical', slip.kindId);
  const held = (friction: number): number => {
    const made = new JobSheet(withEntry(job, path, entry(friction)));
    try {
      return torqueChain(made, layoutWith(friction)).torqueAt('Typical', clamp, true);
    } catch (error) {
      // Ramps that lock hold any torque.
      if (error instanceof Impossible) return Infinity;
      throw error;
    }
  };
  const layoutWith = (friction: number) => ({
    ...layout,
    layers: layout.layers.map((l) =>
      l.kind.id === slip.kindId
        ? { ...l, kind: { ...l.kind, frictionTypical: entry(friction) } }
        : l,
    ),
  });
  const most = attempt(() => held(MOST));
  const least = attempt(() => held(LEAST));
  if (most === undefined || least === undefined || least > torque || most < torque)
    return undefined;
  let [low, high] = [LEAST, MOST];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (held(middle) < torque) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What a shop's own slips say of a lining. */
export interface ShopFriction {
  readonly lining: LiningId;
  readonly count: number;
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** Standard deviation; absent for a single slip. */
  readonly sigma?: number;
}

/**
 * The friction of each lining over all jobs of a shop, most slips first.
 * Never throws for jobs that pass the schema. Source: mean and spread of `frictionOfSlip`.
 * @example shopFrictions([job]) // []
 */
export function shopFrictions(jobs: readonly Job[]): readonly ShopFriction[] {
  const found = new Map<LiningId, number[]>();
  for (const job of jobs)
    for (const slip of job.slips ?? []) {
      const lining = job.pack.kinds.find((k) => k.id === slip.kindId)?.lining;
      const friction = lining && frictionOfSlip(job, slip);
      if (lining && friction !== undefined)
        found.set(lining, [...(found.get(lining) ?? []), friction]);
    }
  return [...found]
    .map(([lining, all]): ShopFriction => {
      const mean = all.reduce((a, b) => a + b, 0) / all.length;
      const squares = all.reduce((sum, x) => sum + (x - mean) ** 2, 0);
      return {
        lining,
        count: all.length,
        mean,
        low: Math.min(...all),
        high: Math.max(...all),
        ...(all.length > 1 ? { sigma: Math.sqrt(squares / (all.length - 1)) } : {}),
      };
    })
    .sort((a, b) => b.count - a.count);
}

/** A single slip says little of the spread: so much each way. Assumed value. */
const ONE_SLIP = 0.05;

/**
 * A job whose disc has the friction that the shop measured: typical the mean, low and high two deviations each way.
 * @param today ISO date
 * @example withShopFriction(job, 'disc', { lining: 'paper', count: 1, mean: 0.12, low: 0.12, high: 0.12 }, '2026-11-01').pack.kinds.length // 2
 */
export function withShopFriction(
  job: Job,
  kindId: string,
  { count, mean, sigma }: ShopFriction,
  today: string,
): Job {
  const away = sigma === undefined ? mean * ONE_SLIP : Math.min(2 * sigma, mean * 0.5);
  const source = {
    kind: 'measured',
    date: today,
    note: count === 1 ? 'one slip of this shop' : `${count} slips of this shop`,
  } as const;
  const put = (j: Job, leaf: 'Low' | 'Typical' | 'High', value: number) =>
    withEntry(j, fieldPath(`pack.kinds.*.friction${leaf}`, kindId), {
      value: Math.round(value * 1e4) / 1e4,
      source,
    });
  return put(put(put(job, 'Low', mean - away), 'Typical', mean), 'High', mean + away);
}
