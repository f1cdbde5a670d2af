import type { TorqueCurve } from '@/core/job/types';
import { peakOf } from '@/core/torque/engineCurve';
import { formatWithUnit, fromBase, shownUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { Chart } from '@/ui/Chart';

/** Torque of the engine over its speed. */
export function TorqueChart({ curve }: { readonly curve: TorqueCurve }) {
  const units = useUnits();
  const unit = shownUnit('torque', units);
  const points = curve.points.map(({ rpm, torque }) => ({ x: rpm, y: fromBase(torque, unit) }));
  const first = curve.points[0];
  const last = curve.points.at(-1);
  const peak = peakOf(curve.points);
  return (
    <Chart
      lines={[{ name: 'Torque', points }]}
      xLabel="Engine speed, rpm"
      yLabel={`Torque, ${unit.symbol}`}
      namesBelow
      marks={[{ x: peak.rpm, y: fromBase(peak.torque, unit), label: 'peak' }]}
      description={`Torque from ${first?.rpm ?? 0} to ${last?.rpm ?? 0} rpm, greatest ${formatWithUnit(peak.torque, 'torque', units)} at ${Math.round(peak.rpm)} rpm`}
    />
  );
}
