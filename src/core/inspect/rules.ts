import type { Evaluation } from '../evaluate/evaluate';
import type { State } from '@/core/evaluate/engine/figure';
import type { Sentence } from '@/core/text/sentence';
import { count, length, say } from '@/core/text/sentence';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';
import type { Decision } from './decisions';
import { staysIn } from './decisions';
import type { PartVerdict } from './partVerdict';
import { limitAt } from './limitAt';
import { SECONDARY_CAUSES } from './sights';

/** A finding of a rule across parts. */
export interface RuleFinding {
  readonly id: string;
  readonly state: State;
  readonly title: string;
  readonly sentence: Sentence;
  /** The affected parts, and the decision for them. */
  readonly partIds: readonly string[];
  readonly decision?: Decision;
}

type Rule = (
  job: Job,
  evaluation: Evaluation,
  parts: readonly PartVerdict[],
) => RuleFinding | undefined;

/**
 * Applies every rule that looks at more than one part.
 * @example findAcross(job, evaluate(job), []).length // 0
 */
export function findAcross(
  job: Job,
  evaluation: Evaluation,
  parts: readonly PartVerdict[],
): RuleFinding[] {
  const found = RULES.flatMap((rule) => rule(job, evaluation, parts) ?? []);
  return [...found, ...secondaryCauses(job, evaluation)];
}

const lined = (p: PartVerdict) => p.plate !== undefined && p.plate.lined !== 'none';
const steel = (p: PartVerdict) => p.plate?.lined === 'none';
const ids = (parts: readonly PartVerdict[]) => parts.map((p) => p.id);
/** A rejected part, or a new one in the pack: either way a new one will run. */
const becomesNew = (p: PartVerdict) =>
  p.plate?.plate.isNew === true || p.decision === 'change' || p.decision === 'scrap';

function warped(job: Job, p: PartVerdict): boolean {
  const limit = limitAt(job, 'inspection.steelWarpLimit');
  const out = p.plate?.plate.outOfFlat?.value;
  return steel(p) && limit !== undefined && out !== undefined && out > limit + 1e-6;
}

/** Discs that have run against a warped steel have worn to its shape: both go. */
const warpedTakesNeighbours: Rule = (job, _evaluation, parts) => {
  const bent = parts.filter((p) => warped(job, p) && p.decision !== 'grind');
  if (bent.length === 0) return undefined;
  const numbers = new Set(bent.map((p) => p.plate?.number ?? 0));
  const beside = parts.filter(
    (p) =>
      lined(p) &&
      !p.plate?.plate.isNew &&
      staysIn(p.decision) &&
      (numbers.has((p.plate?.number ?? 0) - 1) || numbers.has((p.plate?.number ?? 0) + 1)),
  );
  if (beside.length === 0) return undefined;
  return {
    id: 'warpedTakesNeighbours',
    state: 'stop',
    title: 'Replace discs with their warped steels',
    sentence: say`This disc ran against a steel warped beyond its limit and has worn to that shape: replace both.`,
    partIds: ids(beside),
    decision: 'change',
  };
};

/** New discs are not fitted against warped steels. */
const newAgainstWarped: Rule = (job, _evaluation, parts) => {
  const fresh = parts.filter((p) => lined(p) && becomesNew(p));
  const bent = parts.filter((p) => warped(job, p));
  if (fresh.length === 0 || bent.length === 0) return undefined;
  return {
    id: 'newAgainstWarped',
    state: 'stop',
    title: 'No new discs against warped steels',
    sentence: say`${count(fresh.length)} ${fresh.length === 1 ? 'disc is' : 'discs are'} new or to be replaced, and ${count(bent.length)} ${bent.length === 1 ? 'steel is' : 'steels are'} warped beyond ${length(limitAt(job, 'inspection.steelWarpLimit') ?? 0)}: new lining would burn on the high spots. Replace or grind the steels first.`,
    partIds: ids(bent),
  };
};

/** Wear beyond which a disc has taken the shape of the steels that it ran on, mm. Assumed value. */
const RUN_IN: number = 0.05;

/** New steels are not run with discs worn to the old steels' shape. */
const newSteelsOnOldDiscs: Rule = (_job, _evaluation, parts) => {
  const fresh = parts.filter((p) => steel(p) && becomesNew(p));
  const worn = parts.filter(
    (p) =>
      lined(p) &&
      staysIn(p.decision) &&
      !p.plate?.plate.isNew &&
      (p.plate?.kind.thickness?.value ?? 0) - (p.plate?.thickness ?? Infinity) > RUN_IN,
  );
  if (fresh.length === 0 || worn.length === 0) return undefined;
  return {
    id: 'newSteelsOnOldDiscs',
    state: 'watch',
    title: 'New steels against worn discs',
    sentence: say`${count(fresh.length)} ${fresh.length === 1 ? 'steel is' : 'steels are'} new or to be replaced, and ${count(worn.length)} ${worn.length === 1 ? 'disc has' : 'discs have'} worn to the shape of the old steels: contact is on high spots only until bedded in. Replace these discs too, or keep each against its own steel.`,
    partIds: ids(worn),
    decision: 'watch',
  };
};

