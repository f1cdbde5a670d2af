import { force, length, say, travel } from '@/core/text/sentence';
import { placeEvenly, springResultant } from '../../springs/circle';
import { Dice } from '../dice';
import { numberQuestion, right, wrong } from '../marking';
import type { Exercise, RingQuestion } from '../model';

/**
 * Two kinds of spring for one ring.
 * @example unevenSprings(7).questions.length // 2
 */
export function unevenSprings(seed: number): Exercise {
  const dice = new Dice(seed);
  const places = dice.pick([6, 8]);
  const radius = dice.real(34, 44, 1);
  const hard = dice.whole(24, 30) * 10;
  const soft = hard - dice.whole(2, 6) * 10;
  const found = springResultant(
    placeEvenly(
      Array.from({ length: places }, (_, i) => (i < places / 2 ? hard : soft)),
      radius,
    ),
  );
  const forceOf: Readonly<Record<string, number>> = { hard, soft };
  const ring: RingQuestion = {
    kind: 'ring',
    id: 'ring',
    ask: say`Place them so that the plate lifts square.`,
    places,
    kinds: [
      { id: 'hard', label: say`Hard, ${force(hard)}` },
      { id: 'soft', label: say`Soft, ${force(soft)}` },
    ],
    solution: Array.from({ length: places }, (_, i) => (i % 2 === 0 ? 'hard' : 'soft')),
    mark(kindAt) {
      const of = (kind: string) => kindAt.filter((k) => k === kind).length;
      if (kindAt.length !== places || of('hard') !== places / 2 || of('soft') !== places / 2)
        return wrong(say`There are ${String(places / 2)} of each.`);
      const { offset, direction } = springResultant(
        placeEvenly(
          kindAt.map((k) => forceOf[k] ?? 0),
          radius,
        ),
      );
      return offset < 1e-6
        ? right(say`The spring force is centred.`)
        : wrong(
            say`The spring force is ${length(offset)} off centre, toward ${direction.toFixed(0)}°: the plate tilts.`,
          );
    },
  };
  return {
    story: [
      say`A set of ${String(places / 2)} hard springs of ${force(hard)} and ${String(places / 2)} soft springs of ${force(soft)}, on a ring of ${travel(radius)} radius. The last builder fitted the hard ones side by side; the plate lifts unevenly.`,
    ],
    questions: [
      numberQuestion({
        id: 'offset',
        ask: say`How far off centre was the spring force?`,
        spec: { quantity: 'length', bounds: { min: 0, max: 100 } },
        expected: found.offset,
        tolerance: Math.max(0.02, found.offset * 0.03),
        reason: say`|Σ F·r| ÷ Σ F is ${length(found.offset)}, toward the hard side.`,
      }),
      ring,
    ],
  };
}
