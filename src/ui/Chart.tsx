import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Circle, Line, Path, Rect, Svg, Text as SvgText } from 'react-native-svg';

import { spreadLabels } from '@/drawing/spreadLabels';
import { FONT, useStrata } from './theme';
import { Words } from './Words';
import { flow } from './flow';

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

interface Props {
  readonly lines: readonly ChartLine[];
  /** Axis titles with units: "Engine speed, rpm". */
  readonly xLabel: string;
  readonly yLabel: string;
  /** The chart in words with its figures. */
  readonly description: string;
  readonly height?: number;
  /** Points that are named in the drawing. */
  readonly marks?: readonly (ChartPoint & { readonly label: string })[];
  /** Filled between two lines over the same x: from the low to the high. */
  readonly band?: { readonly low: readonly ChartPoint[]; readonly high: readonly ChartPoint[] };
  /** Stretches of x that are shaded. */
  readonly regions?: readonly { readonly from: number; readonly to: number }[];
  /** Level lines across, such as a limit. */
  readonly levels?: readonly number[];
  /** Point names are placed below: a rising line would cross them. */
  readonly namesBelow?: boolean;
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

const MARGIN = { left: 46, right: 12, top: 12, bottom: 28 } as const;

/** A label of ticks on the lower axis needs so much, px. */
const TICK_ROOM = 56;
/** Width of a figure of the left axis, px. */
const DIGIT = 7.4;
const MARK_RADIUS = 5;
const MARK_GAP = 16;
const LABEL_AWAY = 16;
const LABEL_ROOM = 84;
const NAME_BELOW = 18;

interface Mark {
  readonly label: string;
  readonly x: number;
  readonly y: number;
}

/** Labels beside their marks, to the left near the right edge, spread so that none covers another. */
function placeMarks(marks: readonly Mark[], below: number, width: number, foot: number) {
  const sides = [true, false].map((left) =>
    marks.filter((m) => m.x > width - LABEL_ROOM === left).sort((a, b) => b.y - a.y),
  );
  return sides.flatMap((side, i) => {
    const ys = spreadLabels(
      side.map((m) => m.y + below),
      MARK_GAP,
      MARGIN.top + 10,
      foot,
    );
    return side.map((m, k) => ({
      ...m,
      left: i === 0,
      labelX: m.x + (i === 0 ? -LABEL_AWAY : LABEL_AWAY),
      labelY: (ys[k] ?? m.y) + 4,
    }));
  });
}

/** Lines over one axis: the one style of chart. */
export function Chart({
  lines,
  xLabel,
  yLabel,
  description,
  height = 200,
  marks = [],
  band,
  regions = [],
  levels = [],
  namesBelow = false,
}: Props) {
  const strata = useStrata();
  const [width, setWidth] = useState(0);
  const all = [...lines.flatMap((l) => l.points), ...(band ? [...band.low, ...band.high] : [])];
  const xs = all.map((p) => p.x);
  const ys = [...all.map((p) => p.y), ...levels];
  // Nothing but zeros still gets an axis with round figures.
  const top = Math.max(...ys) * 1.06 || 1;
  const y = scaleLinear([Math.min(0, ...ys), top], [height - MARGIN.bottom, MARGIN.top]).nice(4);
  const figures = y.ticks(4).map((t) => y.tickFormat(4)(t).length);
  const left = Math.max(MARGIN.left, Math.max(...figures) * DIGIT + 12);
  // A mark at the beginning must not lie on the figures of the axis.
  const inset = marks.length > 0 ? MARK_RADIUS + 3 : 0;
  const x = scaleLinear([Math.min(...xs), Math.max(...xs)], [left + inset, width - MARGIN.right]);
  const path = line<ChartPoint>(
    (p) => x(p.x),
    (p) => y(p.y),
  );
  const named = placeMarks(
    marks.map((m) => ({ label: m.label, x: x(m.x), y: y(m.y) })),
    namesBelow ? NAME_BELOW : 0,
    width,
    height - MARGIN.bottom,
  );
  const ticks = x.ticks(Math.max(2, Math.floor((width - left - MARGIN.right) / TICK_ROOM)));
  const filled = band
    ? `${path([...band.low]) ?? ''}${(path([...band.high].reverse()) ?? '').replace('M', 'L')}Z`
    : '';
  return (
    <View style={flow.lines}>
      <Words soft size={14}>
        {yLabel}
      </Words>
      <View
        role="img"
        aria-label={description}
        style={{ height }}
        onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
      >
        {width > 0 && all.length > 1 ? (
          <Svg width={width} height={height} aria-hidden>
            {regions.map((r) => (
              <Rect
                key={`r${r.from}`}
                x={x(r.from)}
                width={Math.max(0, x(r.to) - x(r.from))}
                y={MARGIN.top}
                height={height - MARGIN.bottom - MARGIN.top}
                fill={strata.ochre}
                fillOpacity={0.22}
              />
            ))}
            {filled ? <Path d={filled} fill={strata.steel} fillOpacity={0.35} /> : null}
            {y.ticks(4).map((t) => (
              <Line
                key={`y${t}`}
                x1={left}
                x2={width - MARGIN.right}
                y1={y(t)}
                y2={y(t)}
                stroke={strata.line}
              />
            ))}
            {y.ticks(4).map((t) => (
              <SvgText
                key={`yt${t}`}
                x={left - 6}
                y={y(t) + 4}
                fontSize={12}
                fontFamily={FONT.mono}
                textAnchor="end"
                fill={strata.soft}
              >
                {y.tickFormat(4)(t)}
              </SvgText>
            ))}
            {ticks.map((t) => (
              <SvgText
                key={`xt${t}`}
                x={x(t)}
                y={height - 8}
                fontSize={12}
                fontFamily={FONT.mono}
                textAnchor="middle"
                fill={strata.soft}
              >
                {x.tickFormat(ticks.length)(t)}
              </SvgText>
            ))}
            {lines.map((l, i) => (
              <Path
                key={l.name}
                d={path([...l.points]) ?? ''}
                fill="none"
                stroke={strata[l.tone ?? (i === 0 ? 'slate' : 'ochre')]}
                strokeWidth={2.4}
                {...(l.dashed ? { strokeDasharray: '6 4' } : {})}
              />
            ))}
            {levels.map((l) => (
              <Line
                key={`l${l}`}
                x1={left}
                x2={width - MARGIN.right}
                y1={y(l)}
                y2={y(l)}
                stroke={strata.stop}
                strokeWidth={2}
                strokeDasharray="5 3"
              />
            ))}
            {named.map((m) => (
              <Line
                key={`ml${m.label}`}
                x1={m.x}
                y1={m.y}
                x2={m.labelX}
                y2={m.labelY - 4}
                stroke={strata.soft}
              />
            ))}
            {/* On a ground of its own first: a line that runs through a name would strike it out. */}
            {[{ stroke: strata.ground, strokeWidth: 5 }, { fill: strata.ink }].map((paint, i) =>
              named.map((m) => (
                <SvgText
                  key={`mt${i}${m.label}`}
                  x={m.labelX + (m.left ? -3 : 3)}
                  y={m.labelY}
                  fontSize={13}
                  fontFamily={FONT.textBold}
                  textAnchor={m.left ? 'end' : 'start'}
                  {...paint}
                >
                  {m.label}
                </SvgText>
              )),
            )}
            {marks.map((m) => (
              <Circle
                key={m.label}
                cx={x(m.x)}
                cy={y(m.y)}
                r={MARK_RADIUS}
                fill={strata.ground}
                stroke={strata.slate}
                strokeWidth={2.4}
              />
            ))}
          </Svg>
        ) : null}
      </View>
      <Words soft size={14} style={styles.text}>
        {xLabel}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  text: { textAlign: 'right' },
});
