import { fieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import { armStroke } from '@/core/release/arm';
import type { LiftReading } from '@/core/release/evenness';
import { evenness } from '@/core/release/evenness';
import { cableLift, cableTravel, hydraulicLift } from '@/core/release/train';
import type { Mm } from '@/core/units/quantity';
import type { KnownTerm, Term } from '@/core/evaluate/engine/term';
import { JobSheet } from '../engine/jobSheet';
import type { Sheet } from '../engine/sheet';
import { collectTerms, missingTerm } from '@/core/evaluate/engine/term';

/* Where the lift at the pressure plate comes from: the train from the lever, or dial readings at the plate. */

/** Losses of lever travel before anything moves. */
export const LEVER_LOSSES = [
  { leaf: 'freePlay', name: 'Free play' },
  { leaf: 'stretch', name: 'Stretch' },
  { leaf: 'pivotWear', name: 'Worn pivots' },
  { leaf: 'air', name: 'Air in the line' },
] as const;

/**
 * The lift had, mm: of the train with its losses, of the dial readings, or as it was measured. Never throws.
 * Source: `docs/mechanics.md` sections 6 and 7.
 * @example liftTerm(sheet).value // 1.5696
 */
export function liftTerm(sheet: Sheet): Term {
  return sheet.job.release.type === 'measured' ? measuredTerm(sheet) : trainTerm(sheet, true);
}

/**
 * The lift at the pressure plate as it was measured, mm: mean of the plane through the dial readings, or the single
 * reading. Missing where nothing was measured.
 * @example measuredTerm(sheet).known // true
 */
export function measuredTerm(sheet: Sheet): Term {
  const dial = dialTerms(sheet);
  // One dial reading counts for the plate until there are enough around it.
  return dial.length === 0 || (sheet.job.release.measuredLift && dial.length < 6)
    ? sheet.entry('release.measuredLift')
    : fromDial(dial, (readings) => evenness(readings).mean);
}

/**
 * Lift with the lever at a share of its travel, mm; undefined while the train is not known. A lift that was measured is
 * taken to grow evenly once the free play is used up.
 * @param lever 0 let out to 1 pulled to the bar
 * Source: `docs/mechanics.md` section 7.
 * @example liftAtLever(job, 0) // 0
 */
export function liftAtLever(job: Job, lever: number): Mm | undefined {
  const { release } = job;
  const { leverTravel } = release;
  if (release.type === 'measured') {
    const whole = liftTerm(new JobSheet(job));
    if (!whole.known) return undefined;
    const lost = LEVER_LOSSES.reduce((sum, { leaf }) => sum + (release[leaf]?.value ?? 0), 0);
    const free = leverTravel ? lost / leverTravel.value : 0;
    return free >= 1 ? 0 : whole.value * Math.max(0, (lever - free) / (1 - free));
  }
  if (!leverTravel) return undefined;
  const pulled = { ...leverTravel, value: leverTravel.value * lever };
  const lift = trainTerm(
    new JobSheet({ ...job, release: { ...release, leverTravel: pulled } }),
    true,
  );
  return lift.known ? lift.value : undefined;
}

/**
 * The effective lever travel, mm, with its losses or without.
 * @example travelTerm(sheet, true).value // 59.5
 */
export function travelTerm(sheet: Sheet, withLosses: boolean): Term {
  const losses = withLosses ? LEVER_LOSSES.map(({ leaf }) => sheet.entry(`release.${leaf}`)) : [];
  return collectTerms([sheet.entry('release.leverTravel'), ...losses], ([s = 0, ...lost]) =>
    Math.max(
      0,
      lost.reduce((rest, l) => rest - l, s),
    ),
  );
}

/**
 * Lift of the train, mm, with its losses or without. Missing terms name their inputs.
 * Never throws; missing terms name their inputs.
 * Source: `docs/mechanics.md` section 7.
 * @example trainTerm(sheet, false).known // true
 */
export function trainTerm(sheet: Sheet, withLosses: boolean): Term {
  const { type, armStart, undecided } = sheet.job.release;
  if (undecided) return missingTerm('Kind of release', 'release.type');
  const travel = travelTerm(sheet, withLosses);
  // The train moves the finger tips; the plate lifts less by the fingers' ratio.
  const fingers = fingerTerm(sheet);
  const lever = [travel, sheet.entry('release.leverRatio')];
  const slack = sheet.entry(type === 'hydraulic' ? 'release.lostTravel' : 'release.cableSlack');
  const lost = withLosses ? slack : NOTHING;
  const eased = withLosses ? sheet.entry('release.reducedEffort') : ONE;
  if (type === 'hydraulic') {
    return collectTerms(
      [
        eased,
        fingers,
        ...lever,
        lost,
        sheet.entry('release.masterDiameter'),
        sheet.entry('release.slaveDiameter'),
      ],
      ([q = 1, f = 1, s = 0, i = 0, l = 0, m = 0, d = 0]) => hydraulicLift(s, i, l, m, d) / (q * f),
    );
  }
  const arm = [sheet.entry('release.armLength'), sheet.entry('release.lead')];
  return armStart
    ? collectTerms(
        [eased, fingers, ...lever, lost, ...arm, sheet.entry('release.armStart')],
        ([q = 1, f = 1, s = 0, i = 0, l = 0, r = 0, lead = 0, φ = 0]) =>
          armStroke(cableTravel(s, i, l), r, lead, φ).lift / (q * f),
      )
    : collectTerms(
        [eased, fingers, ...lever, lost, ...arm],
        ([q = 1, f = 1, s = 0, i = 0, l = 0, r = 0, lead = 0]) =>
          cableLift(s, i, l, r, lead) / (q * f),
      );
}

/**
 * Ratio of the springs' own fingers, by which the plate lifts less than the train moves; 1 where they have none.
 * @example fingerTerm(sheet).value // 1
 */
export const fingerTerm = (sheet: Sheet): Term => sheet.springs.ratio?.(sheet) ?? ONE;

/**
 * Losses at the lever before the plate moves, each in mm at the lever: free play, stretch, pivots, air, and slack times the
 * lever ratio.
 * @example lostTerms(sheet).length // 5
 */
export function lostTerms(sheet: Sheet): readonly Term[] {
  const { type } = sheet.job.release;
  const atLever = LEVER_LOSSES.map(({ leaf }) => sheet.entry(`release.${leaf}`));
  if (type === 'measured') return atLever;
  const slack = sheet.entry(type === 'hydraulic' ? 'release.lostTravel' : 'release.cableSlack');
  return [
    ...atLever,
    collectTerms([slack, sheet.entry('release.leverRatio')], ([s = 0, i = 0]) => s * i),
  ];
}

/** A value of the formula itself, which is nobody's entry. */
const plain = (value: number): KnownTerm => ({ known: true, value, inputs: [], estimated: false });
const NOTHING = plain(0);
const ONE = plain(1);

/**
 * Dial readings that have both angle and lift, as terms in pairs: degrees, then mm. Never throws.
 * @example dialTerms(sheet).length // 6
 */
export function dialTerms(sheet: Sheet): Term[] {
  return sheet.job.release.liftReadings
    .filter(({ angle, lift }) => angle && lift)
    .flatMap(({ id }, i) => [
      sheet.entry(fieldPath('release.liftReadings.*.angle', id), `θ_${i + 1}`),
      sheet.entry(fieldPath('release.liftReadings.*.lift', id), `x_${i + 1}`),
    ]);
}

/**
 * A value calculated from all dial readings together; missing where the readings do not suffice.
 * @param dial pairs, as `dialTerms` gives them
 * @example fromDial([], () => 1.5).value // 1.5
 */
export function fromDial(
  dial: readonly Term[],
  of: (readings: readonly LiftReading[]) => number,
): Term {
  return collectTerms(dial, (values) => {
    const readings: LiftReading[] = [];
    for (let i = 0; i + 1 < values.length; i += 2)
      readings.push({ angle: values[i] ?? 0, lift: values[i + 1] ?? 0 });
    return of(readings);
  });
}
