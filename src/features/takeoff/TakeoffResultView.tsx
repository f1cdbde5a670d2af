import { View } from 'react-native';

import type { Way } from '@/core/takeoff/hands';
import type { RepeatedStart } from '@/core/takeoff/takeoff';
import { useUnits } from '@/features/display/useUnits';
import { Chart } from '@/ui/chart/Chart';
import { nameAlong } from '@/ui/chart/model';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';

import { describeJudder, describeStart } from './describeStart';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const JUDDER_STATE = { none: 'good', possible: 'watch', likely: 'stop' } as const;

interface Props {
  readonly starts: readonly RepeatedStart[];
  readonly way: Way;
}

/** One pack's start: speeds to lock-up, judder, and the steels over starts one after the other. */
export function TakeoffResultView({ starts, way }: Props) {
  const units = useUnits();
  const first = starts[0]?.start;
  if (!first) return null;
  const { outcome, points, judder } = first;
  const says = describeStart(first, units);
  return (
    <View style={flow.stack} testID="takeoff" {...{ dataSet: { outcome } }}>
      <Words bold>{says}</Words>
      <View style={flow.topRow} testID="judder">
        <StateMark state={JUDDER_STATE[judder.level]} />
        <Words size={15} style={flow.shrink}>
          {describeJudder(first)}
        </Words>
      </View>
      <Chart
        xLabel="Time, s"
        yLabel="Speed, rpm"
        height={220}
        lines={[
          { name: 'engine', points: points.map((p) => ({ x: p.t, y: p.engineRpm })) },
          {
            name: 'hub',
            tone: 'ochre',
            points: points.map((p) => ({ x: p.t, y: p.hubRpm })),
          },
        ]}
        marks={[
          ...nameAlong(points, 0.4, 'engine', (p) => ({ x: p.t, y: p.engineRpm })),
          ...nameAlong(points, 0.8, 'hub', (p) => ({ x: p.t, y: p.hubRpm })),
        ]}
        description={`${way.name}: engine and hub over time. ${says}`}
      />
      {starts.length > 1 ? <Repeated starts={starts} /> : null}
    </View>
  );
}

/** Steels at their warmest, start after start. */
function Repeated({ starts }: { readonly starts: readonly RepeatedStart[] }) {
  const hottest = Math.max(...starts.map(({ start }) => start.warmest));
  const last = starts.at(-1)?.start;
  const words = `${countOf(starts.length, 'start')}: the steels reach ${hottest.toFixed(0)} °C; the last start slips ${last?.slipTime.toFixed(2)} s.`;
  return (
    <View style={flow.stack}>
      <Words bold>{words}</Words>
      <Chart
        xLabel="Start"
        yLabel="Steels, °C"
        height={180}
        lines={[
          {
            name: 'warmest',
            tone: 'stop',
            points: starts.map(({ start }, i) => ({ x: i + 1, y: start.warmest })),
          },
          {
            name: 'after the rest',
            tone: 'steel',
            points: starts.map(({ after }, i) => ({ x: i + 1, y: after })),
          },
        ]}
        marks={[
          ...nameAlong(starts, 0.4, 'warmest', ({ start }, i) => ({ x: i + 1, y: start.warmest })),
          ...nameAlong(starts, 0.7, 'after the rest', ({ after }, i) => ({ x: i + 1, y: after })),
        ]}
        namesBelow
        description={words}
      />
    </View>
  );
}
