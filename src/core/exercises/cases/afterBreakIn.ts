import { evaluate } from '../../evaluate/evaluate';
import { length, say } from '@/core/text/sentence';
import { turningText, turnsForGap } from '../../setting/adjuster';
import { entry } from '../../job/entry';
import { Dice } from '../dice';
import { benchJob, kitOf } from '../kit';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

/**
 * The discs have bedded in: the effect on gap and clamp.
 * @example afterBreakIn(7).questions.length // 5
 */
export function afterBreakIn(seed: number): Exercise {
  const dice = new Dice(seed);
  const kit = kitOf(dice);
  const job = benchJob(kit);
  const adjuster = { pitch: dice.pick([0.75, 1]), marksPerTurn: dice.pick([8, 12]) };
  const set = dice.real(0.7, 1, 0.05);
  const bedded = dice.until(
    () => dice.real(0.1, 0.3, 0.01),
    // Close enough to a mark that the nearest mark is clear.
    (b) => Math.abs((((b / adjuster.pitch) * adjuster.marksPerTurn) % 1) - 0.5) > 0.15,
  );
  const now = set + bedded;
  const most = set + dice.real(0.05, 0.35, 0.05);
  const due = now > most + 1e-9;
  const turning = turnsForGap(adjuster, -bedded);
  const all = turning.turns * adjuster.marksPerTurn + turning.marks;
  const clampOf = (thinner: number): number => {
    const seat = job.springs.coil.seatDistance?.value ?? 0;
    const made = evaluate({
      ...job,
      springs: {
        ...job.springs,
        // A pack thinner by so much is a seat further off by so much.
        coil: { ...job.springs.coil, seatDistance: entry(seat + thinner) },
      },
    }).figures.get('clamp');
    return made?.status === 'known' ? made.value : Number.NaN;
  };
  const lost = 1 - clampOf(bedded) / clampOf(0);
  return {
    story: [
      say`Ten starts in two gears, as in the kit’s sheet. The gap had been set to ${length(set)}; at most ${length(most)} is allowed.`,
      say`You measured the pack before and after: the discs have bedded in by ${length(bedded)} in total. The adjuster has a pitch of ${length(adjuster.pitch)} and ${String(adjuster.marksPerTurn)} marks.`,
    ],
    questions: [
      oneQuestion({
        id: 'when',
        ask: say`When is it measured again?`,
        options: [
          { id: 'never', label: say`When it comes back with a complaint` },
          { id: 'now', label: say`After the break-in, before it goes to the rider` },
          { id: 'season', label: say`At the next oil change` },
        ],
        expected: 'now',
        reason: say`Discs bed in with the first starts: stack, gap and free play change most then.`,
      }),
      numberQuestion({
        id: 'gap',
        ask: say`How large is the gap now?`,
        spec: { quantity: 'length', bounds: { min: 0, max: 10 } },
        expected: now,
        tolerance: 0.006,
        reason: say`${length(set)} and ${length(bedded)}: a thinner pack leaves a wider gap, ${length(now)}.`,
        traps: [{ value: set - bedded, says: say`A thinner pack leaves more room, not less.` }],
      }),
      oneQuestion({
        id: 'set',
        ask: say`Must it be reset?`,
        options: [
          { id: 'yes', label: say`Yes` },
          { id: 'no', label: say`No, it is still within limits` },
        ],
        expected: due ? 'yes' : 'no',
        reason: due
          ? say`${length(now)} is more than ${length(most)}.`
          : say`${length(now)} is not above ${length(most)}; note it for the next time.`,
      }),
      numberQuestion({
        id: 'marks',
        ask: say`By how many marks would it be closed to restore the gap?`,
        spec: { quantity: 'count', bounds: { min: 0, max: 60, integer: true } },
        expected: all,
        tolerance: 0.1,
        reason: say`${length(bedded)} is ${turningText(turning)}, to the nearest mark.`,
      }),
      oneQuestion({
        id: 'clamp',
        ask: say`How does bedding in change the clamp of the coil springs?`,
        options: [
          { id: 'less', label: say`A little less` },
          { id: 'same', label: say`Nothing` },
          { id: 'more', label: say`A little more` },
        ],
        expected: 'less',
        reason: say`A thinner pack compresses coil springs less: ${(lost * 100).toFixed(1)} % here. Only a diaphragm past its peak would gain.`,
      }),
    ],
  };
}
