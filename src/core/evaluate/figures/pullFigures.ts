import type { Job } from '@/core/job/types';
import { leverForce, overallRatio, returnForce } from '@/core/release/train';
import type { Mm, Newton } from '@/core/units/quantity';
import { fingerTerm, lostTerms } from './liftTerm';
import { length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { springForceAt } from '../engine/springs';
import { loadsLever } from './clampOverSpeed';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms } from '@/core/evaluate/engine/term';

/**
 * Computes the overall ratio and the lever pull: its maximum over the stroke, and at full lift.
 * @example computePull(sheet), sheet.known('leverPull').value // 56.95
 */
export function computePull(sheet: Sheet): void {
  const lost = lostTerms(sheet);
  const loses = lost.some((t) => t.known && t.value > 0);
  sheet.compute('overallRatio', {
    label: 'Overall ratio',
    quantity: 'ratio',
    section: 7,
    decimals: 1,
    formula: loses ? 'R = (s_L − lost)/x' : 'R = s_L/x',
    from: {
      s: sheet.entry('release.leverTravel'),
      lost: collectTerms(lost, (all) => all.reduce((sum, mm) => sum + mm, 0)),
      x: sheet.figure('liftHad', 'x'),
    },
    value: ({ s, lost: gone, x }) => overallRatio(s - gone, x),
    notes: [
      ...(loses ? ['Lost travel at the lever gives no lift, so it is subtracted.'] : []),
      ...(bends(sheet.job) ? ['A mean over the stroke: the arm angle changes it.'] : []),
    ],
  });
  if (sheet.known('liftMeasured'))
    sheet.compute('ratioMeasured', {
      label: 'Overall ratio, measured',
      quantity: 'ratio',
      section: 7,
      decimals: 1,
      formula: 'R = (s_L − lost)/x measured',
      from: {
        s: sheet.entry('release.leverTravel'),
        lost: collectTerms(lost, (all) => all.reduce((sum, mm) => sum + mm, 0)),
        x: sheet.figure('liftMeasured', 'x'),
      },
      value: ({ s, lost: gone, x }) => overallRatio(s - gone, x),
    });
  const arm = bends(sheet.job) ? armTerms(sheet) : [];
  const parts = [
    sheet.figure('overallRatio', 'R'),
    sheet.entry('release.efficiency'),
    sheet.figure('liftHad', 'x'),
    ...arm,
  ];
  const along = [...parts, ...sheet.springs.terms(sheet)];
  const maximum = collectTerms(along, () => maximumPull(sheet).pull);
  const weighted = loadsLever(sheet.job);
  sheet.compute('leverPull', {
    label: 'Maximum lever pull',
    quantity: 'force',
    section: 7,
    formula: arm.length > 0 ? 'maximum of F(s + x)/(R(x)·η)' : 'maximum of F(s + x)/(R·η)',
    from: { F: maximum },
    value: ({ F }) => F,
    notes: [
      ...(maximum.known ? [say`Highest at a lift of ${length(maximumPull(sheet).lift)}.`] : []),
      ...(weighted
        ? [
            'With the engine off. The weights load the lever as they turn: see the pull over engine speed.',
          ]
        : []),
    ],
  });
  sheet.compute('leverPullBack', {
    label: 'Return force at the lever',
    quantity: 'force',
    section: 16,
    formula: 'F·η/R at the maximum pull',
    from: { F: sheet.figure('leverPull', 'F_h'), η: sheet.entry('release.efficiency') },
    value: ({ F, η }) => returnForce(F, η),
    notes: [
      'Friction of train and tangs works against the hand on the way out, and against the springs on the way back.',
    ],
  });
  sheet.compute('pullLift', {
    label: 'Lift at maximum pull',
    quantity: 'length',
    section: 7,
    formula: 'x at the maximum of F(s + x)/R',
    from: { F: sheet.figure('leverPull', 'F_h') },
    value: () => maximumPull(sheet).lift,
  });
  sheet.compute('leverPullFull', {
    label: 'Lever pull at full lift',
    quantity: 'force',
    section: 7,
    formula: arm.length > 0 ? 'F_r/(R(x)·η)' : 'F_h = F_r/(R·η)',
    from: {
      F: sheet.figure('releaseForce', 'F_r'),
      R:
        arm.length > 0
          ? collectTerms([...parts, ...arm], ([R = 0, , x = 0]) => ratioOverLift(sheet)?.(x) ?? R)
          : sheet.figure('overallRatio', 'R'),
      η: sheet.entry('release.efficiency'),
    },
    value: ({ F, R, η }) => leverForce(F, R, η),
  });
}

