import { say } from '@/core/text/sentence';
import { toBase, unitById } from '../../units/quantity';
import { crissCross } from '../../worksheet/boltCircle';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion, right, wrong } from '../marking';
import type { Exercise, ExerciseMark, OrderQuestion } from '../model';

/**
 * A circle of spring bolts, its torque in another unit, and the hub nut.
 * @example tighten(7).questions.length // 4
 */
export function tighten(seed: number): Exercise {
  const dice = new Dice(seed);
  const bolts = dice.pick([6, 8]);
  const inchPounds = dice.whole(14, 22) * 5;
  const torque = toBase(inchPounds, unitById('inlb'));
  const order: OrderQuestion = {
    kind: 'order',
    id: 'order',
    ask: say`In which order are the bolts tightened? Bolt 1 first.`,
    bolts,
    solution: crissCross(bolts).map(String),
    mark: (given) => starMark(given, bolts),
  };
  return {
    story: [
      say`${String(bolts)} spring bolts, finger tight. The manual gives ${String(inchPounds)} in·lb; the wrench reads N·m.`,
      say`Before that the hub nut: its torque is in the manual as well.`,
    ],
    questions: [
      order,
      numberQuestion({
        id: 'torque',
        ask: say`What is the wrench set to, in N·m?`,
        spec: { quantity: 'ratio', bounds: { above: 0, max: 500 } },
        expected: torque,
        tolerance: 0.11,
        reason: say`${String(inchPounds)} in·lb ÷ 12 × 1.3558 = ${torque.toFixed(1)} N·m.`,
        traps: [
          {
            value: torque * 12,
            says: say`That takes inch-pounds for foot-pounds: twelve times too much, and the bolts break.`,
          },
        ],
      }),
      oneQuestion({
        id: 'stages',
        ask: say`How is the torque reached?`,
        options: [
          { id: 'once', label: say`Each bolt in full before the next` },
          {
            id: 'stages',
            label: say`All a little, criss-cross, then in stages to torque`,
          },
        ],
        expected: 'stages',
        reason: say`The springs push back as the bolts tighten: in stages the plate comes down square and no bolt bends.`,
      }),
      oneQuestion({
        id: 'nut',
        ask: say`And the hub nut?`,
        options: [
          { id: 'impact', label: say`An impact gun, to the next tab` },
          { id: 'wrench', label: say`The hub held by its tool, and a torque wrench` },
          { id: 'gear', label: say`In gear with the brake on, as tight as possible` },
        ],
        expected: 'wrench',
        reason: say`Too tight, the hub binds, drags and stalls; too loose, the nut comes off. Only the wrench measures it.`,
        not: {
          impact: say`An impact gun does not show the torque.`,
          gear: say`The gearbox takes the load, and the torque is unknown.`,
        },
      }),
    ],
  };
}

/** A star: from each bolt to the one across, and no two neighbours one after the other. */
function starMark(order: readonly number[], bolts: number): ExerciseMark {
  const sheet = crissCross(bolts).join(', ');
  const apart = (a: number, b: number) => Math.min(Math.abs(a - b), bolts - Math.abs(a - b));
  if (new Set(order).size !== bolts) return wrong(say`Each bolt once. Criss-cross: ${sheet}.`);
  const neighbours = order.some((b, i) => i > 0 && apart(b, order[i - 1] ?? 0) === 1);
  if (neighbours)
    return wrong(say`Two neighbours in sequence: the plate tilts. Criss-cross: ${sheet}.`);
  const across = order.every((b, i) => i % 2 === 0 || apart(b, order[i - 1] ?? 0) === bolts / 2);
  return across
    ? right(say`Criss-cross: ${order.join(', ')}.`)
    : wrong(say`No neighbours, but not always to the opposite bolt. Criss-cross: ${sheet}.`, 0.5);
}
