import { evaluate } from '../../evaluate/evaluate';
import { length, say } from '@/core/text/sentence';
import { staysIn } from '../../inspect/decisions';
import { inspect } from '../../inspect/inspect';
import { entry } from '../../job/entry';
import { Dice } from '../dice';
import { benchJob, kitOf } from '../kit';
import { manyQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

const BLADES = [0.05, 0.1, 0.15, 0.2, 0.25] as const;

/**
 * New discs on the bench, and steels of which some are warped.
 * @example judgeSteels(7).questions.length // 2
 */
export function judgeSteels(seed: number): Exercise {
  const dice = new Dice(seed);
  const kit = { ...kitOf(dice), discs: 6 };
  const limit = dice.pick([0.1, 0.15]);
  const warps = dice.until(
    () =>
      Array.from({ length: kit.discs - 1 }, () =>
        dice.pick([0.02, 0.03, 0.07, 0.08, 0.12, 0.17, 0.22]),
      ),
    (made) => {
      const out = made.filter((w) => w > limit).length;
      return out >= 1 && out <= 3;
    },
  );
  const plain = benchJob(kit);
  const steels = plain.pack.plates.filter((p) => p.kindId === 'steel');
  const job = {
    ...plain,
    inspection: { ...plain.inspection, steelWarpLimit: entry(limit) },
    pack: {
      ...plain.pack,
      plates: plain.pack.plates.map((p) => {
        const warp = warps[steels.indexOf(p)];
        return warp === undefined ? { ...p, isNew: true } : { ...p, outOfFlat: entry(warp) };
      }),
    },
  };
  const { parts } = inspect(job, evaluate(job));
  const going = steels
    .filter((p) => parts.some((part) => part.id === p.id && !staysIn(part.decision)))
    .map((p) => p.id);
  const name = (id: string) => `Steel ${steels.findIndex((s) => s.id === id) + 1}`;
  return {
    story: [
      say`The worn discs are out; a new set is ready. The manual allows ${length(limit)} out-of-flat for a steel.`,
      say`Each steel is on the surface plate. Try the feeler gauges under its edge.`,
    ],
    bench: {
      shape: 'list',
      gauge: 'Surface plate and feeler gauges',
      parts: steels.map((p, i) => ({
        id: p.id,
        name: name(p.id),
        spots: BLADES.map((blade) => ({
          id: blade.toFixed(2),
          label: `${blade.toFixed(2)} mm`,
          shows: (warps[i] ?? 0) >= blade ? say`passes` : say`does not pass`,
        })),
      })),
    },
    questions: [
      manyQuestion({
        id: 'which',
        ask: say`Which steels must be replaced?`,
        options: steels.map((p) => ({ id: p.id, label: say`${name(p.id)}` })),
        expected: going,
        reason: say`The ${length(limit)} gauge passes under ${going.map(name).join(', ')}: beyond the limit.`,
      }),
      oneQuestion({
        id: 'build',
        ask: say`What do you fit?`,
        options: [
          { id: 'allOld', label: say`The new discs with all the old steels: they will bed in` },
          { id: 'changed', label: say`The new discs, with every warped steel replaced` },
          { id: 'oldDiscs', label: say`New steels with the old discs, to save the set` },
        ],
        expected: 'changed',
        reason: say`A warped steel wears new discs to its shape, drags, and chatters.`,
        not: {
          allOld: say`New discs are not fitted against warped steels.`,
          oldDiscs: say`Discs that have worn to warped steels do not run on new ones.`,
        },
      }),
    ],
  };
}
