import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { flow } from '../flow';
import { IconKey } from '../IconKey';
import { Words } from '../Words';

import { ChartPicture } from './ChartPicture';
import { keepChart } from './keepChart';
import type { ChartContent, Stretch } from './model';
import { scalesOf, valueAt, wholeOf, zoomed } from './model';

interface Props extends ChartContent {
  /** Axis titles with units: "Engine speed, rpm". */
  readonly xLabel: string;
  readonly yLabel: string;
  /** The chart in words with its figures. */
  readonly description: string;
  readonly height?: number;
}

/** Steps of the cursor over the whole width, by the arrow keys. */
const STEPS = 40;

/** A pointer over the drawing: the browser's own event. */
interface Pointing {
  readonly nativeEvent: { readonly offsetX?: number };
}
interface Pressed {
  readonly key: string;
  preventDefault(): void;
}

/** Lines over one axis: the one style of chart. A finger, a pointer or the arrow keys read its values. */
export function Chart({ xLabel, yLabel, description, height = 200, ...content }: Props) {
  const [width, setWidth] = useState(0);
  const whole = wholeOf(content);
  const [stretch, setStretch] = useState<Stretch>();
  const [cursor, setCursor] = useState<number>();
  const box = useRef<View>(null);
  const view = stretch ?? whole;
  const drawable = width > 0 && Number.isFinite(whole.to - whole.from);
  const scales = drawable ? scalesOf(content, view, { width, height }) : undefined;
  const to = (x: number) => setCursor(Math.min(view.to, Math.max(view.from, x)));
  const point = ({ nativeEvent: { offsetX } }: Pointing) => {
    if (scales && offsetX !== undefined) to(scales.x.invert(offsetX));
  };
  const step = (by: number) =>
    to((cursor ?? (view.from + view.to) / 2) + ((view.to - view.from) / STEPS) * by);
  const read =
    cursor === undefined
      ? []
      : content.lines.flatMap(({ name, points }) => {
          const y = valueAt(points, cursor);
          return y === undefined ? [] : [{ name, x: cursor, y }];
        });
  const zoom = (closer: boolean) =>
    setStretch(zoomed(whole, view, cursor ?? (view.from + view.to) / 2, closer));
  return (
    <View style={flow.lines}>
      <Words soft size={14}>
        {yLabel}
      </Words>
      <View
        ref={box}
        role="img"
        aria-label={description}
        style={{ height }}
        onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
        {...{
          tabIndex: 0,
          onPointerDown: point,
          onPointerMove: point,
          onKeyDown: (event: Pressed) => {
            const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            if (by === undefined) return;
            event.preventDefault();
            step(by);
          },
        }}
      >
        {scales ? (
          <ChartPicture
            content={content}
            scales={scales}
            cursor={cursor === undefined ? undefined : { x: cursor, at: read }}
            width={width}
            height={height}
          />
        ) : null}
      </View>
      <View style={flow.apart}>
        <View style={flow.shrink} aria-live="polite" testID="chart-reading">
          <Words size={14}>
            {read.length > 0 ? readingText(read, xLabel, view) : 'Touch the chart to read it.'}
          </Words>
        </View>
        <Words soft size={14} style={styles.label}>
          {xLabel}
        </Words>
      </View>
      <View role="toolbar" aria-label={`Chart: ${yLabel}`} style={styles.keys}>
        <IconKey icon="magnify-plus-outline" label="Enlarge the chart" onPress={() => zoom(true)} />
        <IconKey
          icon="magnify-minus-outline"
          label="Show more of the chart"
          blocked={stretch && view.to - view.from < whole.to - whole.from ? undefined : 'all shown'}
          onPress={() => zoom(false)}
        />
        <IconKey
          icon="download"
          label="Save the chart as SVG"
          onPress={() => keepChart(box.current, yLabel, 'svg')}
        />
        <IconKey
          icon="image-outline"
          label="Save the chart as PNG"
          onPress={() => keepChart(box.current, yLabel, 'png')}
        />
      </View>
    </View>
  );
}

/** "5200: typical friction 1.31, low 1.12", each with as many digits as its axis needs. */
function readingText(
  read: readonly { readonly name: string; readonly x: number; readonly y: number }[],
  xLabel: string,
  view: Stretch,
): string {
  const [axis] = xLabel.split(',');
  const x = read[0]?.x ?? 0;
  const values = read.map(({ name, y }) => `${name} ${y.toFixed(Math.abs(y) < 20 ? 2 : 0)}`);
  return `${axis} ${x.toFixed(view.to - view.from < 20 ? 2 : 0)}: ${values.join(', ')}`;
}

const styles = StyleSheet.create({
  label: { textAlign: 'right', flexShrink: 0 },
  keys: { flexDirection: 'row', justifyContent: 'flex-end' },
});
