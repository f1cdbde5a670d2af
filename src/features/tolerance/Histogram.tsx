import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Line, Rect, Svg } from 'react-native-svg';

import type { ToleranceRun } from '@/core/pack/tolerance';
import type { Mm } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

const HEIGHT = 120;

/** Heights of the simulated packs, with the limits. */
export function Histogram({
  run,
  min,
  max,
}: {
  readonly run: ToleranceRun;
  readonly min: Mm | undefined;
  readonly max: Mm | undefined;
}) {
  const strata = useStrata();
  const units = useUnits();
  const [width, setWidth] = useState(0);
  const { from, width: bin, counts } = run.histogram;
  const to = from + bin * counts.length;
  const x = scaleLinear([Math.min(from, min ?? from), Math.max(to, max ?? to)], [0, width]);
  const y = scaleLinear([0, Math.max(1, ...counts)], [0, HEIGHT]);
  const inside = (i: number) => {
    const middle = from + bin * (i + 0.5);
    return (min === undefined || middle >= min) && (max === undefined || middle <= max);
  };
  const edge = (value: Mm) => formatWithUnit(value, 'length', units);
  return (
    <View
      role="img"
      aria-label={`Pack heights from ${edge(run.least)} to ${edge(run.maximum)}, most near ${edge(run.mean)}`}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT + 2} aria-hidden>
          {counts.map((n, i) => (
            <Rect
              key={i}
              x={x(from + bin * i)}
              y={HEIGHT - y(n)}
              width={Math.max(1, x(from + bin) - x(from) - 0.5)}
              height={y(n)}
              fill={inside(i) ? strata.steel : strata.stop}
            />
          ))}
          {[min, max].map((value, i) =>
            value === undefined ? null : (
              <Line
                key={i}
                x1={x(value)}
                x2={x(value)}
                y1={0}
                y2={HEIGHT}
                stroke={strata.slate}
                strokeWidth={2}
                strokeDasharray="5 3"
              />
            ),
          )}
          <Line x1={0} x2={width} y1={HEIGHT} y2={HEIGHT} stroke={strata.soft} />
        </Svg>
      ) : (
        <View style={styles.room} />
      )}
      <View style={styles.row} aria-hidden>
        <Words soft size={14}>
          Limits from {min === undefined ? 'open' : edge(min)}
        </Words>
        <Words soft size={14}>
          to {max === undefined ? 'open' : edge(max)}
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  room: { height: HEIGHT + 2 },
  row: { flexDirection: 'row', justifyContent: 'space-between' },
});
