import { evaluate } from '../../evaluate/evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Sentence } from '@/core/text/sentence';
import { length, say, times } from '@/core/text/sentence';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { Dice } from '../dice';
import { benchJob, kitOf } from '../kit';
import { oneQuestion } from '../marking';
import type { Exercise } from '../model';

const SORTS = ['drags', 'slips', 'both'] as const;
type Sort = (typeof SORTS)[number];

/** Whether a pack holds and whether it lets go, by its own verdicts. */
function verdictsOf(job: Job): { readonly holds: boolean; readonly releases: boolean } {
  const { verdicts } = evaluate(job);
  const good = (id: 'holds' | 'releases') =>
    verdicts.some((v) => v.id === id && v.state === 'good');
  return { holds: good('holds'), releases: good('releases') };
}

/**
 * A complaint with its measurements: which cure it asks for.
 * @example complaint(7).questions.length // 2
 */
export function complaint(seed: number): Exercise {
  const dice = new Dice(seed);
  const sort: Sort = SORTS[dice.whole(0, SORTS.length - 1)] ?? 'drags';
  const job = dice.until(
    () => {
      const plain = benchJob(kitOf(dice));
      const [group] = plain.springs.coil.groups;
      const soft = sort === 'drags' ? dice.real(22, 30, 1) : dice.real(9, 17, 1);
      return {
        ...plain,
        springs: {
          ...plain.springs,
          coil: { ...plain.springs.coil, groups: group ? [{ ...group, rate: entry(soft) }] : [] },
        },
        release: {
          ...plain.release,
          lostTravel: entry(sort === 'slips' ? dice.real(0.3, 0.9, 0.1) : dice.real(3, 5.5, 0.1)),
          faceClearance: entry(0.08),
        },
      };
    },
    (made) => {
      const { holds, releases } = verdictsOf(made);
      return holds === (sort === 'drags') && releases === (sort === 'slips');
    },
  );
  const { figures } = evaluate(job);
  const value = (id: FigureId, which: 'value' | 'low' = 'value'): number => {
    const f = figures.get(id);
    return f?.status !== 'known'
      ? Number.NaN
      : which === 'low'
        ? (f.range?.low ?? f.value)
        : f.value;
  };
  const reserve = value('reserveWithTangs', 'low');
  const lift = value('liftHad');
  const needed = value('liftNeeded');
  const { holds, releases } = verdictsOf(job);
  const expected = holds ? 'lift' : releases ? 'clamp' : 'both';
  const told: Record<Sort, Sentence> = {
    drags: say`It creeps in gear with the lever in, and neutral is hard to find.`,
    slips: say`On a loaded pull in a high gear the engine runs away from the wheel.`,
    both: say`It creeps with the lever in, and runs away on a pull.`,
  };
  const held = say`At its weakest lining it holds ${times(reserve)} times the engine.`;
  const freed = say`It lifts ${length(lift)} and needs ${length(needed)}.`;
  return {
    story: [told[sort], [...held, ' ', ...freed]],
    questions: [
      oneQuestion({
        id: 'cause',
        ask: say`What do the figures say?`,
        options: [
          { id: 'lift', label: say`It holds, but does not let go` },
          { id: 'clamp', label: say`It lets go, but does not hold` },
          { id: 'both', label: say`It neither holds nor lets go` },
        ],
        expected,
        reason: [...held, ' ', ...freed],
      }),
      oneQuestion({
        id: 'cure',
        ask: say`What helps?`,
        options: [
          { id: 'clamp', label: say`More clamp: stiffer springs, a step, one more disc` },
          { id: 'lift', label: say`More lift: find what the train has lost` },
          { id: 'both', label: say`Both: more clamp, and the lift that was lost` },
          { id: 'discs', label: say`New discs of the same kind, and see` },
        ],
        expected,
        reason:
          expected === 'lift'
            ? say`The lift is ${length(needed - lift)} short; the clamp is enough.`
            : expected === 'clamp'
              ? say`The hold is too little; lift it has.`
              : say`The lift is ${length(needed - lift)} short, and the hold too little.`,
        not: {
          clamp: say`More clamp does not part the plates: it only makes the lever heavier.`,
          lift: say`More lift does not hold: it only lets go further.`,
          discs: say`New discs do not change the springs or the train.`,
        },
      }),
    ],
  };
}
