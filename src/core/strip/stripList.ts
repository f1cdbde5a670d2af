import { asCame } from './asCame';
import { hasPack } from '../guide/layouts';
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
 * The disassembly checklist of the clutch that is on the machine: from springs, release, attachments and judder springs, in
 * the order of the hands. A starting point for the builder's own list.
 * Source: workshop practice; `docs/mechanics.md`, strip.
 * @example stripLines(blank).length // 17
 */
export function stripLines(job: Job): StripLine[] {
  const clutch = asCame(job);
  const pack = hasPack(job.machine.layout);
  const own = fittedKinds(clutch).map((kind) => kind.strip?.(clutch) ?? {});
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
    ...(pack && !job.release.undecided ? RELEASE_LINES[releasedBy(job)] : []),
    line(
      'cover',
      'Cover off, bolts in a template',
      'Note the place and length of each bolt, sealing washers with their marked holes, and loose dowels.',
    ),
    line('dust', 'Old lining dust: wet wipe, do not blow', 'Old linings may contain asbestos.'),
    ...(job.setting.separatePrimary
      ? [
          line(
            'primary',
            'Primary chain: note its slack, then slacken it',
            'Note the end float as found, and every shim with its place.',
          ),
        ]
      : []),
    ...at('underCover'),
    ...(pack ? packLines(clutch, at) : []),
  ];
}

function packLines(
  { pack: { plates }, strip }: Job,
  at: (place: StripPlace) => readonly StripLine[],
): StripLine[] {
  return [
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
    ...at('plates'),
    line('plates', 'Plates off one by one, outermost first, each with its facing recorded'),
    line(
      'wireRing',
      'Wire ring, if there is one: off before the steel that it holds',
      'It flies: wear eye protection. Note its groove and which way its ends point.',
    ),
    ...judderLines(plates),
    ...(strip.hubStays
      ? []
      : [
          line(
            'hubNut',
            'Hub nut off with a holding tool',
            'Lock washer: note the tab in its groove. Fit a new one.',
          ),
          line(
            'nutWashers',
            'Washers under the nut, each with its marked face noted',
            'Two of them are two parts: keep their order.',
          ),
          line(
            'hub',
            'Hub off: catch the thrust washer behind it',
            'It sticks to the back of the hub and falls off. Some washers have a marked outside face: note it.',
          ),
          line(
            'pins',
            'Count drive pins and rubber dampers before anything is moved',
            'A pin in the cases means splitting the engine.',
          ),
          line('basket', 'Basket off if its fingers or bearing need work'),
        ]),
  ];
}

/** Every judder pair by the number of its plate; before the plates are known, one is looked for. */
function judderLines(plates: Job['pack']['plates']): StripLine[] {
  const numbers = judderNumbers(plates);
  const watch =
    'They are loose in the bore and fall out. Mark the outside face of the dished ring.';
  if (plates.length === 0)
    return [
      line(
        'judder',
        'Innermost disc: check for a judder spring and its flat seat in the bore',
        watch,
      ),
    ];
  return numbers
    .toReversed()
    .map((n, i) =>
      line(numbered('judder', i), `Plate ${n}: judder spring and flat seat out of its bore`, watch),
    );
}

const judderNumbers = (plates: Job['pack']['plates']): readonly number[] =>
  plates.flatMap((p, i) => (p.judder ? [i + 1] : []));

/** The key of a line that comes more than once. */
const numbered = (key: string, index: number): string =>
  index === 0 ? key : `${key}-${index + 1}`;

/**
 * Small parts that are counted out and back in, for the clutch that is on the machine.
 * @example smallParts(blank).length // 10
 */
export function smallParts(job: Job): PartLine[] {
  const clutch = asCame(job);
  const { plates } = clutch.pack;
  const parts = (kinds: readonly ClutchKind[]) =>
    kinds.filter((kind) => kind.isFitted(clutch)).flatMap((kind) => kind.parts?.(clutch) ?? []);
  const pack = hasPack(job.machine.layout);
  const judder = judderNumbers(plates);
  return [
    part('coverBolts', 'Cover bolts', 'lengths and places'),
    part('dowels', 'Dowels'),
    ...(pack
      ? [
          ...parts(SPRING_KINDS),
          ...judder.flatMap((n, i) => [
            part(numbered('judderSprings', i), `Judder spring, plate ${n}`),
            part(numbered('judderSeats', i), `Judder seat, plate ${n}`),
          ]),
          ...(job.strip.hubStays
            ? []
            : [part('pins', 'Drive pins'), part('thrustWashers', 'Thrust washers')]),
          part(
            'rodEnd',
            'Pushrod ball or bearing',
            job.release.type === 'hydraulic' && !job.release.undecided ? 'and rod seal' : '',
          ),
          part('wireRings', 'Wire rings'),
        ]
      : []),
    ...parts(ATTACHMENTS),
    ...(pack && !job.strip.hubStays
      ? [
          part('nutWasher', 'Plain washer under the nut', 'marked face'),
          part('lockWasher', 'Lock washer', 'fit a new one'),
        ]
      : []),
  ];
}
