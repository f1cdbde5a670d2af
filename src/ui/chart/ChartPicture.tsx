import { line } from 'd3-shape';
import { useId } from 'react';
import {
  Circle,
  ClipPath,
  Defs,
  G,
  Line,
  Path,
  Rect,
  Svg,
  Text as SvgText,
} from 'react-native-svg';

import { spreadLabels } from '@/drawing/spreadLabels';

import { FONT, useStrata } from '../theme';

import { Axes } from './Axes';
import type { ChartContent, ChartPoint, ChartSize, scalesOf } from './model';
import { MARGIN, MARK_RADIUS } from './model';

/** A label of ticks on the lower axis needs so much, px. */
const TICK_ROOM = 56;
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

interface Props extends ChartSize {
  readonly content: ChartContent;
  readonly scales: ReturnType<typeof scalesOf>;
  /** The x under finger or pointer, with the heights of the lines there. */
  readonly cursor: { readonly x: number; readonly at: readonly ChartPoint[] } | undefined;
}

/** The drawing of a chart. */
export function ChartPicture({ content, scales: { x, y, left }, cursor, width, height }: Props) {
  const strata = useStrata();
  const clip = useId();
  const { lines, marks = [], band, regions = [], levels = [], namesBelow = false } = content;
  const path = line<ChartPoint>(
    (p) => x(p.x),
    (p) => y(p.y),
  );
  const [first = 0, last = 0] = x.domain();
  const seen = marks.filter((m) => m.x >= first && m.x <= last);
  const named = placeMarks(
    seen.map((m) => ({ label: m.label, x: x(m.x), y: y(m.y) })),
    namesBelow ? NAME_BELOW : 0,
    width,
    height - MARGIN.bottom,
  );
  const filled = band
    ? `${path([...band.low]) ?? ''}${(path([...band.high].reverse()) ?? '').replace('M', 'L')}Z`
    : '';
  return (
    <Svg width={width} height={height} aria-hidden testID="chart">
      <Defs>
        <ClipPath id={clip}>
          <Rect
            x={left}
            y={MARGIN.top}
            width={Math.max(1, width - left - MARGIN.right + MARK_RADIUS)}
            height={height - MARGIN.top - MARGIN.bottom + 1}
          />
        </ClipPath>
      </Defs>
      <G clipPath={`url(#${clip})`}>
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
      </G>
      <Axes
        x={x}
        y={y}
        across={Math.max(2, Math.floor((width - left - MARGIN.right) / TICK_ROOM))}
        left={left}
        right={width - MARGIN.right}
        height={height}
      />
      <G clipPath={`url(#${clip})`}>
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
      </G>
      {levels.map((l) => (
        <Line
          key={`l${l.name}`}
          x1={left}
          x2={width - MARGIN.right}
          y1={y(l.at)}
          y2={y(l.at)}
          stroke={strata.stop}
          strokeWidth={2}
          strokeDasharray="5 3"
        />
      ))}
      {levels.map((l) => (
        <SvgText
          key={`ln${l.name}`}
          x={left + 4}
          y={y(l.at) - 5}
          fontSize={13}
          fontFamily={FONT.text}
          fill={strata.stop}
        >
          {l.name}
        </SvgText>
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
      {seen.map((m) => (
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
      {cursor ? (
        <>
          <Line
            x1={x(cursor.x)}
            x2={x(cursor.x)}
            y1={MARGIN.top}
            y2={height - MARGIN.bottom}
            stroke={strata.ink}
            strokeWidth={1}
          />
          {cursor.at.map((p, i) => (
            <Circle key={`c${i}`} cx={x(p.x)} cy={y(p.y)} r={4} fill={strata.ink} />
          ))}
        </>
      ) : null}
    </Svg>
  );
}
