/* What packs are weighed by, and the packs that nothing beats in two of them. */

/** Measures of a pack; of some more is better, of others less. */
export const MEASURES = ['pull', 'reserve', 'clearance', 'life', 'margin', 'newParts'] as const;
export type Measure = (typeof MEASURES)[number];
export type Measured = Readonly<Record<Measure, number>>;

const LESS_IS_BETTER: ReadonlySet<Measure> = new Set(['pull', 'newParts']);

/**
 * Whether less of a measure is better.
 * @example isLessBetter('pull') // true
 */
export const isLessBetter = (measure: Measure): boolean => LESS_IS_BETTER.has(measure);

/** A measure so that less is better. */
const signed = (measure: Measure, value: number): number =>
  isLessBetter(measure) ? value : -value;

/** The items that nothing beats in two measures, kept as they come. */
export class Front<T> {
  /** By the first measure from good to bad, so by the second from bad to good. */
  private readonly kept: { readonly a: number; readonly b: number; readonly item: T }[] = [];

  constructor(
    readonly first: Measure,
    readonly second: Measure,
  ) {}

  /** Takes an item in unless another is at least as good in both; @param make is asked only then */
  offer(of: Measured, make: () => T): boolean {
    const a = signed(this.first, of[this.first]);
    const b = signed(this.second, of[this.second]);
    const { kept } = this;
    let low = 0;
    let high = kept.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((kept[middle]?.a ?? 0) <= a) low = middle + 1;
      else high = middle;
    }
    // The last one that is as good in the first: the best of those in the second.
    const before = kept[low - 1];
    if (before && before.b <= b) return false;
    // Those that this one beats follow it, or are level with it in the first.
    let start = low;
    while (start > 0 && (kept[start - 1]?.a ?? 0) === a) start--;
    let end = low;
    while (end < kept.length && (kept[end]?.b ?? 0) >= b) end++;
    kept.splice(start, end - start, { a, b, item: make() });
    return true;
  }

  items(): readonly T[] {
    return this.kept.map((k) => k.item);
  }
}

/** Each two of the measures, once. */
export const PAIRS: readonly (readonly [Measure, Measure])[] = MEASURES.flatMap((first, i) =>
  MEASURES.slice(i + 1).map((second) => [first, second] as const),
);

/**
 * The items that nothing beats in two measures, best in the first measure first.
 * @example frontOf([{ m: 1 }], () => ({ pull: 1, reserve: 1, clearance: 0, life: 0, margin: 0, newParts: 0 }), 'pull', 'reserve').length // 1
 */
export function frontOf<T>(
  items: readonly T[],
  measured: (item: T) => Measured,
  first: Measure,
  second: Measure,
): readonly T[] {
  const front = new Front<T>(first, second);
  for (const item of items) front.offer(measured(item), () => item);
  return front.items();
}
