import type { Strata } from '@/drawing/palette';

import type { Frame } from './paint';

/** Paints basket and hub from the front, each with its own rotation, and the shoes of a start clutch between them. */
export function paintFront(
  ctx: CanvasRenderingContext2D,
  size: number,
  shoes: number,
  { look, turned }: Frame,
  strata: Strata,
): void {
  const r = size / 2;
  const round = (n: number, from: number, paint: () => void) => {
    for (let i = 0; i < n; i++) {
      ctx.save();
      ctx.translate(r, r);
      ctx.rotate(((from + (i * 360) / n) * Math.PI) / 180);
      paint();
      ctx.restore();
    }
  };
  const disc = (radius: number, colour: string) => {
    ctx.beginPath();
    ctx.arc(r, r, radius, 0, 2 * Math.PI);
    ctx.fillStyle = colour;
    ctx.fill();
  };
  const dot = (up: number) => () => {
    ctx.beginPath();
    ctx.arc(0, -up, 4, 0, 2 * Math.PI);
    ctx.fill();
  };
  ctx.clearRect(0, 0, size, size);
  disc(r - 4, strata.ochreDeep);
  disc(r - 12, strata.ground);
  ctx.fillStyle = strata.ochreDeep;
  round(8, turned.drum, () => ctx.fillRect(-5, -(r - 1), 10, 16));
  ctx.fillStyle = strata.groove;
  round(1, turned.drum, dot(r - 8));
  ctx.fillStyle = strata.ochre;
  if (shoes > 0)
    round(shoes, turned.front, () => ctx.fillRect(-8, -(r - 21) - 5 * look.shoes, 16, 7));
  disc(r * 0.46, strata.steel);
  ctx.fillStyle = strata.steel;
  round(10, turned.back, () => ctx.fillRect(-3, -(r * 0.46) - 5, 6, 8));
  ctx.fillStyle = strata.ground;
  round(1, turned.back, dot(r * 0.3));
}
