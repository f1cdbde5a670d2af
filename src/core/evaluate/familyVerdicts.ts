import type { Job } from '../job/types';
import type { Band } from '../pack/bands';
import { bandsAt } from '../pack/bands';
import type { WindowCheck } from '../pack/stack';
import { checkWindow } from '../pack/stack';
import { RETAINED_SHARE } from '../release/retention';
import { GAP_READ } from '../springs/loose';
import type { Mm } from '../units/quantity';
import { length, say } from './sentence';
import type { Sheet } from './sheet';
import type { Verdict } from './verdict';
import { IDLE_MARGIN } from './verdict';

/**
 * Verdicts that only some families or records call for; each is absent where it does not apply.
 * @example judgeFamily(workOut(loose).sheet).map((v) => v.id) // ["gap", "ring", "retention"]
 */
export function judgeFamily(sheet: Sheet): Verdict[] {
  return [
    judgeGap,
    judgeGapRead,
    judgeStep,
    judgeRing,
    (sheet: Sheet) => judgeRetention(sheet, 'retention'),
    (sheet: Sheet) => judgeRetention(sheet, 'basketRetention'),
    judgeStart,
    judgeWear,
  ].flatMap((judge) => judge(sheet) ?? []);
}

/** Off-centre force, as mm, from which a plate tilts enough to feel. Design estimate. */
const OFFSET_WATCH = 0.5;
const OFFSET_STOP = 1.5;

/** Where a plate gap lies against its window; nothing where no window is entered, or one that contradicts itself. */
function gapWindow(sheet: Sheet, gap: Mm): WindowCheck | undefined {
  const min = sheet.valueAt('springs.loose.gapMin');
  const max = sheet.valueAt('springs.loose.gapMax');
  if ((min === undefined && max === undefined) || (min ?? 0) > (max ?? Infinity)) return undefined;
  return checkWindow(gap, min, max);
}

function judgeGap(sheet: Sheet): Verdict | undefined {
  const gap = sheet.known('plateGap');
  const window = gap && gapWindow(sheet, gap.value);
  if (!gap || !window) return undefined;
  const { margin, side } = window;
  const base = { id: 'gap', figures: ['plateGap'] } as const;
  if (margin >= 0) {
    return {
      ...base,
      state: 'good',
      title: 'Plate gap in its window',
      sentence: say`The plate gap of ${length(gap.value)} lies in its window, ${length(margin)} from the nearer edge.`,
    };
  }
  const mend =
    side === 'above'
      ? 'thicker plates, a spacer pair or a disc more'
      : 'thinner plates or a disc less';
  return {
    ...base,
    state: 'stop',
    title: side === 'above' ? 'Plate gap too wide' : 'Plate gap too narrow',
    sentence: say`The plate gap of ${length(gap.value)} misses its window by ${length(-margin)}: ${mend} mend it.`,
  };
}

/** Readings round the plates may differ by this. Design estimate. */
const GAP_UNEVEN: Mm = 0.1;

/** The gap as it was read, held against its window and against what the plates give. */
function judgeGapRead(sheet: Sheet): Verdict | undefined {
  if (sheet.job.springs.type !== 'loose') return undefined;
  const read = GAP_READ.flatMap((path) => sheet.valueAt(path) ?? []);
  if (read.length === 0) return undefined;
  const base = { id: 'gapRead', figures: ['plateGap'] } as const;
  const spread = Math.max(...read) - Math.min(...read);
  if (spread > GAP_UNEVEN + 1e-9)
    return {
      ...base,
      state: 'watch',
      title: 'Plate gap uneven',
      sentence: say`The gap that was read differs by ${length(spread)} round the plates, more than ${length(GAP_UNEVEN)}: a nut that is not home, or a spring beside its pocket.`,
    };
  const mean = read.reduce((sum, g) => sum + g, 0) / read.length;
  const margin = gapWindow(sheet, mean)?.margin ?? 0;
  if (margin < 0)
    return {
      ...base,
      state: 'stop',
      title: 'Plate gap as read misses its window',
      sentence: say`The gap was read as ${length(mean)}, ${length(-margin)} outside its window.`,
    };
  const worked = sheet.known('plateGap');
  const allowed = sheet.valueAt('pack.caliperAllowance') ?? 0;
  if (worked && Math.abs(mean - worked.value) > allowed + 1e-9)
    return {
      ...base,
      state: 'watch',
      title: 'Plate gap is not what the plates give',
      sentence: say`The gap was read as ${length(mean)}; the plates give ${length(worked.value)}: a plate is doubled or missing, a nut is not home, or the span is another.`,
    };
  return {
    ...base,
    state: 'good',
    title: 'Plate gap read',
    sentence: say`The gap was read as ${length(mean)}, within ${length(spread)} all round.`,
  };
}

/**
 * The retainer's bands, as far as both edges are entered.
 * @example bandsOf(quad).length // 3
 */
export function bandsOf(job: Job): Band[] {
  return job.springs.diaphragm.steps.flatMap(({ id, bandMin, bandMax }) =>
    bandMin && bandMax && bandMin.value <= bandMax.value
      ? [{ step: id, min: bandMin.value, max: bandMax.value }]
      : [],
  );
}

