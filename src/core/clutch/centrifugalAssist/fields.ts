import type { FieldSpec } from '../../job/specs/spec';
import { radius, spec } from '../../job/specs/spec';

/** Weights that add clamp as they turn. */
export const ASSIST_FIELDS = {
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
    unit: 'g',
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
} as const satisfies Record<string, FieldSpec>;
