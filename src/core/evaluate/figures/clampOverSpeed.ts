import type { SpringsOverRise } from '../../assist/centrifugal';
import { fittedKinds } from '../../clutch/fitted';
import type { Job } from '../../job/types';
import type { Newton, Rpm } from '../../units/quantity';
import type { OverSpeed } from '../engine/overSpeed';
import { springsOverRise } from '../engine/overSpeed';
import type { Sheet } from '../engine/sheet';

/* Clamp over engine speed, from the kinds of clutch fitted. */

const overSpeed = (job: Job): readonly OverSpeed[] =>
  fittedKinds(job).flatMap((kind) => kind.overSpeed ?? []);

/**
 * Whether anything presses by turning, so that the clamp depends on rpm.
 * @example hasWeights(quad) // true
 */
export const hasWeights = (job: Job): boolean => overSpeed(job).length > 0;

/**
 * The clamp of the weights at peak torque; no figures where there are none.
 * @example computeClampAtPeak(sheet), sheet.outcomes.has('clampAtPeak') // false
 */
export function computeClampAtPeak(sheet: Sheet): void {
  const kinds = overSpeed(sheet.job);
  if (kinds.length === 0) return;
  const instead = kinds.flatMap((k) => k.atPeak?.(sheet) ?? [])[0];
  const added = kinds.flatMap((k) => (k.added ? [k.added] : []));
  sheet.compute('clampAtPeak', {
    label: 'Clamp at peak torque',
    quantity: 'force',
    section: instead?.section ?? 9,
    formula: [instead?.formula ?? 'F', ...added.map(([, symbol]) => symbol)].join(' + '),
    from: {
      F: instead?.clamp ?? sheet.figure('clamp', 'F'),
      ...Object.fromEntries(added.map(([id, symbol]) => [id, sheet.figure(id, symbol)])),
    },
    value: (v) => Object.values(v).reduce((sum, f) => sum + f, 0),
    notes: instead?.notes ?? [],
  });
}

/**
 * Clamp of the pack over engine speed, N, from a sheet on which it is worked out; undefined while not known.
 * @example clampAtRpm(workOut(job).sheet)(6000) // 1570
 */
export function clampAtRpm(
  sheet: Sheet,
): ((rpm: Rpm, springs?: SpringsOverRise) => Newton) | undefined {
  if (!sheet.known('clamp')) return undefined;
  const asBuilt = springsOverRise(sheet);
  const kinds = overSpeed(sheet.job);
  if (kinds.length === 0) return (_rpm, springs = asBuilt) => springs(0);
  if (!sheet.known('clampAtPeak')) return undefined;
  const instead = kinds.find((k) => k.clamp);
  const clamp = instead?.clamp?.(sheet);
  if (instead && !clamp) return undefined;
  const added = addedAtRpm(sheet);
  return (rpm, springs = asBuilt) => (clamp?.(rpm, springs) ?? springs(0)) + (added?.(rpm) ?? 0);
}

/**
 * Clamp that weights add over engine speed, N, and that the lever has to lift as well; undefined where there are none or
 * they are not known.
 * @example addedAtRpm(workOut(job).sheet) // — undefined: no weights are fitted
 */
export function addedAtRpm(sheet: Sheet): ((rpm: Rpm) => Newton) | undefined {
  const adds = overSpeed(sheet.job).flatMap((k) => k.adds?.(sheet) ?? []);
  return adds.length === 0 ? undefined : (rpm) => adds.reduce((sum, added) => sum + added(rpm), 0);
}

/**
 * Whether the weights load the lever too.
 * @example loadsLever(quad) // false
 */
export const loadsLever = (job: Job): boolean => overSpeed(job).some((k) => k.adds);

/**
 * The figure of the lock-up speed of an automatic clutch, where one is fitted.
 * @example lockUpOf(quad) // "expandLockUp"
 */
export const lockUpOf = (job: Job) => overSpeed(job).find((k) => k.lockUp)?.lockUp;
