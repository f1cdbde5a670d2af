import { force, say, torque } from '@/core/text/sentence';
import {
  driveGain,
  heldOnDrive,
  heldOnOverrun,
  leastDriveAngle,
  rampShare,
} from '../../ramps/ramps';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

/**
 * A hub in two halves on ramps: hold on drive, letting go on overrun, and the angle at which it would lock.
 * @example rampHub(7).questions.length // 3
 */
export function rampHub(seed: number): Exercise {
  const dice = new Dice(seed);
  const faces = dice.pick([12, 14, 16]);
  const friction = 0.12;
  const mean = dice.whole(48, 56);
  const springs = dice.whole(14, 22) * 50;
  const radius = dice.whole(28, 36);
  const drive = dice.whole(74, 80);
  const overrun = dice.whole(52, 64);
  const ratio = dice.real(1.6, 2.2, 0.1);
  const k = (faces * friction * mean) / 1000;
  const q = rampShare(k, radius, drive, 0.1);
  const held = heldOnDrive(k, springs, q);
  const letsGo = heldOnOverrun(k, springs, rampShare(k, radius, overrun, 0.1));
  const braking = dice.until(
    () => dice.whole(8, 40),
    (crank) => Math.abs((crank * ratio) / letsGo - 1) > 0.15,
  );
  const opens = braking * ratio > letsGo;
  return {
    story: [
      say`A pack of ${String(faces)} faces, friction ${friction.toFixed(2)}, mean radius ${String(mean)} mm, holds ${k.toFixed(4)} N·m for each newton of clamp. Its springs press with ${force(springs)}.`,
      say`The hub is in two halves on ramps at a radius of ${String(radius)} mm: ${String(drive)}° on drive, ${String(overrun)}° on overrun, friction 0.10. The primary ratio is ${ratio.toFixed(1)}.`,
    ],
    questions: [
      numberQuestion({
        id: 'hold',
        ask: say`What torque does it hold on drive?`,
        spec: { quantity: 'torque', bounds: { min: 0, max: 2000 } },
        expected: held,
        tolerance: Math.max(0.5, held * 0.01),
        reason: say`q = k/(r·tan(λ + arctan μ)) = ${q.toFixed(3)}; ${torque(k * springs)} × 1/(1 − q) = ${torque(held)}.`,
        traps: [
          {
            value: k * springs,
            says: say`That is what the springs alone hold: the ramps add ${driveGain(q).toFixed(2)} times that.`,
          },
        ],
      }),
      oneQuestion({
        id: 'overrun',
        ask: say`The engine brakes with ${torque(braking)} at the crank. Does the clutch open on overrun?`,
        options: [
          { id: 'yes', label: say`Yes, the rear wheel slips less` },
          { id: 'no', label: say`No, it stays closed` },
        ],
        expected: opens ? 'yes' : 'no',
        reason: say`It lets go at ${torque(letsGo)}; the engine brings ${torque(braking * ratio)} to the clutch.`,
      }),
      numberQuestion({
        id: 'locks',
        ask: say`Up to which drive ramp angle would it lock by itself?`,
        spec: { quantity: 'angle', bounds: { min: 0, max: 90 } },
        expected: leastDriveAngle(k, radius, 0.1),
        tolerance: 0.6,
        reason: say`arctan(k/r) − arctan μ = ${leastDriveAngle(k, radius, 0.1).toFixed(1)}°.`,
      }),
    ],
  };
}
