import type { Family, GlossaryTerm } from '../../words/term';

export const LOOSE_FAMILIES: readonly Family[] = [
  {
    name: 'Loose springs between two plates',
    how: 'Free coil springs stand on pins between the pressure plate and a second plate, which nuts draw to a stop.',
    tell: 'Two plates with springs between them and a ring of nuts; mostly on older machines with a separate primary.',
    mind: 'The gap left between the plates is the preload. A narrow hub may want a spacer pair to keep the last steel on its spline.',
    drawing: 'loose',
  },
];

export const LOOSE_TERMS = {
  loose: {
    name: 'Loose springs',
    text: 'Free springs on pins between two plates that nuts draw together. The gap that is left between the plates tells the preload.',
    drawing: 'loose',
    see: ['coil', 'preload'],
  },
} as const satisfies Record<string, GlossaryTerm>;
