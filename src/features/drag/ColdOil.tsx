import { View } from 'react-native';

import type { OilGrade } from '@/core/drag/viscosity';
import { OIL_GRADES } from '@/core/drag/viscosity';
import type { DragChange } from '@/core/evaluate/coldDrag';
import { coldDrag, MORE_LIFT } from '@/core/evaluate/coldDrag';
import { fromBase } from '@/core/units/quantity';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Chart } from '@/ui/chart/Chart';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { useRuled } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

const GRADES = (Object.keys(OIL_GRADES) as OilGrade[]).map((value) => ({
  value,
  label: OIL_GRADES[value].name,
}));

/** Drag of the open pack in cold oil: the oil, the verdicts, the curve, and what would change it. */
export function ColdOil() {
  const { oil } = useJob();
  const edit = useEditJob();
  return (
    <Panel
      title="Cold oil"
      summary={oil?.grade ? OIL_GRADES[oil.grade].name : 'Stiff neutral on cold mornings'}
    >
      <Choice
        label="Oil grade"
        value={oil?.grade ?? ''}
        options={GRADES}
        onChange={(grade) => {
          if (grade !== '') edit((job) => ({ ...job, oil: { ...job.oil, grade } }));
        }}
      />
      <FieldGrid>
        <EntryField path="oil.viscosity40" />
        <EntryField path="oil.viscosity100" />
        <EntryField path="oil.coldest" />
        <EntryField path="oil.fill" />
        <EntryField path="oil.dragMax" />
        <EntryField path="oil.density" />
      </FieldGrid>
      <VerdictLine id="coldDrag" />
      <VerdictLine id="coldCreep" />
      <FigureRows
        ids={['dragCold', 'dragFreeFrom', 'viscosityCold', 'dragAtWheel', 'roadResistance']}
      />
      <DragCurve />
    </Panel>
  );
}

function DragCurve() {
  const units = useUnits();
  const ruled = useRuled();
  const found = coldDrag(useJob());
  if (!found) return null;
  const warmth = shownUnit('temperature', units);
  const turning = shownUnit('torque', units);
  const t = (celsius: number) => fromBase(celsius, warmth);
  const y = (drag: number) => fromBase(drag, turning);
  const temperature = (celsius: number) => formatWithUnit(celsius, 'temperature', units);
  const torque = (drag: number) => formatWithUnit(drag, 'torque', units, 2);
  const [present, ...others] = found.changes;
  const name = ({ id, name: is }: DragChange) =>
    id === 'lift' ? `${formatWithUnit(MORE_LIFT, 'length', units, 1)} more lift` : is;
  return (
    <>
      <Chart
        xLabel={`Oil temperature, ${warmth.symbol}`}
        yLabel={`Drag at the hub, ${turning.symbol}`}
        lines={[
          { name: 'Drag', points: found.curve.map((p) => ({ x: t(p.celsius), y: y(p.drag) })) },
        ]}
        levels={[{ at: y(found.limit), name: 'allowed' }]}
        marks={
          present
            ? [{ x: t(found.coldest), y: y(present.drag), label: temperature(found.coldest) }]
            : []
        }
        description={`Drag over oil temperature: ${present ? torque(present.drag) : ''} at ${temperature(found.coldest)}${present?.freeFrom === undefined ? '' : `, free from ${temperature(present.freeFrom)}`}`}
      />
      <View role="list" aria-label="Changes and their drag" style={flow.lines}>
        {others.map((change) => (
          <View key={change.id} role="listitem" style={[ruled, flow.apart]}>
            <Words size={15} style={flow.shrink}>
              {name(change)}
            </Words>
            <Digits size={15}>
              {`${torque(change.drag)}, ${change.freeFrom === undefined ? 'never free' : `free from ${temperature(change.freeFrom)}`}`}
            </Digits>
          </View>
        ))}
      </View>
    </>
  );
}
