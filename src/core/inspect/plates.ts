import type { PackLayer } from '@/core/evaluate/engine/layers';
import { count, length, lowerFirst, say } from '@/core/text/sentence';
import { fieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';
import { readingsOf } from '../job/types';
import { summarizeReadings } from '../pack/stack';
import type { Decision, Reason } from './decisions';
import { EDGE } from './decisions';
import { limitSource } from './limitSource';
import { limitAt } from './limitAt';
import { SIGHT_NAME, sightRule } from './sights';

/** Share of the way from new to limit from which a disc is watched. Assumed value. */
const NEARLY_WORN = 0.75;
/** Minimum number of points for the taper of a disc. */
const ENOUGH_POINTS = 3;

/**
 * Judges one plate by its readings and visible damage, independent of other plates: see `rules.ts`.
 * @example judgePlate(job, layout.layers[0]).map((r) => r.decision) // ["keep"]
 */
export function judgePlate(job: Job, layer: PackLayer): Reason[] {
  const { plate, kind } = layer;
  if (plate.isNew) return [{ decision: 'keep', sentence: say`New.` }];
  const lined = kind.lined !== 'none';
  const reasons = [
    ...judgeThickness(job, layer),
    ...(lined ? judgeTaper(job, layer) : judgeFlatness(job, layer)),
    ...judgeTangs(job, layer),
    ...(plate.seen ?? []).map((sight): Reason => {
      const { decision, because } = sightRule(lined ? 'disc' : 'steel', sight);
      return { decision, sentence: say`${SIGHT_NAME[sight]}: ${lowerFirst(because)}` };
    }),
  ];
  return reasons;
}

function judgeThickness(job: Job, { plate, kind }: PackLayer): Reason[] {
  const values = readingsOf(plate).map((r) => r.value);
  const limitPath = fieldPath('pack.kinds.*.minThickness', kind.id);
  const limit = kind.minThickness?.value;
  const lined = kind.lined !== 'none';
  if (values.length === 0) {
    // A steel does not wear thin alone: its flatness decides.
    return lined || limit !== undefined
      ? [{ decision: 'open', sentence: say`Thickness not measured yet.` }]
      : [];
  }
  const { least } = summarizeReadings(values);
  if (limit === undefined) {
    return [
      {
        decision: lined ? 'open' : 'keep',
        sentence: lined
          ? say`Thinnest point ${length(least)}; a minimum thickness from the manual is needed to judge it.`
          : say`Measures ${length(least)}.`,
        ...(lined ? { missing: limitPath } : {}),
      },
    ];
  }
  const limitFrom = limitSource(job, limitPath);
  if (least < limit - EDGE) {
    return [
      {
        decision: 'change',
        limitFrom,
        sentence: say`Thinnest point ${length(least)}, below its limit of ${length(limit)}.`,
      },
    ];
  }
  const fresh = kind.thickness?.value;
  if (fresh !== undefined && fresh > limit) {
    const gone = (fresh - least) / (fresh - limit);
    if (gone >= NEARLY_WORN) {
      return [
        {
          decision: 'watch',
          limitFrom,
          sentence: say`Thinnest point ${length(least)}, only ${length(Math.max(0, least - limit))} above its limit of ${length(limit)}.`,
        },
      ];
    }
  }
  return [
    {
      decision: 'keep',
      limitFrom,
      sentence: say`Thinnest point ${length(least)}, ${length(least - limit)} above its limit.`,
    },
  ];
}

function judgeTaper(job: Job, { plate }: PackLayer): Reason[] {
  const values = readingsOf(plate).map((r) => r.value);
  const limit = limitAt(job, 'inspection.taperLimit');
  if (values.length === 0 || limit === undefined) return [];
  const { taper } = summarizeReadings(values);
  const limitFrom = limitSource(job, 'inspection.taperLimit');
  if (taper > limit + EDGE) {
    return [
      {
        decision: 'change',
        limitFrom,
        sentence: say`Taper ${length(taper)}, above ${length(limit)}: the disc drags.`,
      },
    ];
  }
  if (values.length < ENOUGH_POINTS) {
    return [
      {
        decision: 'watch',
        sentence: say`Measured at ${count(values.length)} ${values.length === 1 ? 'point' : 'points'} only: uneven wear may be missed.`,
      },
    ];
  }
  return [];
}

function judgeFlatness(job: Job, { plate, kind, thickness }: PackLayer): Reason[] {
  const out = plate.outOfFlat?.value;
  const limit = limitAt(job, 'inspection.steelWarpLimit');
  if (out === undefined) {
    return [{ decision: 'open', sentence: say`Flatness not checked yet.` }];
  }
  if (limit === undefined) return [];
  const limitFrom = limitSource(job, 'inspection.steelWarpLimit');
  if (out <= limit + EDGE)
    return [{ decision: 'keep', limitFrom, sentence: say`Flat within ${length(out)}.` }];
  const least = kind.minThickness?.value;
  const left = (thickness ?? 0) - out;
  const ground: Decision =
    kind.grindable && least !== undefined && thickness !== undefined && left >= least - EDGE
      ? 'grind'
      : 'change';
  return [
    {
      decision: ground,
      limitFrom,
      sentence:
        ground === 'grind'
          ? say`Out of flat by ${length(out)}, above ${length(limit)}; ground flat it keeps about ${length(left)}, minimum ${length(least ?? 0)}.`
          : say`Out of flat by ${length(out)}, above ${length(limit)}${kind.grindable ? ', and too thin to grind' : ''}.`,
    },
  ];
}

function judgeTangs(job: Job, { plate }: PackLayer): Reason[] {
  const play = plate.tangClearance?.value;
  if (play === undefined) return [];
  const min = limitAt(job, 'inspection.tangClearanceMin');
  const max = limitAt(job, 'inspection.tangClearanceMax');
  if (min !== undefined && play < min - EDGE) {
    return [
      {
        decision: 'change',
        limitFrom: limitSource(job, 'inspection.tangClearanceMin'),
        sentence: say`Tang clearance ${length(play)}, below ${length(min)}: the tangs bind.`,
      },
    ];
  }
  if (max !== undefined && play > max + EDGE) {
    return [
      {
        decision: 'change',
        limitFrom: limitSource(job, 'inspection.tangClearanceMax'),
        sentence: say`Tang clearance ${length(play)}, above ${length(max)}: worn.`,
      },
    ];
  }
  return min === undefined && max === undefined
    ? []
    : [{ decision: 'keep', sentence: say`Tang clearance ${length(play)}.` }];
}
