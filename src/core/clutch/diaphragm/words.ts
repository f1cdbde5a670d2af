import type { Family, GlossaryTerm } from '../../words/term';

export const DIAPHRAGM_FAMILIES: readonly Family[] = [
  {
    name: 'Diaphragm under a retainer',
    how: 'One dished spring, held down by a ring that may have numbered steps, presses the plate at its outer edge.',
    tell: 'A single spring with fingers or slots, and a wire ring or a bolted ring over it.',
    mind: 'Past its peak the next step is lighter and clamps less, until wear brings it back. A cone that has gone flat clamps less at every step.',
    drawing: 'diaphragm',
  },
];

export const DIAPHRAGM_TERMS = {
  diaphragm: {
    name: 'Diaphragm',
    also: ['diaphragm spring', 'disc spring'],
    text: 'One dished spring held down by a retainer. Its force rises to a peak, falls, and rises again: it works where a little wear changes little.',
    drawing: 'diaphragm',
    see: ['peak', 'step', 'cone'],
  },
  peak: {
    name: 'Peak of a diaphragm',
    also: ['past the peak', 'past its peak'],
    text: 'Where a diaphragm presses hardest. Past it more preload means less clamp and a lighter lever, until wear brings it back. Nothing in the trade is misunderstood more often.',
    drawing: 'diaphragmCurve',
    see: ['diaphragm', 'step', 'preload'],
  },
  step: {
    name: 'Step of the retainer',
    also: ['retainer step', 'step', 'retainer'],
    text: 'The ring that holds a diaphragm down may have numbered steps, each for another preload. The height of the stack chooses the step.',
    drawing: 'diaphragm',
    see: ['peak', 'window'],
  },
  cone: {
    name: 'Cone height',
    text: 'The free height of a diaphragm. One that has gone flat clamps less, whatever the step.',
    drawing: 'diaphragm',
    see: ['diaphragm'],
  },
} as const satisfies Record<string, GlossaryTerm>;
