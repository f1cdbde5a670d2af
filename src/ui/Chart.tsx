import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import { Circle, Line, Path, Svg, Text as SvgText } from 'react-native-svg';

import { FONT, useStrata } from './theme';
import { Words } from './Words';

export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

export interface ChartLine {
  readonly name: string;
  readonly points: readonly ChartPoint[];
  /** Colour of the theme; the first line is slate unless it says otherwise. */
  readonly tone?: 'slate' | 'ochre' | 'steel' | 'stop';
  readonly dashed?: boolean;
}

interface Props {
  readonly lines: readonly ChartLine[];
  /** What runs along each axis, with its unit: "Engine speed, rpm". */
  readonly xLabel: string;
  readonly yLabel: string;
  /** The chart in words with its figures. */
  readonly description: string;
  readonly height?: number;
  readonly marks?: readonly (ChartPoint & { readonly label: string })[];
}

const MARGIN = { left: 46, right: 12, top: 12, bottom: 28 } as const;

/** Lines over one axis: the one style of chart. */
export function Chart({ lines, xLabel, yLabel, description, height = 200, marks = [] }: Props) {
  const strata = useStrata();
  const [width, setWidth] = useState(0);
  const all = lines.flatMap((l) => l.points);
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  const x = scaleLinear([Math.min(...xs), Math.max(...xs)], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear(
    [Math.min(0, ...ys), Math.max(...ys) * 1.06],
    [height - MARGIN.bottom, MARGIN.top],
  ).nice(4);
  const path = line<ChartPoint>(
    (p) => x(p.x),
    (p) => y(p.y),
  );
  return (
    <View style={{ gap: 2 }}>
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
            {y.ticks(4).map((t) => (
              <Line
                key={`y${t}`}
                x1={MARGIN.left}
                x2={width - MARGIN.right}
                y1={y(t)}
                y2={y(t)}
                stroke={strata.line}
              />
            ))}
            {y.ticks(4).map((t) => (
              <SvgText
                key={`yt${t}`}
                x={MARGIN.left - 6}
                y={y(t) + 4}
                fontSize={12}
                fontFamily={FONT.mono}
                textAnchor="end"
                fill={strata.soft}
              >
                {y.tickFormat(4)(t)}
              </SvgText>
            ))}
            {x.ticks(5).map((t) => (
              <SvgText
                key={`xt${t}`}
                x={x(t)}
                y={height - 8}
                fontSize={12}
                fontFamily={FONT.mono}
                textAnchor="middle"
                fill={strata.soft}
              >
                {x.tickFormat(5)(t)}
              </SvgText>
            ))}
            {lines.map((l, i) => (
              <Path
                key={l.name}
                d={path([...l.points]) ?? ''}
                fill="none"
                stroke={strata[l.tone ?? (i === 0 ? 'slate' : 'ochre')]}
                strokeWidth={2.4}
                strokeDasharray={l.dashed ? '6 4' : undefined}
              />
            ))}
            {marks.map((m) => (
              <Circle
                key={m.label}
                cx={x(m.x)}
                cy={y(m.y)}
                r={5}
                fill={strata.ground}
                stroke={strata.slate}
                strokeWidth={2.4}
              />
            ))}
          </Svg>
        ) : null}
      </View>
      <Words soft size={14} style={{ textAlign: 'right' }}>
        {xLabel}
      </Words>
    </View>
  );
}
