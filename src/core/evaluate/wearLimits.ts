import { readingsOf } from '../job/types';
import type { Mm } from '../units/quantity';
import type { PackLayout } from './engine/layers';
import { RESERVE_STOP } from './verdicts/holdingVerdict';

/* Wear at which a pack meets its limits. */

const FARTHEST_WEAR: Mm = 3;

/** Height of the pack with every plate at its nominal thickness. */
export function newStack(layout: PackLayout): Mm | undefined {
  let sum = 0;
  for (const l of layout.layers) {
    if (!l.kind.thickness) return undefined;
    sum += l.kind.thickness.value;
  }
  return layout.layers.length > 0 ? sum : undefined;
}

/** Pack wear until the first disc is at its limit, wear shared evenly by the lined plates that slip. */
export function thinnestDisc(layout: PackLayout): Mm | undefined {
  const slipping = new Set(layout.slipping.flatMap((f) => [f.below, f.above]));
  const discs = layout.layers.filter((l) => l.lined !== 'none' && slipping.has(l.number));
  let least: Mm | undefined;
  for (const l of discs) {
    const limit = l.kind.minThickness?.value;
    if (limit === undefined || l.thickness === undefined) continue;
    const now = Math.min(l.thickness, ...readingsOf(l.plate).map((r) => r.value));
    least = Math.min(least ?? Infinity, (now - limit) * discs.length);
  }
  return least;
}

/**
 * Least wear at which the reserve falls to 1: scanned, since a diaphragm’s clamp rises before it falls.
 * @example firstSlip((wear) => 1.5 - wear, 30) // 0.5
 */
export function firstSlip(reserveAt: (wear: Mm) => number | undefined, stack: Mm): Mm | undefined {
  const most = Math.min(FARTHEST_WEAR, stack * 0.9);
  const steps = 60;
  const asBuilt = reserveAt(0);
  if (asBuilt === undefined) return undefined;
  if (asBuilt < RESERVE_STOP) return 0;
  for (let i = 1; i <= steps; i++) {
    const wear = (most * i) / steps;
    const here = reserveAt(wear);
    if (here === undefined) return undefined;
    if (here < RESERVE_STOP) {
      let low = (most * (i - 1)) / steps;
      let high = wear;
      for (let k = 0; k < 40; k++) {
        const mid = (low + high) / 2;
        if ((reserveAt(mid) ?? 0) < RESERVE_STOP) high = mid;
        else low = mid;
      }
      return high;
    }
  }
  return undefined;
}
