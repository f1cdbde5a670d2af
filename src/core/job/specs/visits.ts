import type { FieldSpec } from './spec';
import { spec } from './spec';

/** Readings of a service visit. */
export const VISIT_FIELDS = {
  'visits.*.hours': spec({
    label: 'Machine hours',
    symbol: 'h',
    quantity: 'hours',
    bounds: { min: 0, max: 100_000 },
  }),
  'visits.*.distance': spec({
    label: 'Distance run',
    symbol: 's',
    quantity: 'distance',
    bounds: { min: 0, max: 5_000_000 },
  }),
  'visits.*.readings.*': spec({
    label: 'Thickness, least',
    symbol: 't',
    quantity: 'length',
    bounds: { above: 0, max: 20 },
    plausible: [0.5, 8],
  }),
  'visits.*.freePlay': spec({
    label: 'Free play as found',
    symbol: 's',
    quantity: 'length',
    bounds: { min: 0, max: 60 },
    plausible: [0, 30],
  }),
  'visits.*.lift': spec({
    label: 'Lift as found',
    symbol: 'x',
    quantity: 'length',
    bounds: { min: 0, max: 20 },
    plausible: [0.2, 6],
  }),
} as const satisfies Record<string, FieldSpec>;
