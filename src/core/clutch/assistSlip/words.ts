import type { Family, GlossaryTerm } from '../../words/term';

export const RAMP_FAMILIES: readonly Family[] = [
  {
    name: 'Assist-and-slip hub',
    how: 'The hub is in two halves on ramps. Drive torque draws them together and adds clamp; overrun parts them and takes clamp away. Light springs are enough.',
    tell: 'A light lever on a strong engine; a hub that turns a little against its own centre, with ramps between the halves.',
    mind: 'The springs alone hold too little by design. Marks of both halves, and the order of washers and springs between them, decide whether the ramps work.',
    drawing: 'ramps',
  },
];

export const RAMP_TERMS = {
  ramps: {
    name: 'Ramps',
    also: ['assist-and-slip', 'assist and slip', 'slipper'],
    text: 'Slopes between the two halves of a hub. The lead angle is measured from the plane in which the hub turns: a flatter ramp adds more clamp, until it locks by itself.',
    drawing: 'ramps',
    see: ['clamp', 'overrun'],
  },
  overrun: {
    name: 'Overrun',
    also: ['engine braking'],
    text: 'The wheel drives the engine: throttle shut, or a gear lower. Ramps part the hub’s halves then, the clutch slips early, and the rear wheel keeps its grip.',
    see: ['ramps'],
  },
} as const satisfies Record<string, GlossaryTerm>;
