import type { Job } from '@/core/job/types';
import { clearancePerFace, liftNeeded } from '@/core/release/clearance';
import type { Evenness } from '@/core/release/evenness';
import { evenness, repeatability } from '@/core/release/evenness';
import { retainedShare } from '@/core/release/retention';
import { leverForce, overallRatio } from '@/core/release/train';
import type { Mm, Newton } from '@/core/units/quantity';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { dialTerms, fingerTerm, fromDial, LEVER_LOSSES, liftTerm, lostTerms } from './liftTerm';
import { count, length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { springForceAt } from '../engine/springs';
import { loadsLever } from './clampOverSpeed';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms, term } from '@/core/evaluate/engine/term';
import { countOf } from '@/core/text/countOf';

function liftFormula(sheet: Sheet): string {
  const { release } = sheet.job;
  const { type } = release;
  if (type === 'measured') {
    return release.liftReadings.length > 0
      ? 'x = mean of the plane through the dial readings'
      : 'x as measured at the pressure plate';
  }
  const lever = LEVER_LOSSES.some(({ leaf }) => release[leaf]) ? '(s_L − Σ s_v)' : 's_L';
  const ratio = fingerTerm(sheet);
  const fingers = ratio.known && ratio.value !== 1 ? '/i_f' : '';
  const eased = `${release.reducedEffort ? '/q' : ''}${fingers}`;
  if (type === 'hydraulic') return `x = (${lever}/i_L − s_0)·(d_m/d_s)²${eased}`;
  return release.armStart
    ? `x = (arcsin(sin φ_0 + (${lever}/i_L − s_0)/r_a) − φ_0)·p/2π${eased}`
    : `x = (${lever}/i_L − s_0)/r_a · p/2π${eased}`;
}

/**
 * Lift available and required, and clearance per face.
 * @example computeLift(sheet, layout), sheet.known('liftHad').value // 1.5696
 */
export function computeLift(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('liftHad', {
    label: 'Lift',
    quantity: 'length',
    section: sheet.job.release.type === 'measured' ? 6 : 7,
    formula: liftFormula(sheet),
    from: { x: liftTerm(sheet) },
    value: ({ x }) => x,
  });
  const warp = warpTerm(layout);
  const asked = sheet.entry('release.requiredLift');
  const byFaces = collectTerms(
    [sheet.figure('faces', 'N'), sheet.entry('release.faceClearance'), warp],
    ([n = 0, c = 0, w = 0]) => liftNeeded(n, c, w),
  );
  sheet.compute('liftNeeded', {
    label: 'Lift required',
    quantity: 'length',
    section: 6,
    formula: asked.known ? 'the greater of x_req and N·c_min + Σ w' : 'x_req = N·c_min + Σ w',
    from: { x: asked.known ? collectTerms([asked, byFaces], (all) => Math.max(...all)) : byFaces },
    value: ({ x }) => x,
  });
  sheet.compute('clearancePerFace', {
    label: 'Clearance per face',
    quantity: 'length',
    section: 6,
    formula: 'c = (x − Σ w)/N',
    from: { x: sheet.figure('liftHad', 'x'), w: warp, N: sheet.figure('faces', 'N') },
    value: ({ x, w, N }) => clearancePerFace(x, N, w),
  });
}

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

interface MaximumPull {
  readonly pull: Newton;
  readonly lift: Mm;
}

function findMaximumPull(sheet: Sheet): MaximumPull {
  const force = springForceAt(sheet);
  const ratio = ratioOverLift(sheet);
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  const full = sheet.known('liftHad')?.value ?? Number.NaN;
  const efficiency = sheet.valueAt('release.efficiency') ?? Number.NaN;
  const pullAt = (lift: Mm) =>
    leverForce(force?.(stack, lift) ?? Number.NaN, ratio?.(lift) ?? Number.NaN, efficiency);
  const deflection = sheet.known('deflection')?.value;
  const turns =
    deflection === undefined
      ? []
      : (sheet.springs.turns?.(sheet) ?? [])
          .map((s) => s - deflection)
          .filter((lift) => lift > 0 && lift < full);
  const places = bends(sheet.job)
    ? Array.from({ length: STROKE_PLACES + 1 }, (_, k) => (full * k) / STROKE_PLACES)
    : [0, full];
  let best = { pull: -Infinity, lift: 0 };
  for (const lift of [...places, ...turns]) {
    const pull = pullAt(lift);
    // Rounding must not move the maximum pull of a level curve.
    if (pull > best.pull * (1 + 1e-12)) best = { pull, lift };
  }
  return best;
}

