import { useState } from 'react';
import { View } from 'react-native';

import type { WayId } from '@/core/takeoff/hands';
import { WAYS } from '@/core/takeoff/hands';
import type { RepeatedStart, TakeoffResult } from '@/core/takeoff/takeoff';
import { useJobLater } from '@/features/jobs/useJob';
import { Action } from '@/ui/Action';
import type { ChartPoint } from '@/ui/Chart';
import { Chart } from '@/ui/Chart';
import { Choice } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

/** Oil of a warm engine, °C. Design estimate. */
const WARM_OIL = 90;

const WAY_OPTIONS = (Object.keys(WAYS) as WayId[]).map((value) => ({
  value,
  label: WAYS[value].name,
}));

/** What a start does to this pack: speeds to lock-up, heat, and the steels over starts one after the other. */
export function TakeoffPanel() {
  const job = useJobLater();
  const [way, setWay] = useState<WayId>('gentle');
  const { run, start } = useHeavy<readonly RepeatedStart[]>(job);
  const [shown, setShown] = useState<WayId>();
  const go = () => {
    setShown(way);
    start((runs) => runs.takeoff(job, way, WARM_OIL));
  };
  return (
    <Panel title="Take-off" summary="A start followed to lock-up, and its heat over many">
      <Choice label="Way" value={way} options={WAY_OPTIONS} onChange={setWay} />
      <Words soft size={15}>
        {WAYS[way].about}
      </Words>
      <Action main icon="play" disabled={run.state === 'running'} onPress={go}>
        {run.state === 'running' ? 'Taking off …' : 'Take off'}
      </Action>
      <View aria-live="polite">
        {run.state === 'refused' ? <Words>{run.why}</Words> : null}
        {run.state === 'done' && shown !== undefined ? (
          <Result starts={run.result} way={shown} />
        ) : null}
      </View>
    </Panel>
  );
}

interface ResultProps {
  readonly starts: readonly RepeatedStart[];
  readonly way: WayId;
}

function Result({ starts, way }: ResultProps) {
  const first = starts[0]?.start;
  if (!first) return null;
  const { outcome, points } = first;
  const says = sentenceOf(first);
  return (
    <View style={{ gap: 10 }} testID="takeoff" {...{ dataSet: { outcome } }}>
      <Words bold>{says}</Words>
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
          ...at(points, 0.4, 'engine', (p) => ({ x: p.t, y: p.engineRpm })),
          ...at(points, 0.8, 'hub', (p) => ({ x: p.t, y: p.hubRpm })),
        ]}
        description={`${WAYS[way].name}: engine and hub over time. ${says}`}
      />
      {starts.length > 1 ? <Repeated starts={starts} /> : null}
      <Words soft size={14}>
        Two masses and a slipping clutch; how far the lever bites, how the engine idles and brakes,
        what the oil carries off and where linings fade are design estimates. It compares packs; it
        does not say that a machine is safe.
      </Words>
    </View>
  );
}

/** The name of a line at a place along it. */
function at<T>(
  items: readonly T[],
  share: number,
  label: string,
  point: (item: T, i: number) => ChartPoint,
): readonly (ChartPoint & { readonly label: string })[] {
  const i = Math.floor(share * (items.length - 1));
  const item = items[i];
  return item === undefined ? [] : [{ ...point(item, i), label }];
}

function sentenceOf(start: TakeoffResult): string {
  const { outcome, slipTime, energy: heat, lockRpm, leastRpm, warmest } = start;
  const slipped = `${slipTime.toFixed(2)} s of slip, ${(heat / 1000).toFixed(1)} kJ of heat, steels at ${warmest.toFixed(0)} °C`;
  if (outcome === 'locked') return `Locked at ${lockRpm.toFixed(0)} rpm after ${slipped}.`;
  if (outcome === 'stalled') return `Stalled at ${leastRpm.toFixed(0)} rpm after ${slipped}.`;
  return `Still slipping at the end: ${slipped}.`;
}

/** Steels at their warmest, start after start. */
function Repeated({ starts }: { readonly starts: readonly RepeatedStart[] }) {
  const hottest = Math.max(...starts.map(({ start }) => start.warmest));
  const last = starts.at(-1)?.start;
  const words = `${starts.length} starts: the steels reach ${hottest.toFixed(0)} °C; the last start slips ${last?.slipTime.toFixed(2)} s.`;
  return (
    <View style={{ gap: 8 }}>
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
          ...at(starts, 0.4, 'warmest', ({ start }, i) => ({ x: i + 1, y: start.warmest })),
          ...at(starts, 0.7, 'after the rest', ({ after }, i) => ({ x: i + 1, y: after })),
        ]}
        namesBelow
        description={words}
      />
    </View>
  );
}
