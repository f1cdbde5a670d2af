import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/**
 * Lift required for release: faces × minimum clearance + out-of-flat of the plates.
 * @param faces friction faces, a whole number, 1 or more
 * @param faceClearance mm per face, above 0
 * @param outOfFlat mm, sum over the plates, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 6.
 * @example liftNeeded(16, 0.1) // 1.6
 */
export function liftNeeded(faces: number, faceClearance: Mm, outOfFlat: Mm = 0): Mm {
  check('faces', faces, { min: 1, integer: true });
  check('faceClearance', faceClearance, POSITIVE);
  check('outOfFlat', outOfFlat, NOT_NEGATIVE);
  return faces * faceClearance + outOfFlat;
}

/**
 * Clearance per friction face at a lift: (x − Σ out-of-flat)/N. Below 0 when out-of-flat exceeds the lift.
 * @param lift mm, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 6.
 * @example clearancePerFace(1.8, 16, 0.1) // 0.10625
 */
export function clearancePerFace(lift: Mm, faces: number, outOfFlat: Mm = 0): Mm {
  check('lift', lift, NOT_NEGATIVE);
  check('faces', faces, { min: 1, integer: true });
  check('outOfFlat', outOfFlat, NOT_NEGATIVE);
  return (lift - outOfFlat) / faces;
}
