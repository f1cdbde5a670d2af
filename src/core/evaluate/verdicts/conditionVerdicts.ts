import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import { count, length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { FRICTION_MODIFIED } from '@/core/evaluate/figures/torqueTerms';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { REPEATS } from '@/core/evaluate/verdicts/settingVerdicts';

/**
 * Verdicts on the surroundings of the pack: oil, caliper reading, judder springs, described start, evenness.
 * @example judgeConditions(sheet, layout).map((v) => v.id) // ["even"]
 */
export function judgeConditions(sheet: Sheet, layout: PackLayout): Verdict[] {
  return [
    judgeOil(sheet),
    judgeStartHeat(sheet),
    judgeCaliper(sheet, layout),
    judgeJudder(layout),
    judgeEvenness(sheet),
  ].flatMap((v) => v ?? []);
}

function judgeOil({ job }: Sheet): Verdict | undefined {
  if (job.intake.oil !== 'frictionModified') return undefined;
  return {
    id: 'oil',
    state: 'watch',
    title: 'Wrong oil for a wet clutch',
    figures: ['reserveWithTangs'],
    sentence: say`Friction-modified oil leaves about ${{ value: FRICTION_MODIFIED, quantity: 'share' }} of the lining’s friction; all figures include this. Change to an oil for wet clutches (JASO MA or MA2); the discs may need replacing too.`,
  };
}

/** A start that comes to no heat, because the clutch never locks or the engine stalls. */
function judgeStartHeat(sheet: Sheet): Verdict | undefined {
  const heat = sheet.outcomes.get('startHeat');
  return heat?.status === 'unknown' && heat.cause
    ? {
        id: 'heat',
        state: 'stop',
        title: 'The described start fails',
        figures: ['startHeat'],
        sentence: say`In the start entered under Torque, ${heat.cause}`,
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
      title: 'Caliper reading above the sum of plates',
      sentence: say`The caliper reads ${length(difference.value)} above the sum of the plates; ${length(allowance)} is allowed. A plate is warped, burred or doubled.`,
    };
  }
  if (difference.value < -allowance - 1e-6) {
    return {
      ...base,
      state: 'watch',
      title: 'Caliper reading below the sum of plates',
      sentence: say`The caliper reads ${length(-difference.value)} below the sum of the plates: a plate is missing, or ${measured ? 'one reading is too large' : 'the plates are thinner than new'}.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Caliper and plates agree',
    sentence: say`Stack by caliper and sum of the plates differ by ${length(Math.abs(difference.value))}.`,
  };
}

/**
 * A disc that carries a judder spring in its bore needs a larger bore than the discs that do not.
 * @example misplacedJudder(layout).length // 0
 */
export function misplacedJudder(layout: PackLayout): PackLayer[] {
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
  const [first] = misplacedJudder(layout);
  const base = { id: 'judder', figures: ['stack'] } as const;
  if (first) {
    return {
      ...base,
      state: 'stop',
      title: 'No room for the judder spring',
      sentence:
        first.lined === 'none'
          ? say`Plate ${count(first.number)} is not a friction disc: a judder spring and its seat go in the bore of a disc.`
          : say`Plate ${count(first.number)} has no larger bore than the other discs: judder spring and seat would be clamped and the pack would never close.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: pairs.length === 1 ? 'Judder spring in its disc' : 'Judder springs in their discs',
    sentence: say`${count(pairs.length)} judder ${pairs.length === 1 ? 'pair' : 'pairs'} in the bore of a disc, not part of the stack.`,
  };
}

/** Share of its own lift from which a tilt is worth a word while the required lift is unknown or nowhere reached. Assumed value. */
const UNEVEN = 0.15;

/** Where the required lift does not decide, a tilt is compared with the lift itself. */
function unevenAlone(
  base: Pick<Verdict, 'id' | 'figures'>,
  least: number,
  across: number,
): Verdict | undefined {
  return across >= DIAL_READS && across > UNEVEN * (least + across)
    ? {
        ...base,
        state: 'watch',
        title: 'Lifts unevenly',
        sentence: say`A dial shows ${length(across)} across the plate; the low side lifts ${length(least)}. Remove the springs and lift by thumb: if it still tilts, the pushrod seat is out of square; if not, the springs differ.`,
      }
    : undefined;
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
          title: 'Evenness of lift not judged',
          sentence: say`At least three dial readings at different angles are needed: two do not define a plane.`,
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
      sentence: say`Every dial reading is 0: the plate does not lift at all.`,
    };
  if (residual > tilt.value && residual >= DIAL_READS)
    return {
      ...base,
      state: 'watch',
      title: 'Pressure plate bent',
      sentence: say`The readings deviate from a plane by ${length(residual)}, more than the tilt of ${length(tilt.value)}: the plate is bent rather than tilted. Check it on a surface plate.`,
    };
  if (!needed) return unevenAlone(base, least.value, across);
  const tilts = say`A dial shows ${length(across)} across the plate (± ${length(tilt.value)} about the mean)`;
  // A lift that is short all round is not uneven by that.
  if (least.value + tilt.value + 1e-4 < needed.value) {
    return (
      unevenAlone(base, least.value, across) ?? {
        ...base,
        state: 'good',
        title: 'Lifts evenly',
        sentence: [...tilts, ...say`: short all round, not on one side.`],
      }
    );
  }
  // A smaller difference may be in the pull, not in the plate.
  if (least.value + 1e-4 < needed.value && across > REPEATS) {
    const short = needed.value - least.value;
    return {
      ...base,
      state: 'stop',
      title: 'Lifts unevenly',
      sentence: [
        ...tilts,
        ...say`: the low side lifts ${length(least.value)}, ${length(short)} too little, and drags. Remove the springs and lift by thumb: if it still tilts, the pushrod seat is out of square; if not, the springs differ.`,
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

/** Resolution of a dial, mm. Assumed value. */
const DIAL_READS = 0.01;
