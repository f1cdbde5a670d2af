import type { FigureId, Need, Outcome } from './figure';
import type { Verdict } from './verdict';

/**
 * What an open verdict still needs: its own missing entry, else the missing inputs of the figure it rests on. Before there are
 * plates no field leads on.
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
