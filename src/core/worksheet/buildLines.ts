import type { PackLayer } from '@/core/evaluate/engine/layers';
import { layOut } from '@/core/evaluate/engine/layers';
import type { Sentence } from '@/core/text/sentence';
import { count, length, say } from '@/core/text/sentence';
import { engagesByItself } from '../clutch/fitted';
import { hasPack } from '../guide/layouts';
import { LEAFLET_NAME, ROTATION_NAME } from '../job/words';
import { fieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';
import { checklistAt } from './ofKinds';
import { minutesText, soakOf } from './soak';
import { circleLines, fastenersOf, tightenLine, unlistedLines } from './fastenerLines';
import type { Method, ChecklistLine } from './line';

/**
 * The sheet by which this very pack is put together: soak, hub, every plate by number with thickness, face and
 * direction, bearing and rod, pressure plate, springs, bolts in their stages, head clearance, and the count in. Made
 * from the record each time, so that it is never that of another pack.
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md`, build.
 * @example buildLines(blank)[0].key // "clean"
 */
export function buildLines(job: Job): ChecklistLine[] {
  return [
    ...leafletLines(job),
    ...soakLines(job),
    ...hubLines(job),
    ...(hasPack(job.machine.layout)
      ? [...plateLines(job), ...releaseLines(job), ...springLines(job)]
      : []),
    ...checkLines(job),
  ];
}

const SOAK: Method = {
  why: 'Dry linings grab and glaze in the first starts. Methods differ between minutes in a bag of oil and overnight: the longer does no harm, so it is planned; the lining maker’s minimum is accepted.',
  others: [
    { id: 'short', text: 'Soaked for the lining maker’s minimum only' },
    { id: 'brushed', text: 'Brushed with oil, not soaked' },
  ],
};

const HUB_NUT: Method = {
  why: 'Holding tool and torque wrench. Too tight, the hub binds, drags and stalls; too loose, the nut comes off.',
  others: [{ id: 'impact', text: 'Impact gun to the next tab' }],
};

const TAB: Method = {
  why: 'One bent tab leaves the other for next time.',
  others: [{ id: 'both', text: 'Both tabs bent' }],
};

function soakLines(job: Job): ChecklistLine[] {
  if (!job.pack.plates.some((p) => job.pack.kinds.find((k) => k.id === p.kindId)?.lined !== 'none'))
    return [];
  const { plan, least } = soakOf(job);
  return [
    {
      key: 'soak',
      section: 'Soak',
      text: say`Soak the linings in the oil they will run in, ${minutesText(plan)}; at least ${minutesText(least)}`,
      watch: 'Each disc wetted on both faces, none stuck to the next.',
      method: SOAK,
      fields: ['build.soakPlan', 'build.soakLeast'],
      tool: 'soak',
    },
  ];
}

/** What the leaflet asks for before anything is assembled. */
function leafletLines({ leaflet = {} }: Job): ChecklistLine[] {
  return (['cautions', 'alwaysNew', 'leftOut', 'screws'] as const).flatMap((part) => {
    const text = leaflet[part]?.trim();
    return text
      ? [{ key: `leaflet:${part}`, section: 'Leaflet', text: [`${LEAFLET_NAME[part]}: ${text}`] }]
      : [];
  });
}

/** Whether a small part was counted out; before any count everything may be there. */
function wasThere({ strip: { parts } }: Job, key: string): boolean {
  return parts.length === 0 || parts.some((p) => p.key === key && (p.out?.value ?? 0) > 0);
}

const counted = ({ strip: { parts } }: Job, key: string): boolean =>
  parts.some((p) => p.key === key && (p.out?.value ?? 0) > 0);

function hubLines(job: Job): ChecklistLine[] {
  const section = hasPack(job.machine.layout) ? 'Hub' : 'Start clutch';
  const clean: ChecklistLine = {
    key: 'clean',
    section,
    text: [
      hasPack(job.machine.layout)
        ? 'Everything clean, splines and fingers free of burrs, oil galleries open'
        : 'Everything clean, drum and shoes free of burrs, oil galleries open',
    ],
    watch: 'Old lining dust: wet wipe, do not blow. Old linings may contain asbestos.',
  };
  if (!hasPack(job.machine.layout)) return [clean, ...checklistAt(job, 'hub')];
  if (job.strip.hubStays) return [clean, ...checklistAt(job, 'hub')];
  return [
    clean,
    {
      key: 'basket',
      section,
      text: ['Basket and its bearing or sleeve on the shaft, oiled'],
    },
    ...checklistAt(job, 'hub'),
    {
      key: 'thrustWasher',
      section,
      text: ['Thrust washer on the shaft before the hub, its marked face as noted'],
      watch: 'If left out, the stack height is wrong and the hub runs on the basket.',
    },
    ...(wasThere(job, 'pins')
      ? [
          {
            key: 'pins',
            section,
            text: ['Drive pins, sleeves or dampers in their places, each one pushed home'],
            watch: 'Count them: a pin in the cases means splitting the engine.',
          } satisfies ChecklistLine,
        ]
      : []),
    { key: 'hub', section, text: ['Hub on, turning freely by hand'] },
    ...(counted(job, 'nutWasher')
      ? [
          {
            key: 'nutWasher',
            section,
            text: ['Plain washer under the nut, its marked face as noted'],
          } satisfies ChecklistLine,
        ]
      : []),
    {
      key: 'lockWasher',
      section,
      text: ['New lock washer, its tab in the groove'],
      watch: 'A lock washer is never reused.',
    },
    ...fastenersOf(job, 'hubNut').map((f) => tightenLine(f, section, { method: HUB_NUT })),
    ...unlistedLines(job, 'hubNut', section, { method: HUB_NUT }),
    {
      key: 'tab',
      section,
      text: ['Bend one tab of the lock washer against the nut'],
      method: TAB,
    },
  ];
}

/** One plate by number, thickness, face and direction. */
function plateText(layer: PackLayer, growing: string | undefined): Sentence {
  const { plate, kind, number, thickness, measured } = layer;
  const facts = [
    ...(plate.facing === 'outward' ? ['marked face out'] : []),
    ...(plate.facing === 'inward' ? ['marked face in'] : []),
    ...(kind.directional ? ['pointing with the rotation'] : []),
    ...(plate.judder ? ['judder seat and judder spring in its bore'] : []),
    ...(plate.offsetSlot ? ['tangs in the offset slots'] : []),
    ...(plate.isNew ? ['new'] : []),
    ...(growing ? [`the ${growing}`] : []),
    `turns with the ${kind.turnsWith}`,
  ];
  const sort = kind.lined === 'none' ? 'steel' : 'disc';
  const name = kind.name || sort;
  return thickness === undefined
    ? say`Plate ${count(number)}: ${name}, ${facts.join(', ')}`
    : say`Plate ${count(number)}: ${name}, ${length(thickness)} ${measured ? 'measured' : 'nominal'}, ${facts.join(', ')}`;
}

function plateLines(job: Job): ChecklistLine[] {
  const { layers } = layOut(job);
  const last = layers.findLast((l) => l.turnsWith === 'basket');
  const lines = layers.map((layer, i): ChecklistLine => {
    const watch =
      layer.kind.directional === true
        ? job.pack.rotation
          ? `The basket turns ${ROTATION_NAME[job.pack.rotation]}.`
          : 'On many engines the basket turns in the opposite direction to the one expected.'
        : layer.plate.judder
          ? 'The dished ring’s marked face as noted; both are loose in the bore.'
          : i === 0
            ? 'The first plate goes on the hub floor; numbers run outward.'
            : undefined;
    return {
      key: `plate:${layer.plate.id}`,
      section: 'Plates',
      text: plateText(layer, layer === last ? engagesByItself(job, 'inPack')?.name : undefined),
      plateId: layer.plate.id,
      ...(watch ? { watch } : {}),
    };
  });
  if (!counted(job, 'wireRings')) return lines;
  const steel = layers.findIndex((l) => l.lined === 'none');
  return lines.toSpliced(steel + 1, 0, {
    key: 'wireRing',
    section: 'Plates',
    text: ['Wire ring in its groove, over the steel that it holds'],
    watch: 'Its ends as noted, seated all round: it comes out under load if it is not.',
  });
}

function releaseLines(job: Job): ChecklistLine[] {
  const section = 'Release';
  return [
    {
      key: 'rod',
      section,
      text: ['Pushrod, ball and release bearing in, the right way round, greased or oiled'],
      watch:
        'A flat race instead of a ground radius loads the balls on their edge. Without the ball there is no lift.',
    },
    ...(job.release.undecided || job.release.type === 'hydraulic'
      ? []
      : [
          {
            key: 'arm',
            section,
            text: ['Release arm on its shaft by the mark made when it came off'],
            watch: 'One tooth off reduces lift or raises pull.',
          } satisfies ChecklistLine,
        ]),
    {
      key: 'pressurePlate',
      section,
      text: ['Pressure plate on, indexed to the hub by its mark, down on the pack all round'],
      watch:
        'If it does not sit down, a spline tooth or a plate is caught: do not pull it down with the bolts.',
    },
  ];
}

function springLines(job: Job): ChecklistLine[] {
  const section = 'Springs';
  return [
    ...checklistAt(job, 'springs'),
    ...fastenersOf(job, 'springs').flatMap((f) => circleLines(f, job.build.stages, section)),
    ...unlistedLines(job, 'springs', section),
    ...checklistAt(job, 'afterSprings'),
  ];
}

function checkLines(job: Job): ChecklistLine[] {
  const section = 'Before the cover';
  // A part of the shop's own list has no step among the others.
  const own = job.strip.parts.filter((p) => p.key === undefined && (p.out?.value ?? 0) > 0);
  return [
    ...own.map((p): ChecklistLine => ({
      key: `part:${p.id}`,
      section,
      text: say`${p.name || 'Part'}: ${count(p.out?.value ?? 0)} back in its place`,
    })),
    ...fastenersOf(job, 'other').map((f) => tightenLine(f, section)),
    {
      key: 'headClearance',
      section,
      text: ['Bolt heads clear of the cover'],
      watch: 'Heads that are too tall damage the cover and shed metal into the oil.',
      fields: ['build.headClearance', 'build.headClearanceMin'],
      answers: ['build.headClearance'],
      tool: 'heads',
    },
    {
      key: 'countIn',
      section,
      text: ['Small parts counted back in: as many as came out'],
      tool: 'countIn',
      answers: job.strip.parts.map((p) => fieldPath('strip.parts.*.in', p.id)),
      unread: job.strip.parts.some((p) => (p.out?.value ?? 0) > 0 && p.in?.value !== p.out?.value),
    },
  ];
}
