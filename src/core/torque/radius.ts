import { check, DomainError, POSITIVE } from '../errors';
import type { RadiusModel } from '../job/types';
import type { MegaPascal, Mm, Newton } from '../units/quantity';

/** @throws {DomainError} unless 0 < inner < outer */
function checkAnnulus(outerRadius: Mm, innerRadius: Mm): void {
  check('innerRadius', innerRadius, POSITIVE);
  check('outerRadius', outerRadius, POSITIVE);
  if (innerRadius >= outerRadius) {
    throw new DomainError('innerRadius', 'less than the outer radius', innerRadius);
  }
}

/**
 * Radius at which a ring of lining acts as a whole: (Ro+Ri)/2 for a run-in pack (uniform wear, the
 * lesser and the default), ⅔(Ro³−Ri³)/(Ro²−Ri²) for a new one (uniform pressure).
 * @param outerRadius mm, above the inner
 * @param innerRadius mm, above 0
 * @throws {DomainError} unless 0 < inner < outer
 * Source: disc clutch theory in machine-element textbooks; `docs/mechanics.md` section 3.
 * @example effectiveRadius(58.5, 46.5) // 52.5
 */
export function effectiveRadius(
  outerRadius: Mm,
  innerRadius: Mm,
  model: RadiusModel = 'uniformWear',
): Mm {
  checkAnnulus(outerRadius, innerRadius);
  if (model === 'uniformWear') return (outerRadius + innerRadius) / 2;
  // Both differences share the factor (Ro − Ri); without it nothing cancels for a narrow ring.
  const sum = outerRadius + innerRadius;
  return (2 / 3) * (sum - (outerRadius * innerRadius) / sum);
}

/**
 * Mean pressure on a lining: F / (π(Ro²−Ri²)(1−g)).
 * @param force N, 0 or more
 * @param groovedShare 0 up to but not 1
 * @returns MPa
 * @throws {DomainError} for radii or a share out of range
 * Source: `docs/mechanics.md` section 3.
 * @example liningPressure(1500, 58.5, 46.5) // 0.37894
 */
export function liningPressure(
  force: Newton,
  outerRadius: Mm,
  innerRadius: Mm,
  groovedShare = 0,
): MegaPascal {
  checkAnnulus(outerRadius, innerRadius);
  check('force', force, { min: 0 });
  check('groovedShare', groovedShare, { min: 0, below: 1 });
  return force / (Math.PI * (outerRadius ** 2 - innerRadius ** 2) * (1 - groovedShare));
}
