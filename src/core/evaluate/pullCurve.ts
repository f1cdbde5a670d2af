import { DomainError } from '@/core/errors';
import type { Job } from '@/core/job/types';
import { leverForce, returnForce } from '@/core/release/train';
import type { Mm, Newton } from '@/core/units/quantity';

import { springForceAt } from './engine/springs';
import { workOut } from './evaluate';
import { ratioOverLift } from './figures/pullFigures';

/** Force at the lever at one lift, pulled out and let back. */
export interface PullPoint {
  readonly lift: Mm;
  readonly out: Newton;
  readonly back: Newton;
}

const POINTS = 24;

/**
 * Lever force over the stroke: out against springs and friction, back by the springs less friction. Empty while not known.
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 16.
 * @example pullCurve(job).length // 25
 */
export function pullCurve(job: Job): readonly PullPoint[] {
  const { sheet } = workOut(job);
  const force = springForceAt(sheet);
  const ratio = ratioOverLift(sheet);
  const stack = sheet.known('stack')?.value;
  const full = sheet.known('liftHad')?.value;
  const efficiency = sheet.valueAt('release.efficiency');
  if (!force || !ratio || stack === undefined || full === undefined || efficiency === undefined)
    return [];
  try {
    return Array.from({ length: POINTS + 1 }, (_, i) => {
      const lift = (full * i) / POINTS;
      const out = leverForce(force(stack, lift), ratio(lift), efficiency);
      return { lift, out, back: returnForce(out, efficiency) };
    });
  } catch (error) {
    // Beyond the range in which the springs are known.
    if (error instanceof DomainError) return [];
    throw error;
  }
}
