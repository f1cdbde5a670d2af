import { length, say } from '@/core/text/sentence';
import { summarizeReadings } from '../../pack/stack';
import type { EntrySpec } from '../../units/entrySpec';
import { Dice } from '../dice';
import { oneQuestion, right, written, wrong } from '../marking';
import type { Exercise, ExerciseMark, NumberQuestion } from '../model';

const PLACES = 8;
const HOURS = ['12', '1:30', '3', '4:30', '6', '7:30', '9', '10:30'] as const;
const GAUGE = 0.011;
const THICKNESS: EntrySpec = { quantity: 'length', bounds: { above: 0, max: 10 } };
/** Readings further apart round the disc than this leave a side unseen, places. */
const WIDEST = 3;

/**
 * A worn disc that is thinner on one side.
 * @example measureDisc(7).questions.length // 3
 */
export function measureDisc(seed: number): Exercise {
  const dice = new Dice(seed);
  const nominal = dice.pick([2.8, 2.9, 3, 3.2, 3.5]);
  const limit = Math.round((nominal - dice.pick([0.15, 0.2, 0.25])) * 100) / 100;
  const readings = dice.until(
    () => {
      const level = limit + dice.real(-0.02, 0.1);
      const tilt = dice.real(0.03, 0.08);
      const at = dice.whole(0, PLACES - 1);
      return Array.from({ length: PLACES }, (_, i) => {
        const bent = level + tilt * Math.cos(((i - at) * 2 * Math.PI) / PLACES);
        return Math.round((bent + dice.real(-0.004, 0.004, 0.001)) * 100) / 100;
      });
    },
    (made) =>
      Math.abs(Math.min(...made) - limit) >= 0.015 &&
      Math.max(...made) > limit + 0.01 &&
      // Worn, it is nowhere thicker than new.
      Math.max(...made) <= nominal,
  );
  const whole = summarizeReadings(readings);
  const worn = whole.least < limit;
  const readingOf = (taken: string) => readings[Number(taken.split('.')[1])];
  const takenReadings = (taken: readonly string[]) => taken.flatMap((t) => readingOf(t) ?? []);
  const least: NumberQuestion = {
    kind: 'number',
    id: 'least',
    ask: say`Which thickness is compared with the limit?`,
    spec: THICKNESS,
    solution: written(whole.least, THICKNESS),
    mark(value, taken) {
      if (Math.abs(value - whole.least) <= GAUGE)
        return right(
          say`The lowest reading, ${length(whole.least)}: a disc is as thin as its thinnest point.`,
        );
      const seen = takenReadings(taken);
      const own = seen.length > 0 ? Math.min(...seen) : undefined;
      return own !== undefined && Math.abs(value - own) <= GAUGE
        ? wrong(
            say`Lowest of your readings, but the disc is ${length(whole.least)} at another point.`,
            0.5,
          )
        : wrong(say`The lowest reading counts: ${length(whole.least)}.`);
    },
  };
  const mean: NumberQuestion = {
    kind: 'number',
    id: 'mean',
    ask: say`Which thickness goes into the stack?`,
    spec: THICKNESS,
    solution: written(whole.mean, THICKNESS),
    mark(value, taken) {
      const seen = takenReadings(taken);
      const own = seen.length >= 3 ? summarizeReadings(seen).mean : whole.mean;
      return Math.abs(value - whole.mean) <= GAUGE || Math.abs(value - own) <= GAUGE
        ? right(say`The mean: ${length(whole.mean)} over all eight points.`)
        : wrong(
            say`The mean of the readings goes into the stack: ${length(whole.mean)} over all eight.`,
          );
    },
  };
  return {
    story: [
      say`A friction disc from a pack that chatters. Nominal thickness ${length(nominal)}; the manual’s minimum is ${length(limit)}.`,
      say`A micrometer is beside it. Choose your measuring points, then judge.`,
    ],
    bench: {
      shape: 'round',
      gauge: 'Micrometer',
      parts: [
        {
          id: 'disc',
          name: 'Friction disc',
          spots: readings.map((r, i) => ({
            id: `${i}`,
            label: `at ${HOURS[i] ?? i} o’clock`,
            shows: say`${length(r)}`,
          })),
        },
      ],
    },
    measuring: (taken) => spread(taken.map((t) => Number(t.split('.')[1]))),
    questions: [
      least,
      mean,
      oneQuestion({
        id: 'verdict',
        ask: say`What is the decision?`,
        options: [
          { id: 'keep', label: say`Keep it` },
          { id: 'change', label: say`Replace it` },
        ],
        expected: worn ? 'change' : 'keep',
        reason: worn
          ? say`Its thinnest point, ${length(whole.least)}, is below ${length(limit)}, although the opposite side measures ${length(Math.max(...readings))}.`
          : say`Its thinnest point, ${length(whole.least)}, is still above ${length(limit)}. Note the taper of ${length(whole.taper)}.`,
      }),
    ],
  };
}

/** Share of a disc covered by measuring points round it. */
function spread(places: readonly number[]): ExerciseMark {
  const at = [...new Set(places)].sort((a, b) => a - b);
  const widest = Math.max(
    PLACES - ((at.at(-1) ?? 0) - (at[0] ?? 0)),
    ...at.slice(1).map((p, i) => p - (at[i] ?? 0)),
  );
  if (at.length >= 3 && widest <= WIDEST)
    return right(say`Measured at ${String(at.length)} points all round.`);
  if (at.length <= 1)
    return wrong(
      at.length === 0
        ? say`Nothing was measured.`
        : say`One point says nothing about the other side: measure three or four, all round.`,
    );
  return wrong(
    say`${String(at.length)} points, but one side was missed: three or four, all round.`,
    0.5,
  );
}
