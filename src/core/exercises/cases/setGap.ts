import { length, say, travel } from '@/core/text/sentence';
import type { Adjuster } from '../../setting/adjuster';
import { gapPerTurn, turningText, turnsForGap } from '../../setting/adjuster';
import { correctGain } from '../../setting/leverGain';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';
import { countOf } from '@/core/text/countOf';

const COUNT = { quantity: 'count', bounds: { min: 0, max: 60, integer: true } } as const;

/** Whether a gap is so close to a mark that the nearest mark is clear. */
function isPlain(adjuster: Adjuster, gap: number): boolean {
  const marks = (Math.abs(gap) / gapPerTurn(adjuster)) * adjuster.marksPerTurn;
  return Math.abs((marks % 1) - 0.5) > 0.15;
}

/**
 * An install gap by turns and marks, and the first reading at the lever.
 * @example setGap(7).questions.length // 5
 */
export function setGap(seed: number): Exercise {
  const dice = new Dice(seed);
  const adjuster = { pitch: dice.pick([0.75, 1, 1.25]), marksPerTurn: dice.pick([6, 8, 12]) };
  const gap = dice.until(
    () => dice.real(0.6, 1.3, 0.05),
    (g) => isPlain(adjuster, g),
  );
  const turning = turnsForGap(adjuster, gap);
  const ratio = dice.real(34, 46, 1);
  const target = dice.real(8, 14, 1);
  const gain = dice.until(
    () => dice.real(3, 24, 0.5),
    (y) => Math.abs(y - target) > 3 && isPlain(adjuster, (y - target) / ratio),
  );
  const advice = correctGain(adjuster, [{ turns: 0, gain }], target, ratio);
  const { direction, turns, marks } = advice.turning;
  const all = turns * adjuster.marksPerTurn + marks;
  return {
    story: [
      say`An auto-clutch: its expanding disc needs an install gap of ${length(gap)}. The adjuster has a pitch of ${length(adjuster.pitch)} and ${String(adjuster.marksPerTurn)} marks per turn.`,
      say`Later, warm and in neutral, the lever moves in by ${travel(gain)} when the throttle is blipped; the target is ${travel(target)}. The ratio from lever to plate is ${ratio.toFixed(0)}.`,
    ],
    questions: [
      oneQuestion({
        id: 'start',
        ask: say`From where are the turns counted?`,
        options: [
          {
            id: 'nut',
            label: say`From the first firm contact, with the cable slack, as the plate rises off its nut`,
          },
          { id: 'bearing', label: say`From where the release bearing starts to push` },
          { id: 'tight', label: say`From the screw fully tightened` },
        ],
        expected: 'nut',
        reason: say`With a slack cable the plate can only rise off its nut, and there the gap begins.`,
        not: {
          bearing: say`A taut cable holds the plate off: the gap comes out too small by that lift.`,
          tight: say`A fully tightened screw has already lifted the plate.`,
        },
      }),
      numberQuestion({
        id: 'turns',
        ask: say`Whole turns for the gap, to the nearest mark?`,
        spec: COUNT,
        expected: turning.turns,
        tolerance: 0.1,
        reason: say`${length(gap)} ÷ ${length(adjuster.pitch)} a turn is ${turningText(turning)}, to the nearest mark.`,
      }),
      numberQuestion({
        id: 'marks',
        ask: say`And marks in addition?`,
        spec: COUNT,
        expected: turning.marks,
        tolerance: 0.1,
        reason: say`${turningText(turning)} gives ${length(turning.gap)}; ${length(Math.abs(turning.rest))} can’t be set.`,
      }),
      oneQuestion({
        id: 'way',
        ask: say`After the lever reading: which way?`,
        options: [
          { id: 'open', label: say`Open the gap` },
          { id: 'close', label: say`Close the gap` },
          { id: 'leave', label: say`Leave it` },
        ],
        expected: direction,
        reason:
          gain > target
            ? say`The lever gain is too large: the disc lifts the plate too far, so the gap is too small.`
            : say`The lever gain is too small: the gap is too large.`,
      }),
      numberQuestion({
        id: 'by',
        ask: say`By how many marks in total?`,
        spec: COUNT,
        expected: all,
        tolerance: 0.1,
        reason: say`(${travel(gain)} − ${travel(target)}) ÷ ${ratio.toFixed(0)} is ${length(Math.abs(gain - target) / ratio)} of gap: ${countOf(all, 'mark')}.`,
        traps: [
          {
            value: Math.round((Math.abs(gain - target) / adjuster.pitch) * adjuster.marksPerTurn),
            says: say`The lever reading is ${ratio.toFixed(0)} times the movement of the plate.`,
          },
        ],
      }),
    ],
  };
}
