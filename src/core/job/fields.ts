import type { EntrySpec } from '../units/parseEntry';

/** A field that takes one value: what it is called, what it takes, and what stands in for it. */
export interface FieldSpec extends EntrySpec {
  readonly label: string;
  /** As in the formulas of `docs/mechanics.md`. */
  readonly symbol: string;
  /** Used, and marked as a design estimate, while nothing is entered. */
  readonly estimate?: { readonly value: number; readonly why: string };
  /** What nothing entered means, where that is a fact and no guess: no shim is a shim of 0. */
  readonly absent?: { readonly value: number; readonly why: string };
  /** One line of help, where the label is not enough. */
  readonly hint?: string;
}

const spec = (s: FieldSpec): FieldSpec => s;

const thickness = {
  quantity: 'length',
  bounds: { above: 0, max: 20 },
  plausible: [0.5, 8],
} as const;
const radius = {
  quantity: 'length',
  bounds: { above: 0, max: 250 },
  plausible: [12, 150],
  radius: true,
} as const;
const friction = { quantity: 'ratio', bounds: { above: 0, max: 1 } } as const;

/**
 * Every numeric field of a job, by its path with `*` for the identifier of a list item. The schema of
 * files, the messages at fields and the terms of workings all come from here.
 */
export const FIELDS = {
  'engine.peakTorque': spec({
    label: 'Engine peak torque',
    symbol: 'T_e',
    quantity: 'torque',
    bounds: { above: 0, max: 1000 },
    plausible: [4, 260],
  }),
  'engine.peakTorqueRpm': spec({
    label: 'Peak torque at',
    symbol: 'n_T',
    quantity: 'speed',
    bounds: { above: 0, max: 25000 },
  }),
  'engine.idleRpm': spec({
    label: 'Idle',
    symbol: 'n_idle',
    quantity: 'speed',
    bounds: { above: 0, max: 6000 },
  }),
  'engine.primaryRatio': spec({
    label: 'Primary ratio',
    symbol: 'i',
    quantity: 'ratio',
    bounds: { above: 0, max: 10 },
    hint: 'Basket teeth ÷ crank teeth. 1 when the clutch sits on the crank.',
  }),
  'engine.primaryEfficiency': spec({
    label: 'Primary efficiency',
    symbol: 'η_p',
    quantity: 'ratio',
    bounds: { above: 0, max: 1 },
    estimate: { value: 1, why: 'no loss assumed, so the clutch must hold all of it' },
  }),

  'pack.kinds.*.thickness': spec({ label: 'Thickness, new', symbol: 't', ...thickness }),
  'pack.kinds.*.minThickness': spec({ label: 'Least thickness', symbol: 't_min', ...thickness }),
  'pack.kinds.*.tolerance': spec({
    label: 'Tolerance of thickness, ±',
    symbol: 'τ',
    quantity: 'length',
    bounds: { min: 0, max: 2 },
    plausible: [0, 0.3],
    estimate: { value: 0.03, why: 'usual for a batch of plates' },
  }),
  'pack.kinds.*.outerRadius': spec({
    label: 'Lining outer radius',
    symbol: 'R_o',
    ...radius,
    hint: 'Write 117 dia for a diameter.',
  }),
  'pack.kinds.*.innerRadius': spec({
    label: 'Lining inner radius',
    symbol: 'R_i',
    ...radius,
    hint: 'Write 93 dia for a diameter.',
  }),
  'pack.kinds.*.tangRadius': spec({
    label: 'Tang radius',
    symbol: 'r',
    ...radius,
    hint: 'Where the tangs bear on basket or hub.',
  }),
  'pack.kinds.*.frictionLow': spec({ label: 'Friction, low', symbol: 'μ_low', ...friction }),
  'pack.kinds.*.frictionTypical': spec({
    label: 'Friction, typical',
    symbol: 'μ_typ',
    ...friction,
  }),
  'pack.kinds.*.frictionHigh': spec({ label: 'Friction, high', symbol: 'μ_high', ...friction }),
  'pack.kinds.*.groovedShare': spec({
    label: 'Grooved share of lining',
    symbol: 'g',
    quantity: 'share',
    bounds: { min: 0, below: 1 },
    absent: { value: 0, why: 'grooves not taken off the area' },
  }),
  'pack.kinds.*.pressureLimit': spec({
    label: 'Lining pressure limit',
    symbol: 'p_max',
    quantity: 'pressure',
    bounds: { above: 0, max: 50 },
  }),

  'pack.plates.*.readings.*': spec({ label: 'Thickness, measured', symbol: 't', ...thickness }),
  'pack.plates.*.outOfFlat': spec({
    label: 'Out-of-flat',
    symbol: 'w',
    quantity: 'length',
    bounds: { min: 0, max: 5 },
    plausible: [0, 0.6],
  }),

  'pack.windowMin': spec({
    label: 'Window, least stack',
    symbol: 'H_min',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'pack.windowMax': spec({
    label: 'Window, greatest stack',
    symbol: 'H_max',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'pack.tangFriction': spec({
    label: 'Tang friction',
    symbol: 'μ_t',
    quantity: 'ratio',
    bounds: { min: 0, max: 0.5 },
    estimate: { value: 0.06, why: 'oiled steel on aluminium' },
    hint: '0 leaves it out.',
  }),
  'pack.maxWear': spec({
    label: 'Pack wear limit',
    symbol: 'W_max',
    quantity: 'length',
    bounds: { above: 0, max: 30 },
    plausible: [0.1, 6],
  }),
  'pack.splineLength': spec({
    label: 'Hub spline length',
    symbol: 'L_s',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
    hint: 'From the hub floor to the end of the spline.',
  }),

  'springs.coil.seatDistance': spec({
    label: 'Hub floor to spring seat',
    symbol: 'G_0',
    quantity: 'length',
    bounds: { above: 0, max: 400 },
    plausible: [20, 160],
  }),
  'springs.coil.pressurePlate': spec({
    label: 'Pressure plate, pack to spring cup',
    symbol: 't_pp',
    quantity: 'length',
    bounds: { min: -60, max: 60 },
    absent: { value: 0, why: 'taken as already off the seat distance' },
    hint: 'Negative when the cups reach down past the pack.',
  }),
  'springs.coil.shim': spec({
    label: 'Shim under each spring',
    symbol: 's',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0, 6],
    absent: { value: 0, why: 'no shim entered' },
  }),
  'springs.coil.groups.*.count': spec({
    label: 'Springs',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 24, integer: true },
  }),
  'springs.coil.groups.*.rate': spec({
    label: 'Rate of one spring',
    symbol: 'k',
    quantity: 'rate',
    bounds: { above: 0, max: 500 },
  }),
  'springs.coil.groups.*.freeLength': spec({
    label: 'Free length',
    symbol: 'L_0',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [12, 120],
  }),
  'springs.coil.groups.*.solidLength': spec({
    label: 'Solid length',
    symbol: 'L_c',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [5, 90],
  }),
  'springs.coil.groups.*.wireDiameter': spec({
    label: 'Wire diameter',
    symbol: 'd',
    quantity: 'length',
    bounds: { above: 0, max: 20 },
    plausible: [0.8, 8],
  }),
  'springs.coil.groups.*.meanDiameter': spec({
    label: 'Mean coil diameter',
    symbol: 'D',
    quantity: 'length',
    bounds: { above: 0, max: 100 },
    plausible: [5, 60],
  }),
  'springs.coil.groups.*.activeCoils': spec({
    label: 'Active coils',
    symbol: 'n_a',
    quantity: 'ratio',
    bounds: { above: 0, max: 60 },
  }),
  'springs.coil.groups.*.totalCoils': spec({
    label: 'Coils in all',
    symbol: 'n_t',
    quantity: 'ratio',
    bounds: { above: 0, max: 60 },
    hint: 'Ground ends: solid length is coils × wire.',
  }),
  'springs.coil.groups.*.shearModulus': spec({
    label: 'Shear modulus',
    symbol: 'G',
    quantity: 'pressure',
    bounds: { above: 0, max: 200000 },
    estimate: { value: 79300, why: 'spring steel' },
  }),
  'springs.coil.groups.*.testerPoints.*.length': spec({
    label: 'Length on the tester',
    symbol: 'L',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [5, 120],
  }),
  'springs.coil.groups.*.testerPoints.*.force': spec({
    label: 'Force on the tester',
    symbol: 'F',
    quantity: 'force',
    bounds: { min: 0, max: 20000 },
  }),

  'springs.coil.ringRadius': spec({ label: 'Radius of the spring ring', symbol: 'r_s', ...radius }),
  'springs.diaphragm.outerDiameter': spec({
    label: 'Diaphragm outer diameter',
    symbol: 'D_e',
    quantity: 'length',
    bounds: { above: 0, max: 500 },
    plausible: [40, 260],
  }),
  'springs.diaphragm.innerDiameter': spec({
    label: 'Diaphragm inner diameter of the ring',
    symbol: 'D_i',
    quantity: 'length',
    bounds: { above: 0, max: 500 },
    plausible: [25, 230],
  }),
  'springs.diaphragm.thickness': spec({
    label: 'Diaphragm thickness',
    symbol: 't',
    quantity: 'length',
    bounds: { above: 0, max: 20 },
    plausible: [0.8, 6],
  }),
  'springs.diaphragm.coneHeight': spec({
    label: 'Free cone height, new',
    symbol: 'h_0',
    quantity: 'length',
    bounds: { above: 0, max: 40 },
    plausible: [0.4, 12],
  }),
  'springs.diaphragm.measuredCone': spec({
    label: 'Free cone height, measured',
    symbol: 'h_0',
    quantity: 'length',
    bounds: { above: 0, max: 40 },
    plausible: [0.4, 12],
  }),
  'springs.diaphragm.referenceDeflection': spec({
    label: 'Deflection at the reference stack',
    symbol: 's_ref',
    quantity: 'length',
    bounds: { min: 0, max: 40 },
    plausible: [0.2, 12],
  }),
  'springs.diaphragm.referenceStack': spec({
    label: 'Reference stack',
    symbol: 'H_ref',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'springs.diaphragm.fingerRatio': spec({
    label: 'Finger ratio',
    symbol: 'i_f',
    quantity: 'ratio',
    bounds: { above: 0, max: 20 },
    estimate: { value: 1, why: 'pressure plate pushed at the load edge' },
  }),
  'springs.diaphragm.steps.*.offset': spec({
    label: 'Step offset',
    symbol: 'Δs',
    quantity: 'length',
    bounds: { min: -10, max: 10 },
    absent: { value: 0, why: 'the step of offset 0' },
  }),
  'springs.diaphragm.steps.*.bandMin': spec({
    label: 'Step for stacks from',
    symbol: 'H_min',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'springs.diaphragm.steps.*.bandMax': spec({
    label: 'Step for stacks to',
    symbol: 'H_max',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'springs.diaphragm.points.*.deflection': spec({
    label: 'Deflection on the tester',
    symbol: 's',
    quantity: 'length',
    bounds: { min: 0, max: 40 },
  }),
  'springs.diaphragm.points.*.force': spec({
    label: 'Force on the tester',
    symbol: 'F',
    quantity: 'force',
    bounds: { min: 0, max: 50000 },
  }),
  'springs.loose.span': spec({
    label: 'Span between the plates’ faces without pack',
    symbol: 'S',
    quantity: 'length',
    bounds: { above: 0, max: 300 },
    plausible: [10, 140],
  }),
  'springs.loose.pocketInner': spec({
    label: 'Pocket depth, inner plate',
    symbol: 'd_1',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    absent: { value: 0, why: 'no pocket entered' },
  }),
  'springs.loose.pocketOuter': spec({
    label: 'Pocket depth, outer plate',
    symbol: 'd_2',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    absent: { value: 0, why: 'no pocket entered' },
  }),
  'springs.loose.gapMin': spec({
    label: 'Least plate gap',
    symbol: 'g_min',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
  }),
  'springs.loose.gapMax': spec({
    label: 'Greatest plate gap',
    symbol: 'g_max',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
  }),

  'assist.count': spec({
    label: 'Weights',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 60, integer: true },
  }),
  'assist.mass': spec({
    label: 'Mass of one weight',
    symbol: 'm',
    quantity: 'mass',
    bounds: { above: 0, max: 2 },
    plausible: [0.001, 0.2],
  }),
  'assist.radius': spec({ label: 'Radius of the weights', symbol: 'r_w', ...radius }),
  'assist.leverRatio': spec({
    label: 'Lever ratio of the weights',
    symbol: 'i_w',
    quantity: 'ratio',
    bounds: { above: 0, max: 20 },
  }),
  'assist.rampAngle': spec({
    label: 'Ramp angle',
    symbol: 'α',
    quantity: 'angle',
    bounds: { above: 0, below: 90 },
    hint: 'From the plane of the plate.',
  }),

  'startClutch.shoes': spec({
    label: 'Shoes',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 24, integer: true },
  }),
  'startClutch.mass': spec({
    label: 'Mass of one shoe',
    symbol: 'm',
    quantity: 'mass',
    bounds: { above: 0, max: 5 },
    plausible: [0.01, 0.8],
  }),
  'startClutch.radius': spec({
    label: 'Radius of a shoe’s centre of mass',
    symbol: 'r',
    ...radius,
  }),
  'startClutch.springPull': spec({
    label: 'Spring pull on one shoe',
    symbol: 'F_s',
    quantity: 'force',
    bounds: { min: 0, max: 5000 },
  }),
  'startClutch.drumRadius': spec({ label: 'Drum inner radius', symbol: 'R', ...radius }),
  'startClutch.friction': spec({
    label: 'Friction of the shoes',
    symbol: 'μ',
    ...friction,
    estimate: { value: 0.12, why: 'shoe lining in oil' },
  }),

  'release.measuredLift': spec({
    label: 'Lift, measured',
    symbol: 'x',
    quantity: 'length',
    bounds: { above: 0, max: 20 },
    plausible: [0.3, 6],
  }),
  'release.leverTravel': spec({
    label: 'Lever travel',
    symbol: 's_L',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [15, 120],
    hint: 'At the finger, full pull.',
  }),
  'release.leverRatio': spec({
    label: 'Lever ratio',
    symbol: 'i_L',
    quantity: 'ratio',
    bounds: { above: 0, max: 30 },
  }),
  'release.efficiency': spec({
    label: 'Train efficiency',
    symbol: 'η',
    quantity: 'ratio',
    bounds: { above: 0, max: 1 },
    estimate: { value: 0.8, why: 'cable, pivots or seals of a sound train' },
  }),
  'release.lostTravel': spec({
    label: 'Lost piston travel',
    symbol: 's_0',
    quantity: 'length',
    bounds: { min: 0, max: 50 },
    estimate: { value: 0, why: 'no loss entered' },
  }),
  'release.masterDiameter': spec({
    label: 'Master piston diameter',
    symbol: 'd_m',
    quantity: 'length',
    bounds: { above: 0, max: 60 },
    plausible: [6, 30],
  }),
  'release.slaveDiameter': spec({
    label: 'Slave piston diameter',
    symbol: 'd_s',
    quantity: 'length',
    bounds: { above: 0, max: 120 },
    plausible: [12, 60],
  }),
  'release.cableSlack': spec({
    label: 'Cable slack',
    symbol: 's_0',
    quantity: 'length',
    bounds: { min: 0, max: 50 },
    estimate: { value: 0, why: 'no slack entered' },
  }),
  'release.armLength': spec({
    label: 'Release arm length',
    symbol: 'r_a',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [12, 100],
  }),
  'release.lead': spec({
    label: 'Lead, lift per turn',
    symbol: 'p',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [3, 80],
  }),
  'release.requiredLift': spec({
    label: 'Lift asked by the maker',
    symbol: 'x_req',
    quantity: 'length',
    bounds: { above: 0, max: 20 },
    plausible: [0.3, 6],
  }),
  'release.faceClearance': spec({
    label: 'Least clearance per face',
    symbol: 'c_min',
    quantity: 'length',
    bounds: { above: 0, max: 2 },
    plausible: [0.02, 0.5],
    estimate: { value: 0.1, why: 'wet pack' },
  }),
} as const satisfies Record<string, FieldSpec>;

/** A path with `*` in the place of identifiers. */
export type FieldPattern = keyof typeof FIELDS;

/** The path of one field of one job: `pack.kinds.k1.thickness`. */
export type FieldPath = string;

/** The path of a field, with its `*` filled in order. */
export function fieldPath(pattern: FieldPattern, ...ids: readonly string[]): FieldPath {
  const parts = starSplits.get(pattern) ?? [pattern];
  if (ids.length !== 1) return join(parts, ids);
  // One string for one path: a string that is met again needs no new hash.
  let known = onePaths.get(pattern);
  if (!known || known.size > MANY_PATHS) onePaths.set(pattern, (known = new Map()));
  const [id = ''] = ids;
  let path = known.get(id);
  if (path === undefined) known.set(id, (path = join(parts, ids)));
  return path;
}

const onePaths = new Map<FieldPattern, Map<string, FieldPath>>();

function join(parts: readonly string[], ids: readonly string[]): FieldPath {
  let path = parts[0] ?? '';
  for (let i = 1; i < parts.length; i++) path += (ids[i - 1] ?? '*') + (parts[i] ?? '');
  return path;
}

/** Every pattern parted at its stars. */
const starSplits: ReadonlyMap<string, readonly string[]> = new Map(
  Object.keys(FIELDS).map((pattern) => [pattern, pattern.split('*')]),
);

const LIST_PARENTS = new Set([
  'kinds',
  'plates',
  'groups',
  'testerPoints',
  'readings',
  'steps',
  'points',
]);

/** Paths recur at every key that is typed; each is taken apart once. */
const patterns = new Map<FieldPath, FieldPattern | undefined>();
const MANY_PATHS = 20_000;

/** The pattern that a path belongs to, or undefined when there is no such field. */
export function patternOf(path: FieldPath): FieldPattern | undefined {
  if (patterns.has(path)) return patterns.get(path);
  const parts = path.split('.');
  const pattern = parts.map((p, i) => (LIST_PARENTS.has(parts[i - 1] ?? '') ? '*' : p)).join('.');
  const found = Object.hasOwn(FIELDS, pattern) ? (pattern as FieldPattern) : undefined;
  if (patterns.size >= MANY_PATHS) patterns.clear();
  patterns.set(path, found);
  return found;
}

/** The field at a path. @throws {RangeError} when there is none. */
export function fieldAt(path: FieldPath): FieldSpec {
  const pattern = patternOf(path);
  if (!pattern) throw new RangeError(`no field at ${path}`);
  return FIELDS[pattern];
}

/** Most plates that a pack can have, and most lines in any other list of a job. */
export const MAX_PLATES = 60;
export const MAX_KINDS = 24;
export const MAX_GROUPS = 6;
export const MAX_TESTER_POINTS = 40;
export const MAX_STEPS = 12;
/** Springs round one ring. */
export const MAX_RING = 24;
export const MAX_NAME = 120;
export const MAX_NOTES = 20000;
