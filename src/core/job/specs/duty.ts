import type { FieldSpec } from './spec';
import { spec } from './spec';

/** A start from standstill: the basis of the clutch heat. */
export const DUTY_FIELDS = {
  'duty.mass': spec({
    label: 'Machine with rider',
    symbol: 'M',
    quantity: 'mass',
    bounds: { above: 0, max: 3000 },
    plausible: [80, 900],
  }),
  'duty.wheelRadius': spec({
    label: 'Rolling radius of the wheel',
    symbol: 'R_w',
    quantity: 'length',
    bounds: { above: 0, max: 800 },
    plausible: [150, 420],
  }),
  'duty.gearRatio': spec({
    label: 'Ratio, clutch to wheel, in first',
    symbol: 'i_1',
    quantity: 'ratio',
    bounds: { above: 0, max: 60 },
    hint: 'First gear × final drive, without the primary.',
  }),
  'duty.startRpm': spec({
    label: 'Engine speed at the start',
    symbol: 'n_0',
    quantity: 'speed',
    bounds: { above: 0, max: 20000 },
    plausible: [1500, 12000],
  }),
  'duty.engineInertia': spec({
    label: 'Inertia of the engine, at the crank',
    symbol: 'J_e',
    quantity: 'inertia',
    bounds: { above: 0, max: 5 },
    estimate: {
      value: 0.02,
      why: 'typical for a crankshaft with its rotor; the engine’s own value comes first',
    },
  }),
  'duty.throttle': spec({
    label: 'Share of peak torque used',
    symbol: 'x_T',
    quantity: 'share',
    bounds: { above: 0, max: 1 },
    estimate: { value: 0.6, why: 'a brisk start; a race start is 100 %' },
  }),
  'duty.letOut': spec({
    label: 'Lever released in',
    symbol: 't_0',
    quantity: 'time',
    bounds: { min: 0, max: 20 },
    estimate: { value: 0.8, why: 'a typical hand' },
  }),
  'duty.grade': spec({
    label: 'Grade',
    symbol: 'p',
    quantity: 'share',
    bounds: { min: 0, max: 1 },
    absent: { value: 0, why: 'level ground' },
  }),
} as const satisfies Record<string, FieldSpec>;
