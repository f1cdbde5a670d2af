import type { FieldSpec } from './spec';
import { friction, radius, spec, thickness } from './spec';

/** Plates, their kinds, and the pack as a whole. */
export const PACK_FIELDS = {
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
} as const satisfies Record<string, FieldSpec>;
