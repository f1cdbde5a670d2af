import type { FieldSpec } from '../../job/specs/spec';
import { spec } from '../../job/specs/spec';

const gapRead = (place: string, symbol: string) =>
  spec({
    label: `Plate gap read, ${place} place`,
    symbol,
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    plausible: [0.5, 60],
  });

/** Loose springs between two plates tightened to a stop. */
export const LOOSE_FIELDS = {
  'springs.loose.span': spec({
    label: 'Span between the plate faces without the pack',
    symbol: 'S',
    quantity: 'length',
    bounds: { above: 0, max: 300 },
    plausible: [10, 140],
    hint: 'Face to face, all nuts fully tightened, springs and pack removed.',
  }),
  'springs.loose.gapFitted': spec({
    label: 'Plate gap, as measured',
    symbol: 'g_f',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    plausible: [0.5, 60],
    hint: 'With the pack in, nuts home; in place of the span.',
  }),
  'springs.loose.gapStack': spec({
    label: 'Stack at that gap',
    symbol: 'H_f',
    quantity: 'length',
    bounds: { above: 0, max: 200 },
    plausible: [8, 90],
  }),
  'springs.loose.pocketInner': spec({
    label: 'Pocket depth, inner plate',
    symbol: 'd_1',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    absent: { value: 0, why: 'no pocket entered' },
  }),
  'springs.loose.pocketOuter': spec({
    label: 'Pocket depth, outer plate',
    symbol: 'd_2',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    absent: { value: 0, why: 'no pocket entered' },
  }),
  'springs.loose.gapMin': spec({
    label: 'Minimum plate gap',
    symbol: 'g_min',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
    hint: 'Between the two plates, pack and springs fitted.',
  }),
  'springs.loose.gapMax': spec({
    label: 'Maximum plate gap',
    symbol: 'g_max',
    quantity: 'length',
    bounds: { min: 0, max: 100 },
  }),
  'springs.loose.gapRead1': gapRead('first', 'g_1'),
  'springs.loose.gapRead2': gapRead('second', 'g_2'),
  'springs.loose.gapRead3': gapRead('third', 'g_3'),
} as const satisfies Record<string, FieldSpec>;
