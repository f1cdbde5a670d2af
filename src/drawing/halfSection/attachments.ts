import type { Mm } from '@/core/units/quantity';

import type { Measures, Subject } from './measures';
import type { Pen } from './shape';

/* What kinds of clutch add to the pack, or put before it. */

/** Weights that press on the plate as they turn: levers on pivots, or balls on a ramp. Gives how far up they reach. */
export function drawAssist(pen: Pen, { job: { assist } }: Subject, m: Measures, plate: number): Mm {
  if (assist.type === 'none') return 0;
  const radius = assist.radius?.value ?? m.liningIn - 4;
  const faint = assist.radius === undefined;
  const top = m.stack + m.plate;
  const making = { rides: plate, faint };
  if (assist.type === 'balls') {
    pen.round('weight', [radius, top + 4], 4, making);
    pen.line(
      'rod',
      [
        [radius - 6, top + 7],
        [radius + 8, top + 9.5],
      ],
      { faint },
    );
    return top + 10;
  }
  pen.area(
    'weight',
    [
      [radius + 4, top + 3],
      [radius + 4, top + 10],
      [radius - 3, top + 10],
      [radius - 3, top + 3],
    ],
    making,
  );
  pen.area(
    'rod',
    [
      [radius - 3, top + 3],
      [radius - 3, top + 5],
      [radius - 10, top + 5],
      [radius - 10, top],
      [radius - 8, top],
      [radius - 8, top + 3],
    ],
    making,
  );
  return top + 10;
}

/** Width of a shoe along its shaft, and play to the drum, while nobody measured them. */
const SHOE: Mm = 22;
const PLAY: Mm = 1;
/** A drum is drawn no smaller: its shoes must fit around the shaft. */
const LEAST_DRUM: Mm = 24;
const LINING: Mm = 3;

/**
 * A start clutch as its own half-section: shoes with lining, and the drum around them.
 * @param foot the height under which it is drawn
 */
export function drawStartClutch(
  pen: Pen,
  { job: { startClutch } }: Subject,
  foot: Mm,
  faintRadius: Mm,
): Mm {
  const entered = (startClutch.drumBore ?? startClutch.drumRadius)?.value;
  const bore = Math.max(LEAST_DRUM, entered ?? faintRadius);
  const faint = entered === undefined;
  const lining = Math.min(bore * 0.3, startClutch.shoeLining?.value ?? LINING);
  const top = foot - 5;
  const low = top - SHOE;
  pen.box('basket', [bore + 5, bore], [low - 4, top], { faint });
  pen.box('basket', [bore, 14], [low - 4, low - 1], { faint });
  const out = bore - PLAY;
  const moving = { slides: PLAY, faint };
  pen.box('lining', [out, out - lining], [low + 2, top - 1], moving);
  pen.box('weight', [out - lining, out - lining - 9], [low + 2, top - 1], moving);
  pen.box('hub', [out - lining - 12, 10], [low + 6, low + 10], { faint: true });
  pen.box('shaft', [10, 0], [low - 4, top + 2]);
  return low - 4;
}
