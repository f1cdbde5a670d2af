import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { IDLE_MARGIN } from '../../evaluate/engine/verdict';
import { checkLimits } from '../../pack/stack';
import { turningText } from '../../setting/adjuster';
import type { Job } from '../../job/types';
import type { GainReading } from '../../setting/leverGain';
import type { GainPlan, GainTarget } from '../../setting/plans';
import {
  adjusterOf,
  adjusterPosition,
  GAIN_READS,
  gainAdvice,
  gainReadings,
  gainTarget,
  isOnTarget,
} from '../../setting/plans';
import { joinAnd } from '../../text/reasons';
import type { Sentence } from '../../text/sentence';
import { length, say, travel } from '../../text/sentence';

/**
 * The verdicts on an expanding disc: engagement, gap, and lever gain.
 * @example expandingVerdicts(workOut(quad).sheet).length // 5
 */
export const expandingVerdicts = (sheet: Sheet): readonly (Verdict | undefined)[] => [
  judgeEngagement(sheet),
  judgeInstallGap(sheet),
  judgeGain(sheet),
  judgeOwnRatio(sheet),
  judgeGapWays(sheet),
];

const rpm = (value: number) => ({ value, quantity: 'speed' }) as const;

function judgeEngagement(sheet: Sheet): Verdict | undefined {
  const contact = sheet.known('expandContact');
  const lock = sheet.known('expandLockUp');
  const base = { id: 'auto', figures: ['expandContact', 'expandLockUp'] } as const;
  const idle = sheet.valueAt('engine.idleRpm');
  if (!contact || !lock) {
    const open = sheet.outcomes.get('expandContact');
    return open?.status === 'unknown'
      ? {
          ...base,
          state: open.cause ? 'stop' : 'unknown',
          title: open.cause ? 'The disc never engages' : 'Engagement not judged',
          sentence: [open.reason],
        }
      : undefined;
  }
  if (idle === undefined) {
    return {
      ...base,
      state: 'unknown',
      title: 'Engagement not judged',
      sentence: say`Idle speed is needed to judge first contact at ${rpm(contact.value)}.`,
    };
  }
  if (contact.value <= idle) {
    return {
      ...base,
      state: 'stop',
      figures: ['expandContact'],
      title: 'Creeps at idle',
      sentence: say`First contact at ${rpm(contact.value)}, below idle at ${rpm(idle)}: the machine creeps with the lever out. A wider gap or stronger return springs raise it.`,
    };
  }
  if (contact.value < idle * (1 + IDLE_MARGIN)) {
    return {
      ...base,
      state: 'watch',
      figures: ['expandContact'],
      title: 'Engages close to idle',
      sentence: say`First contact at ${rpm(contact.value)}, just above idle at ${rpm(idle)}: a cold fast idle makes it creep.`,
    };
  }
  const peak = sheet.valueAt('engine.peakTorqueRpm');
  if (peak !== undefined && lock.value > peak) {
    return {
      ...base,
      state: 'watch',
      figures: ['expandLockUp'],
      title: 'Locks up late',
      sentence: say`Lock-up at ${rpm(lock.value)}, above peak torque at ${rpm(peak)}: the clutch slips at peak torque.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Engages clear of idle',
    sentence: say`First contact at ${rpm(contact.value)}, clear of idle at ${rpm(idle)}; lock-up at ${rpm(lock.value)}.`,
  };
}

function judgeInstallGap(sheet: Sheet): Verdict | undefined {
  const gap = sheet.valueAt('setting.installGap');
  const min = sheet.valueAt('setting.gapMin');
  const max = sheet.valueAt('setting.gapMax');
  if (gap === undefined) return undefined;
  if ((min === undefined && max === undefined) || (min ?? 0) > (max ?? Infinity)) return undefined;
  const { margin, side } = checkLimits(gap, min, max);
  const base = { id: 'installGap', figures: ['expandContact'] } as const;
  return margin >= 0
    ? {
        ...base,
        state: 'good',
        title: 'Install gap within limits',
        sentence: say`Install gap ${length(gap)}, ${length(margin)} inside its limits.`,
      }
    : {
        ...base,
        state: 'stop',
        title: side === 'above' ? 'Install gap too wide' : 'Install gap too narrow',
        sentence:
          side === 'above'
            ? say`Install gap ${length(gap)}, ${length(-margin)} above its limits: the disc engages late or never, and slips.`
            : say`Install gap ${length(gap)}, ${length(-margin)} below its limits: the disc drags and the machine creeps.`,
      };
}

function judgeGain(sheet: Sheet): Verdict | undefined {
  const { job } = sheet;
  const target = gainTarget(job);
  const last = gainReadings(job).at(-1);
  const base = { id: 'gain', figures: ['leverGain', 'overallRatio'] } as const;
  const worked = sheet.known('leverGain')?.value;
  const has = sheet.valueAt('release.leverTravel');
  if (!last && worked !== undefined && has !== undefined && worked >= has) {
    return {
      ...base,
      state: 'watch',
      title: 'Disc growth uses all lever travel',
      sentence: say`Fully expanded, the disc would give a lever gain of ${travel(worked)}; lever travel is ${travel(has)}. At high speed the lever releases nothing. A wider gap leaves more travel.`,
    };
  }
  if (!last || target === undefined) return undefined;
  const cold = job.setting.readings.find((r) => r.id === last.id)?.engine === 'cold';
  const gains = [
    ...say`Lever gain${cold ? ' cold' : ''} ${travel(last.gain)}, target `,
    ...targetText(job, target),
  ];
  const current = adjusterPosition(job);
  const here = current === undefined || Math.abs(current - last.turns) < 1e-6;
  if (isOnTarget(last.gain, target)) {
    if (cold)
      return {
        ...base,
        state: 'watch',
        title: 'Lever gain read cold',
        sentence: [...gains, '. The target is for a warm engine: read it again warm.'],
      };
    if (here && worked !== undefined && contradicts(last.gain, worked))
      return {
        ...base,
        state: 'watch',
        title: 'Lever gain does not match the gap',
        sentence: [
          ...gains,
          ...say`; growth, gap and ratio give ${travel(worked)}. Check these three and the reading.`,
        ],
      };
    return { ...base, state: 'good', title: 'Lever gain on target', sentence: [...gains, '.'] };
  }
  return { ...base, ...correction(sheet, last, target, gains) };
}

/** The target as it is printed: a value, or a range. */
function targetText({ setting: { targetGain } }: Job, { low, high, middle }: GainTarget): Sentence {
  return targetGain?.range ? say`${travel(low)} to ${travel(high)}` : say`${travel(middle)}`;
}

/** How far a gain off its target is to be turned, and what the lever should read then. */
function correction(
  sheet: Sheet,
  last: GainReading,
  target: GainTarget,
  gains: Sentence,
): Pick<Verdict, 'state' | 'title' | 'sentence'> {
  const { job } = sheet;
  const adjuster = adjusterOf(job);
  const title = last.gain > target.middle ? 'Lever gain too large' : 'Lever gain too small';
  if (!adjuster)
    return {
      state: 'unknown',
      title: 'Lever gain off target',
      sentence: [...gains, '. The adjuster pitch is needed to work out the correction.'],
    };
  const plan = gainAdvice(job, sheet.known('overallRatio')?.value);
  if (!plan) return { state: 'watch', title, sentence: [...gains, '.'] };
  const { turning, atLeast, expected, from } = plan;
  if (turning.direction === 'leave') {
    return {
      state: 'good',
      title: 'Lever gain as close as the adjuster allows',
      sentence: [
        ...gains,
        `: less than half an adjuster mark too ${last.gain > target.middle ? 'much' : 'little'}.`,
      ],
    };
  }
  return {
    state: 'watch',
    title,
    sentence: [
      ...gains,
      ...say`: ${turning.direction} the gap by ${turningText(turning)}${atLeast ? ' or more' : ''}, ${WHOSE[from]}.`,
      ...(expected === undefined ? [] : say` It should then read ${travel(expected)}.`),
    ],
  };
}

const WHOSE: Readonly<Record<GainPlan['from'], string>> = {
  'measured ratio': 'by this machine’s own ratio from two readings',
  'given ratio': 'by the train’s ratio',
  'assumed ratio': 'by an assumed ratio until the second reading gives its own',
};

/** Relative difference above which a measured and a calculated gain contradict each other. Assumed value. */
const GAIN_DIFFERS = 0.3;

const contradicts = (read: number, worked: number): boolean =>
  Math.abs(read - worked) > Math.max(2 * GAIN_READS, GAIN_DIFFERS * worked);

/** Relative difference above which a measured ratio is questioned. Assumed value. */
const RATIO_DIFFERS = 0.3;

function judgeOwnRatio(sheet: Sheet): Verdict | undefined {
  const own = sheet.known('ownRatio');
  const train = sheet.known('overallRatio');
  if (!own || !train || Math.abs(own.value / train.value - 1) <= RATIO_DIFFERS) return undefined;
  const ratio = (value: number) => ({ value, quantity: 'ratio', decimals: 1 }) as const;
  return {
    id: 'ownRatio',
    state: 'watch',
    title: 'Measured ratio differs',
    figures: ['ownRatio', 'overallRatio'],
    sentence: say`The two gain readings give a ratio of ${ratio(own.value)}; the release train gives ${ratio(train.value)}. Check both readings, the turns between them and the adjuster’s pitch.`,
  };
}

/** Ways of measuring one gap that differ by more than this, mm, contradict each other. Assumed value. */
const AGREES = 0.1;

/** The gap known in several ways must be one gap. */
function judgeGapWays(sheet: Sheet): Verdict | undefined {
  const turned = sheet.known('gapSet');
  const gauged = sheet.known('gapGauged');
  const reported = sheet.known('gapByLever');
  const measured = sheet.job.setting.gapMeasured;
  const entered = sheet.job.setting.installGap;
  const ways = [
    ...(entered ? [{ name: 'the value entered', low: entered.value, high: entered.value }] : []),
    ...(turned ? [{ name: 'the adjuster', low: turned.value, high: turned.value }] : []),
    ...(gauged?.range ? [{ name: 'gauges', low: gauged.range.low, high: gauged.range.high }] : []),
    ...(reported?.range
      ? [{ name: 'the lever', low: reported.range.low, high: reported.range.high }]
      : []),
    ...(measured ? [{ name: 'the caliper', low: measured.value, high: measured.value }] : []),
  ];
  if (ways.length < 2) return undefined;
  const highest = ways.reduce((a, b) => (b.low > a.low ? b : a));
  const lowest = ways.reduce((a, b) => (b.high < a.high ? b : a));
  const apart = highest.low - lowest.high;
  const base = { id: 'gapWays', figures: ['gapSet', 'gapGauged', 'gapByLever'] } as const;
  return apart > AGREES
    ? {
        ...base,
        state: 'watch',
        title: 'Gap readings differ',
        sentence: say`Gap by ${highest.name} ${length(highest.low)}, by ${lowest.name} ${length(lowest.high)}. Check that the start point was taken at the nut and not at the bearing, with the cable slack${reported ? ', and the disc growth' : ''}.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Gap readings agree',
        sentence: say`The gaps by ${joinAnd(ways.map((w) => w.name))} agree.`,
      };
}
