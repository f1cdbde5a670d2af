import { evaluate } from '@/core/evaluate/evaluate';
import type { Job } from '@/core/job/types';
import { fen, jobOf, jobsOfEachKind, scree } from '@/testing/jobs';
import { cutawayOf } from '@/core/takeoff/cutaway';
import { LIMESTONE, PEAT } from '@/drawing/palette';

import type { Frame } from '../paint';
import { Sprites } from '../paint';
import { paintFront } from '../paintFront';
import { Painter } from '../Painter';
import { sceneOf } from '../scene';

/* The canvas is a recorder here: what was drawn where, moved by what. */

interface Drawn {
  readonly what: string;
  readonly args: readonly number[];
  readonly colour: unknown;
  readonly alpha: number;
  readonly at: readonly [number, number];
}

class Recording {
  readonly drawn: Drawn[] = [];
  fillStyle: unknown = '';
  strokeStyle: unknown = '';
  lineWidth = 1;
  globalAlpha = 1;
  lineDashOffset = 0;
  dash: readonly number[] = [];
  depth = 0;
  turns: number[] = [];
  private x = 0;
  private y = 0;
  private kept: [number, number][] = [];

  private note(what: string, args: readonly unknown[], colour: unknown = this.fillStyle): void {
    const numbers = args.filter((a): a is number => typeof a === 'number');
    if (numbers.some((n) => !Number.isFinite(n))) throw new Error(`${what} of ${numbers.join()}`);
    this.drawn.push({
      what,
      args: numbers,
      colour,
      alpha: this.globalAlpha,
      at: [this.x, this.y],
    });
  }
  clearRect = (...args: number[]) => this.note('clear', args);
  drawImage = (_: unknown, ...args: number[]) => this.note('picture', args);
  fillRect = (...args: number[]) => this.note('rect', args);
  beginPath = () => this.note('begin', []);
  closePath = () => this.note('close', []);
  lineTo = (...args: number[]) => this.note('line', args);
  moveTo = (...args: number[]) => this.note('move', args);
  arc = (...args: number[]) => this.note('arc', args);
  fill = (...args: unknown[]) => this.note(args.length > 0 ? 'area' : 'fill', []);
  stroke = () => this.note('stroke', [], this.strokeStyle);
  setLineDash = (dash: readonly number[]) => {
    this.dash = dash;
  };
  setTransform = (...args: number[]) => this.note('transform', args);
  translate = (x: number, y: number) => {
    this.x += x;
    this.y += y;
  };
  rotate = (angle: number) => {
    if (!Number.isFinite(angle)) throw new Error('turned by no number');
    this.turns.push((angle * 180) / Math.PI);
  };
  save = () => {
    this.depth += 1;
    this.kept.push([this.x, this.y]);
  };
  restore = () => {
    this.depth -= 1;
    [this.x, this.y] = this.kept.pop() ?? [0, 0];
  };
  /** Boxes of a colour, as they lie on the picture. */
  boxes(colour: string) {
    return this.drawn
      .filter((d) => d.what === 'rect' && d.colour === colour)
      .map(({ args: [x = 0, y = 0, width = 0, height = 0], at: [dx, dy] }) => ({
        x: x + dx,
        y: y + dy,
        width,
        height,
      }));
  }
  get balanced(): boolean {
    return this.depth === 0 && Math.abs(this.x) < 1e-9 && Math.abs(this.y) < 1e-9;
  }
}

beforeAll(() => {
  Object.assign(globalThis, {
    Path2D: Recording,
    document: { createElement: () => ({ getContext: () => new Recording() }) },
  });
});

const STILL = { flow: 0, front: 0, drum: 0, back: 0 };
const SIZE = [358, 420] as const;
const sceneFor = (job: Job) =>
  sceneOf({ job, evaluation: evaluate(job) }, cutawayOf(job, 90), ...SIZE, 6);

function painted(number: string, lever: number, part: Partial<Frame> = {}, strata = LIMESTONE) {
  const cut = cutawayOf(jobOf(number), 90);
  const scene = sceneFor(jobOf(number));
  const ctx = new Recording();
  const frame: Frame = {
    look: cut.at(lever, 3000),
    load: 0,
    press: 0,
    heat: 0,
    atShoes: false,
    turned: STILL,
    ...part,
  };
  new Sprites(scene, strata, 2).paint(ctx as unknown as CanvasRenderingContext2D, frame);
  return { ctx, scene, cut };
}
const pictures = (ctx: Recording) => ctx.drawn.filter((d) => d.what === 'picture');

