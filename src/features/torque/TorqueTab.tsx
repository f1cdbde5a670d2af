import { StyleSheet, View } from 'react-native';

import { RESERVE_STOP } from '@/core/evaluate/verdicts/holdingVerdict';
import type { FaceShare, PackModel } from '@/core/evaluate/states';
import { packModel } from '@/core/evaluate/states';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Slips } from '@/features/drag/Slips';
import { TakeoffPanel } from '@/features/takeoff/TakeoffPanel';
import { Chart } from '@/ui/chart/Chart';
import { FieldGrid } from '@/ui/FieldGrid';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const SHOWN: readonly FigureId[] = [
  'torqueAtClutch',
  'capacityWithTangs',
  'reserveWithTangs',
  'leastCurveReserve',
  'leastCurveSpeed',
  'assistClamp',
  'clampAtPeak',
  'liningPressure',
];
const HEAT: readonly FigureId[] = ['packMass', 'packInertia', 'startHeat', 'steelRise'];

/** The torque reserve over the engine's curve, the share of each face, and the heat of a start. */
export function TorqueTab() {
  const job = useJob();
  const model = packModel(job);
  return (
    <View style={flow.sections}>
      <Heading level={2}>Torque reserve over engine speed</Heading>
      <ReserveChart model={model} />
      <FigureRows ids={SHOWN} />
      <Faces faces={model.faces()} />
      <Heading level={2}>Weight and heat</Heading>
      <Words soft size={15}>
        Aluminium steels reduce gearbox inertia and take more heat per weight; steel takes more heat
        per thickness and lasts longer. Enter a start to see the heat.
      </Words>
      <FieldGrid>
        <EntryField path="duty.mass" />
        <EntryField path="duty.wheelRadius" />
        <EntryField path="duty.gearRatio" />
        <EntryField path="duty.startRpm" />
        <EntryField path="duty.engineInertia" />
        <EntryField path="duty.throttle" />
        <EntryField path="duty.letOut" />
        <EntryField path="duty.grade" />
      </FieldGrid>
      <FigureRows ids={HEAT} />
      <Slips />
      <TakeoffPanel />
    </View>
  );
}

/** Reserve from low to high friction over engine speed, the line of slip, and where it begins. */
function ReserveChart({ model }: { readonly model: PackModel }) {
  // Beyond a torque curve nothing is known of the engine.
  const { curve } = useJob().engine;
  const [first, last] = [curve?.points[0]?.rpm ?? 0, curve?.points.at(-1)?.rpm ?? Infinity];
  const points = model
    .curves(61)
    .rpm.filter(({ x }) => x >= first && x <= last)
    .flatMap(({ x, at }) => (at.reserve ? [{ x, ...at.reserve }] : []));
  if (points.length < 2)
    return (
      <Words soft size={15}>
        {curve
          ? 'The curve appears once primary ratio, pack and springs are known.'
          : 'The curve needs the engine’s torque over its speed: import it, or read it from the dyno, under Machine.'}
      </Words>
    );
  const line = (level: 'low' | 'typical' | 'high') =>
    points.map((p) => ({ x: p.x, y: Math.min(p[level], TOP) }));
  const slip = points.filter((p) => p.low < RESERVE_STOP);
  const [from, to] = [slip[0], slip.at(-1)];
  const least = points.reduce((a, b) => (b.low < a.low ? b : a));
  return (
    <>
      <Chart
        lines={[{ name: 'Typical friction', points: line('typical') }]}
        band={{ low: line('low'), high: line('high') }}
        levels={[{ at: RESERVE_STOP, name: 'slips below' }]}
        regions={from && to ? [{ from: from.x, to: to.x }] : []}
        marks={[
          { x: least.x, y: Math.min(least.low, TOP), label: `minimum ${least.low.toFixed(2)}` },
        ]}
        xLabel="Engine speed, rpm"
        yLabel="Torque reserve; band from low to high friction"
        description={`Reserve from ${points[0]?.x.toFixed(0) ?? ''} to ${points.at(-1)?.x.toFixed(0) ?? ''} rpm, minimum ${least.low.toFixed(2)} at ${least.x.toFixed(0)} rpm at low friction`}
      />
      <Words size={15}>
        {from && to
          ? `At low friction the clutch slips from ${Math.round(from.x)} to ${Math.round(to.x)} rpm, shaded.`
          : `No slip at any speed: minimum reserve ${least.low.toFixed(2)} at ${Math.round(least.x)} rpm with low friction.`}
      </Words>
    </>
  );
}

/** Reserves beyond this say nothing more, and would press the rest of the curve flat. */
const TOP = 4;

/** Clamp and torque of each face, outermost first. */
function Faces({ faces }: { readonly faces: readonly FaceShare[] }) {
  const units = useUnits();
  const strata = useStrata();
  const { layout } = useEvaluation();
  if (faces.length === 0) return null;
  const most = Math.max(...faces.map((f) => f.share));
  const name = (n: number) =>
    n === 0 ? 'hub floor' : n > layout.layers.length ? 'pressure plate' : String(n);
  return (
    <View style={flow.tight}>
      <Heading level={2}>Clamp by face</Heading>
      <Words soft size={14}>
        {`From ${formatWithUnit(faces[0]?.clamp ?? 0, 'force', units, 0)} at the pressure plate inward, typical friction. Tang friction reduces clamp on the way down: the innermost face has the least.`}
      </Words>
      <View role="list" aria-label="Friction faces, outermost first">
        {faces.map((f) => (
          <View key={f.below} role="listitem" style={styles.item}>
            <Words size={14} style={styles.text}>
              {`${name(f.above)} on ${name(f.below)}`}
            </Words>
            <View style={styles.grow}>
              <View
                style={[
                  styles.room,
                  {
                    width: `${most > 0 ? (100 * f.share) / most : 0}%`,
                    backgroundColor: strata.ochre,
                  },
                ]}
              />
            </View>
            <Digits size={14} style={styles.facesText}>
              {`${formatWithUnit(f.clamp, 'force', units, 0)} ${(100 * f.share).toFixed(1)} %`}
            </Digits>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, minHeight: 26 },
  text: { width: 118 },
  grow: { flexGrow: 1, flexBasis: 0, height: 10 },
  room: { height: 10 },
  facesText: { width: 130, textAlign: 'right' },
});
