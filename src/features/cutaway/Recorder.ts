import type { HandMoment } from '@/core/takeoff/hands';

/** A change of the hands smaller than this is none. */
const LEAST = 0.004;
const LONGEST = 60;
const MOST = 1500;

/** Keeps lever and throttle over time: only the moments at which they turn. */
export class Recorder {
  private readonly kept: HandMoment[] = [];
  private latest: HandMoment | undefined;

  note(moment: HandMoment): void {
    if (moment.t > LONGEST || this.kept.length >= MOST) return;
    const before = this.kept.at(-1);
    const { latest } = this;
    if (before && latest && moment.t <= latest.t) return;
    const moved =
      !before ||
      Math.abs(moment.lever - before.lever) > LEAST ||
      Math.abs(moment.throttle - before.throttle) > LEAST;
    if (moved) {
      // A position held until now continues to here, then moves.
      if (before && latest && latest.t > before.t) this.kept.push(latest);
      this.kept.push(moment);
    }
    this.latest = moment;
  }

  moments(): readonly HandMoment[] {
    const last = this.kept.at(-1);
    const { latest } = this;
    return last && latest && latest.t > last.t ? [...this.kept, latest] : [...this.kept];
  }
}
