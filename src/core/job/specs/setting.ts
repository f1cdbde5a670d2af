import type { FieldSpec } from './spec';
import { spec } from './spec';

const gap = { quantity: 'length', bounds: { above: 0, max: 10 }, plausible: [0.1, 4] } as const;

/** The expanding disc, its install gap, and the adjuster that sets it. */
export const SETTING_FIELDS = {
  'setting.installGap': spec({ label: 'Install gap, as set', symbol: 'g', ...gap }),
  'setting.gapMin': spec({
    label: 'Install gap, minimum',
    symbol: 'g_min',
    hint: 'From the disc’s own sheet.',
    ...gap,
  }),
  'setting.gapMax': spec({ label: 'Install gap, maximum', symbol: 'g_max', ...gap }),
  'setting.pitch': spec({
    label: 'Adjuster pitch',
    symbol: 'P',
    quantity: 'length',
    bounds: { above: 0, max: 10 },
    plausible: [0.4, 4],
    thread: true,
    hint: 'Travel per turn, or threads per inch as 20 tpi.',
  }),
  'setting.marksPerTurn': spec({
    label: 'Marks per turn',
    symbol: 'n_m',
    quantity: 'count',
    bounds: { min: 1, max: 360, integer: true },
    absent: { value: 1, why: 'only whole turns can be set' },
    hint: 'Marks, notches or flats in one turn of the adjuster.',
  }),
  'setting.linkage': spec({
    label: 'Linkage ratio',
    symbol: 'i_a',
    quantity: 'ratio',
    bounds: { above: 0, max: 20 },
    absent: { value: 1, why: 'the screw acts directly' },
    hint: 'Change of gap ÷ travel of the screw.',
  }),
  'setting.turnsGiven': spec({
    label: 'Turns out, given',
    symbol: 'u_g',
    quantity: 'ratio',
    bounds: { min: 0, max: 20 },
    turns: true,
    hint: 'From first contact, by the leaflet: 1 turn 4 marks.',
  }),
  'setting.targetGain': spec({
    label: 'Lever gain, target',
    symbol: 'y*',
    quantity: 'length',
    bounds: { above: 0, max: 60 },
    plausible: [1, 40],
    hint: 'From the disc’s own sheet: lever movement when warm and blipped.',
  }),
  'setting.readings.*.turns': spec({
    label: 'Adjuster, turns',
    symbol: 'u',
    quantity: 'ratio',
    turns: true,
    bounds: { min: -100, max: 100 },
    hint: 'Turns out from any fixed point; out opens the gap.',
  }),
  'setting.readings.*.gain': spec({
    label: 'Lever gain, reading',
    symbol: 'y',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    hint: '0 if the lever did not move.',
  }),
} as const satisfies Record<string, FieldSpec>;
