import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';
import { METRIC_BLADES } from '../setting/gauges';
import type { Mm } from '../units/quantity';
import type { RunStep } from './runStep';

/** Blades further beyond the limit than this many times it add no information. Assumed value. */
const BEYOND = 1.5;
const MOST = 5;
/** Where no limit is entered the blades end here, mm. Assumed value. */
const NO_LIMIT: Mm = 0.2;
const EDGE: Mm = 1e-9;

/**
 * Likely next readings, each entered by one key: for flatness "no gauge passes" and the gauges around its limit; else the
 * values of the part before. Base units; empty if none is likely.
 * @param steps of the run, this one among them
 * Never throws. Source: workshop practice.
 * @example quickReadings(job, flatnessStep, steps) // limit 0.15: [0, 0.05, 0.1, 0.15, 0.2]
 */
export function quickReadings(
  job: Job,
  step: RunStep,
  steps: readonly RunStep[],
): readonly number[] {
  if (step.part === 'flatness') {
    const most = (step.limit ?? NO_LIMIT) * BEYOND + EDGE;
    // Those nearest to the limit say the most.
    const near = METRIC_BLADES.map((b) => b.size).filter((size) => size <= most);
    return [0, ...near.slice(1 - MOST)];
  }
  // Each of these is of another kind than the one before.
  if (step.part === 'around' || step.part === 'start') return [];
  const before = steps
    .slice(0, steps.indexOf(step))
    .findLast((s) => s.part === step.part && entryAt(job, s.path) !== undefined);
  const value = before && entryAt(job, before.path)?.value;
  return value === undefined ? [] : [value];
}
