import type { Family, GlossaryTerm } from '../../words/term';

export const DIAPHRAGM_FAMILIES: readonly Family[] = [
  {
    name: 'Diaphragm under a retainer',
    how: 'One dished spring, held down by a ring that may have numbered steps, presses the plate at its outer edge.',
    tell: 'A single spring with fingers or slots, and a wire ring or a bolted ring over it.',
    mind: 'Past its peak the next step is lighter and clamps less, until wear restores it. A flattened cone clamps less at every step.',
    drawing: 'diaphragm',
  },
];

export const DIAPHRAGM_TERMS = {
  diaphragm: {
    name: 'Diaphragm',
    also: ['diaphragm spring', 'disc spring'],
    text: 'One dished spring held down by a retainer. Its force rises to a peak, falls, and rises again, so in its working range wear changes the clamp little.',
    drawing: 'diaphragm',
    see: ['peak', 'step', 'cone'],
  },
  peak: {
    name: 'Peak of a diaphragm',
    also: ['past the peak', 'past its peak'],
    text: 'The deflection of highest force. Past it more preload means less clamp and a lighter lever, until wear restores the clamp. This is the most misunderstood fact of the trade.',
    drawing: 'diaphragmCurve',
    see: ['diaphragm', 'step', 'preload'],
  },
  step: {
    name: 'Step of the retainer',
    also: ['retainer step', 'step', 'retainer'],
    text: 'The ring over a diaphragm may have numbered steps, each with another preload. The stack height selects the step.',
    drawing: 'diaphragm',
    see: ['peak', 'window'],
  },
  cone: {
    name: 'Cone height',
    text: 'Free height of a diaphragm. A flattened one clamps less, at every step.',
    drawing: 'diaphragm',
    see: ['diaphragm'],
  },
} as const satisfies Record<string, GlossaryTerm>;
