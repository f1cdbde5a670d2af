import { ATTACHMENTS, fittedKinds, SPRING_KINDS } from '../clutch/fitted';
import type { ClutchKind } from '../clutch/kind';
import type { Job } from '../job/types';
import type { ReleasedBy } from '../release/way';
import { releasedBy } from '../release/way';
import type { PartLine, StripLine, StripPlace } from './line';
import { line, part } from './line';

const RELEASE_LINES: Readonly<Record<ReleasedBy, readonly StripLine[]>> = {
  hydraulic: [
    line(
      'slave',
      'Remove the slave cylinder, or secure its piston',
      'Do not pull the lever while it is off: the piston comes out.',
    ),
  ],
  cable: [
    line('cable', 'Slacken the cable fully at both ends', 'Note the free play as found.'),
    line(
      'arm',
      'Mark the release arm to its shaft, then remove it',
      'One tooth off reduces lift or raises pull.',
    ),
  ],
  pedal: [
    line(
      'packAdjuster',
      'Write down the position of the pack adjuster, then back it off',
      'Turns from light contact: the setting the pedal works with.',
    ),
    line(
      'shiftLever',
      'Mark the release lever to the shift shaft before it comes off',
      'One tooth off opens the pack too late, or keeps it open.',
    ),
  ],
};

/**
 * The disassembly checklist of a job's clutch: from springs, release, attachments and judder springs. A starting point for the
 * builder's own list.
 * Source: workshop practice; `docs/mechanics.md`, strip.
 * @example stripLines(blank).length // 15
 */
export function stripLines(job: Job): StripLine[] {
  const { plates } = job.pack;
  const judder = plates.some((p) => p.judder);
  const own = fittedKinds(job).map((kind) => kind.strip?.(job) ?? {});
  const at = (place: StripPlace) => own.flatMap((lines) => lines[place] ?? []);
  return [
    line(
      'stand',
      'Machine on its stand, engine cold, brake within reach',
      'Hot oil and exhaust burn.',
    ),
    line(
      'oil',
      'Drain the oil, or lay the machine on its side',
      'Drained oil shows burnt smell and metal. Laying over is quick while the oil is fresh.',
    ),
    ...RELEASE_LINES[releasedBy(job)],
    line(
      'cover',
      'Cover off, bolts in a template',
      'Note the place and length of each bolt, sealing washers with their marked holes, and loose dowels.',
    ),
    line('dust', 'Old lining dust: wet wipe, do not blow', 'Old linings may contain asbestos.'),
    ...at('underCover'),
    ...at('springs'),
    line(
      'pressurePlate',
      'Pressure plate off, marked to the hub',
      'Match or balance marks: paint your own if there are none.',
    ),
    line(
      'bearing',
      'Bearing, ball and pushrod out of the pressure plate',
      'The ball or small bearing at the end of the rod stays in the oil and gets lost.',
    ),
    line('plates', 'Plates off one by one, outermost first, each with its facing recorded'),
    ...at('plates'),
    ...(judder || plates.length === 0
      ? [
          line(
            'judder',
            'Innermost disc: check for a judder spring and its flat seat in the bore',
            'They are loose in the bore and fall out. Mark the outside face of the dished ring.',
          ),
        ]
      : []),
    line(
      'hubNut',
      'Hub nut off with a holding tool',
      'Lock washer: note the tab in its groove. Fit a new one.',
    ),
    line(
      'hub',
      'Hub off: catch the thrust washer behind it',
      'It sticks to the back of the hub and falls off. Some washers have a marked outside face: note it.',
    ),
    line(
      'pins',
      'Count drive pins, rubber dampers and wire rings before anything is moved',
      'A pin in the cases means splitting the engine. Wire rings fly: wear eye protection.',
    ),
    line('basket', 'Basket off if its fingers or bearing need work'),
  ];
}

/**
 * Small parts that are counted out and back in, for the clutch of this job.
 * @example smallParts(blank).length // 9
 */
export function smallParts(job: Job): PartLine[] {
  const parts = (kinds: readonly ClutchKind[]) =>
    kinds.filter((kind) => kind.isFitted(job)).flatMap((kind) => kind.parts?.(job) ?? []);
  return [
    part('coverBolts', 'Cover bolts', 'lengths and places'),
    part('dowels', 'Dowels'),
    ...parts(SPRING_KINDS),
    ...(job.pack.plates.some((p) => p.judder)
      ? [part('judderSprings', 'Judder springs'), part('judderSeats', 'Judder seats')]
      : []),
    part('pins', 'Drive pins'),
    part('thrustWashers', 'Thrust washers'),
    part(
      'rodEnd',
      'Pushrod ball or bearing',
      job.release.type === 'hydraulic' ? 'and rod seal' : '',
    ),
    part('wireRings', 'Wire rings'),
    ...parts(ATTACHMENTS),
    part('lockWasher', 'Lock washer', 'fit a new one'),
  ];
}
