import type { FieldSpec } from '../../job/specs/spec';
import { radius, spec } from '../../job/specs/spec';

/** The weights and springs within an expanding disc, and how far it grows. */
export const EXPANDING_FIELDS = {
  'expanding.count': spec({
    label: 'Weights of the disc',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 60, integer: true },
  }),
  'expanding.mass': spec({
    label: 'Mass of one weight',
    symbol: 'm',
    quantity: 'mass',
    unit: 'g',
    bounds: { above: 0, max: 2 },
    plausible: [0.001, 0.2],
  }),
  'expanding.radius': spec({
    label: 'Radius of the weights',
    symbol: 'r_w',
    hint: 'Clutch centre to weight centre, at rest.',
    ...radius,
  }),
  'expanding.advantage': spec({
    label: 'Mechanical advantage',
    symbol: 'i_e',
    quantity: 'ratio',
    bounds: { above: 0, max: 20 },
    hint: 'Axial force ÷ centrifugal force: 1 ÷ tan of the angle for balls on a ramp.',
  }),
  'expanding.returnForce': spec({
    label: 'Return springs, force at rest',
    symbol: 'F_0',
    quantity: 'force',
    bounds: { min: 0, max: 5000 },
  }),
  'expanding.returnRate': spec({
    label: 'Return springs, rate',
    symbol: 'k_r',
    quantity: 'rate',
    bounds: { min: 0, max: 5000 },
  }),
  'expanding.growth': spec({
    label: 'Full growth of the disc',
    symbol: 'e',
    quantity: 'length',
    bounds: { above: 0, max: 10 },
    plausible: [0.3, 5],
    hint: 'Fully expanded thickness minus thickness at rest.',
  }),
} as const satisfies Record<string, FieldSpec>;