/** Difference from the median of its kind beyond which a reading is doubted, mm. Assumed value. */
const UNLIKE: Mm = 0.4;
const ENOUGH_ALIKE = 3;

/** A figure that was mistyped, or a plate of another kind. */
const unlikeTheOthers: Rule = (_job, _evaluation, parts) => {
  const measured = parts.filter((p) => p.plate?.measured && !p.plate.plate.isNew);
  const unlike = [...new Set(measured.map((p) => p.plate?.kind.id))].flatMap((kindId) => {
    const alike = measured.filter((p) => p.plate?.kind.id === kindId);
    const heights = alike.map((p) => p.plate?.thickness ?? 0).sort((a, b) => a - b);
    const median = heights[Math.floor(heights.length / 2)] ?? 0;
    return alike.length < ENOUGH_ALIKE
      ? []
      : alike.filter((p) => Math.abs((p.plate?.thickness ?? 0) - median) > UNLIKE);
  });
  if (unlike.length === 0) return undefined;
  return {
    id: 'unlikeTheOthers',
    state: 'watch',
    title: 'Thickness unlike the other plates',
    sentence: say`Differs by more than ${length(UNLIKE)} from the other plates of its kind: measure again, or give it a kind of its own.`,
    partIds: ids(unlike),
    decision: 'watch',
  };
};

/** The wear of all discs together. */
const packWear: Rule = (job, { figures }, parts) => {
  const wear = figures.get('packWear');
  const limit = job.pack.maxWear?.value;
  if (wear?.status !== 'known' || limit === undefined || wear.value <= limit + 1e-6)
    return undefined;
  return {
    id: 'packWear',
    state: 'stop',
    title: 'Pack worn past its limit',
    sentence: say`Total pack wear is ${length(wear.value)}, more than ${length(limit)}: replace the pack, even if single discs pass.`,
    partIds: ids(parts.filter((p) => lined(p) && !p.plate?.plate.isNew)),
    decision: 'change',
  };
};

/**
 * Warns of a mixed set: rejected discs among worn ones.
 * @param parts with what every other rule has decided
 * @example findMixedSet([]).length // 0
 */
export function findMixedSet(parts: readonly PartVerdict[]): RuleFinding[] {
  const discs = parts.filter(lined);
  const out = discs.filter((p) => p.decision === 'change' || p.decision === 'scrap');
  const kept = discs.filter((p) => staysIn(p.decision) && !p.plate?.plate.isNew);
  if (out.length === 0 || kept.length === 0) return [];
  return [
    {
      id: 'mixedSet',
      state: 'watch',
      title: 'Discs are usually replaced as a set',
      sentence: say`${count(out.length)} of ${count(discs.length)} discs must be replaced; the ${kept.length === 1 ? 'one that passes is' : `${kept.length} that pass are`} worn too, and the stack would mix new and worn. Most makers require the whole set.`,
      partIds: ids(kept),
    },
  ];
}

/** Verdicts of the pack as it was measured. */
const packVerdict =
  (id: 'stack' | 'holds' | 'ring' | 'even'): Rule =>
  (_job, { verdicts }) => {
    const v = verdicts.find((x) => x.id === id);
    if (!v || (v.state !== 'watch' && v.state !== 'stop')) return undefined;
    return { id, state: v.state, title: v.title, sentence: v.sentence, partIds: [] };
  };

const RULES: readonly Rule[] = [
  unlikeTheOthers,
  warpedTakesNeighbours,
  newAgainstWarped,
  newSteelsOnOldDiscs,
  packWear,
  packVerdict('stack'),
  packVerdict('holds'),
  packVerdict('ring'),
  packVerdict('even'),
];

/** Findings on causes elsewhere, from damage. */
function secondaryCauses(job: Job, { layout }: Evaluation): RuleFinding[] {
  return SECONDARY_CAUSES.flatMap(({ on, sight, says }) => {
    const on_ =
      on === 'disc' || on === 'steel'
        ? layout.layers
            .filter(
              (l) => (l.lined === 'none') === (on === 'steel') && l.plate.seen?.includes(sight),
            )
            .map((l) => l.plate.id)
        : job.inspection.seen[on]?.includes(sight)
          ? [on]
          : [];
    return on_.length > 0
      ? [
          {
            id: `tale-${on}-${sight}`,
            state: 'watch' as const,
            title: 'Possible secondary cause',
            sentence: [says],
            partIds: on_,
          },
        ]
      : [];
  });
}
