import { turningWords } from '../setting/adjuster';
import { adviseGain } from '../setting/leverGain';
import { adjusterOf, GAIN_READS, gainReadings, standsAt } from '../setting/plans';
import { DomainError } from '../errors';
import { checkWindow } from '../pack/stack';
import type { PackLayer, PackLayout } from './layers';
import { count, length, say, travel } from './sentence';
import type { Sheet } from './sheet';
import { domainSentence } from './lackWords';
import { FRICTION_MODIFIED } from './torqueTerms';
import type { Verdict } from './verdict';
import { IDLE_MARGIN } from './verdict';

/**
 * Verdicts on what surrounds the pack: its oil, its caliper reading, its judder springs, and an auto-clutch.
 * @example judgeConditions(sheet, layout).map((v) => v.id) // ["even"]
 */
export function judgeConditions(sheet: Sheet, layout: PackLayout): Verdict[] {
  return [
    judgeOil(sheet),
    judgeStartHeat(sheet),
    judgeCaliper(sheet, layout),
    judgeJudder(layout),
    judgeEvenness(sheet),
    judgeTakeUp(sheet),
    judgeInstallGap(sheet),
    judgeGain(sheet),
    judgeOwnRatio(sheet),
  ].flatMap((v) => v ?? []);
}

const rpm = (value: number) => ({ value, quantity: 'speed' }) as const;

function judgeOil({ job }: Sheet): Verdict | undefined {
  if (job.intake.oil !== 'frictionModified') return undefined;
  return {
    id: 'oil',
    state: 'watch',
    title: 'Oil not meant for wet clutches',
    figures: ['reserveWithTangs'],
    sentence: say`Friction-modified oil leaves about ${{ value: FRICTION_MODIFIED, quantity: 'share' }} of the lining’s friction; all figures here count with that. Change to an oil for wet clutches (JASO MA or MA2), and the linings may need changing with it.`,
  };
}

/** A start that comes to no heat, because the clutch never locks or the engine stalls. */
function judgeStartHeat(sheet: Sheet): Verdict | undefined {
  const heat = sheet.outcomes.get('startHeat');
  return heat?.status === 'unknown' && heat.cause
    ? {
        id: 'heat',
        state: 'stop',
        title: 'The start described fails',
        figures: ['startHeat'],
        sentence: say`In the start described under Torque, ${heat.cause}`,
      }
    : undefined;
}

