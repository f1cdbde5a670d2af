import type { Cutaway, CutawayLook } from '@/core/takeoff/cutaway';
import type { HandMoment } from '@/core/takeoff/hands';
import type { Motion, MotionSpeeds } from '@/core/takeoff/motion';
import { speedsOf } from '@/core/takeoff/motion';
import { WARM_OIL } from '@/core/takeoff/setup';

import type { Painter } from './Painter';
import { Recorder } from './Recorder';

type Hands = Omit<HandMoment, 't'>;

/** Readings shown beside the drawing, updated a few times a second. */
export interface RideReading {
  readonly look: CutawayLook;
  readonly motion?: Motion;
  readonly speeds?: MotionSpeeds;
}

/** Whether it runs and records, and the number of restarts: state for its keys and levers. */
export interface RideStatus {
  readonly running: boolean;
  readonly recording: boolean;
  readonly begun: number;
}

/** Initial hands: lever pulled, or released for an automatic clutch. */
export const startingHands = ({ expanding, shoes }: Cutaway): Hands => ({
  lever: expanding || shoes > 0 ? 0 : 1,
  throttle: 0,
});

const READ_EVERY_MS = 160;
/** A frame that took longer, such as one of a page in the background, counts as this. */
const LONGEST_FRAME = 0.05;
/** With reduced motion the drawing updates a few times a second. */
const CALM_MS = 250;
/** The maximum clamp is looked for up to here, for the scale of its arrow. */
const TOP_RPM = 12_000;
const STEP_SECONDS = 0.1;
/** Linings fade when the steels are so much hotter than the oil. */
const HOT_BY = 110;

/**
 * Runs the cutaway's simulation outside React: lever and throttle as held, the drawing updated every frame. Listeners only get
 * the figures, a few times a second, and the state of the keys.
 */
export class RideLoop {
  private hands: Hands;
  private motion: Motion | undefined;
  private painter: Painter | undefined;
  private recorder: Recorder | undefined;
  private listeners = new Set<() => void>();
  private asked: number | undefined;
  private last = 0;
  private readAt = 0;
  private drawnAt = 0;
  private readonly mostClamp: number;
  private seen: RideReading;
  private told: RideStatus = { running: false, recording: false, begun: 0 };

  constructor(
    private cutaway: Cutaway,
    /** No automatic rotation: the device asks for reduced motion. */
    private readonly calm: boolean,
  ) {
    this.hands = startingHands(cutaway);
    this.motion = cutaway.ride?.begin();
    this.mostClamp = Math.max(cutaway.at(0, 0).clamp ?? 0, cutaway.at(0, TOP_RPM).clamp ?? 0);
    this.seen = this.read();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly reading = (): RideReading => this.seen;
  readonly status = (): RideStatus => this.told;
  readonly held = (): Hands => this.hands;

  /** The drawing that it moves from now on, as it was made. */
  readonly draws = (painter: Painter | undefined): void => {
    this.painter = painter;
    this.show(0);
  };

  readonly hold = (part: Partial<Hands>): void => {
    this.hands = { ...this.hands, ...part };
    if (!this.told.running) this.tell(this.show(0));
  };

  readonly run = (): void => {
    if (this.told.running || !this.cutaway.ride) return;
    this.last = performance.now();
    this.asked = requestAnimationFrame(this.frame);
    this.say({ running: true });
  };

  readonly pause = (): void => {
    if (this.asked !== undefined) cancelAnimationFrame(this.asked);
    this.asked = undefined;
    this.say({ running: false });
    this.tell(this.show(0));
  };

  readonly step = (): void => {
    this.advance(STEP_SECONDS);
    this.tell(this.show(STEP_SECONDS));
  };

  /** Restarts from standstill, with the initial hands unless others are given. */
  readonly restart = (hands: Hands = startingHands(this.cutaway)): void => {
    this.hands = hands;
    this.motion = this.cutaway.ride?.begin();
    this.say({ begun: this.told.begun + 1 });
    this.tell(this.show(0));
  };

  /** Restarts from standstill with the present hands. */
  readonly record = (): void => {
    this.restart(this.hands);
    this.recorder = new Recorder();
    this.recorder.note({ t: 0, ...this.hands });
    this.say({ recording: true });
    this.run();
  };

  /** The hands from the beginning of the recording to now. */
  readonly stop = (): readonly HandMoment[] => {
    const made = this.recorder?.moments() ?? [];
    this.recorder = undefined;
    this.say({ recording: false });
    return made;
  };

  private readonly frame = (now: number): void => {
    const passed = Math.min(LONGEST_FRAME, Math.max(0.001, (now - this.last) / 1000));
    this.last = now;
    this.advance(passed);
    if (!this.calm || now - this.drawnAt > CALM_MS) {
      this.drawnAt = now;
      const seen = this.show(passed);
      if (now - this.readAt > READ_EVERY_MS) {
        this.readAt = now;
        this.tell(seen);
      }
    }
    this.asked = requestAnimationFrame(this.frame);
  };

  private advance(span: number): void {
    const { ride } = this.cutaway;
    if (!ride || !this.motion) return;
    this.motion = ride.advance(this.motion, this.hands, span);
    this.recorder?.note({ t: this.motion.t, ...this.hands });
  }

  private read(): RideReading {
    const { motion, cutaway, hands } = this;
    const speeds = motion && cutaway.ride ? speedsOf(cutaway.ride, motion) : undefined;
    return {
      look: cutaway.at(hands.lever, Math.min(20_000, speeds?.engine ?? 0)),
      ...(motion ? { motion } : {}),
      ...(speeds ? { speeds } : {}),
    };
  }

  private show(passed: number): RideReading {
    const now = this.read();
    const { motion } = now;
    const { full } = this.cutaway;
    this.painter?.show(
      {
        look: now.look,
        load: motion && full > 0 ? motion.torque / full : 0,
        press: this.mostClamp > 0 ? (now.look.clamp ?? 0) / this.mostClamp : 0,
        atShoes: motion?.atShoes ?? false,
        heat: motion ? (motion.steel - WARM_OIL) / HOT_BY : 0,
      },
      now.speeds,
      this.calm ? 0 : passed,
    );
    return now;
  }

  private tell(seen: RideReading): void {
    this.seen = seen;
    for (const listener of this.listeners) listener();
  }

  private say(part: Partial<RideStatus>): void {
    this.told = { ...this.told, ...part };
    for (const listener of this.listeners) listener();
  }
}
