import type { FieldSpec } from './spec';
import { spec, thickness } from './spec';

const small = { quantity: 'length', bounds: { min: 0, max: 10 }, plausible: [0, 2] } as const;

/** Readings around the plates, and their limits from the machine's manual. */
export const INSPECTION_FIELDS = {
  'intake.hours': spec({
    label: 'Machine hours',
    symbol: 'h',
    quantity: 'hours',
    bounds: { min: 0, max: 1_000_000 },
  }),
  'intake.distance': spec({
    label: 'Distance run',
    symbol: 's',
    quantity: 'distance',
    bounds: { min: 0, max: 5_000_000 },
  }),
  'strip.parts.*.out': spec({
    label: 'Removed',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 0, max: 200, integer: true },
  }),
  'inspection.basketNotch': spec({ label: 'Notch depth, basket fingers', symbol: 'b', ...small }),
  'inspection.hubNotch': spec({ label: 'Notch depth, hub splines', symbol: 'b', ...small }),
  'inspection.notchLimit': spec({
    label: 'Notch limit',
    symbol: 'b_max',
    ...small,
    estimate: { value: 0.5, why: 'deeper notches catch plates; the manual’s value comes first' },
  }),
  'inspection.pressurePlateFlatness': spec({
    label: 'Pressure plate, out-of-flat',
    symbol: 'w_pp',
    ...small,
  }),
  'inspection.pressurePlateFlatnessLimit': spec({
    label: 'Pressure plate, flatness limit',
    symbol: 'w_pp,max',
    ...small,
    estimate: { value: 0.1, why: 'typical for a pressure plate; the manual’s value comes first' },
  }),
  'inspection.pressurePlateThickness': spec({
    label: 'Pressure plate, thickness',
    symbol: 't_pp',
    ...thickness,
    plausible: [2, 20],
  }),
  'inspection.pressurePlateMinThickness': spec({
    label: 'Pressure plate, minimum thickness',
    symbol: 't_pp,min',
    ...thickness,
    plausible: [2, 20],
  }),
  'inspection.seatSquareness': spec({
    label: 'Pushrod seat, out of square',
    symbol: 'q',
    ...small,
    hint: 'Against the friction face, over the seat.',
  }),
  'inspection.seatSquarenessLimit': spec({
    label: 'Pushrod seat, limit',
    symbol: 'q_max',
    ...small,
    estimate: {
      value: 0.05,
      why: 'more makes the plate lift unevenly; the manual’s value comes first',
    },
  }),
  'inspection.damperPlay': spec({
    label: 'Damper play, hub inner to outer',
    symbol: 'z',
    quantity: 'angle',
    bounds: { min: 0, max: 90 },
    plausible: [0, 20],
  }),
  'inspection.damperPlayLimit': spec({
    label: 'Damper play, limit',
    symbol: 'z_max',
    quantity: 'angle',
    bounds: { min: 0, max: 90 },
    plausible: [0, 20],
  }),
  'inspection.steelWarpLimit': spec({
    label: 'Steels, out-of-flat limit',
    symbol: 'w_max',
    ...small,
    estimate: {
      value: 0.15,
      why: 'typical for steels of this size; the manual’s value comes first',
    },
  }),
  'inspection.taperLimit': spec({
    label: 'Discs, taper limit',
    symbol: 'Δt_max',
    ...small,
    hint: 'Difference between the thickest and thinnest point of a disc.',
    estimate: { value: 0.1, why: 'more makes the disc drag; the manual’s value comes first' },
  }),
  'inspection.tangClearanceMin': spec({
    label: 'Tang clearance, minimum',
    symbol: 'j_min',
    ...small,
  }),
  'inspection.tangClearanceMax': spec({
    label: 'Tang clearance, wear limit',
    symbol: 'j_max',
    ...small,
  }),
  'inspection.coneMin': spec({
    label: 'Diaphragm, minimum free height',
    symbol: 'h_min',
    quantity: 'length',
    bounds: { above: 0, max: 30 },
    plausible: [0.5, 15],
  }),
  'inspection.springLengths.*.length': spec({
    label: 'Free length, measured',
    symbol: 'L_0',
    quantity: 'length',
    bounds: { above: 0, max: 300 },
    plausible: [12, 120],
  }),
} as const satisfies Record<string, FieldSpec>;
