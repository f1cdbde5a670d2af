import type { Mm } from '@/core/units/quantity';

import type { Measures, Subject } from './measures';
import type { Pen } from './shape';

/** Where the shaft is drawn broken off, and how far the foot of the rod reaches. */
export const FOOT: Mm = -28;
const BREAK: Mm = -15.5;

/** Rod, lifter and bearing under the pressure plate, and what pushes the rod: slave cylinder, or arm and screw. */
export function drawRelease(
  pen: Pen,
  { job: { release } }: Subject,
  m: Measures,
  { plate, room }: { readonly plate: number; readonly room: Mm },
): void {
  const { k } = m;
  const web = m.stack + m.plate - 3;
  const rides = { rides: plate };
  pen.box('bearing', [13 * k, 5 * k], [web - 5, web], rides);
  for (const radius of [7.2 * k, 10.8 * k]) pen.round('slot', [radius, web - 2.5], 1.4, rides);
  pen.box('rod', [8 * k, 0], [web - 7, web - 5], rides);
  pen.box('rod', [m.rod, 0], [FOOT + 9, web - 7], rides);
  if (release.undecided || release.type === 'measured') {
    pen.box('rod', [m.rod, 0], [FOOT + 4, FOOT + 9], { faint: true, ...rides });
    return;
  }
  if (release.type === 'hydraulic') {
    const piston = (release.slaveDiameter?.value ?? 28 * k) / 2;
    const faint = release.slaveDiameter === undefined;
    pen.box('hub', [piston + 3, piston], [FOOT, FOOT + 11 + room], { faint });
    pen.box('hub', [piston + 3, 0], [FOOT - 2, FOOT], { faint });
    pen.box('rod', [piston, 0], [FOOT + 4, FOOT + 9], { faint, ...rides });
    return;
  }
  const arm = Math.min(m.fingerOut, release.armLength?.value ?? 32 * k);
  const faint = release.armLength === undefined;
  // The screw comes out of its nut as the arm turns it.
  pen.box('bolt', [7 * k, 0], [FOOT + 3, FOOT + 9], { faint, ...rides });
  pen.line(
    'groove',
    [0, 1, 2, 3, 4].map((i) => [i % 2 === 0 ? 7 * k : 0, FOOT + 3 + i * 1.5] as const),
    { faint, ...rides },
  );
  pen.box('hub', [10 * k, 7 * k], [FOOT + 3, FOOT + 8], { faint });
  pen.box('rod', [arm + 2, 0], [FOOT, FOOT + 3], { faint });
  pen.round('slot', [arm, FOOT + 1.5], 1.2, { faint });
}

/** The shaft is longer than drawn: a break across it. */
export function drawBreak(pen: Pen, m: Measures): void {
  pen.area('slot', [
    [m.shaft + 1, BREAK],
    [m.shaft / 2, BREAK + 1.6],
    [m.rod + m.k, BREAK],
    [m.rod + m.k, BREAK - 1.5],
    [m.shaft / 2, BREAK + 0.1],
    [m.shaft + 1, BREAK - 1.5],
  ]);
}
