import type { MotionSpeeds } from '@/core/takeoff/motion';
import type { Strata } from '@/drawing/palette';

import type { Frame, Turned } from './paint';
import { Sprites } from './paint';
import { paintFront } from './paintFront';
import type { Scene } from './scene';

/** The front view turns so many times slower than the machine. */
const SLOWED = 60;
const FLOW_SPEED = 60;
const SMALLEST = 40;

/** Keeps how far everything has turned, and paints it on the canvases there are. */
export class Painter {
  private turned: Turned = { flow: 0, front: 0, drum: 0, back: 0 };
  private readonly sprites: Sprites;

  constructor(
    private readonly section: HTMLCanvasElement,
    private readonly front: HTMLCanvasElement | null,
    private readonly scene: Scene,
    private readonly strata: Strata,
    private readonly shoes: number,
  ) {
    this.sprites = new Sprites(scene, strata, density());
  }

  /** @param passed seconds since the last frame, for rotation; 0 for none */
  show(frame: Omit<Frame, 'turned'>, speeds: MotionSpeeds | undefined, passed: number): void {
    if (speeds && passed > 0) {
      const { hubOwn } = speeds;
      // With a start clutch that slips, basket and hub are one: it is the shoes that turn with the engine.
      const engine = speeds.basketOwn;
      const basketOwn = frame.atShoes ? hubOwn : engine;
      const { flow, front, back, drum } = this.turned;
      this.turned = {
        flow: (flow + FLOW_SPEED * passed * Math.sign(frame.load)) % 900,
        front: (front + (engine * 6 * passed) / SLOWED) % 360,
        drum: (drum + (basketOwn * 6 * passed) / SLOWED) % 360,
        back: (back + (hubOwn * 6 * passed) / SLOWED) % 360,
      };
    }
    const whole = { ...frame, turned: this.turned };
    const { width, height } = this.scene.drawing;
    const ctx = prepared(this.section, width, height);
    if (ctx) this.sprites.paint(ctx, whole);
    const size = this.front?.clientWidth ?? 0;
    // On its way out of the page a canvas has no size any more.
    if (!this.front || size < SMALLEST) return;
    const other = prepared(this.front, size, size);
    if (other) paintFront(other, size, this.shoes, whole, this.strata);
  }
}

/** Pixels of the screen for one of the page; more than three no eye sees. */
const density = (): number => Math.min(3, globalThis.devicePixelRatio || 1);

/** A canvas as sharp as the screen, to be painted in the pixels of the page. */
function prepared(
  canvas: HTMLCanvasElement,
  width: number,
  height: number,
): CanvasRenderingContext2D | null {
  const dense = density();
  const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
  if (canvas.width !== w || canvas.height !== h) {
    canvas.width = w;
    canvas.height = h;
  }
  const ctx = canvas.getContext('2d');
  ctx?.setTransform(dense, 0, 0, dense, 0, 0);
  return ctx;
}
