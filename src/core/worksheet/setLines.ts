import { evaluate } from '../evaluate/evaluate';
import type { Sentence } from '@/core/text/sentence';
import { say, travel } from '@/core/text/sentence';
import { fieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';
import { releasedBy } from '../release/way';
import { eighthsText, endFloatPlan, pushrodPlan } from '../setting/plans';
import { engagesByItself } from '../clutch/fitted';
import { hasPack } from '../guide/layouts';
import type { ChecklistLine } from './line';
import { checklistAt } from './ofKinds';

/**
 * The Set steps, in order: primary, arm or line, pushrod, install gap, free play, lift, and lift losses. Steps for missing
 * parts are left out.
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md` sections 6 to 8.
 * @example setLines(farm).map((l) => l.key) // ["packAdjuster", "pedal", "lift", "thumb"]
 */
export function setLines(job: Job): ChecklistLine[] {
  if (!hasPack(job.machine.layout)) return primaryLines(job);
  const by = releasedBy(job);
  const tilts = liftsOnOneSide(job);
  return [
    ...primaryLines(job),
    ...(job.release.undecided
      ? []
      : by === 'hydraulic'
        ? hydraulicLines()
        : by === 'pedal'
          ? pedalLines(job)
          : cableLines(job)),
    ...checklistAt(job, 'gap'),
    ...(by === 'pedal'
      ? []
      : [
          {
            key: 'freePlay',
            section: 'Free play',
            text: freePlayText(job),
            watch: 'With none the bearing is loaded and the pack slips; too much reduces lift.',
            unread: job.release.freePlay === undefined,
            answers: ['release.freePlay'],
            tool: 'freePlay',
            fields: ['release.freePlay', 'setting.freePlayMin', 'setting.freePlayMax'],
          } satisfies ChecklistLine,
        ]),
    {
      key: 'lift',
      section: 'Lift',
      text: [
        'Dial indicator on the pressure plate: lift at three places or more, several pulls each',
      ],
      watch: 'A plate that lifts unevenly drags, whatever its mean lift.',
      unread: job.release.liftReadings.filter((r) => r.lift).length < 3,
      answers: job.release.liftReadings.map((r) => fieldPath('release.liftReadings.*.lift', r.id)),
      tool: 'lift',
      fields: ['release.requiredLift', 'release.faceClearance'],
    },
    {
      key: 'thumb',
      section: 'Lift',
      text: [
        tilts
          ? 'It tilts: springs out, plate lifted by thumb. Does it still tilt?'
          : 'If it tilts: springs out, plate lifted by thumb. Does it still tilt?',
      ],
      watch: 'If it still tilts, the pushrod seat is out of square; if not, the springs differ.',
      tool: 'thumb',
      // Follows once the dial shows a tilt.
      optional: !tilts,
    },
    ...(by === 'pedal'
      ? []
      : [
          {
            key: 'losses',
            section: 'Lift',
            text: ['Where the lift went, from lever to plate'],
            tool: 'losses',
            optional: true,
          } satisfies ChecklistLine,
        ]),
  ];
}

/** Whether the dial readings show a low side that drags. */
function liftsOnOneSide(job: Job): boolean {
  if (job.release.liftReadings.length < 3) return false;
  const even = evaluate(job).verdicts.find((v) => v.id === 'even');
  return even?.state === 'watch' || even?.state === 'stop';
}

function freePlayText({ setting: { freePlayMin: min, freePlayMax: max } }: Job): Sentence {
  if (min && max)
    return say`Free play at the lever, ${travel(min.value)} to ${travel(max.value)} by the manual`;
  return ['Free play at the lever, by the manual'];
}

function primaryLines(job: Job): ChecklistLine[] {
  if (!job.setting.separatePrimary) return [];
  const section = 'Primary';
  const float = endFloatPlan(job);
  return [
    {
      key: 'chain',
      section,
      text: ['Primary chain slack, at its tightest spot over a whole turn'],
      answers: ['setting.chainSlack'],
      tool: 'chain',
      fields: ['setting.chainSlack', 'setting.chainSlackMin', 'setting.chainSlackMax'],
    },
    {
      key: 'endFloat',
      section,
      text: [
        float
          ? `End float: screw run in to touch, then back ${eighthsText(float)}, lock and measure`
          : 'End float: screw run in to touch, then backed off by the manual, lock and measure',
      ],
      answers: ['setting.endFloat'],
      tool: 'endFloat',
      fields: ['setting.endFloatWanted', 'setting.endFloatPitch', 'setting.endFloat'],
    },
  ];
}

/** The screw that is run in to light touch and backed off again. */
function pushrodLine(job: Job, section: string, name: string): ChecklistLine {
  const plan = pushrodPlan(job);
  return {
    key: 'pushrod',
    section,
    text: [
      plan
        ? `${name} in to light touch, then back ${eighthsText(plan)}, and lock`
        : `${name} in to light touch, then back by the manual, and lock`,
    ],
    tool: 'pushrod',
    fields: ['setting.pushrodClearance', 'setting.pushrodPitch'],
  };
}

function pedalLines(job: Job): ChecklistLine[] {
  const section = 'Shift pedal';
  return [
    { ...pushrodLine(job, section, 'Adjuster of the pack'), key: 'packAdjuster' },
    {
      key: 'pedal',
      section,
      text: ['Pedal pressed slowly by hand: the pack opens before the gears move, and shuts after'],
      watch: 'If it opens too late, shifting is hard; if it stays open, it slips and burns.',
    },
  ];
}

function cableLines(job: Job): ChecklistLine[] {
  const section = 'Cable and arm';
  return [
    {
      key: 'slack',
      section,
      text: ['Cable slack at both ends before anything is set'],
      watch:
        'The plate must rise off the nut and not off the bearing, or every setting starts from the wrong point.',
    },
    {
      key: 'armAngle',
      section,
      text: ['Release arm square to the cable in the middle of its stroke'],
      watch: 'One tooth off on its spline reduces lift or raises pull.',
      tool: 'arm',
      fields: ['release.armStart'],
    },
    // The adjuster of an expanding disc sets its gap instead.
    ...(engagesByItself(job, 'inPack') ? [] : [pushrodLine(job, section, 'Pushrod screw')]),
  ];
}

function hydraulicLines(): ChecklistLine[] {
  const section = 'Hydraulic line';
  return [
    {
      key: 'fluid',
      section,
      text: [
        'Reservoir filled with the fluid that its cap names; it never runs dry while bleeding',
      ],
      watch: 'Fluid strips paint: wipe it off at once.',
    },
    {
      key: 'bleed',
      section,
      text: ['Bled until no bubble comes, from the low end or the high as its maker says'],
      watch: 'Tap the line; a running engine frees the last bubbles. Check again the next day.',
      fields: ['release.air'],
    },
    {
      key: 'firm',
      section,
      text: ['Lever firm from the same place at every pull, no drip at the joints'],
    },
  ];
}
