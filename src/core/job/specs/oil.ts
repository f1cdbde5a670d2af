import type { FieldSpec } from './spec';
import { spec } from './spec';

/** The oil, and what its drag is judged by. */
export const OIL_FIELDS = {
  'oil.viscosity40': spec({
    label: 'Viscosity at 40 °C',
    symbol: 'ν_40',
    quantity: 'viscosity',
    bounds: { above: 1, max: 10_000 },
    plausible: [20, 400],
    hint: 'From the oil’s data sheet.',
  }),
  'oil.viscosity100': spec({
    label: 'Viscosity at 100 °C',
    symbol: 'ν_100',
    quantity: 'viscosity',
    bounds: { above: 1, max: 1000 },
    plausible: [4, 30],
    hint: 'From the oil’s data sheet.',
  }),
  'oil.density': spec({
    label: 'Oil density',
    symbol: 'ρ',
    quantity: 'density',
    bounds: { min: 500, max: 1500 },
    plausible: [780, 950],
    estimate: { value: 860, why: 'engine oil' },
  }),
  'oil.fill': spec({
    label: 'Share of the face in oil',
    symbol: 'ψ',
    quantity: 'share',
    bounds: { above: 0, max: 1 },
    estimate: { value: 0.25, why: 'run off; 100 % just after a long stand' },
  }),
  'oil.coldest': spec({
    label: 'Coldest oil to start with',
    symbol: 'ϑ',
    quantity: 'temperature',
    bounds: { min: -40, max: 120 },
    estimate: { value: 10, why: 'a cool morning' },
  }),
  'oil.dragMax': spec({
    label: 'Maximum drag at the hub',
    symbol: 'T_max',
    quantity: 'torque',
    bounds: { above: 0, max: 100 },
    estimate: { value: 2, why: 'more clunks into first and hides neutral' },
  }),
  'slips.*.torque': spec({
    label: 'Engine torque at the slip',
    symbol: 'T_s',
    quantity: 'torque',
    bounds: { above: 0, max: 500 },
    hint: 'If empty: from gear and grade.',
  }),
  'slips.*.rpm': spec({
    label: 'Engine speed at the slip',
    symbol: 'n_s',
    quantity: 'speed',
    bounds: { above: 0, max: 25_000 },
  }),
  'slips.*.gearRatio': spec({
    label: 'Ratio, clutch to wheel',
    symbol: 'i_g',
    quantity: 'ratio',
    bounds: { above: 0, max: 60 },
    hint: 'Gear × final drive.',
  }),
  'slips.*.grade': spec({
    label: 'Grade climbed steadily',
    symbol: 'p',
    quantity: 'share',
    bounds: { min: 0, max: 1 },
  }),
} as const satisfies Record<string, FieldSpec>;
