import type { FieldSpec } from './spec';
import { spec } from './spec';

/** From the lever to the pressure plate. */
export const RELEASE_FIELDS = {
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
