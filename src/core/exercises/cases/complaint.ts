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

/** Whether a pack holds and releases, by its own verdicts. */
function verdictsOf(job: Job): { readonly holds: boolean; readonly releases: boolean } {
  const { verdicts } = evaluate(job);
  const good = (id: 'holds' | 'releases') =>
    verdicts.some((v) => v.id === id && v.state === 'good');
  return { holds: good('holds'), releases: good('releases') };
}

/**
 * A complaint with measurements: find the fix.
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
  const reported: Record<Sort, Sentence> = {
    drags: say`It creeps in gear with the lever in, and neutral is hard to find.`,
    slips: say`On a loaded pull in a high gear, engine speed rises ahead of the wheel.`,
    both: say`It creeps with the lever in, and slips on a pull.`,
  };
  const held = say`Torque reserve ${times(reserve)} × at worst-case friction.`;
  const freed = say`Lift ${length(lift)}, required ${length(needed)}.`;
  return {
    story: [reported[sort], [...held, ' ', ...freed]],
    questions: [
      oneQuestion({
        id: 'cause',
        ask: say`What do the figures show?`,
        options: [
          { id: 'lift', label: say`It holds but does not release` },
          { id: 'clamp', label: say`It releases but does not hold` },
          { id: 'both', label: say`It neither holds nor releases` },
        ],
        expected,
        reason: [...held, ' ', ...freed],
      }),
      oneQuestion({
        id: 'cure',
        ask: say`What is the fix?`,
        options: [
          { id: 'clamp', label: say`More clamp: stiffer springs, a step, one more disc` },
          { id: 'lift', label: say`More lift: find the lost travel` },
          { id: 'both', label: say`Both: more clamp, and the lost lift` },
          { id: 'discs', label: say`New discs of the same kind, then test` },
        ],
        expected,
        reason:
          expected === 'lift'
            ? say`The lift is ${length(needed - lift)} short; the torque reserve is enough.`
            : expected === 'clamp'
              ? say`The torque reserve is too low; the lift is enough.`
              : say`The lift is ${length(needed - lift)} short, and the torque reserve too low.`,
        not: {
          clamp: say`More clamp does not separate the plates: it only makes the lever heavier.`,
          lift: say`More lift does not raise the torque reserve: it only releases further.`,
          discs: say`New discs do not change the springs or the train.`,
        },
      }),
    ],
  };
}
