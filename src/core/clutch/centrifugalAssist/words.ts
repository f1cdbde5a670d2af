import type { Family, GlossaryTerm } from '../../words/term';

export const ASSIST_FAMILIES: readonly Family[] = [
  {
    name: 'Centrifugal assist: levers',
    how: 'Weighted levers on the pack cover swing out with engine speed and press on the plate, in addition to light springs.',
    tell: 'Small levers with weights round the pressure plate; a light lever at standstill that grows heavier with engine speed.',
    mind: 'Their force grows with the square of the basket’s speed, not the engine’s. At idle only the springs clamp.',
    drawing: 'levers',
  },
  {
    name: 'Centrifugal assist: balls on a ramp',
    how: 'Balls run outward up a ramp as the basket turns, and spread the plates around them.',
    tell: 'A ring of balls in a dished plate.',
    mind: 'A flatter ramp gives more force with the same balls. Count them: one is easily lost in the oil.',
    drawing: 'balls',
  },
];

export const ASSIST_TERMS = {
  assist: {
    name: 'Centrifugal assist',
    text: 'Weighted levers, or balls on a ramp, that add clamp with engine speed. Lighter springs can be used, and the lever is light at standstill.',
    drawing: 'levers',
    see: ['clamp', 'primary'],
  },
} as const satisfies Record<string, GlossaryTerm>;
