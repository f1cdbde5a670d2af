import { scaleLinear } from 'd3-scale';

/* What a chart shows, and where. */

export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

export interface ChartLine {
  readonly name: string;
  readonly points: readonly ChartPoint[];
  /** Theme colour; slate for the first line by default. */
  readonly tone?: 'slate' | 'ochre' | 'steel' | 'stop' | undefined;
  readonly dashed?: boolean;
}

export interface ChartContent {
  readonly lines: readonly ChartLine[];
  /** Points that are named in the drawing. */
  readonly marks?: readonly (ChartPoint & { readonly label: string })[];
  /** Filled between two lines over the same x: from the low to the high. */
  readonly band?: { readonly low: readonly ChartPoint[]; readonly high: readonly ChartPoint[] };
  /** Stretches of x that are shaded. */
  readonly regions?: readonly { readonly from: number; readonly to: number }[];
  /** Level lines across with their names, such as a limit. */
  readonly levels?: readonly { readonly at: number; readonly name: string }[];
  /** Point names are placed below: a rising line would cross them. */
  readonly namesBelow?: boolean;
}

/** A stretch of x that is looked at. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export interface ChartSize {
  readonly width: number;
  readonly height: number;
}

export const MARGIN = { left: 46, right: 12, top: 12, bottom: 28 } as const;
/** Width of a figure of the left axis, px. */
const DIGIT = 7.4;
export const MARK_RADIUS = 5;
const ZOOM = 2;
const MOST_ZOOM = 16;

/** All of a chart's x. */
export function wholeOf({ lines, band }: ChartContent): Stretch {
  const xs = [...lines.flatMap((l) => l.points), ...(band?.low ?? [])].map((p) => p.x);
  return { from: Math.min(...xs), to: Math.max(...xs) };
}

/** Half as much, or twice as much, around a place; never beyond the whole. */
export function zoomed(whole: Stretch, now: Stretch, around: number, closer: boolean): Stretch {
  const all = whole.to - whole.from;
  const span = Math.min(
    all,
    Math.max(all / MOST_ZOOM, (now.to - now.from) * (closer ? 1 / ZOOM : ZOOM)),
  );
  const from = Math.min(Math.max(whole.from, around - span / 2), whole.to - span);
  return { from, to: from + span };
}

/** The height of a line at an x, between its points; nothing outside them. */
export function valueAt(points: readonly ChartPoint[], x: number): number | undefined {
  const after = points.findIndex((p) => p.x >= x);
  const [b, a] = [points[after], points[after - 1]];
  if (!b) return undefined;
  if (!a || b.x === x) return b.x === x ? b.y : undefined;
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

/** The scales of a chart, with round figures on the left axis. */
export function scalesOf(content: ChartContent, view: Stretch, { width, height }: ChartSize) {
  const { lines, band, levels = [], marks = [] } = content;
  const all = [...lines.flatMap((l) => l.points), ...(band ? [...band.low, ...band.high] : [])];
  const inView = all.filter((p) => p.x >= view.from && p.x <= view.to);
  const ys = [...(inView.length > 1 ? inView : all).map((p) => p.y), ...levels.map((l) => l.at)];
  // Nothing but zeros still gets an axis with round figures.
  const top = Math.max(...ys) * 1.06 || 1;
  const y = scaleLinear([Math.min(0, ...ys), top], [height - MARGIN.bottom, MARGIN.top]).nice(4);
  const figures = y.ticks(4).map((t) => y.tickFormat(4)(t).length);
  const left = Math.max(MARGIN.left, Math.max(...figures) * DIGIT + 12);
  // A mark at the beginning must not lie on the figures of the axis.
  const inset = marks.length > 0 ? MARK_RADIUS + 3 : 0;
  const x = scaleLinear([view.from, view.to], [left + inset, width - MARGIN.right]);
  return { x, y, left };
}

/** The name of a line as a mark at a place along it, as a share of its points. */
export function nameAlong<T>(
  items: readonly T[],
  share: number,
  label: string,
  point: (item: T, i: number) => ChartPoint,
): readonly (ChartPoint & { readonly label: string })[] {
  const i = Math.floor(share * (items.length - 1));
  const item = items[i];
  return item === undefined ? [] : [{ ...point(item, i), label }];
}
