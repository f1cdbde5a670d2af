import type { Family, GlossaryTerm } from '../../words/term';

export const ASSIST_FAMILIES: readonly Family[] = [
  {
    name: 'Centrifugal assist: levers',
    how: 'Weighted levers on the cover of the pack swing out with rpm and press on the plate, on top of light springs.',
    tell: 'Small levers with weights round the pressure plate; a light lever at standstill that grows heavier with rpm.',
    mind: 'They press with the square of the basket’s speed, not the engine’s. At idle only the springs hold.',
    drawing: 'levers',
  },
  {
    name: 'Centrifugal assist: balls on a ramp',
    how: 'Balls run outward up a ramp as the basket turns, and spread the plates that hold them.',
    tell: 'A ring of balls in a dished plate.',
    mind: 'A flatter ramp presses more for the same balls. Count them: one lies in the oil.',
    drawing: 'balls',
  },
];

export const ASSIST_TERMS = {
  assist: {
    name: 'Centrifugal assist',
    text: 'Weighted levers, or balls on a ramp, that add clamp with rpm. Lighter springs can then be used, and the lever is light at standstill.',
    drawing: 'levers',
    see: ['clamp', 'primary'],
  },
} as const satisfies Record<string, GlossaryTerm>;
