import type { FieldSpec } from './spec';
import { spec } from './spec';

/** Data of the engine. */
export const ENGINE_FIELDS = {
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
    hint: 'Basket teeth ÷ crank teeth. 1 when the clutch is on the crankshaft.',
  }),
  'engine.primaryEfficiency': spec({
    label: 'Primary efficiency',
    symbol: 'η_p',
    quantity: 'ratio',
    bounds: { above: 0, max: 1 },
    estimate: { value: 1, why: 'lossless: the clutch must hold all of it' },
  }),
} as const satisfies Record<string, FieldSpec>;
