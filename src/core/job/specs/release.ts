import type { FieldSpec } from './spec';
import { spec } from './spec';

const atLever = (label: string, symbol: string) =>
  spec({
    label,
    symbol,
    quantity: 'length',
    bounds: { min: 0, max: 200 },
    plausible: [0, 60],
    absent: { value: 0, why: 'none entered' },
  });

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
  'release.armStart': spec({
    label: 'Arm at rest, from square',
    symbol: 'φ_0',
    quantity: 'angle',
    bounds: { above: -85, below: 85 },
    hint: 'Below 0 while the arm still comes up to square to the cable. Empty: taken as square throughout.',
  }),
  'release.freePlay': atLever('Free play at the lever', 's_f'),
  'release.stretch': atLever('Stretch of cable or hose, at the lever', 's_e'),
  'release.pivotWear': atLever('Worn pivots, at the lever', 's_p'),
  'release.air': atLever('Air in the line, at the lever', 's_a'),
  'release.reducedEffort': spec({
    label: 'Reduced-effort part, ratio',
    symbol: 'q',
    quantity: 'ratio',
    bounds: { min: 0.2, max: 5 },
    absent: { value: 1, why: 'none fitted' },
    hint: '1.25 pulls a fifth lighter and lifts a fifth less.',
  }),
  'release.liftReadings.*.angle': spec({
    label: 'Angle round the plate',
    symbol: 'θ',
    quantity: 'angle',
    bounds: { min: -360, max: 720 },
  }),
  'release.liftReadings.*.lift': spec({
    label: 'Lift there',
    symbol: 'x_θ',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0, 6],
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
