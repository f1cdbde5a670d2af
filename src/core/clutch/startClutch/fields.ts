import type { FieldSpec } from '../../job/specs/spec';
import { friction, radius, spec } from '../../job/specs/spec';

/** The shoes of a start clutch, their springs and their drum. */
export const START_FIELDS = {
  'startClutch.shoes': spec({
    label: 'Shoes',
    symbol: 'n',
    quantity: 'count',
    bounds: { min: 1, max: 24, integer: true },
  }),
  'startClutch.mass': spec({
    label: 'Mass of one shoe',
    symbol: 'm',
    quantity: 'mass',
    unit: 'g',
    bounds: { above: 0, max: 5 },
    plausible: [0.01, 0.8],
  }),
  'startClutch.radius': spec({
    label: 'Radius of a shoe’s centre of mass',
    symbol: 'r',
    ...radius,
  }),
  'startClutch.springPull': spec({
    label: 'Spring pull on one shoe',
    symbol: 'F_s',
    quantity: 'force',
    bounds: { min: 0, max: 5000 },
    hint: 'Hung from a scale: the pull at which a shoe starts to move.',
  }),
  'startClutch.drumRadius': spec({
    label: 'Drum inner radius',
    across: 'Drum inner diameter',
    symbol: 'R',
    ...radius,
  }),
  'startClutch.friction': spec({
    label: 'Friction of the shoes',
    symbol: 'μ',
    ...friction,
    estimate: { value: 0.12, why: 'shoe lining in oil' },
  }),
  'startClutch.wear': spec({
    label: 'Lining wear of each shoe',
    symbol: 'w',
    quantity: 'length',
    bounds: { min: 0, max: 10 },
    plausible: [0, 4],
    absent: { value: 0, why: 'as new' },
  }),
  'startClutch.springRate': spec({
    label: 'Rate of a shoe’s spring',
    symbol: 'k_s',
    quantity: 'rate',
    bounds: { min: 0, max: 1000 },
    absent: { value: 0, why: 'pull assumed constant over travel' },
  }),
  'startClutch.massLost': spec({
    label: 'Mass lost by each shoe',
    symbol: 'Δm',
    quantity: 'mass',
    unit: 'g',
    bounds: { min: 0, max: 2 },
    plausible: [0, 0.1],
    absent: { value: 0, why: 'as new' },
  }),
  'startClutch.shoeLining': spec({
    label: 'Shoe lining, thinnest',
    symbol: 't_s',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0.3, 8],
  }),
  'startClutch.shoeLiningMin': spec({
    label: 'Shoe lining, minimum',
    symbol: 't_s,min',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0.3, 8],
  }),
  'startClutch.drumBore': spec({
    label: 'Drum, measured inner radius',
    across: 'Drum bore, measured',
    symbol: 'R_m',
    ...radius,
  }),
  'startClutch.drumBoreMax': spec({
    label: 'Drum, maximum inner radius',
    across: 'Drum bore, maximum',
    symbol: 'R_max',
    ...radius,
  }),
} as const satisfies Record<string, FieldSpec>;
