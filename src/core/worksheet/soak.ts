import { check } from '../errors';
import { FIELDS } from '../job/fields';
import type { Job } from '../job/types';

/** State of a soak at a time. */
export interface SoakState {
  /** `least`: the lining maker's least is reached and the planned time is not. */
  readonly status: 'waiting' | 'soaking' | 'least' | 'done';
  /** Minutes in the oil. */
  readonly soaked: number;
  /** Minutes to the least and to the planned end; 0 once reached. */
  readonly toLeast: number;
  readonly toPlan: number;
  /** Share of the planned time, 0 to 1. */
  readonly share: number;
  /** ISO time of the planned end, once it runs. */
  readonly endsAt?: string;
}

const MINUTE_MS = 60_000;

/**
 * How long linings have soaked, from the time they went in: it needs no clock that runs, so a reload or a closed tab
 * takes nothing from it.
 * @param start ISO time, or undefined before it began; one in the future counts as just begun
 * @param plan minutes planned, 0 or more
 * @param least minutes that the lining maker accepts, 0 or more
 * @param now ISO time
 * @throws {DomainError} for minutes out of range
 * Source: arithmetic; `docs/mechanics.md`, build.
 * @example soakState('2026-11-28T08:00:00.000Z', 60, 20, now).status // "done"
 */
export function soakState(
  start: string | undefined,
  plan: number,
  least: number,
  now: string,
): SoakState {
  check('plan', plan, { min: 0 });
  check('least', least, { min: 0 });
  if (start === undefined)
    return { status: 'waiting', soaked: 0, toLeast: least, toPlan: plan, share: 0 };
  const began = Date.parse(start);
  const soaked = Math.max(0, (Date.parse(now) - began) / MINUTE_MS);
  const toLeast = Math.max(0, least - soaked);
  const toPlan = Math.max(0, plan - soaked);
  return {
    status: toPlan === 0 ? 'done' : toLeast === 0 ? 'least' : 'soaking',
    soaked,
    toLeast,
    toPlan,
    share: plan > 0 ? Math.min(1, soaked / plan) : 1,
    endsAt: new Date(began + plan * MINUTE_MS).toISOString(),
  };
}

/**
 * Minutes as people say them: "7 h 40 min".
 * @example minutesText(135) // "2 h 15 min"
 */
export function minutesText(minutes: number): string {
  const all = Math.ceil(minutes);
  const h = Math.floor(all / 60);
  const m = all % 60;
  return h === 0 ? `${m} min` : m === 0 ? `${h} h` : `${h} h ${m} min`;
}

/**
 * Planned and minimum soak of a job, minutes: entered, else the assumed value.
 * @example soakOf(blank).least // 20
 */
export function soakOf({ build }: Pick<Job, 'build'>): {
  readonly plan: number;
  readonly least: number;
} {
  const plan = build.soakPlan?.value ?? FIELDS['build.soakPlan'].estimate?.value ?? 0;
  const least = build.soakLeast?.value ?? FIELDS['build.soakLeast'].estimate?.value ?? 0;
  // A least above the plan is the plan.
  return { plan: Math.max(plan, least), least };
}
