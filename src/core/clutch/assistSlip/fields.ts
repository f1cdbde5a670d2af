import type { FieldSpec } from '../../job/specs/spec';
import { radius, spec } from '../../job/specs/spec';

/** Depth of a step in the ramps from which they catch, mm. Assumed value. */
export const RAMP_WEAR = 0.1;

const angle = (label: string, symbol: string, hint: string) =>
  spec({
    label,
    symbol,
    quantity: 'angle',
    bounds: { above: 0, below: 90 },
    plausible: [30, 88],
    hint,
  });

/** The hub in two halves on ramps. */
export const RAMP_FIELDS = {
  'fittings.ramps.radius': spec({
    label: 'Radius of the ramps',
    symbol: 'r_r',
    ...radius,
    plausible: [12, 80],
  }),
  'fittings.ramps.driveAngle': angle(
    'Drive ramp angle',
    'λ_d',
    'Lead angle, from the plane in which the hub turns.',
  ),
  'fittings.ramps.overrunAngle': angle(
    'Overrun ramp angle',
    'λ_b',
    'Lead angle of the other side, from the same plane.',
  ),
  'fittings.ramps.friction': spec({
    label: 'Friction of the ramps',
    symbol: 'μ_r',
    quantity: 'ratio',
    bounds: { min: 0, max: 1 },
    plausible: [0.03, 0.3],
    estimate: { value: 0.1, why: 'hardened ramps in oil' },
  }),
  'fittings.ramps.braking': spec({
    label: 'Engine braking torque',
    symbol: 'T_eb',
    quantity: 'torque',
    bounds: { above: 0, max: 500 },
    plausible: [2, 80],
    hint: 'At the crank, throttle shut at high speed. If empty: 30 % of peak torque, assumed.',
  }),
  'fittings.ramps.wear': spec({
    label: 'Wear of the ramps',
    symbol: 'w_r',
    quantity: 'length',
    bounds: { min: 0, max: 5 },
    plausible: [0, 1],
    hint: 'Depth of the step worn into the ramp faces.',
  }),
  'fittings.ramps.wearLimit': spec({
    label: 'Ramp wear limit',
    symbol: 'w_max',
    quantity: 'length',
    bounds: { above: 0, max: 5 },
    estimate: { value: RAMP_WEAR, why: 'a step that the nail feels catches' },
  }),
} as const satisfies Record<string, FieldSpec>;
