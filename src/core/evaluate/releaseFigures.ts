import type { Job } from '../job/types';
import { clearancePerFace, neededLift } from '../release/clearance';
import { retainedShare } from '../release/retention';
import { cableLift, hydraulicLift, leverForce, overallRatio } from '../release/train';
import type { PackLayout } from './layers';
import type { Sheet, Term } from './sheet';
import { gather, term } from './sheet';

const LIFT_FORMULA: Readonly<Record<Job['release']['type'], string>> = {
  measured: 'x as measured at the pressure plate',
  hydraulic: 'x = (s_L/i_L − s_0)·(d_m/d_s)²',
  cable: 'x = (s_L/i_L − s_0)/r_a · p/2π',
};

/** Lift had and needed, and what it leaves at each face. */
export function computeLift(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('liftHad', {
    label: 'Lift',
    quantity: 'length',
    section: sheet.job.release.type === 'measured' ? 6 : 7,
    formula: LIFT_FORMULA[sheet.job.release.type],
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

/** Overall ratio and the pull at the lever. */
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

/** How well the outermost plates of the hub still hold its spline at full lift; only where its length is known. */
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

function liftTerm(sheet: Sheet): Term {
  const { type } = sheet.job.release;
  if (type === 'measured') return sheet.entry('release.measuredLift');
  const lever = [sheet.entry('release.leverTravel'), sheet.entry('release.leverRatio')];
  return type === 'hydraulic'
    ? gather(
        [
          ...lever,
          sheet.entry('release.lostTravel'),
          sheet.entry('release.masterDiameter'),
          sheet.entry('release.slaveDiameter'),
        ],
        ([s = 0, i = 0, lost = 0, m = 0, d = 0]) => hydraulicLift(s, i, lost, m, d),
      )
    : gather(
        [
          ...lever,
          sheet.entry('release.cableSlack'),
          sheet.entry('release.armLength'),
          sheet.entry('release.lead'),
        ],
        ([s = 0, i = 0, slack = 0, arm = 0, lead = 0]) => cableLift(s, i, slack, arm, lead),
      );
}

function warpTerm(layout: PackLayout): Term {
  const measured = layout.layers.filter((l) => l.plate.outOfFlat);
  const total = layout.layers.reduce((sum, l) => sum + l.outOfFlat, 0);
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
  });
}
