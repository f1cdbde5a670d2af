import type { FigureId, Need, Outcome } from './figure';
import type { Verdict } from './verdict';

/**
 * Lists the missing inputs of a verdict that is not judged: its own entry, else those of its first figure. Before there are
 * plates there is no such field.
 * Never throws.
 * @example needsOf({ id: 'stack', state: 'good', title: '', sentence: [], figures: [] }, new Map()) // []
 */
export function needsOf(
  { state, need, figures: ids }: Verdict,
  figures: ReadonlyMap<FigureId, Outcome>,
): readonly Need[] {
  if (state !== 'unknown') return [];
  if (need) return [need];
  const [id] = ids;
  const outcome = id === undefined || id === 'faces' ? undefined : figures.get(id);
  return outcome?.status === 'unknown' ? outcome.needs : [];
}
