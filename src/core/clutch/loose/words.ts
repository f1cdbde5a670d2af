import type { Family, GlossaryTerm } from '../../words/term';

export const LOOSE_FAMILIES: readonly Family[] = [
  {
    name: 'Loose springs between two plates',
    how: 'Free coil springs on pins between the pressure plate and a second plate, tightened to a stop by nuts.',
    tell: 'Two plates with springs between them and a ring of nuts; mostly on older machines with a separate primary.',
    mind: 'The gap between the plates sets the preload. A narrow hub may need a spacer pair to keep the last steel on its spline.',
    drawing: 'loose',
  },
];

export const LOOSE_TERMS = {
  loose: {
    name: 'Loose springs',
    text: 'Free springs on pins between two plates that nuts pull together. The remaining gap shows the preload.',
    drawing: 'loose',
    see: ['coil', 'preload'],
  },
} as const satisfies Record<string, GlossaryTerm>;
