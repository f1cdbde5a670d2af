import type { Job } from '@/core/job/types';
import { RETAINED_SHARE } from '@/core/release/retention';
import { length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Verdict } from '@/core/evaluate/engine/verdict';

/**
 * The verdicts on plate engagement at full lift, and on plate thickness.
 * @example judgeRetained(workOut(loose).sheet).map((v) => v.id) // []
 */
export const judgeRetained = (sheet: Sheet): Verdict[] =>
  [
    judgeRetention(sheet, 'retention'),
    judgeRetention(sheet, 'basketRetention'),
    judgeWear(sheet),
  ].flatMap((v) => v ?? []);

const HOLDERS = {
  retention: { name: 'spline', cure: ' A spacer pair below it moves it inward.' },
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
      sentence: say`At full lift every plate engages the ${name} with at least ${share} of its thickness.`,
    };
  return {
    ...base,
    state: 'stop',
    title: `A plate leaves the ${name}`,
    sentence:
      held.value < 0
        ? say`At full lift a plate is off the ${name} (${share} of its thickness); ${wanted} is required.${cure}`
        : say`At full lift a plate engages the ${name} with ${share} of its thickness; ${wanted} is required.${cure}`,
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
        title: 'Pack wear within its limit',
        sentence: say`Pack wear ${length(wear.value)} of ${length(limit)}.`,
      };
}

/** The plate furthest below its own limit, by its lowest reading. */
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
