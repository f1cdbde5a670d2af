import { say } from '@/core/text/sentence';
import { bandsAt } from '../../pack/bands';
import { Dice } from '../dice';
import { numberQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

const INCH = 25.4;

/**
 * A chart of steps in inches, and a caliper in millimetres.
 * @example readChart(7).questions.length // 2
 */
export function readChart(seed: number): Exercise {
  const dice = new Dice(seed);
  const low = dice.whole(262, 282) * 0.005;
  const width = dice.pick([0.01, 0.015]);
  const edges = [0, 1, 2, 3].map((i) => Math.round((low + i * width) * 1000) / 1000);
  const bands = [0, 1, 2].map((i) => ({
    step: `${i + 1}`,
    min: (edges[i] ?? 0) * INCH,
    max: (edges[i + 1] ?? 0) * INCH,
  }));
  const edge = (edges[dice.whole(1, 2)] ?? 0) * INCH;
  const onEdge = dice.chance(0.25);
  const height = onEdge
    ? edge
    : dice.until(
        () => Math.round(dice.real(bands[0]?.min ?? 0, bands[2]?.max ?? 1) * 100) / 100,
        (h) => bandsAt(h, bands).length === 1 && bands.every((b) => Math.abs(h - b.min) > 0.03),
      );
  const inMm = height.toFixed(onEdge ? 3 : 2);
  const inches = height / INCH;
  const expected = bandsAt(height, bands)
    .map((b) => b.step)
    .join('-');
  return {
    story: [
      say`The retainer has three steps. The leaflet selects one by stack height, in inches: ${bands.map((_, i) => `step ${i + 1} from ${(edges[i] ?? 0).toFixed(3)} to ${(edges[i + 1] ?? 0).toFixed(3)}`).join(', ')}.`,
      say`Your caliper over the pack reads ${inMm} mm.`,
    ],
    questions: [
      numberQuestion({
        id: 'inches',
        ask: say`How high is the stack in inches?`,
        spec: { quantity: 'ratio', bounds: { above: 0, max: 100 } },
        expected: inches,
        tolerance: 0.0011,
        reason: say`${inMm} mm ÷ 25.4 = ${inches.toFixed(4)} in.`,
        traps: [
          {
            value: height / 25,
            says: say`An inch is 25.4 mm, not 25: over a stack the error is half a step.`,
          },
        ],
      }),
      oneQuestion({
        id: 'step',
        ask: say`Which step does the leaflet ask for?`,
        options: ['1', '1-2', '2', '2-3', '3'].map((id) => ({
          id,
          label: id.includes('-')
            ? say`${id.replace('-', ' or ')}: exactly on the edge`
            : say`Step ${id}`,
        })),
        expected,
        reason: expected.includes('-')
          ? say`${inches.toFixed(4)} in is on the edge of both bands: both steps are allowed. Compare clamp and pull of each.`
          : say`${inches.toFixed(4)} in is in the band of step ${expected}.`,
      }),
    ],
  };
}
