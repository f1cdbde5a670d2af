import type { FieldPath } from '../job/fields';
import type { Job } from '../job/types';
import { bestArmStart } from '../release/arm';
import { lossBudget } from '../release/lossBudget';
import { cableTravel } from '../release/train';
import type { Mm } from '../units/quantity';
import { LEVER_LOSSES, trainTerm, travelTerm } from './liftTerm';
import { Sheet } from './sheet';
import { gather } from './term';

/**
 * What is lost between lever and plate, and what the arm's angle costs.
 * @example computeLosses(sheet), sheet.outcomes.has('liftLost') // true
 */
export function computeLosses(sheet: Sheet): void {
  const { release } = sheet.job;
  if (release.type === 'measured') return;
  const loses =
    LEVER_LOSSES.some(({ leaf }) => release[leaf]) ||
    release.reducedEffort ||
    (release.type === 'hydraulic' ? release.lostTravel : release.cableSlack);
  if (loses) {
    sheet.compute('liftLost', {
      label: 'Lift lost on the way',
      quantity: 'length',
      section: 7,
      formula: 'x without loss − x',
      from: { whole: trainTerm(sheet, false), x: sheet.figure('liftHad', 'x') },
      value: ({ whole, x }) => whole - x,
    });
  }
  if (release.type !== 'cable' || !release.armStart) return;
  const best = gather(
    [
      travelTerm(sheet, true),
      sheet.entry('release.leverRatio'),
      sheet.entry('release.cableSlack'),
      sheet.entry('release.armLength'),
    ],
    ([s = 0, i = 0, slack = 0, r = 0]) => bestArmStart(cableTravel(s, i, slack), r),
  );
  sheet.compute('armBestStart', {
    label: 'Arm at rest, best',
    quantity: 'angle',
    section: 7,
    formula: 'φ_0 = −arcsin(cable travel/2r_a): square in the middle of the stroke',
    from: { φ: best },
    value: ({ φ }) => φ,
  });
}

/** One line of where the lift went. */
export interface LossLine {
  readonly name: string;
  /** mm at the lever; absent for what changes the ratio instead. */
  readonly atLever?: Mm;
  readonly liftLost: Mm;
}

/**
 * Where the lift went, from lever to plate, line by line; undefined while the train is not known. The lines add up to
 * the lift without loss less the lift had.
 * Source: `docs/mechanics.md` section 7.
 * @example releaseBudget(twin).left // 1.6777
 */
export function releaseBudget(
  job: Job,
): { readonly whole: Mm; readonly left: Mm; readonly lines: readonly LossLine[] } | undefined {
  if (job.release.type === 'measured') return undefined;
  const sheet = new Sheet(job);
  const whole = trainTerm(sheet, false);
  const left = trainTerm(sheet, true);
  if (!whole.known || !left.known || whole.value <= 0) return undefined;
  const value = (path: FieldPath) => {
    const t = sheet.entry(path);
    return t.known ? t.value : 0;
  };
  const travel = value('release.leverTravel');
  const hydraulic = job.release.type === 'hydraulic';
  const slack =
    value(hydraulic ? 'release.lostTravel' : 'release.cableSlack') * value('release.leverRatio');
  const budget = lossBudget(
    travel,
    travel / whole.value,
    [
      ...LEVER_LOSSES.map(({ leaf, name }) => ({ name, atLever: value(`release.${leaf}`) })),
      { name: hydraulic ? 'Lost piston travel' : 'Cable slack', atLever: slack },
    ].filter((l) => l.atLever > 0),
  );
  const lines: LossLine[] = [...budget.lines];
  const rest = whole.value - left.value - lines.reduce((sum, l) => sum + l.liftLost, 0);
  if (job.release.reducedEffort) lines.push({ name: 'Reduced-effort part', liftLost: rest });
  else if (Math.abs(rest) > 1e-9) lines.push({ name: 'Angle of the arm', liftLost: rest });
  return { whole: whole.value, left: left.value, lines };
}