/** Whether the ratio changes over the stroke. */
const bends = ({ release }: Job): boolean =>
  release.type === 'cable' && release.armStart !== undefined;

const armTerms = (sheet: Sheet): readonly Term[] => [
  sheet.entry('release.armStart'),
  sheet.entry('release.lead'),
  sheet.entry('release.reducedEffort'),
  fingerTerm(sheet),
];

/**
 * Lever travel ÷ lift at any lift, once the overall ratio is known: the same everywhere, but for an arm whose effective
 * length r·cos φ changes over the stroke.
 * Source: kinematics of a crank; `docs/mechanics.md` section 7.
 * @example ratioOverLift(sheet)(0.5) // 37.9
 */
export function ratioOverLift(sheet: Sheet): ((lift: Mm) => number) | undefined {
  const mean = sheet.known('overallRatio')?.value;
  const full = sheet.known('liftHad')?.value;
  if (mean === undefined || full === undefined) return undefined;
  if (!bends(sheet.job)) return () => mean;
  const [start = 0, lead = 0, eased = 1, fingers = 1] = armTerms(sheet).map((t) =>
    t.known ? t.value : Number.NaN,
  );
  const from = (start * Math.PI) / 180;
  const perLift = (eased * fingers * 2 * Math.PI) / lead;
  const swept = Math.sin(from + perLift * full) - Math.sin(from);
  // So that the mean over the stroke is the overall ratio.
  const scale = (mean * full * perLift) / swept;
  return (lift) => scale * Math.cos(from + perLift * lift);
}

/** Maximum pull over the stroke and the lift at which it occurs. @throws {DomainError} beyond the known spring range */
const maximumPull = (sheet: Sheet): MaximumPull =>
  sheet.once('maximum pull', () => findMaximumPull(sheet));

/** The highest pull of a stroke, and where it is. */
export interface MaximumPull {
  readonly pull: Newton;
  readonly lift: Mm;
}

function findMaximumPull(sheet: Sheet): MaximumPull {
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  return pullOver(sheet)(stack);
}

/**
 * The maximum pull over the stroke at any stack, with everything else of a sheet.
 * @throws {DomainError} beyond the known spring range
 * Source: `docs/mechanics.md` section 7.
 * @example pullOver(sheet)(34.2).pull > 0 // true
 */
export function pullOver(sheet: Sheet): (stack: Mm) => MaximumPull {
  const force = springForceAt(sheet);
  const ratio = ratioOverLift(sheet);
  const own = sheet.known('stack')?.value ?? Number.NaN;
  const full = sheet.known('liftHad')?.value ?? Number.NaN;
  const efficiency = sheet.valueAt('release.efficiency') ?? Number.NaN;
  const deflection = sheet.known('deflection')?.value;
  const turns = deflection === undefined ? [] : (sheet.springs.turns?.(sheet) ?? []);
  const places = bends(sheet.job)
    ? Array.from({ length: STROKE_PLACES + 1 }, (_, k) => (full * k) / STROKE_PLACES)
    : [0, full];
  return (stack) => {
    let best = { pull: -Infinity, lift: 0 };
    const tryAt = (lift: Mm) => {
      const pull = leverForce(
        force?.(stack, lift) ?? Number.NaN,
        ratio?.(lift) ?? Number.NaN,
        efficiency,
      );
      // Rounding must not move the maximum pull of a level curve.
      if (pull > best.pull * (1 + 1e-12)) best = { pull, lift };
    };
    for (const lift of places) tryAt(lift);
    for (const turn of turns) {
      // A taller stack presses the spring as much further.
      const lift = turn - ((deflection ?? 0) + stack - own);
      if (lift > 0 && lift < full) tryAt(lift);
    }
    return best;
  };
}

/** Places of a stroke at which a bent train is looked at. */
const STROKE_PLACES = 48;