describe('the cutaway on its canvas', () => {
  it('draws no number that is none, for any job at any lever, in both themes, and leaves the canvas as it was', () => {
    for (const { number } of jobsOfEachKind())
      for (const lever of [0, 0.3, 1])
        for (const strata of [LIMESTONE, PEAT]) {
          const { ctx } = painted(number, lever, { load: 0.7, press: 1, heat: 0.5 }, strata);
          expect(ctx.balanced).toBe(true);
          expect(ctx.globalAlpha).toBe(1);
          expect(ctx.dash).toEqual([]);
        }
  });

  it('shifts one picture a layer, the pressure plate by all the room between the plates', () => {
    const [closed, open] = [painted('T-1', 0), painted('T-1', 1)];
    const [before, after] = [pictures(closed.ctx), pictures(open.ctx)];
    // What stays, fifteen plates, and the pressure plate with its rod.
    expect(before).toHaveLength(17);
    const risen = before.map(({ args: [, y = 0] }, i) => y - (after[i]?.args[1] ?? 0));
    const room = open.cut.at(1, 3000).opening * open.scene.drawing.up * 6;
    expect(risen[0]).toBe(0);
    // To the nearest dot of a screen with two dots a pixel.
    expect(Math.abs((risen.at(-1) ?? 0) - room)).toBeLessThanOrEqual(0.5);
    risen
      .slice(1)
      .forEach((rise, i) => expect(rise).toBeGreaterThanOrEqual((risen[i] ?? 0) - 1e-9));
    expect(after.at(-1)?.args[1]).toBeGreaterThanOrEqual(0);
  });

  it('glows as the steels heat, no steel more than it can', () => {
    const glow = (heat: number) =>
      painted('T-1', 0, { heat }).ctx.drawn.filter(
        (d) => d.what === 'area' && d.colour === LIMESTONE.stop,
      );
    expect(glow(0)).toEqual([]);
    expect(glow(0.5)).toHaveLength(7);
    expect(glow(0.5)[0]?.alpha).toBeCloseTo(0.425, 9);
    expect(glow(9)[0]?.alpha).toBeCloseTo(0.85, 9);
  });

  it('lights the way of the torque through each friction face while some passes', () => {
    const flow = (load: number) => {
      const { ctx, scene } = painted('T-1', 0, { load });
      return {
        moves: ctx.drawn.filter((d) => d.what === 'move').length,
        faces: scene.faces.length,
      };
    };
    expect(flow(0).moves).toBe(0);
    // From the basket, through each face, and down the hub.
    expect(flow(0.5).moves).toBe(flow(0.5).faces + 2);
    expect(flow(-0.5).moves).toBe(flow(0.5).faces + 2);
  });

  it('draws forces as arrows to scale: the springs at rest, the rod while the lever is pulled', () => {
    const arrows = (lever: number, press: number) =>
      painted('T-1', lever, { press }).ctx.drawn.filter(
        (d) => d.what === 'stroke' && d.colour === LIMESTONE.stop,
      ).length;
    expect(arrows(0, 1)).toBe(1);
    expect(arrows(0, 0)).toBe(0);
    expect(arrows(1, 0)).toBe(1);
    const tail = (press: number) => {
      const { ctx } = painted('T-1', 0, { press });
      const [from, to] = [
        ctx.drawn.find((d) => d.what === 'move'),
        ctx.drawn.find((d) => d.what === 'line' && d.alpha === 1),
      ];
      return Math.abs((to?.args[1] ?? 0) - (from?.args[1] ?? 0));
    };
    expect(tail(1)).toBeGreaterThan(tail(0.5));
  });

  it('lifts the outer half of an expanding disc as it grows', () => {
    const at = (rpm: number) => {
      const cut = cutawayOf(scree(), 90);
      return pictures(painted('T-2', 0, { look: cut.at(0, rpm) }).ctx).map((d) => d.args[1] ?? 0);
    };
    const [still, turning] = [at(0), at(9000)];
    expect(still.length).toBe(turning.length);
    expect(still.some((y, i) => y - (turning[i] ?? 0) > 1)).toBe(true);
  });

  it('turns drum, hub and shoes by themselves, and swings as many shoes as there are', () => {
    const front = (shoes: number, swung: number) => {
      const ctx = new Recording();
      const look = { ...cutawayOf(fen(), 90).at(0, 0), shoes: swung };
      paintFront(
        ctx as unknown as CanvasRenderingContext2D,
        300,
        shoes,
        {
          look,
          load: 0,
          press: 0,
          heat: 0,
          atShoes: false,
          turned: { ...STILL, front: 30, drum: 40, back: 50 },
        },
        LIMESTONE,
      );
      expect(ctx.balanced).toBe(true);
      return ctx;
    };
    const turnedBy = (ctx: Recording, degrees: number) =>
      ctx.turns.filter((t) => Math.abs(t - degrees) < 1e-6).length;
    const four = front(4, 0);
    // Four shoes a quarter turn apart, from where the engine has turned to.
    for (const shoe of [30, 120, 210, 300]) expect(turnedBy(four, shoe)).toBeGreaterThan(0);
    expect(turnedBy(four, 40)).toBe(2);
    expect(turnedBy(four, 50)).toBe(2);
    expect(four.boxes(LIMESTONE.ochre)).toHaveLength(4);
    expect(front(0, 0).boxes(LIMESTONE.ochre)).toHaveLength(0);
    const out = front(4, 1).boxes(LIMESTONE.ochre)[0]?.y ?? 0;
    expect(out).toBe((four.boxes(LIMESTONE.ochre)[0]?.y ?? 0) - 5);
  });
});

