import { pullCurve } from '@/core/evaluate/pullCurve';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { fromBase } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Chart } from '@/ui/chart/Chart';
import { Heading } from '@/ui/Words';

/** The pull over the stroke, out and back; nothing while it is not known. */
export function PullStroke() {
  const units = useUnits();
  const points = pullCurve(useJob());
  const last = points.at(-1);
  if (!last) return null;
  const across = shownUnit('length', units);
  const force = shownUnit('force', units);
  const line = (name: string, of: 'out' | 'back', dashed: boolean) => ({
    name,
    dashed,
    points: points.map((p) => ({ x: fromBase(p.lift, across), y: fromBase(p[of], force) })),
  });
  const most = Math.max(...points.map((p) => p.out));
  const show = (newtons: number) => formatWithUnit(newtons, 'force', units, 0);
  return (
    <>
      <Heading level={2}>Pull over the stroke</Heading>
      <Chart
        xLabel={`Lift, ${across.symbol}`}
        yLabel={`Force at the lever, ${force.symbol}`}
        lines={[line('Out', 'out', false), line('Back', 'back', true)]}
        description={`Pull over the stroke: at most ${show(most)} out; back ${show(last.back)} at full lift`}
      />
    </>
  );
}
