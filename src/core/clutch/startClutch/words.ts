import type { Family, GlossaryTerm } from '../../words/term';

export const START_FAMILIES: readonly Family[] = [
  {
    name: 'Start clutch with a change pack',
    how: 'Shoes swing out into a drum and take the machine off; a small pack behind it opens only for the change of gear.',
    tell: 'No clutch lever, single gears by a pedal; a second round housing on the crank.',
    mind: 'Creep at idle comes from the shoes and their springs, not from the pack.',
    drawing: 'shoes',
  },
];

export const START_TERMS = {
  startClutch: {
    name: 'Start clutch',
    text: 'Shoes that swing out into a drum. On many quads it takes the machine off, and the pack behind it only serves the change of gear.',
    drawing: 'shoes',
    see: ['firstContact', 'pack'],
  },
} as const satisfies Record<string, GlossaryTerm>;
