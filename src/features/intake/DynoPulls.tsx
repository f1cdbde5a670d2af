import { View } from 'react-native';

import { peakOf } from '@/core/torque/engineCurve';
import { risingPart } from '@/core/torque/pulls';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { BenchBar } from '@/features/bench/BenchBar';
import { useBenchLink } from '@/features/bench/benchLink';
import type { RecordedPull, RecordedPulls } from '@/core/torque/dynoPulls';
import { IconKey } from '@/ui/IconKey';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';

import { curveFromPulls } from './curveFromPulls';
import { flow } from '@/ui/flow';

const ROW = { flexDirection: 'row', gap: 8, alignItems: 'center' } as const;

interface Props {
  readonly pulls: RecordedPulls;
  readonly listening: boolean;
  readonly onPulls: (pulls: RecordedPulls) => void;
}

/** Pulls from the dyno: one line each, also while running. */
export function DynoPulls({ pulls, listening, onPulls }: Props) {
  const { status } = useBenchLink();
  return (
    <View style={flow.stack}>
      {listening ? <BenchBar of="dyno" compact={status !== 'off'} /> : null}
      {listening && status === 'connected' && pulls.length === 0 ? (
        <Words size={15} soft>
          Warm engine, cover on, machine strapped down, no one in line with the wheel. Pull from low
          speed to the top. Each pull appears here.
        </Words>
      ) : null}
      <View role="list" aria-label="Dyno pulls">
        {pulls.map((pull, i) => (
          <View role="listitem" key={i} style={ROW}>
            <View style={flow.fill}>
              <PullLine pull={pull} place={i + 1} />
            </View>
            <IconKey
              icon="close"
              label={`Remove pull ${i + 1}`}
              onPress={() => onPulls(pulls.filter((_, at) => at !== i))}
            />
          </View>
        ))}
      </View>
    </View>
  );
}

function PullLine({ pull, place }: { readonly pull: RecordedPull; readonly place: number }) {
  const units = useUnits();
  const last = pull.samples.at(-1);
  const speed = (rpm: number | undefined) => formatWithUnit(rpm ?? 0, 'speed', units);
  const torque = (nm: number) => formatWithUnit(nm, 'torque', units);
  if (pull.state === 'whole') {
    const rising = risingPart(pull.samples);
    const peak = peakOf(curveFromPulls([pull])?.curve.points ?? []);
    return (
      <Words>
        {`Pull ${place}: ${speed(rising[0]?.rpm)} to ${speed(rising.at(-1)?.rpm)}, peak ${torque(peak.torque)} at ${speed(peak.rpm)}`}
      </Words>
    );
  }
  if (pull.state === 'running')
    return <Words>{`Pull ${place}: ${speed(last?.rpm)}, ${torque(last?.torque ?? 0)} …`}</Words>;
  return (
    <View style={ROW}>
      <StateMark state="watch" size={18} />
      <Words>
        {pull.parts === 0
          ? `Pull ${place}: the start was missed. Not used.`
          : `Pull ${place} stopped early, at ${speed(last?.rpm)}. Not used.`}
      </Words>
    </View>
  );
}
