import { basketRpm, weightForce } from '../../assist/centrifugal';
import { firstContactRpm } from '../../assist/startClutch';
import { force, say, travel } from '@/core/text/sentence';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

/**
 * Weights on the basket, and shoes on the input shaft.
 * @example basketSpeed(7).questions.length // 3
 */
export function basketSpeed(seed: number): Exercise {
  const dice = new Dice(seed);
  const count = dice.pick([4, 6, 8]);
  const grams = dice.whole(8, 20);
  const radius = dice.real(40, 56, 1);
  const rpm = dice.whole(10, 18) * 500;
  const ratio = dice.real(1.8, 3, 0.1);
  const weights = { count, mass: grams / 1000, radius };
  const clutch = basketRpm(rpm, ratio);
  const made = weightForce(weights, clutch);
  const idle = dice.whole(13, 17) * 100;
  const shoes = {
    shoes: 4,
    mass: dice.real(0.1, 0.16),
    radius: dice.real(40, 50, 1),
    springPull: 0,
    drumRadius: 60,
    friction: 0.12,
    speedRatio: 1 / ratio,
  };
  const springPull = dice.until(
    () => dice.whole(6, 60),
    (pull) => Math.abs(firstContactRpm({ ...shoes, springPull: pull }) / idle - 1) > 0.12,
  );
  const contact = firstContactRpm({ ...shoes, springPull });
  const creeps = contact < idle;
  return {
    story: [
      say`${String(count)} weights of ${String(grams)} g press on a pack from a radius of ${travel(radius)}, on the basket. The primary ratio is ${ratio.toFixed(1)}.`,
      say`Another machine, the same ratio, has four start shoes on the gearbox’s input: each ${(shoes.mass * 1000).toFixed(0)} g at ${travel(shoes.radius)}, held by ${force(springPull)}. It idles at ${String(idle)} rpm.`,
    ],
    questions: [
      numberQuestion({
        id: 'speed',
        ask: say`How fast does the basket turn at ${String(rpm)} rpm of the engine?`,
        spec: { quantity: 'speed', bounds: { min: 0, max: 30_000 } },
        expected: clutch,
        tolerance: Math.max(2, clutch * 0.004),
        reason: say`${String(rpm)} ÷ ${ratio.toFixed(1)} = ${clutch.toFixed(0)} rpm.`,
        traps: [{ value: rpm, says: say`That is the engine: the primary drive is in between.` }],
      }),
      numberQuestion({
        id: 'force',
        ask: say`What is the total centrifugal force of the weights?`,
        spec: { quantity: 'force', bounds: { min: 0, max: 100_000 } },
        expected: made,
        tolerance: Math.max(1, made * 0.02),
        reason: say`n·m·r·ω² with ω at ${clutch.toFixed(0)} rpm: ${force(made)}.`,
        traps: [
          {
            value: weightForce(weights, rpm),
            says: say`That is with the engine’s speed: ${(ratio * ratio).toFixed(1)} times too much.`,
          },
        ],
      }),
      oneQuestion({
        id: 'creeps',
        ask: say`Does the other machine creep at idle?`,
        options: [
          { id: 'yes', label: say`Yes, its shoes make contact below idle` },
          { id: 'no', label: say`No, its shoes make contact above idle` },
        ],
        expected: creeps ? 'yes' : 'no',
        reason: say`First contact of the shoes at ${contact.toFixed(0)} rpm of the engine${creeps ? ', below its idle: a spring is weak, or idle is too high' : ', above its idle'}.`,
      }),
    ],
  };
}
