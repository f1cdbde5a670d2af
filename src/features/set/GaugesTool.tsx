import { View } from 'react-native';

import type { Sentence } from '@/core/text/sentence';
import { readSentence, length, say } from '@/core/text/sentence';
import type { BladeStack, Gauge } from '@/core/setting/gauges';
import { bladesFor, GAUGE_SET_NAME, GAUGE_SETS, goNoGo } from '@/core/setting/gauges';
import type { ChecklistLine } from '@/core/worksheet/line';
import { useUnits } from '@/features/display/useUnits';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { GaugeSets } from '@/features/shelf/GaugeSets';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

import { UseGap } from './UseGap';
import { ToolBox } from '@/features/worksheet/ToolBox';
import { flow } from '@/ui/flow';

/** The gauges for the middle of the limits, with their total where there are several. */
function gaugesText({ blades, total }: BladeStack): Sentence {
  const names = blades.map((b) => b.name).join(' and ');
  return blades.length === 1
    ? say`Gauge for the middle of the limits: ${names}.`
    : say`Gauges for the middle of the limits: ${names}, together ${length(total)}.`;
}

/** The gap by the shop's own gauges, go and no-go, or by caliper. */
export function GaugesTool({ fields }: Pick<ChecklistLine, 'fields'>) {
  const { setting } = useJob();
  const owned = useAppSelector((state) => state.shelf.gauges);
  const change = useEditJob();
  const units = useUnits();
  const { gapMin, gapMax } = setting;
  const gauges: Gauge[] = owned.flatMap((id) => GAUGE_SETS[id]);
  const window =
    gapMin && gapMax && gapMin.value > 0 && gapMin.value <= gapMax.value
      ? { min: gapMin.value, max: gapMax.value }
      : undefined;
  const pair = window && gauges.length > 0 ? goNoGo(gauges, window.min, window.max) : undefined;
  const blades =
    window && owned.includes('metricBlades')
      ? bladesFor((window.min + window.max) / 2, GAUGE_SETS.metricBlades)
      : undefined;
  const set = (leaf: 'goSize' | 'noGoSize', gauge: Gauge) =>
    change((j) => ({
      ...j,
      setting: { ...j.setting, [leaf]: { value: gauge.size, typed: gauge.name } },
    }));
  return (
    <ToolBox fields={fields}>
      {pair ? (
        <View style={flow.stack}>
          <Words size={15}>
            {pair.go && pair.noGo
              ? `From your sets: ${pair.go.name} must pass, ${pair.noGo.name} must not.`
              : 'Your gauge sets do not bracket these limits.'}
            {blades ? ` ${readSentence(gaugesText(blades), units)}` : ''}
          </Words>
          <View style={flow.wrap}>
            {pair.go ? (
              <Action icon="check" onPress={() => pair.go && set('goSize', pair.go)}>
                {`${pair.go.name} passes`}
              </Action>
            ) : null}
            {pair.noGo ? (
              <Action icon="close" onPress={() => pair.noGo && set('noGoSize', pair.noGo)}>
                {`${pair.noGo.name} does not`}
              </Action>
            ) : null}
          </View>
        </View>
      ) : null}
      <Panel
        title="Gauges in the shop"
        summary={owned.map((id) => GAUGE_SET_NAME[id]).join(', ') || 'None yet'}
      >
        <GaugeSets />
      </Panel>
      <FigureRows ids={['gapGauged', 'expandContact', 'expandLockUp']} />
      <UseGap from="gapGauged" by="gauges" />
      <VerdictLine id="gapWays" />
    </ToolBox>
  );
}
