import type { Family, GlossaryTerm } from '../../words/term';

export const EXPANDING_FAMILIES: readonly Family[] = [
  {
    name: 'Auto-clutch with an expanding disc',
    how: 'A disc with weights that expands with engine speed and closes an install gap: the pack engages by itself, against its own springs.',
    tell: 'Idles in gear with the lever out; when the throttle is blipped the lever moves in.',
    mind: 'All depends on the gap. Too small and it creeps, too large and it never locks; the gap grows as the discs wear.',
    drawing: 'expanding',
  },
];

export const EXPANDING_TERMS = {
  expanding: {
    name: 'Expanding disc',
    also: ['auto-clutch'],
    text: 'Replaces the outermost disc. Its weights move out with engine speed and it expands: the clutch engages by itself as the gap closes, and the rest of the growth moves the lever in.',
    drawing: 'expanding',
    see: ['installGap', 'leverGain', 'firstContact'],
  },
  installGap: {
    name: 'Install gap',
    also: ['gap'],
    text: 'The gap that an expanding disc closes before contact. Too small and the machine creeps at idle; too large and the clutch never locks. Set in turns and marks from the first firm contact.',
    drawing: 'gap',
    see: ['expanding', 'marks', 'leverGain'],
  },
  marks: {
    name: 'Turns and marks',
    text: 'The way an adjuster is counted. The start is only right with a slack cable, so that the plate rises off the nut and not off the bearing.',
    drawing: 'gap',
    see: ['installGap'],
  },
  leverGain: {
    name: 'Lever gain',
    text: 'The lever movement when the throttle is blipped, warm and in neutral: the train’s ratio times the disc growth beyond the gap.',
    drawing: 'train',
    see: ['installGap', 'ratio'],
  },
  firstContact: {
    name: 'First contact',
    text: 'The engine speed of first contact in a centrifugal clutch. It must be above idle by a margin, or the machine creeps.',
    drawing: 'shoes',
    see: ['expanding', 'startClutch', 'lockUp'],
  },
  lockUp: {
    name: 'Lock-up',
    text: 'Basket and hub have reached the same speed. Until then the clutch slips and makes heat.',
    drawing: 'slip',
    see: ['slip', 'heat'],
  },
} as const satisfies Record<string, GlossaryTerm>;
