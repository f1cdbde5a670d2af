import type { FieldPath } from '../job/fields';
import { fieldPath } from '../job/fields';
import type { Job } from '../job/types';
import { armStroke } from '../release/arm';
import { clearancePerFace, neededLift } from '../release/clearance';
import type { LiftReading } from '../release/evenness';
import { evenness, repeatability } from '../release/evenness';
import { lossBudget } from '../release/lossBudget';
import { retainedShare } from '../release/retention';
import { cableLift, cableTravel, hydraulicLift, leverForce, overallRatio } from '../release/train';
import type { Mm } from '../units/quantity';
import type { PackLayout } from './layers';
import { warpOf } from './layers';
import type { KnownTerm, Term } from './sheet';
import { gather, Sheet, term } from './sheet';

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

/** What eats travel at the lever before anything moves. */
const LEVER_LOSSES = [
  { leaf: 'freePlay', name: 'Free play' },
  { leaf: 'stretch', name: 'Stretch' },
  { leaf: 'pivotWear', name: 'Worn pivots' },
  { leaf: 'air', name: 'Air in the line' },
] as const;

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

function liftTerm(sheet: Sheet): Term {
  const { type, measuredLift } = sheet.job.release;
  if (type !== 'measured') return trainTerm(sheet, true);
  const dial = dialTerms(sheet);
  // One dial reading stands for the plate until enough are taken round it.
  return dial.length === 0 || (measuredLift && dial.length < 6)
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
    const whole = liftTerm(new Sheet(job));
    if (!whole.known) return undefined;
    const free = leverTravel && release.freePlay ? release.freePlay.value / leverTravel.value : 0;
    return free >= 1 ? 0 : whole.value * Math.max(0, (lever - free) / (1 - free));
  }
  if (!leverTravel) return undefined;
  const pulled = { ...leverTravel, value: leverTravel.value * lever };
  const lift = trainTerm(new Sheet({ ...job, release: { ...release, leverTravel: pulled } }), true);
  return lift.known ? lift.value : undefined;
}

/** Lift of the train, with what is lost on the way or as if nothing were. */
function trainTerm(sheet: Sheet, withLosses: boolean): Term {
  const { type, armStart } = sheet.job.release;
  const losses = withLosses ? LEVER_LOSSES.map(({ leaf }) => sheet.entry(`release.${leaf}`)) : [];
  const travel = gather([sheet.entry('release.leverTravel'), ...losses], ([s = 0, ...lost]) =>
    Math.max(
      0,
      lost.reduce((rest, l) => rest - l, s),
    ),
  );
  const lever = [travel, sheet.entry('release.leverRatio')];
  const slack = sheet.entry(type === 'hydraulic' ? 'release.lostTravel' : 'release.cableSlack');
  const lost = withLosses ? slack : NOTHING;
  const eased = withLosses ? sheet.entry('release.reducedEffort') : ONE;
  if (type === 'hydraulic') {
    return gather(
      [
        eased,
        ...lever,
        lost,
        sheet.entry('release.masterDiameter'),
        sheet.entry('release.slaveDiameter'),
      ],
      ([q = 1, s = 0, i = 0, l = 0, m = 0, d = 0]) => hydraulicLift(s, i, l, m, d) / q,
    );
  }
  const arm = [sheet.entry('release.armLength'), sheet.entry('release.lead')];
  return armStart
    ? gather(
        [eased, ...lever, lost, ...arm, sheet.entry('release.armStart')],
        ([q = 1, s = 0, i = 0, l = 0, r = 0, lead = 0, φ = 0]) =>
          armStroke(cableTravel(s, i, l), r, lead, φ).lift / q,
      )
    : gather(
        [eased, ...lever, lost, ...arm],
        ([q = 1, s = 0, i = 0, l = 0, r = 0, lead = 0]) => cableLift(s, i, l, r, lead) / q,
      );
}

/** A value of the formula itself, which is nobody's entry. */
const plain = (value: number): KnownTerm => ({ known: true, value, inputs: [], estimated: false });
const NOTHING = plain(0);
const ONE = plain(1);

/** Dial readings that have both angle and lift, as terms in pairs. */
function dialTerms(sheet: Sheet): Term[] {
  return sheet.job.release.liftReadings.flatMap(({ id, angle, lift }) =>
    angle && lift
      ? [
          sheet.entry(fieldPath('release.liftReadings.*.angle', id)),
          sheet.entry(fieldPath('release.liftReadings.*.lift', id)),
        ]
      : [],
  );
}

/** Something worked out from all dial readings together. */
function fromDial(dial: readonly Term[], of: (readings: readonly LiftReading[]) => number): Term {
  return gather(dial, (values) => {
    const readings: LiftReading[] = [];
    for (let i = 0; i + 1 < values.length; i += 2)
      readings.push({ angle: values[i] ?? 0, lift: values[i + 1] ?? 0 });
    return of(readings);
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
  const arm = gather(
    [
      sheet.entry('release.leverTravel'),
      sheet.entry('release.leverRatio'),
      sheet.entry('release.cableSlack'),
      sheet.entry('release.armLength'),
      sheet.entry('release.lead'),
      sheet.entry('release.armStart'),
    ],
    ([s = 0, i = 0, l = 0, r = 0, lead = 0, φ = 0]) =>
      armStroke(cableTravel(s, i, l), r, lead, φ).bestStart,
  );
  sheet.compute('armBestStart', {
    label: 'Arm at rest, best',
    quantity: 'angle',
    section: 7,
    formula: 'φ_0 = −arcsin(cable travel/2r_a): square in the middle of the stroke',
    from: { φ: arm },
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
  });
}
