import type { DrawingId } from './glossary';

/** A family of clutch or of what presses it: how it works and how one knows it. */
export interface Family {
  readonly name: string;
  readonly how: string;
  readonly tell: string;
  readonly mind: string;
  readonly drawing: DrawingId;
}

export const FAMILIES: readonly Family[] = [
  {
    name: 'Coil springs under bolts',
    how: 'Four to eight springs press the plate from cups, each drawn down by its own bolt to a stop.',
    tell: 'A ring of bolts on the pressure plate, a spring under each.',
    mind: 'Stiffer springs or a shim clamp more and pull heavier. Each millimetre of wear gives clamp back. Two kinds must alternate evenly.',
    drawing: 'coil',
  },
  {
    name: 'Diaphragm under a retainer',
    how: 'One dished spring, held down by a ring that may have numbered steps, presses the plate at its outer edge.',
    tell: 'A single spring with fingers or slots, and a wire ring or a bolted ring over it.',
    mind: 'Past its peak the next step is lighter and clamps less, until wear brings it back. A cone that has gone flat clamps less at every step.',
    drawing: 'diaphragm',
  },
  {
    name: 'Loose springs between two plates',
    how: 'Free coil springs stand on pins between the pressure plate and a second plate, which nuts draw to a stop.',
    tell: 'Two plates with springs between them and a ring of nuts; mostly on older machines with a separate primary.',
    mind: 'The gap left between the plates is the preload. A narrow hub may want a spacer pair to keep the last steel on its spline.',
    drawing: 'loose',
  },
  {
    name: 'Auto-clutch with an expanding disc',
    how: 'A disc with weights in it grows with rpm and closes an install gap: the pack takes up by itself, against its own springs.',
    tell: 'In gear at idle it stands still with the lever out; at a blip the lever moves in.',
    mind: 'All depends on the gap. Too small it creeps, too large it never locks; it grows as the linings wear.',
    drawing: 'expanding',
  },
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
  {
    name: 'Start clutch with a change pack',
    how: 'Shoes swing out into a drum and take the machine off; a small pack behind it opens only for the change of gear.',
    tell: 'No clutch lever, single gears by a pedal; a second round housing on the crank.',
    mind: 'Creep at idle comes from the shoes and their springs, not from the pack.',
    drawing: 'shoes',
  },
  {
    name: 'Belt drive',
    how: 'Two sheaves and a belt do the work of gearbox and clutch; some have a start clutch before them.',
    tell: 'No gears to shift, a wide cover with an air duct.',
    mind: 'There is no pack to build. Where it creeps, look at belt, sheaves or start clutch.',
    drawing: 'belt',
  },
];
