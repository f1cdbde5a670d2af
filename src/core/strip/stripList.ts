import type { Job } from '../job/types';
import type { ReleasedBy } from '../release/way';
import { releasedBy } from '../release/way';

/** A line of a strip list before it belongs to a job. */
export interface StripLine {
  readonly text: string;
  readonly watch?: string;
}

export interface PartLine {
  readonly name: string;
  readonly note: string;
}

const line = (text: string, watch?: string): StripLine => (watch ? { text, watch } : { text });

const RELEASE_LINES: Readonly<Record<ReleasedBy, readonly StripLine[]>> = {
  hydraulic: [
    line(
      'Take the slave cylinder off, or hold its piston in',
      'Do not pull the lever while it is off: the piston comes out.',
    ),
  ],
  cable: [
    line('Slacken the cable fully at both ends', 'Note the free play as it came in.'),
    line('Mark the release arm to its shaft, then take it off', 'A tooth off costs lift or pull.'),
  ],
  pedal: [
    line(
      'Write down where the adjuster of the pack stands, then back it off',
      'Turns from light touch: it is the setting that the pedal knows.',
    ),
    line(
      'Mark the release lever to the shift shaft before it comes off',
      'A tooth off opens the pack too late, or holds it open.',
    ),
  ],
};

/**
 * What to take off, in which order, what to mark and what to watch, for the clutch of this job: from its springs, its
 * release, an expanding disc, judder springs and a start clutch. A start for the builder's own list.
 * Source: workshop practice; `docs/mechanics.md`, strip.
 * @example stripLines(blank).length // 15
 */
export function stripLines(job: Job): StripLine[] {
  const { springs, expanding, startClutch, assist, pack } = job;
  const judder = pack.plates.some((p) => p.judder);
  return [
    line('Machine on its stand, engine cold, brake within reach', 'Hot oil and exhaust burn.'),
    line(
      'Drain the oil, or lay the machine on its side',
      'Drained oil can be read for burnt smell and metal. Laying over is quick while the oil is fresh.',
    ),
    ...RELEASE_LINES[releasedBy(job)],
    line(
      'Cover off, bolts in a template',
      'Note which bolt comes from where, its length, sealing washers and their marked holes, loose dowels.',
    ),
    line('Old lining dust: wet wipe, do not blow', 'Old linings may hold asbestos.'),
    ...(startClutch.place === 'none'
      ? []
      : [
          line(
            'Start clutch: drum off, shoes and springs out',
            'Mark the drum to its shoes; look which way the one-way bearing turns.',
          ),
        ]),
    ...(expanding.fitted
      ? [
          line(
            'Write down where the adjuster stands, then back it off',
            'Turns and marks from firm contact: it is the setting that the rider knows.',
          ),
        ]
      : []),
    ...springLines(springs.type),
    ...(assist.type === 'none'
      ? []
      : [
          line(
            assist.type === 'levers'
              ? 'Assist levers out, each to its own pin'
              : 'Assist balls out, counted',
            'Weights belong to their places: keep them in order.',
          ),
        ]),
    line(
      'Pressure plate off, marked to the hub',
      'Match or balance marks: paint them if there are none.',
    ),
    line(
      'Bearing, ball and pushrod out of the pressure plate',
      'The ball or small bearing at the end of the rod stays in the oil and is lost.',
    ),
    line('Plates out one by one, from the outermost, each with its facing recorded'),
    ...(expanding.fitted
      ? [
          line(
            'The expanding disc comes first',
            'Look how its weights stand, and which face looks out.',
          ),
        ]
      : []),
    ...(judder || pack.plates.length === 0
      ? [
          line(
            'Innermost disc: look for a judder spring and its flat seat in the bore',
            'They lie in the bore and fall out. Mark the outside face of the dished ring.',
          ),
        ]
      : []),
    line(
      'Hub nut off with a holding tool',
      'Lock washer: note the tab in its groove. A new one goes in.',
    ),
    line(
      'Hub off: catch the thrust washer behind it',
      'It sticks to the back of the hub and falls off. Washers with a marked outside face: note it.',
    ),
    line(
      'Count drive pins, rubber dampers and wire rings before anything is moved',
      'A pin in the cases means splitting the engine. Wire rings fly: eyes covered.',
    ),
    line('Basket off if its fingers or bearing are to be seen to'),
  ];
}

function springLines(type: Job['springs']['type']): StripLine[] {
  switch (type) {
    case 'coil':
      return [
        line(
          'Spring bolts a little at a time, criss-cross',
          'The plate must come off square. Springs are loaded: eyes covered.',
        ),
        line(
          'Springs out in their order',
          'Two kinds are fitted on purpose: note where each stands.',
        ),
      ];
    case 'diaphragm':
      return [
        line(
          'Note the retainer’s step, then its bolts a little at a time, criss-cross',
          'The spring is loaded: release it evenly, eyes covered.',
        ),
        line('Diaphragm out', 'Note which way its cone looks, and marks of over-travel.'),
      ];
    case 'loose':
      return [
        line('Measure the gap between the plates at three places before it is opened'),
        line(
          'Nuts off evenly, a turn each in order',
          'The springs push the plates apart: keep them square, eyes covered.',
        ),
        line('Springs off their pins in order', 'Sort them by length as they come.'),
      ];
  }
}

/** The small part that says how many springs there are. */
export const SPRINGS = 'Springs';

/**
 * Small parts that are counted out and back in, for the clutch of this job.
 * @example smallParts(blank).length // 9
 */
export function smallParts(job: Job): PartLine[] {
  const { springs, release, expanding, startClutch, pack } = job;
  const part = (name: string, note = ''): PartLine => ({ name, note });
  return [
    part('Cover bolts', 'lengths and places'),
    part('Dowels'),
    ...(springs.type === 'coil'
      ? [part('Spring bolts and washers'), part(SPRINGS)]
      : springs.type === 'loose'
        ? [part('Nuts of the spring plate'), part(SPRINGS)]
        : [part('Retainer bolts')]),
    ...(pack.plates.some((p) => p.judder) ? [part('Judder springs'), part('Judder seats')] : []),
    part('Drive pins'),
    part('Thrust washers'),
    part('Pushrod ball or bearing', release.type === 'hydraulic' ? 'and rod seal' : ''),
    part('Wire rings'),
    ...(expanding.fitted ? [part('Weights of the expanding disc')] : []),
    ...(startClutch.place === 'none' ? [] : [part('Shoe springs')]),
    part('Lock washer', 'a new one goes in'),
  ];
}
