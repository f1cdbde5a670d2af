import type { Job } from '../job/types';
import { clearancePerFace, neededLift } from '../release/clearance';
import { evenness, repeatability } from '../release/evenness';
import { retainedShare } from '../release/retention';
import { leverForce, overallRatio } from '../release/train';
import type { PackLayout } from './layers';
import { warpOf } from './layers';
import { dialTerms, fromDial, LEVER_LOSSES, liftTerm } from './liftTerm';
import type { Sheet } from './sheet';
import type { Term } from './term';
import { gather, term } from './term';

function liftFormula({ release }: Job): string {
  const { type } = release;
  if (type === 'measured') {
    return release.liftReadings.length > 0
      ? 'x = mean of the plane through the dial readings'
      : 'x as measured at the pressure plate';
  }
  const lever = LEVER_LOSSES.some(({ leaf }) => release[leaf]) ? '(s_L − Σ s_v)' : 's_L';
  const eased = release.reducedEffort ? '/q' : '';
  if (type === 'hydraulic') return `x = (${lever}/i_L − s_0)·(d_m/d_s)²${eased}`;
  return release.armStart
    ? `x = (arcsin(sin φ_0 + (${lever}/i_L − s_0)/r_a) − φ_0)·p/2π${eased}`
    : `x = (${lever}/i_L − s_0)/r_a · p/2π${eased}`;
}

/**
 * Lift had and needed, and what it leaves at each face.
 * @example computeLift(sheet, layout), sheet.known('liftHad').value // 1.8283
 */
export function computeLift(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('liftHad', {
    label: 'Lift',
    quantity: 'length',
    section: sheet.job.release.type === 'measured' ? 6 : 7,
    formula: liftFormula(sheet.job),
    from: { x: liftTerm(sheet) },
    value: ({ x }) => x,
  });
  const warp = warpTerm(layout);
  const asked = sheet.entry('release.requiredLift');
  const byFaces = gather(
    [sheet.figure('faces', 'N'), sheet.entry('release.faceClearance'), warp],
    ([n = 0, c = 0, w = 0]) => neededLift(n, c, w),
  );
  sheet.compute('liftNeeded', {
    label: 'Lift needed',
    quantity: 'length',
    section: 6,
    formula: asked.known ? 'the greater of x_req and N·c_min + Σ w' : 'x_req = N·c_min + Σ w',
    from: { x: asked.known ? gather([asked, byFaces], (all) => Math.max(...all)) : byFaces },
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
 * Overall ratio and the pull at the lever.
 * @example computePull(sheet), sheet.known('leverPull').value // 57.88
 */
export function computePull(sheet: Sheet): void {
  sheet.compute('overallRatio', {
    label: 'Overall ratio',
    quantity: 'ratio',
    section: 7,
    decimals: 1,
    formula: 'R = s_L/x',
    from: { s: sheet.entry('release.leverTravel'), x: sheet.figure('liftHad', 'x') },
    value: ({ s, x }) => overallRatio(s, x),
    notes: ['A mean over the pull; free play and slack are in it.'],
  });
  sheet.compute('leverPull', {
    label: 'Lever pull, full lift',
    quantity: 'force',
    section: 7,
    formula: 'F_h = F_r/(R·η)',
    from: {
      F: sheet.figure('releaseForce', 'F_r'),
      R: sheet.figure('overallRatio', 'R'),
      η: sheet.entry('release.efficiency'),
    },
    value: ({ F, R, η }) => leverForce(F, R, η),
  });
}

/**
 * How well the outermost plates of the hub still hold its spline at full lift; only where its length is known.
 * @example computeRetention(sheet, layout), sheet.outcomes.has('retention') // false
 */
export function computeRetention(sheet: Sheet, layout: PackLayout): void {
  const spline = sheet.entry('pack.splineLength');
  if (!spline.known) return;
  const onHub = layout.layers.filter((l) => l.turnsWith === 'hub');
  sheet.compute('retention', {
    label: 'Least hold on the spline, full lift',
    quantity: 'share',
    section: 6,
    formula: '(L_s − height below − x)/t, the least of all plates on the hub',
    from: { L: spline, x: sheet.figure('liftHad', 'x'), H: sheet.figure('stack', 'H') },
    value: ({ L, x }) =>
      onHub.reduce(
        (least, l) =>
          Math.min(least, retainedShare(L, l.bottom ?? 0, x, l.thickness ?? Number.NaN)),
        1,
      ),
    notes: ['At full lift a plate may lie as far out as the lift lets it.'],
  });
}

/**
 * Tilt of the plate, its least local lift, and how well pulls repeat; only where dial readings round it are entered.
 * @example computeEvenness(sheet), sheet.outcomes.has('liftTilt') // true
 */
export function computeEvenness(sheet: Sheet): void {
  const dial = dialTerms(sheet);
  if (dial.length === 0) return;
  sheet.compute('liftTilt', {
    label: 'Tilt of the plate',
    quantity: 'length',
    section: 6,
    formula: 'a = √(A² + B²) of x(θ) = x̄ + A·cos θ + B·sin θ, least squares',
    from: { a: fromDial(dial, (readings) => evenness(readings).tilt) },
    value: ({ a }) => a,
    notes: [`${dial.length / 2} readings round the plate; three angles or more are needed.`],
  });
  sheet.compute('liftLeast', {
    label: 'Least local lift',
    quantity: 'length',
    section: 6,
    formula: 'x̄ − a',
    from: { x: fromDial(dial, (readings) => evenness(readings).least) },
    value: ({ x }) => x,
  });
  const whole = sheet.job.release.liftReadings.flatMap((r) => (r.angle && r.lift ? r.angle : []));
  if (new Set(whole.map((angle) => angle.value % 360)).size === whole.length) return;
  sheet.compute('liftRepeat', {
    label: 'Spread of pulls at one place',
    quantity: 'length',
    section: 6,
    formula: 'greatest x − least x at one angle',
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
        : `Out-of-flat of ${measured.length} plates`,
    source:
      measured.length === 0
        ? { kind: 'estimate', note: 'no plate checked for flatness; taken as flat' }
        : (measured[0]?.plate.outOfFlat?.source ?? { kind: 'measured' }),
    // Worked out after the lift, for the inspection; the same sum.
    ...(measured.length === 0 ? {} : { figure: 'warpSum' }),
  });
}
