import type { Family, GlossaryTerm } from '../../words/term';

export const EXPANDING_FAMILIES: readonly Family[] = [
  {
    name: 'Auto-clutch with an expanding disc',
    how: 'A disc with weights in it grows with rpm and closes an install gap: the pack takes up by itself, against its own springs.',
    tell: 'In gear at idle it stands still with the lever out; at a blip the lever moves in.',
    mind: 'All depends on the gap. Too small it creeps, too large it never locks; it grows as the linings wear.',
    drawing: 'expanding',
  },
];

export const EXPANDING_TERMS = {
  expanding: {
    name: 'Expanding disc',
    also: ['auto-clutch'],
    text: 'It takes the place of the outermost disc. Its weights move out with rpm and it grows in thickness: the clutch takes up by itself as the gap closes, and the lever moves in by what is left.',
    drawing: 'expanding',
    see: ['installGap', 'leverGain', 'firstContact'],
  },
  installGap: {
    name: 'Install gap',
    also: ['gap'],
    text: 'The room that an expanding disc closes before it touches. Too small, and it creeps at idle; too large, and it never locks. It is counted in turns and marks from the first firm contact.',
    drawing: 'gap',
    see: ['expanding', 'marks', 'leverGain'],
  },
  marks: {
    name: 'Turns and marks',
    text: 'How an adjuster is counted. The start is only right with slack in the cable, so that the plate rises off the nut and not off the bearing.',
    drawing: 'gap',
    see: ['installGap'],
  },
  leverGain: {
    name: 'Lever gain',
    text: 'How far the lever moves in at a blip of the throttle, warm and in neutral: by the ratio of the train times what the disc has grown beyond its gap.',
    drawing: 'train',
    see: ['installGap', 'ratio'],
  },
  firstContact: {
    name: 'First contact',
    text: 'The engine speed at which a centrifugal clutch first touches. It must stand above idle by a margin, or the machine creeps.',
    drawing: 'shoes',
    see: ['expanding', 'startClutch', 'lockUp'],
  },
  lockUp: {
    name: 'Lock-up',
    text: 'Basket and hub have come to one speed. Until then the clutch slips and makes heat.',
    drawing: 'slip',
    see: ['slip', 'heat'],
  },
} as const satisfies Record<string, GlossaryTerm>;
