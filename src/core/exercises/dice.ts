import type { Random } from '../random/random';
import { seededRandom } from '../random/random';

/** Seeded chance for exercises: whole numbers, steps of a gauge, choices. */
export class Dice {
  private readonly random: Random;

  /** @param seed any whole number */
  constructor(seed: number) {
    this.random = seededRandom(seed);
  }

  /** A whole number from `min` to `max`, both among them. */
  whole(min: number, max: number): number {
    return min + Math.floor(this.random() * (max - min + 1));
  }

  /** A number from `min` to `max` to a step of the gauge. */
  real(min: number, max: number, step = 0.01): number {
    const steps = Math.floor((max - min) / step + 1e-9);
    // By tens of thousandths, so that 0.1 + 0.2 is 0.3.
    return Math.round((min + this.whole(0, steps) * step) * 10_000) / 10_000;
  }

  pick<T>(from: readonly [T, ...T[]]): T {
    return from[this.whole(0, from.length - 1)] ?? from[0];
  }

  chance(share: number): boolean {
    return this.random() < share;
  }

  shuffled<T>(from: readonly T[]): T[] {
    const all = [...from];
    for (let i = all.length - 1; i > 0; i--) {
      const j = this.whole(0, i);
      const [a, b] = [all[i], all[j]];
      if (a !== undefined && b !== undefined) [all[i], all[j]] = [b, a];
    }
    return all;
  }

  /** Draws cases until one is unambiguous; returns the last one in any case. */
  until<T>(make: () => T, fits: (made: T) => boolean): T {
    let made = make();
    for (let i = 0; i < 200 && !fits(made); i++) made = make();
    return made;
  }
}