/** Places of a stroke at which a bent train is looked at. */
const STROKE_PLACES = 48;

/**
 * Engagement of the outermost plates with the hub's spline and the basket's fingers at full lift; each only where its length is
 * known.
 * @example computeRetention(sheet, layout), sheet.outcomes.has('retention') // false
 */
export function computeRetention(sheet: Sheet, layout: PackLayout): void {
  for (const [id, path, member, words] of [
    ['retention', 'pack.splineLength', 'hub', 'spline at full lift'],
    ['basketRetention', 'pack.fingerLength', 'basket', 'basket’s fingers at full lift'],
  ] as const) {
    const room = sheet.entry(path);
    if (!room.known) continue;
    const plates = layout.layers.filter((l) => l.turnsWith === member);
    sheet.compute(id, {
      label: `Minimum engagement on the ${words}`,
      quantity: 'share',
      section: 6,
      formula: '(L_s − height below − x)/t, the minimum over all plates',
      from: { L: room, x: sheet.figure('liftHad', 'x'), H: sheet.figure('stack', 'H') },
      value: ({ L, x }) =>
        plates.reduce(
          (least, l) =>
            Math.min(least, retainedShare(L, l.bottom ?? 0, x, l.thickness ?? Number.NaN)),
          1,
        ),
      notes: ['At full lift a plate may move out as far as the lift allows.'],
    });
  }
}

/**
 * Tilt of the plate, its least local lift, how well the readings lie in a plane and how well pulls repeat; only where dial
 * readings round it are entered.
 * @example computeEvenness(sheet), sheet.outcomes.has('liftTilt') // true
 */
export function computeEvenness(sheet: Sheet): void {
  const dial = dialTerms(sheet);
  if (dial.length === 0) return;
  const of = (pick: (e: Evenness) => number) => fromDial(dial, (r) => pick(evenness(r)));
  const readings = [
    say`${count(dial.length / 2)} readings round the plate; at least three angles are needed.`,
  ];
  sheet.compute('liftTilt', {
    label: 'Tilt, amplitude',
    quantity: 'length',
    section: 6,
    formula: 'a = √(A² + B²) of x(θ) = x̄ + A·cos θ + B·sin θ, least squares',
    from: { a: of((e) => e.tilt) },
    value: ({ a }) => a,
    notes: readings,
  });
  sheet.compute('liftAcross', {
    label: 'Tilt across the plate',
    quantity: 'length',
    section: 6,
    formula: '2·a: dial difference between the low and the high side',
    from: { a: sheet.figure('liftTilt', 'a') },
    value: ({ a }) => 2 * a,
  });
  const angles = new Set(
    sheet.job.release.liftReadings.flatMap((r) =>
      r.angle && r.lift ? [((r.angle.value % 360) + 360) % 360] : [],
    ),
  );
  if (angles.size > 3)
    sheet.compute('liftResidual', {
      label: 'Deviation of the readings from a plane',
      quantity: 'length',
      section: 6,
      formula: 'root mean square of x − x(θ)',
      from: { r: of((e) => e.residual) },
      value: ({ r }) => r,
      notes: ['More than the tilt: the plate is bent rather than tilted.'],
    });
  sheet.compute('liftLeast', {
    label: 'Minimum local lift',
    quantity: 'length',
    section: 6,
    formula: 'x̄ − a',
    from: { x: of((e) => e.least) },
    value: ({ x }) => x,
  });
  const whole = sheet.job.release.liftReadings.flatMap((r) => (r.angle && r.lift ? r.angle : []));
  if (new Set(whole.map((angle) => angle.value % 360)).size === whole.length) return;
  sheet.compute('liftRepeat', {
    label: 'Spread of readings at one place',
    quantity: 'length',
    section: 6,
    formula: 'maximum x − minimum x at one angle',
    from: { d: fromDial(dial, repeatability) },
    value: ({ d }) => d,
  });
}

function warpTerm(layout: PackLayout): Term {
  const measured = layout.layers.filter((l) => l.plate.outOfFlat);
  const total = warpOf(layout);
  return term({
    value: total,
    symbol: 'Σ w',
    quantity: 'length',
    label:
      measured.length === 0
        ? 'Out-of-flat of the plates'
        : `Out-of-flat of ${countOf(measured.length, 'plate')}`,
    source:
      measured.length === 0
        ? { kind: 'estimate', note: 'no plate checked for flatness; assumed flat' }
        : (measured[0]?.plate.outOfFlat?.source ?? { kind: 'measured' }),
    // Worked out after the lift, for the inspection; the same sum.
    ...(measured.length === 0 ? {} : { figure: 'warpSum' }),
  });
}