function judgeStep(sheet: Sheet): Verdict | undefined {
  const { type, diaphragm } = sheet.job.springs;
  const stack = sheet.known('stack');
  const bands = bandsOf(sheet.job);
  if (type !== 'diaphragm' || !stack || bands.length === 0) return undefined;
  const base = { id: 'step', figures: ['stack', 'deflection'] } as const;
  const name = (id: string) => diaphragm.steps.find((s) => s.id === id)?.name || id;
  const allowed = bandsAt(stack.value, bands);
  const names = allowed.map((b) => name(b.step)).join(' and ');
  if (allowed.length === 0) {
    return {
      ...base,
      state: 'stop',
      title: 'No step for this stack',
      sentence: say`The stack of ${length(stack.value)} falls in the band of no retainer step.`,
    };
  }
  const current = diaphragm.stepId;
  if (current === undefined || !diaphragm.steps.some((s) => s.id === current)) {
    return {
      ...base,
      state: 'unknown',
      title: 'Step not chosen',
      sentence: say`The stack of ${length(stack.value)} asks for step ${names}.`,
    };
  }
  if (!allowed.some((b) => b.step === current)) {
    return {
      ...base,
      state: 'stop',
      title: 'Wrong retainer step',
      sentence: say`Step ${name(current)} is set; the stack of ${length(stack.value)} asks for step ${names}.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Step suits the stack',
    sentence:
      allowed.length > 1
        ? say`The stack of ${length(stack.value)} lies on the edge of two bands: steps ${names} are both allowed.`
        : say`Step ${name(current)} is the one for a stack of ${length(stack.value)}.`,
  };
}

function judgeRing(sheet: Sheet): Verdict | undefined {
  const offset = sheet.known('springOffset');
  if (!offset) return undefined;
  const base = { id: 'ring', figures: ['springOffset'] } as const;
  if (offset.value < OFFSET_WATCH) {
    return {
      ...base,
      state: 'good',
      title: 'Springs press centred',
      sentence: say`The springs press ${length(offset.value)} off centre.`,
    };
  }
  return {
    ...base,
    state: offset.value < OFFSET_STOP ? 'watch' : 'stop',
    title: 'Springs press off centre',
    sentence: say`The springs press ${length(offset.value)} off centre, so the plate lifts on one side: let the kinds alternate evenly.`,
  };
}

const HOLDERS = {
  retention: { name: 'spline', cure: ' A spacer pair under it moves it inward.' },
  basketRetention: { name: 'basket’s fingers', cure: '' },
} as const;

function judgeRetention(sheet: Sheet, id: keyof typeof HOLDERS): Verdict | undefined {
  const held = sheet.known(id);
  if (!held) return undefined;
  const { name, cure } = HOLDERS[id];
  const base = { id, figures: [id] } as const;
  const share = { value: held.value, quantity: 'share' } as const;
  const wanted = { value: RETAINED_SHARE, quantity: 'share' } as const;
  if (held.value >= RETAINED_SHARE)
    return {
      ...base,
      state: 'good',
      title: `Plates stay on the ${name}`,
      sentence: say`At full lift every plate holds the ${name} with ${share} of its thickness or more.`,
    };
  return {
    ...base,
    state: 'stop',
    title: `A plate leaves the ${name}`,
    sentence:
      held.value < 0
        ? say`At full lift a plate is off the ${name} (${share} of its thickness); ${wanted} is wanted.${cure}`
        : say`At full lift a plate holds the ${name} with ${share} of its thickness; ${wanted} is wanted.${cure}`,
  };
}

function judgeStart(sheet: Sheet): Verdict | undefined {
  const contact = sheet.known('startContact');
  const idle = sheet.valueAt('engine.idleRpm');
  if (!contact || idle === undefined) return undefined;
  const base = { id: 'start', figures: ['startContact', 'startHolding'] } as const;
  const at = { value: contact.value, quantity: 'speed' } as const;
  const idles = { value: idle, quantity: 'speed' } as const;
  if (contact.value <= idle) {
    return {
      ...base,
      state: 'stop',
      title: 'Creeps at idle',
      sentence: say`The start clutch touches at ${at}, below idle at ${idles}: the machine creeps.`,
    };
  }
  if (contact.value < idle * (1 + IDLE_MARGIN)) {
    return {
      ...base,
      state: 'watch',
      title: 'Start clutch touches close to idle',
      sentence: say`The start clutch touches at ${at}, little above idle at ${idles}: a cold fast idle makes it creep.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Start clutch clear of idle',
    sentence: say`The start clutch touches at ${at}, clear of idle at ${idles}.`,
  };
}

function judgeWear(sheet: Sheet): Verdict | undefined {
  const thin = thinnest(sheet.job);
  if (thin) {
    return {
      id: 'wear',
      state: 'stop',
      title: 'A plate below its limit',
      figures: ['packWear'],
      sentence: say`Plate ${String(thin.number)} measures ${length(thin.least)}, below its limit of ${length(thin.limit)}.`,
    };
  }
  const wear = sheet.known('packWear');
  const limit = sheet.valueAt('pack.maxWear');
  if (!wear || limit === undefined) return undefined;
  const base = { id: 'wear', figures: ['packWear'] } as const;
  return wear.value > limit
    ? {
        ...base,
        state: 'stop',
        title: 'Pack worn past its limit',
        sentence: say`The pack has worn ${length(wear.value)}; its limit is ${length(limit)}.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Pack wear in its limit',
        sentence: say`The pack has worn ${length(wear.value)} of ${length(limit)}.`,
      };
}

/** The plate that lies furthest below its own limit, by its least reading. */
function thinnest(job: Job): { number: number; least: number; limit: number } | undefined {
  const kinds = new Map(job.pack.kinds.map((k) => [k.id, k]));
  let worst: { number: number; least: number; limit: number } | undefined;
  job.pack.plates.forEach((plate, i) => {
    const limit = kinds.get(plate.kindId)?.minThickness?.value;
    if (limit === undefined || !plate.readings) return;
    const least = Math.min(...Object.values(plate.readings).map((r) => r.value));
    if (least < limit && (!worst || least - limit < worst.least - worst.limit))
      worst = { number: i + 1, least, limit };
  });
  return worst;
}
