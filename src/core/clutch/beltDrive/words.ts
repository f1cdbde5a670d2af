import type { Family } from '../../words/term';

export const BELT_FAMILIES: readonly Family[] = [
  {
    name: 'Belt drive',
    how: 'Two sheaves and a belt replace gearbox and clutch; some have a start clutch before them.',
    tell: 'No gears to shift; a wide cover with an air duct.',
    mind: 'There is no pack to build. If the machine creeps, check belt, sheaves or start clutch.',
    drawing: 'belt',
  },
];
