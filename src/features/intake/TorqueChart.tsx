import { View } from 'react-native';

import type { TorqueCurve } from '@/core/job/types';
import { peakOf } from '@/core/torque/engineCurve';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { fromBase } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { Chart } from '@/ui/chart/Chart';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

interface Props {
  readonly curve: TorqueCurve;
  /** Note shown with a curve in use. */
  readonly from?: string;
}

/** Torque of the engine over its speed, and its peak in words. */
export function TorqueChart({ curve, from }: Props) {
  const units = useUnits();
  const unit = shownUnit('torque', units);
  const points = curve.points.map(({ rpm, torque }) => ({ x: rpm, y: fromBase(torque, unit) }));
  const first = curve.points[0];
  const last = curve.points.at(-1);
  const peak = peakOf(curve.points);
  const maximum = formatWithUnit(peak.torque, 'torque', units);
  return (
    <View style={flow.stack}>
      <Words size={15}>
        {`${countOf(points.length, 'speed')}, peak ${maximum} at ${formatWithUnit(peak.rpm, 'speed', units)}${from === undefined ? '' : `, from ${from}`}.`}
      </Words>
      <Chart
        lines={[{ name: 'Torque', points }]}
        xLabel="Engine speed, rpm"
        yLabel={`Torque, ${unit.symbol}`}
        namesBelow
        marks={[{ x: peak.rpm, y: fromBase(peak.torque, unit), label: 'peak' }]}
        description={`Torque from ${first?.rpm ?? 0} to ${last?.rpm ?? 0} rpm, maximum ${maximum} at ${Math.round(peak.rpm)} rpm`}
      />
    </View>
  );
}
