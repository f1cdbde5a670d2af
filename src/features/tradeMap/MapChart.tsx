import { scaleLinear } from 'd3-scale';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Circle, Line, Path, Svg } from 'react-native-svg';

import { Axes } from '@/ui/chart/Axes';
import { useStrata } from '@/ui/theme';

/** One pack on the map, in the shown units. */
export interface MapPoint {
  readonly x: number;
  readonly y: number;
}

interface Props {
  readonly points: readonly MapPoint[];
  readonly chosen: number | undefined;
  readonly present: MapPoint | undefined;
  /** Limits on both measures, shown as lines that can be dragged. */
  readonly limits: { readonly x?: number | undefined; readonly y?: number | undefined };
  readonly label: string;
  readonly onChoose: (index: number) => void;
  readonly onLimit: (axis: 'x' | 'y', value: number) => void;
}

const HEIGHT = 260;
const EDGE = { left: 44, right: 14, top: 12, bottom: 24 } as const;
/** A finger this near to a line takes it, px. */
const NEAR = 16;
const TICKS = 4;
/** Room round the points, as a share of their spread. */
const ROOM = 0.06;

interface Pointing {
  readonly nativeEvent: { readonly offsetX?: number; readonly offsetY?: number };
}

function stretch(values: readonly number[]): readonly [number, number] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low || Math.abs(high) || 1) * ROOM;
  return [low - room, high + room];
}

/** The packs that nothing beats as points, the present one marked, limits as lines. A finger takes the nearest. */
export function MapChart({ points, chosen, present, limits, label, onChoose, onLimit }: Props) {
  const strata = useStrata();
  const [width, setWidth] = useState(0);
  const dragged = useRef<'x' | 'y'>(undefined);
  const all = present ? [...points, present] : points;
  const x = scaleLinear(
    stretch([...all.map((p) => p.x), ...(limits.x === undefined ? [] : [limits.x])]),
    [EDGE.left, Math.max(EDGE.left + 1, width - EDGE.right)],
  );
  const y = scaleLinear(
    stretch([...all.map((p) => p.y), ...(limits.y === undefined ? [] : [limits.y])]),
    [HEIGHT - EDGE.bottom, EDGE.top],
  );
  const nearest = (px: number, py: number): number =>
    points.reduce((best, p, i) => {
      const far = (q: MapPoint | undefined) =>
        q ? (x(q.x) - px) ** 2 + (y(q.y) - py) ** 2 : Infinity;
      return far(p) < far(points[best]) ? i : best;
    }, 0);
  const down = ({ nativeEvent: { offsetX = 0, offsetY = 0 } }: Pointing) => {
    if (limits.x !== undefined && Math.abs(x(limits.x) - offsetX) < NEAR) dragged.current = 'x';
    else if (limits.y !== undefined && Math.abs(y(limits.y) - offsetY) < NEAR)
      dragged.current = 'y';
    else {
      dragged.current = undefined;
      onChoose(nearest(offsetX, offsetY));
    }
  };
  const move = ({ nativeEvent: { offsetX = 0, offsetY = 0 } }: Pointing) => {
    if (dragged.current === 'x') onLimit('x', x.invert(offsetX));
    if (dragged.current === 'y') onLimit('y', y.invert(offsetY));
  };
  const up = () => {
    dragged.current = undefined;
  };
  const shown = chosen === undefined ? undefined : points[chosen];
  return (
    <View
      role="img"
      aria-label={label}
      style={[styles.chart, (limits.x ?? limits.y) ? DRAGGED : undefined]}
      onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
      {...{ onPointerDown: down, onPointerMove: move, onPointerUp: up, onPointerLeave: up }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={HEIGHT} pointerEvents="none">
          <Axes
            x={x}
            y={y}
            across={TICKS}
            left={EDGE.left}
            right={width - EDGE.right}
            height={HEIGHT}
          />
          {limits.x === undefined ? null : (
            <Line
              x1={x(limits.x)}
              x2={x(limits.x)}
              y1={EDGE.top}
              y2={HEIGHT - EDGE.bottom}
              stroke={strata.stop}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
          )}
          {limits.y === undefined ? null : (
            <Line
              x1={EDGE.left}
              x2={width - EDGE.right}
              y1={y(limits.y)}
              y2={y(limits.y)}
              stroke={strata.stop}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
          )}
          {/* One path for all: hundreds of circles are slow to lay out on a phone. */}
          <Path
            d={points.map((p) => `M${x(p.x)} ${y(p.y)}h0`).join('')}
            stroke={strata.ochre}
            strokeWidth={8}
            strokeLinecap="round"
            fill="none"
          />
          {present ? (
            <Path
              d={`M${x(present.x)} ${y(present.y) - 8}l8 8l-8 8l-8 -8z`}
              fill={strata.ground}
              stroke={strata.ink}
              strokeWidth={2}
            />
          ) : null}
          {shown ? (
            <Circle
              cx={x(shown.x)}
              cy={y(shown.y)}
              r={8}
              fill={strata.slate}
              stroke={strata.ground}
              strokeWidth={2}
            />
          ) : null}
        </Svg>
      )}
    </View>
  );
}

// A line that is dragged must not scroll the page.
const DRAGGED = { touchAction: 'none' } as object;

const styles = StyleSheet.create({
  chart: { height: HEIGHT, ...({ touchAction: 'pan-y' } as object) },
});
