import type { MapPack } from './pack';
import type { Measure, Measured } from './measures';
import { isLessBetter } from './measures';

export interface MapAnswer {
  readonly pack: MapPack;
  readonly meets: boolean;
  /** Of the nearest: by how much each limit is missed, in its own unit. */
  readonly misses: Readonly<Partial<Record<Measure, number>>>;
  /** The limit without which most packs would do. */
  readonly costsMost?: Measure;
}

const EDGE = 1e-6;

/** The pack that was asked for, or the nearest, and which condition costs most. */
export class Asked {
  private best: { of: Measured; make: MapPack; misses: number } | undefined;
  private readonly limits: readonly (readonly [Measure, number])[];
  private readonly without = new Map<Measure, number>();

  constructor(limits: Readonly<Partial<Record<Measure, number>>>) {
    this.limits = Object.entries(limits) as [Measure, number][];
  }

  /** By how much a limit is missed, as a share of it; 0 where it is met. */
  private missed(of: Measured, [measure, limit]: readonly [Measure, number]): number {
    const over = isLessBetter(measure) ? of[measure] - limit : limit - of[measure];
    return over <= EDGE ? 0 : over / Math.max(1e-3, Math.abs(limit));
  }

  offer(of: Measured, make: () => MapPack): void {
    const each = this.limits.map((limit) => this.missed(of, limit));
    const misses = each.reduce((a, b) => a + b, 0);
    const failing = each.flatMap((by, i) => (by > 0 ? [i] : []));
    const [only] = failing;
    if (failing.length === 1 && only !== undefined) {
      const measure = this.limits[only]?.[0];
      if (measure) this.without.set(measure, (this.without.get(measure) ?? 0) + 1);
    }
    const { best } = this;
    if (best && (misses > best.misses || (misses === best.misses && of.pull >= best.of.pull)))
      return;
    this.best = { of, make: make(), misses };
  }

  answer(): MapAnswer | undefined {
    const { best } = this;
    if (!best) return undefined;
    const misses = Object.fromEntries(
      this.limits
        .filter((limit) => this.missed(best.of, limit) > 0)
        .map(([measure, limit]) => [measure, Math.abs(best.of[measure] - limit)]),
    );
    const [most] = [...this.without].sort(([, a], [, b]) => b - a);
    const [missed] = Object.keys(misses) as Measure[];
    const costsMost = best.misses > 0 ? (most?.[0] ?? missed) : undefined;
    return {
      pack: best.make,
      meets: best.misses === 0,
      misses,
      ...(costsMost ? { costsMost } : {}),
    };
  }
}
