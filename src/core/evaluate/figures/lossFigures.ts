import type { Job } from '@/core/job/types';
import { armStroke, bestArmStart } from '@/core/release/arm';
import { lossBudget } from '@/core/release/lossBudget';
import { cableTravel } from '@/core/release/train';
import type { Mm } from '@/core/units/quantity';
import { LEVER_LOSSES, lostTerms, measuredTerm, trainTerm, travelTerm } from './liftTerm';
import { JobSheet } from '../engine/jobSheet';
import type { Sheet } from '../engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms } from '@/core/evaluate/engine/term';

/**
 * Losses between lever and plate, and the effect of the arm's angle.
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
      label: 'Lost lift',
      quantity: 'length',
      section: 7,
      formula: 'x without loss − x',
      from: { whole: trainTerm(sheet, false), x: sheet.figure('liftHad', 'x') },
      value: ({ whole, x }) => whole - x,
    });
  }
  if (release.type !== 'cable' || !release.armStart) return;
  const stroke = [
    travelTerm(sheet, true),
    sheet.entry('release.leverRatio'),
    sheet.entry('release.cableSlack'),
    sheet.entry('release.armLength'),
  ];
  const best = collectTerms(stroke, ([s = 0, i = 0, slack = 0, r = 0]) =>
    bestArmStart(cableTravel(s, i, slack), r),
  );
  sheet.compute('armBestStart', {
    label: 'Best arm angle at rest',
    quantity: 'angle',
    section: 7,
    formula: 'φ_0 = −arcsin(cable travel/2r_a): square in the middle of the stroke',
    from: { φ: best },
    value: ({ φ }) => φ,
  });
  sheet.compute('armLost', {
    label: 'Extra pull from the arm angle',
    quantity: 'share',
    section: 7,
    formula: 'maximum of 1/cos φ over the stroke ÷ the same from the best φ_0, − 1',
    from: {
      more: collectTerms(
        [...stroke, sheet.entry('release.armStart')],
        ([s = 0, i = 0, slack = 0, r = 0, φ = 0]) => {
          // The lead scales the lift alone.
          const { heaviest, bestHeaviest } = armStroke(cableTravel(s, i, slack), r, 1, φ);
          return heaviest / bestHeaviest - 1;
        },
      ),
    },
    value: ({ more }) => more,
    notes: ['Extra cable pull at the worst point of the stroke compared with the best angle.'],
  });
}

/** One line of where the lift went. */
export interface LossLine {
  readonly name: string;
  /** mm at the lever; absent for a loss that changes the ratio instead. */
  readonly atLever?: Mm;
  readonly liftLost: Mm;
  /** What brings the lift back, and how much of it. */
  readonly repair?: { readonly what: string; readonly gains: Mm; readonly effort: number };
}

/** Repairs of the losses, with their effort: 1 an adjustment, 2 a part, 3 a change of the machine. */
const REPAIRS: Readonly<Record<string, readonly [what: string, effort: number]>> = {
  'Free play': ['set free play to its minimum', 1],
  'Cable slack': ['take up the cable slack', 1],
  'Lost piston travel': ['bleed the line', 1],
  'Air in the line': ['bleed the line', 1],
  Stretch: ['replace the cable or hose', 2],
  'Worn pivots': ['replace the worn pivots', 2],
  'Reduced-effort part': ['remove the reduced-effort part', 3],
};
/** Free play that stays where no minimum is entered, mm at the lever. Assumed value. */
const FREE_PLAY_LEAST: Mm = 2;

/** Where the lift went. */
export interface ReleaseBudget {
  readonly whole: Mm;
  readonly left: Mm;
  readonly lines: readonly LossLine[];
  /** Repair to begin with, where the lift is short. */
  readonly first?: LossLine & Required<Pick<LossLine, 'repair'>>;
}

/**
 * Where the lift went, from lever to plate, line by line; undefined while the train is not known. The lines add up to
 * the lift without loss less the lift had, which is the measured one where there is one.
 * @param needed the lift required, mm: where the lift is short of it, the repair to begin with is named
 * Source: `docs/mechanics.md` section 7.
 * @example releaseBudget(twin).left // 1.3629
 */
export function releaseBudget(job: Job, needed?: Mm): ReleaseBudget | undefined {
  if (job.release.type === 'measured') return undefined;
  const sheet = new JobSheet(job);
  const whole = trainTerm(sheet, false);
  const train = trainTerm(sheet, true);
  if (!whole.known || !train.known || whole.value <= 0) return undefined;
  const value = (t: Term) => (t.known ? t.value : 0);
  const atLever = lostTerms(sheet).map(value);
  const lost = atLever.reduce((sum, mm) => sum + mm, 0);
  const travel = value(sheet.entry('release.leverTravel'));
  const slackName = job.release.type === 'hydraulic' ? 'Lost piston travel' : 'Cable slack';
  const names = [...LEVER_LOSSES.map(({ name }) => name), slackName];
  // Lift per millimetre of lever travel, for this train.
  const ratio = train.value > 0 ? (travel - lost) / train.value : travel / whole.value;
  const budget = lossBudget(
    travel,
    ratio,
    names.map((name, i) => ({ name, atLever: atLever[i] ?? 0 })).filter((line) => line.atLever > 0),
  );
  const lines: LossLine[] = [...budget.lines];
  const rest = () => whole.value - train.value - lines.reduce((sum, l) => sum + l.liftLost, 0);
  const q = value(sheet.entry('release.reducedEffort'));
  if (job.release.reducedEffort) {
    const all = job.release.armStart ? whole.value * (1 - 1 / q) : rest();
    lines.push({ name: 'Reduced-effort part', liftLost: all });
  }
  if (Math.abs(rest()) > 1e-9) lines.push({ name: 'Angle of the arm', liftLost: rest() });
  const measured = measuredTerm(sheet);
  const left = measured.known ? measured.value : train.value;
  if (Math.abs(train.value - left) > 1e-9)
    lines.push({
      name: left < train.value ? 'Not accounted for' : 'More than the entered train gives',
      liftLost: train.value - left,
    });
  const least = job.setting.freePlayMin?.value ?? FREE_PLAY_LEAST;
  const repaired = lines.map((line) => withRepair(line, least));
  return {
    whole: whole.value,
    left,
    lines: repaired,
    ...firstOf(needed === undefined ? 0 : needed - left, repaired),
  };
}

/** A line with its repair; free play keeps its minimum. */
function withRepair(line: LossLine, least: Mm): LossLine {
  const [what, effort] = REPAIRS[line.name] ?? [];
  if (what === undefined || effort === undefined) return line;
  const share =
    line.name === 'Free play' && line.atLever ? Math.max(0, 1 - least / line.atLever) : 1;
  const gains = line.liftLost * share;
  return gains > 1e-4 ? { ...line, repair: { what, gains, effort } } : line;
}

/** The least effort that alone brings a short lift back; where none does, the repair that gains most. */
function firstOf(short: Mm, lines: readonly LossLine[]): Pick<ReleaseBudget, 'first'> {
  if (short <= 1e-4) return {};
  const repairs = lines.flatMap((l) => (l.repair ? [{ ...l, repair: l.repair }] : []));
  const enough = repairs.filter((l) => l.repair.gains >= short);
  const [first] = (enough.length > 0 ? enough : repairs).toSorted((a, b) =>
    enough.length > 0
      ? a.repair.effort - b.repair.effort || b.repair.gains - a.repair.gains
      : b.repair.gains - a.repair.gains,
  );
  return first ? { first } : {};
}
