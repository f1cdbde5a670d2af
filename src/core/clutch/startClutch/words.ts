import type { Family, GlossaryTerm } from '../../words/term';

export const START_FAMILIES: readonly Family[] = [
  {
    name: 'Start clutch with a change pack',
    how: 'Shoes swing out into a drum to move the machine off; a small pack behind them opens only for gear changes.',
    tell: 'No clutch lever, single gears by a pedal; a second round housing on the crankshaft.',
    mind: 'Creep at idle comes from the shoes and their springs, not from the pack.',
    drawing: 'shoes',
  },
];

export const START_TERMS = {
  startClutch: {
    name: 'Start clutch',
    text: 'Shoes that swing out into a drum. On many quads they move the machine off, and the pack behind them only serves gear changes.',
    drawing: 'shoes',
    see: ['firstContact', 'pack'],
  },
} as const satisfies Record<string, GlossaryTerm>;
