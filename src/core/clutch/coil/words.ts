import type { Family, GlossaryTerm } from '../../words/term';

export const COIL_FAMILIES: readonly Family[] = [
  {
    name: 'Coil springs under bolts',
    how: 'Four to eight springs in cups press the plate, each compressed to a stop by its own bolt.',
    tell: 'A ring of bolts on the pressure plate, a spring under each.',
    mind: 'Stiffer springs or a shim give more clamp and a heavier lever. Wear reduces clamp. Two kinds must alternate evenly.',
    drawing: 'coil',
  },
];

export const COIL_TERMS = {
  coil: {
    name: 'Coil spring',
    text: 'Springs under bolts round the pressure plate. Their force grows with every millimetre of compression, and falls as the pack wears.',
    drawing: 'coil',
    see: ['rate', 'bind', 'freeLength', 'ring'],
  },
  rate: {
    name: 'Rate',
    also: ['spring rate'],
    text: 'Force gained per millimetre of compression, from a tester or from the wire.',
    drawing: 'coil',
    see: ['coil', 'preload'],
  },
  freeLength: {
    name: 'Free length',
    text: 'Length of an unloaded spring. Below its minimum the spring has set, and clamp is low.',
    drawing: 'coil',
    see: ['coil', 'clamp'],
  },
  bind: {
    name: 'Coil bind',
    text: 'The coils touch: the spring is solid, the plate lifts no further, and a part breaks. Keep a margin at full lift.',
    drawing: 'coil',
    see: ['lift', 'coil'],
  },
  ring: {
    name: 'Resultant',
    text: 'The point where all springs act together. Two kinds fitted unevenly act off centre, and the plate lifts unevenly.',
    drawing: 'star',
    see: ['tilt', 'coil'],
  },
} as const satisfies Record<string, GlossaryTerm>;
