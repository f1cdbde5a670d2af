import type { FieldSpec } from './spec';
import { spec } from './spec';

const number = { quantity: 'count', bounds: { min: 0, max: 200, integer: true } } as const;
const minutes = { quantity: 'duration', bounds: { min: 0, max: 20_160 } } as const;
const play = { quantity: 'length', bounds: { min: 0, max: 60 }, plausible: [0, 30] } as const;
const bolt = { quantity: 'torque', bounds: { above: 0, max: 400 }, plausible: [2, 250] } as const;

/** What is recorded while a clutch is put together, set and proved. */
export const WORK_FIELDS = {
  'strip.parts.*.in': spec({ label: 'Counted in', symbol: 'n_in', ...number }),
  'build.soakPlan': spec({
    label: 'Soak planned',
    symbol: 't_s',
    ...minutes,
    estimate: { value: 480, why: '8 h or overnight, the longer of the two schools' },
    hint: 'As 8 h or 20 min.',
  }),
  'build.soakLeast': spec({
    label: 'Soak, the lining maker’s least',
    symbol: 't_s,min',
    ...minutes,
    estimate: { value: 20, why: 'the shorter school; the lining maker’s figure goes before it' },
  }),
  'build.headClearance': spec({
    label: 'Bolt heads to cover',
    symbol: 'c_h',
    quantity: 'length',
    bounds: { min: 0, max: 60 },
    plausible: [0, 20],
    hint: 'Least, measured with clay or by depth gauge; 0 when they touch.',
  }),
  'build.headClearanceMin': spec({
    label: 'Bolt heads to cover, least',
    symbol: 'c_h,min',
    quantity: 'length',
    bounds: { min: 0, max: 60 },
    plausible: [0, 20],
    estimate: { value: 1, why: 'room for the heads to lift with the plate and for a gasket' },
  }),
  'build.fasteners.*.count': spec({
    label: 'How many',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 60, integer: true },
  }),
  'build.fasteners.*.size': spec({
    label: 'Thread, outside diameter',
    symbol: 'd',
    quantity: 'length',
    bounds: { above: 0, max: 60 },
    plausible: [3, 40],
    hint: 'M6 is 6 mm; then an unusual torque is asked about.',
  }),
  'build.fasteners.*.torque': spec({ label: 'Torque by the manual', symbol: 'M', ...bolt }),
  'build.fasteners.*.applied': spec({ label: 'Torque as done', symbol: 'M_done', ...bolt }),
  'setting.turnsOut': spec({
    label: 'Turns out from the start',
    symbol: 'u',
    quantity: 'count',
    bounds: { min: 0, max: 60, integer: true },
  }),
  'setting.marksOut': spec({
    label: 'and marks',
    symbol: 'm',
    quantity: 'count',
    bounds: { min: 0, max: 360, integer: true },
    absent: { value: 0, why: 'whole turns only' },
  }),
  'setting.gapMeasured': spec({
    label: 'Gap by caliper',
    symbol: 'g_c',
    quantity: 'length',
    bounds: { min: 0, max: 10 },
    plausible: [0.1, 4],
    hint: 'Plate at firm contact less plate at rest.',
  }),
  'setting.goSize': spec({
    label: 'Largest gauge that goes in',
    symbol: 'g_go',
    quantity: 'length',
    bounds: { above: 0, max: 30 },
  }),
  'setting.noGoSize': spec({
    label: 'Smallest that does not',
    symbol: 'g_no',
    quantity: 'length',
    bounds: { above: 0, max: 30 },
  }),
  'setting.freePlayMin': spec({ label: 'Free play, least', symbol: 's_min', ...play }),
  'setting.freePlayMax': spec({ label: 'Free play, greatest', symbol: 's_max', ...play }),
  'setting.pushrodClearance': spec({
    label: 'Clearance at the pushrod screw',
    symbol: 'c_p',
    quantity: 'length',
    bounds: { min: 0, max: 10 },
    plausible: [0, 3],
    hint: 'Backed off from light touch.',
  }),
  'setting.pushrodPitch': spec({
    label: 'Pitch of the pushrod screw',
    symbol: 'P_p',
    thread: true,
    quantity: 'length',
    bounds: { above: 0, max: 10 },
    plausible: [0.4, 4],
  }),
  'setting.endFloatWanted': spec({
    label: 'End float wanted',
    symbol: 'f*',
    quantity: 'length',
    bounds: { min: 0, max: 5 },
    plausible: [0.02, 2],
    hint: 'Screw run in to touch, then backed off by this.',
  }),
  'setting.endFloatPitch': spec({
    label: 'Pitch of the end float screw',
    symbol: 'P_f',
    thread: true,
    quantity: 'length',
    bounds: { above: 0, max: 10 },
    plausible: [0.4, 4],
  }),
  'setting.endFloat': spec({
    label: 'End float measured',
    symbol: 'f',
    quantity: 'length',
    bounds: { min: 0, max: 5 },
    plausible: [0, 2],
  }),
  'setting.chainSlackMin': spec({ label: 'Primary chain slack, least', symbol: 'k_min', ...play }),
  'setting.chainSlackMax': spec({
    label: 'Primary chain slack, greatest',
    symbol: 'k_max',
    ...play,
  }),
  'setting.chainSlack': spec({
    label: 'Primary chain slack measured',
    symbol: 'k',
    ...play,
    hint: 'At the tightest spot, over a whole turn.',
  }),
  'prove.starts.*.wanted': spec({ label: 'Starts wanted', symbol: 'n*', ...number }),
  'prove.starts.*.done': spec({ label: 'Starts done', symbol: 'n', ...number }),
  'prove.recheckFreePlay': spec({ label: 'Free play after break-in', symbol: 's', ...play }),
  'prove.recheckLift': spec({
    label: 'Lift after break-in',
    symbol: 'x',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0.2, 6],
  }),
  'prove.recheckGain': spec({
    label: 'Lever gain after break-in',
    symbol: 'y',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
  }),
} as const satisfies Record<string, FieldSpec>;