describe('the painter', () => {
  const speeds = { engine: 3000, hub: 1000, basketOwn: 1000, hubOwn: 300 };
  const cut = cutawayOf(fen(), 90);
  const scene = sceneFor(fen());

  function canvas(width: number) {
    const ctx = new Recording();
    return { ctx, element: { width: 0, height: 0, clientWidth: width, getContext: () => ctx } };
  }

  function shown(passed: number, atShoes = false, frontSize = 300) {
    const [section, front] = [canvas(358), canvas(frontSize)];
    const painter = new Painter(
      section.element as unknown as HTMLCanvasElement,
      front.element as unknown as HTMLCanvasElement,
      scene,
      LIMESTONE,
      4,
    );
    const frame = { look: cut.at(0, 3000), load: 0.5, press: 1, heat: 0, atShoes };
    painter.show(frame, speeds, passed);
    return { section, front };
  }

  it('keeps the canvas as sharp as the screen, up to three dots a pixel', () => {
    Object.assign(globalThis, { devicePixelRatio: 2 });
    expect(shown(0).section.element.width).toBe(Math.round(scene.drawing.width * 2));
    Object.assign(globalThis, { devicePixelRatio: 5 });
    expect(shown(0).section.element.width).toBe(Math.round(scene.drawing.width * 3));
    Object.assign(globalThis, { devicePixelRatio: 1 });
  });

  it('turns nothing while no time passes, and each part at its own speed when it does', () => {
    const still = shown(0).front.ctx.turns;
    expect(Math.min(...still.map(Math.abs))).toBe(0);
    // The front view turns sixty times slower: 1000 rpm are 6000 degrees a second.
    const moved = shown(0.1).front.ctx.turns;
    expect(moved.some((t) => Math.abs(t - (1000 * 6 * 0.1) / 60) < 1e-6)).toBe(true);
    expect(moved.some((t) => Math.abs(t - (300 * 6 * 0.1) / 60) < 1e-6)).toBe(true);
  });

  it('turns the drum with the hub where the shoes of a start clutch slip', () => {
    const slipping = shown(0.1, true).front.ctx.turns;
    const first = slipping[0] ?? Number.NaN;
    expect(first).toBeCloseTo((300 * 6 * 0.1) / 60, 6);
    expect(shown(0.1, false).front.ctx.turns[0]).toBeCloseTo((1000 * 6 * 0.1) / 60, 6);
  });

  it('leaves out a front view that has no room', () => {
    expect(shown(0.1, false, 20).front.ctx.drawn).toEqual([]);
  });
});
