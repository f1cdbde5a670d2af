import { evaluate } from '../evaluate/evaluate';
import type { Sentence } from '../evaluate/sentence';
import { length, say, travel } from '../evaluate/sentence';
import type { Job } from '../job/types';
import { turningWords } from '../setting/adjuster';
import { eighthsWords, endFloatPlan, gapPlan, pushrodPlan } from '../setting/plans';
import type { SheetLine } from './line';

/**
 * What is set on this clutch once it is together, in order: primary, arm or line, pushrod, install gap, free play, lift,
 * and where lift went. Lines of parts that it has not are left away.
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md` sections 6 to 8.
 */
export function setLines(job: Job): SheetLine[] {
  const cable = job.release.type !== 'hydraulic';
  const tilts = liftsOnOneSide(job);
  return [
    ...primaryLines(job),
    ...(cable ? cableLines(job) : hydraulicLines()),
    ...gapLines(job),
    {
      key: 'freePlay',
      section: 'Free play',
      text: freePlayText(job),
      watch: 'None loads the bearing and the pack slips; too much costs lift.',
      tool: 'freePlay',
      fields: ['release.freePlay', 'setting.freePlayMin', 'setting.freePlayMax'],
    },
    {
      key: 'lift',
      section: 'Lift',
      text: [
        'Dial indicator on the pressure plate: lift at three places or more, several pulls each',
      ],
      watch: 'A plate that lifts on one side drags however much it lifts on average.',
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
      watch: 'Still tilted, the pushrod’s seat is out of square; true, the springs differ.',
      tool: 'thumb',
      // Once the dial says that it tilts, this is the next thing to do.
      optional: !tilts,
    },
    {
      key: 'losses',
      section: 'Lift',
      text: ['Where the lift went, from lever to plate'],
      tool: 'losses',
      optional: true,
    },
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

function primaryLines(job: Job): SheetLine[] {
  if (!job.setting.separatePrimary) return [];
  const section = 'Primary';
  const float = endFloatPlan(job);
  return [
    {
      key: 'chain',
      section,
      text: ['Primary chain slack, at its tightest spot over a whole turn'],
      tool: 'chain',
      fields: ['setting.chainSlack', 'setting.chainSlackMin', 'setting.chainSlackMax'],
    },
    {
      key: 'endFloat',
      section,
      text: [
        float
          ? `End float: screw run in to touch, then back ${eighthsWords(float)}, lock and measure`
          : 'End float: screw run in to touch, then backed off by the manual, lock and measure',
      ],
      tool: 'endFloat',
      fields: ['setting.endFloatWanted', 'setting.endFloatPitch', 'setting.endFloat'],
    },
  ];
}

function cableLines(job: Job): SheetLine[] {
  const section = 'Cable and arm';
  const pushrod = pushrodPlan(job);
  return [
    {
      key: 'slack',
      section,
      text: ['Cable slack at both ends before anything is set'],
      watch:
        'The plate must rise off the nut and not off the bearing, or every setting starts from the wrong place.',
    },
    {
      key: 'armAngle',
      section,
      text: ['Release arm square to the cable in the middle of its stroke'],
      watch: 'A tooth off on its spline costs lift or pull.',
      tool: 'arm',
      fields: ['release.armStart'],
    },
    ...(job.expanding.fitted
      ? []
      : [
          {
            key: 'pushrod',
            section,
            text: [
              pushrod
                ? `Pushrod screw in to light touch, then back ${eighthsWords(pushrod)}, and lock`
                : 'Pushrod screw in to light touch, then back by the manual, and lock',
            ],
            tool: 'pushrod',
            fields: ['setting.pushrodClearance', 'setting.pushrodPitch'],
          } satisfies SheetLine,
        ]),
  ];
}

function hydraulicLines(): SheetLine[] {
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
      watch: 'Tap the line; a running engine shakes the last bubbles loose. Look again tomorrow.',
      fields: ['release.air'],
    },
    {
      key: 'firm',
      section,
      text: ['Lever firm from the same place at every pull, no drip at the joints'],
    },
  ];
}

function gapLines(job: Job): SheetLine[] {
  if (!job.expanding.fitted) return [];
  const section = 'Install gap';
  const plan = gapPlan(job);
  return [
    {
      key: 'gapStart',
      section,
      text: [
        'Start point: adjuster in to first firm contact, cable slack, contact felt at the nut',
      ],
      watch: 'Taken off the bearing instead of the nut, the gap is wrong by all of the slack.',
    },
    {
      key: 'gap',
      section,
      text: plan
        ? say`From there out by ${turningWords(plan.turning)}, for a gap of ${length(plan.wanted)}`
        : ['From there out by turns and marks to the gap'],
      tool: 'gap',
      fields: [
        'setting.gapMin',
        'setting.gapMax',
        'setting.pitch',
        'setting.marksPerTurn',
        'setting.linkage',
        'setting.turnsOut',
        'setting.marksOut',
      ],
    },
    {
      key: 'gauges',
      section,
      text: ['Gap checked by gauges, go and no-go, or by caliper'],
      tool: 'gauges',
      fields: ['setting.goSize', 'setting.noGoSize', 'setting.gapMeasured', 'setting.installGap'],
    },
  ];
}
