import type { Family, GlossaryTerm } from '../../words/term';

export const COIL_FAMILIES: readonly Family[] = [
  {
    name: 'Coil springs under bolts',
    how: 'Four to eight springs press the plate from cups, each drawn down by its own bolt to a stop.',
    tell: 'A ring of bolts on the pressure plate, a spring under each.',
    mind: 'Stiffer springs or a shim clamp more and pull heavier. Each millimetre of wear gives clamp back. Two kinds must alternate evenly.',
    drawing: 'coil',
  },
];

export const COIL_TERMS = {
  coil: {
    name: 'Coil spring',
    text: 'Springs under bolts round the pressure plate. Their force grows with every millimetre; as the pack wears, each millimetre is given back.',
    drawing: 'coil',
    see: ['rate', 'bind', 'freeLength', 'ring'],
  },
  rate: {
    name: 'Rate',
    also: ['spring rate'],
    text: 'What a spring gains for each millimetre that it is pressed, from a tester or from its wire.',
    drawing: 'coil',
    see: ['coil', 'preload'],
  },
  freeLength: {
    name: 'Free length',
    text: 'The length of a spring that nothing presses. Below its least it has set, and clamps less.',
    drawing: 'coil',
    see: ['coil', 'clamp'],
  },
  bind: {
    name: 'Coil bind',
    text: 'The coils touch: the spring is solid, the plate lifts no further, and something gives. A margin must be left at full lift.',
    drawing: 'coil',
    see: ['lift', 'coil'],
  },
  ring: {
    name: 'Resultant',
    text: 'Where all springs together press. Two kinds fitted unevenly press off centre, and the plate lifts on one side.',
    drawing: 'star',
    see: ['tilt', 'coil'],
  },
} as const satisfies Record<string, GlossaryTerm>;
