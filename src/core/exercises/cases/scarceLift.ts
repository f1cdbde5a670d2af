import { length, say } from '@/core/text/sentence';
import { reducedEffort } from '../../release/lossBudget';
import { clearancePerFace } from '../../release/clearance';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

/**
 * A rider wants a lighter lever; a part for it exists.
 * @example scarceLift(7).questions.length // 2
 */
export function scarceLift(seed: number): Exercise {
  const dice = new Dice(seed);
  const faces = 2 * dice.whole(6, 8);
  const least = dice.pick([0.08, 0.1]);
  const factor = dice.pick([1.15, 1.2, 1.25, 1.3]);
  const warp = dice.real(0, 0.2, 0.05);
  const lift = dice.until(
    () => dice.real(1.2, 2.6, 0.05),
    (x) =>
      (x - warp) / faces >= least - 0.01 && Math.abs((x / factor - warp) / faces - least) > 0.006,
  );
  const now = clearancePerFace(lift, faces, warp);
  const {
    clearancePerFace: then,
    lift: less,
    pullShare,
  } = reducedEffort(lift, factor, faces, warp);
  const fits = then >= least;
  return {
    story: [
      say`The rider wants a lighter lever. A ramp with ${factor.toFixed(2)} times the ratio would give it.`,
      say`Lift is ${length(lift)} over ${String(faces)} faces; total out-of-flat of the steels is ${length(warp)}. Each face needs ${length(least)}; it has ${length(now)} now.`,
    ],
    questions: [
      numberQuestion({
        id: 'clearance',
        ask: say`What is the clearance per face with the ramp?`,
        spec: { quantity: 'length', bounds: { min: -1, max: 2 } },
        expected: then,
        tolerance: 0.0025,
        reason: say`${length(lift)} ÷ ${factor.toFixed(2)} is ${length(less)} of lift; less ${length(warp)}, over ${String(faces)} faces, ${length(then)}.`,
        traps: [
          {
            value: less / faces,
            says: say`Out-of-flat is subtracted first.`,
          },
          {
            value: now / factor,
            says: say`Lift is divided, not the clearance after out-of-flat.`,
          },
        ],
      }),
      oneQuestion({
        id: 'fit',
        ask: say`Do you fit it?`,
        options: [
          { id: 'yes', label: say`Yes: lighter, and it still releases` },
          { id: 'no', label: say`No: lift is too low for it` },
        ],
        expected: fits ? 'yes' : 'no',
        reason: fits
          ? say`${length(then)} per face is enough, and the pull falls to ${(pullShare * 100).toFixed(0)} %.`
          : say`${length(then)} per face is less than ${length(least)}: it would drag. First find lost lift, or fit flatter steels.`,
      }),
    ],
  };
}