function judgeCaliper(sheet: Sheet, { layers }: PackLayout): Verdict | undefined {
  const measured = layers.some((l) => l.measured);
  const difference = sheet.known('caliperDifference');
  const allowance = sheet.valueAt('pack.caliperAllowance');
  if (!difference || allowance === undefined) return undefined;
  const base = { id: 'caliper', figures: ['caliperDifference', 'stack'] } as const;
  if (difference.value > allowance + 1e-6) {
    return {
      ...base,
      state: 'watch',
      title: 'Caliper reads more than the plates',
      sentence: say`The caliper reads ${length(difference.value)} more than the plates add up to; ${length(allowance)} is allowed: a plate is warped, burred or doubled.`,
    };
  }
  if (difference.value < -allowance - 1e-6) {
    return {
      ...base,
      state: 'watch',
      title: 'Caliper reads less than the plates',
      sentence: say`The caliper reads ${length(-difference.value)} less than the plates add up to: a plate is missing, or ${measured ? 'one is measured too thick' : 'the plates are thinner than new'}.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Caliper and plates agree',
    sentence: say`The caliper over the pack and the sum of the plates differ by ${length(Math.abs(difference.value))}.`,
  };
}

/**
 * A disc that carries a judder spring in its bore needs a larger bore than the discs that do not.
 * @example judderWithoutRoom(layout).length // 0
 */
export function judderWithoutRoom(layout: PackLayout): PackLayer[] {
  const plain = layout.layers.filter((l) => l.lined !== 'none' && !l.plate.judder);
  const usual = Math.min(...plain.map((l) => l.innerRadius ?? Infinity));
  return layout.layers.filter(
    (l) =>
      l.plate.judder &&
      (l.lined === 'none' ||
        (l.innerRadius !== undefined && Number.isFinite(usual) && l.innerRadius <= usual + 1e-6)),
  );
}

function judgeJudder(layout: PackLayout): Verdict | undefined {
  const pairs = layout.layers.filter((l) => l.plate.judder);
  if (pairs.length === 0) return undefined;
  const [first] = judderWithoutRoom(layout);
  const base = { id: 'judder', figures: ['stack'] } as const;
  if (first) {
    return {
      ...base,
      state: 'stop',
      title: 'No room for the judder spring',
      sentence:
        first.lined === 'none'
          ? say`Plate ${count(first.number)} is no friction disc: a judder spring and its seat lie in the bore of one.`
          : say`Plate ${count(first.number)} has no larger bore than the other discs: the judder spring and its seat would be clamped and the pack would never close.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: pairs.length === 1 ? 'Judder spring in its disc' : 'Judder springs in their discs',
    sentence: say`${count(pairs.length)} judder ${pairs.length === 1 ? 'pair lies' : 'pairs lie'} in the bore of a disc, with no share in the stack.`,
  };
}

function judgeEvenness(sheet: Sheet): Verdict | undefined {
  const least = sheet.known('liftLeast');
  const tilt = sheet.known('liftTilt');
  const needed = sheet.known('liftNeeded');
  const base = {
    id: 'even',
    figures: ['liftTilt', 'liftAcross', 'liftResidual', 'liftLeast', 'liftHad'],
  } as const;
  const open = sheet.outcomes.get('liftLeast');
  if (!least || !tilt) {
    return open?.status === 'unknown'
      ? {
          ...base,
          state: 'unknown',
          title: 'Evenness of lift not known yet',
          sentence: say`Dial readings at three angles round the plate or more are needed: two fix no plane.`,
        }
      : undefined;
  }
  const across = sheet.known('liftAcross')?.value ?? 2 * tilt.value;
  const residual = sheet.known('liftResidual')?.value ?? 0;
  if (sheet.job.release.liftReadings.every(({ lift }) => (lift?.value ?? 0) === 0))
    return {
      ...base,
      state: 'stop',
      title: 'Does not lift',
      sentence: say`Every reading round the plate is 0: it does not lift at all.`,
    };
  if (residual > tilt.value && residual >= DIAL_READS)
    return {
      ...base,
      state: 'watch',
      title: 'Pressure plate bent',
      sentence: say`The readings lie ${length(residual)} off any flat plane, more than the tilt of ${length(tilt.value)}: the plate is bent rather than tilted. Check it on a surface plate.`,
    };
  if (!needed) return undefined;
  const tilts = say`A dial shows ${length(across)} across the plate (${length(tilt.value)} either way of the mean)`;
  if (least.value + 1e-4 < needed.value && across >= DIAL_READS) {
    const short = needed.value - least.value;
    const mean = sheet.known('liftHad');
    return {
      ...base,
      state: mean && mean.value >= needed.value ? 'stop' : 'watch',
      title: 'Lifts on one side',
      sentence: [
        ...tilts,
        ...say`: the low side lifts ${length(least.value)}, ${length(short)} less than needed, and drags there. Take the springs out and lift by thumb: still tilted, the pushrod’s seat is out of square; true, the springs differ.`,
      ],
    };
  }
  return {
    ...base,
    state: 'good',
    title: across < DIAL_READS ? 'Lifts evenly' : 'Lifts evenly enough',
    sentence:
      across < DIAL_READS
        ? say`The plate lifts ${length(least.value)} all round.`
        : [...tilts, ...say`; the low side still lifts ${length(least.value)}.`],
  };
}

/** What a dial tells apart, mm. Design estimate. */
const DIAL_READS = 0.01;

function judgeTakeUp(sheet: Sheet): Verdict | undefined {
  const contact = sheet.known('expandContact');
  const lock = sheet.known('expandLockUp');
  if (!sheet.job.expanding.fitted) return undefined;
  const base = { id: 'auto', figures: ['expandContact', 'expandLockUp'] } as const;
  const idle = sheet.valueAt('engine.idleRpm');
  if (!contact || !lock) {
    const open = sheet.outcomes.get('expandContact');
    return open?.status === 'unknown'
      ? {
          ...base,
          state: open.cause ? 'stop' : 'unknown',
          title: open.cause ? 'The disc never takes up' : 'Take-up not known yet',
          sentence: [open.reason],
        }
      : undefined;
  }
  if (idle === undefined) {
    return {
      ...base,
      state: 'unknown',
      title: 'Take-up not judged yet',
      sentence: say`Idle is needed to judge first contact at ${rpm(contact.value)}.`,
    };
  }
  if (contact.value <= idle) {
    return {
      ...base,
      state: 'stop',
      figures: ['expandContact'],
      title: 'Creeps at idle',
      sentence: say`The expanding disc touches at ${rpm(contact.value)}, below idle at ${rpm(idle)}: the machine creeps with the lever out. A wider gap or stronger return springs raise it.`,
    };
  }
  if (contact.value < idle * (1 + IDLE_MARGIN)) {
    return {
      ...base,
      state: 'watch',
      figures: ['expandContact'],
      title: 'Takes up close to idle',
      sentence: say`The expanding disc touches at ${rpm(contact.value)}, little above idle at ${rpm(idle)}: a cold fast idle makes it creep.`,
    };
  }
  const peak = sheet.valueAt('engine.peakTorqueRpm');
  if (peak !== undefined && lock.value > peak) {
    return {
      ...base,
      state: 'watch',
      figures: ['expandLockUp'],
      title: 'Locks up late',
      sentence: say`The expanding disc locks up at ${rpm(lock.value)}, above peak torque at ${rpm(peak)}: it slips where the engine pulls hardest.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Takes up clear of idle',
    sentence: say`The expanding disc touches at ${rpm(contact.value)}, clear of idle at ${rpm(idle)}, and locks up at ${rpm(lock.value)}.`,
  };
}

function judgeInstallGap(sheet: Sheet): Verdict | undefined {
  const gap = sheet.valueAt('setting.installGap');
  const min = sheet.valueAt('setting.gapMin');
  const max = sheet.valueAt('setting.gapMax');
  if (!sheet.job.expanding.fitted || gap === undefined) return undefined;
  if ((min === undefined && max === undefined) || (min ?? 0) > (max ?? Infinity)) return undefined;
  const { margin, side } = checkWindow(gap, min, max);
  const base = { id: 'installGap', figures: ['expandContact'] } as const;
  return margin >= 0
    ? {
        ...base,
        state: 'good',
        title: 'Install gap in its window',
        sentence: say`The install gap of ${length(gap)} lies in its window, ${length(margin)} from the nearer edge.`,
      }
    : {
        ...base,
        state: 'stop',
        title: side === 'above' ? 'Install gap too wide' : 'Install gap too narrow',
        sentence:
          side === 'above'
            ? say`The install gap of ${length(gap)} misses its window by ${length(-margin)}: the disc takes up late or never, and slips.`
            : say`The install gap of ${length(gap)} misses its window by ${length(-margin)}: the disc drags and the machine creeps.`,
      };
}

function judgeGain(sheet: Sheet): Verdict | undefined {
  const { job } = sheet;
  const target = sheet.valueAt('setting.targetGain');
  const readings = gainReadings(job);
  const last = readings.at(-1);
  if (!job.expanding.fitted) return undefined;
  const base = { id: 'gain', figures: ['leverGain', 'overallRatio'] } as const;
  const worked = sheet.known('leverGain')?.value;
  const has = sheet.valueAt('release.leverTravel');
  if (!last && worked !== undefined && has !== undefined && worked >= has) {
    return {
      ...base,
      state: 'watch',
      title: 'The disc takes all of the lever',
      sentence: say`Fully out, the disc would give the lever a gain of ${travel(worked)}, and it travels ${travel(has)}: turning fast, the lever frees nothing. A wider gap leaves more of it.`,
    };
  }
  if (!last || target === undefined) return undefined;
  const gains = say`The lever gains ${travel(last.gain)}, aimed at ${travel(target)}`;
  const stands = standsAt(job);
  const here = stands === undefined || Math.abs(stands - last.turns) < 1e-6;
  if (Math.abs(last.gain - target) <= GAIN_READS) {
    if (here && worked !== undefined && contradicts(last.gain, worked))
      return {
        ...base,
        state: 'watch',
        title: 'Lever gain is not what the gap gives',
        sentence: [
          ...gains,
          ...say`; growth, gap and ratio give ${travel(worked)}. One of the three, or the reading, is wrong.`,
        ],
      };
    return { ...base, state: 'good', title: 'Lever gain on target', sentence: [...gains, '.'] };
  }
  const adjuster = adjusterOf(job);
  const given = sheet.known('overallRatio')?.value;
  if (!adjuster || given === undefined) {
    return {
      ...base,
      state: 'unknown',
      title: 'Lever gain off target',
      sentence: [
        ...gains,
        '. Adjuster pitch, lever travel and lift are needed to say how far to turn.',
      ],
    };
  }
  try {
    const { kind, turning, from } = adviseGain(adjuster, readings, target, given);
    if (turning.direction === 'leave') {
      return {
        ...base,
        state: 'good',
        title: 'Lever gain as near as the adjuster sets it',
        sentence: [
          ...gains,
          `: less than half a mark of the adjuster too ${last.gain > target ? 'much' : 'little'}.`,
        ],
      };
    }
    const whose =
      from === 'measured ratio'
        ? 'by this machine’s own ratio from two readings'
        : 'by the train’s ratio';
    return {
      ...base,
      state: 'watch',
      title: last.gain > target ? 'Lever gains too much' : 'Lever gains too little',
      sentence: [
        ...gains,
        `: ${turning.direction} the gap by ${turningWords(turning)}${kind === 'bound' ? ' or more' : ''}, ${whose}.`,
      ],
    };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return {
      ...base,
      state: 'unknown',
      title: 'Lever gain can’t be judged',
      sentence: [domainSentence(error)],
    };
  }
}

/** A gain as read and one worked out that differ by more than this share of it contradict each other. Design estimate. */
const GAIN_DIFFERS = 0.3;

const contradicts = (read: number, worked: number): boolean =>
  Math.abs(read - worked) > Math.max(2 * GAIN_READS, GAIN_DIFFERS * worked);

/** A learned ratio that differs from the train's by more than this share is asked about. Design estimate. */
const RATIO_DIFFERS = 0.3;

function judgeOwnRatio(sheet: Sheet): Verdict | undefined {
  const own = sheet.known('ownRatio');
  const train = sheet.known('overallRatio');
  if (!own || !train || Math.abs(own.value / train.value - 1) <= RATIO_DIFFERS) return undefined;
  const ratio = (value: number) => ({ value, quantity: 'ratio', decimals: 1 }) as const;
  return {
    id: 'ownRatio',
    state: 'watch',
    title: 'Ratio from the readings differs',
    figures: ['ownRatio', 'overallRatio'],
    sentence: say`The two gain readings give a ratio of ${ratio(own.value)}; the release train gives ${ratio(train.value)}. Check both readings, the turns between them and the adjuster’s pitch.`,
  };
}
