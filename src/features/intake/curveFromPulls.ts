import { DomainError } from '@/core/errors';
import { curveOfPulls, PULLS_APART } from '@/core/torque/pulls';
import type { RecordedPulls } from '@/core/torque/dynoPulls';
import type { TorqueFile } from '@/files/torqueCsv';
import { isoDay } from '@/ui/dates';
import { countOf } from '@/core/text/countOf';

const ONE_PULL = 'One pull does not show repeatability; make two or three.';
const NO_COMMON_RANGE =
  'These pulls share too few speeds for a curve. Remove one, or pull again over a wider range.';

/** The curve of the complete pulls with its note; undefined without any. */
export function curveFromPulls(pulls: RecordedPulls): TorqueFile | undefined {
  const whole = pulls.filter((p) => p.state === 'whole').map((p) => p.samples);
  if (whole.length === 0) return undefined;
  const name = `Dyno, ${countOf(whole.length, 'pull')}, ${isoDay()}`;
  const { points, note } = lookedAt(whole);
  return { curve: { name, points }, atWheel: false, notes: [note] };
}

function lookedAt(whole: Parameters<typeof curveOfPulls>[0]) {
  try {
    const { points, spread } = curveOfPulls(whole);
    return { points, note: repeats(spread) };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return { points: [], note: NO_COMMON_RANGE };
  }
}

/** How well the pulls repeat, in words. */
function repeats(spread: number | undefined): string {
  if (spread === undefined) return ONE_PULL;
  const apart = `${(100 * spread).toFixed(1)} % of the peak`;
  return spread > PULLS_APART
    ? `The pulls differ by up to ${apart}. Pull again with a warm engine before relying on the curve.`
    : `The pulls agree within ${apart}.`;
}
