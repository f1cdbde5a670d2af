import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { LogLine, LogSetting, WearGroup, WearRate } from '@/core/log/machineLog';
import { machineLog, wearRates } from '@/core/log/machineLog';
import { METER, overRound, runText } from '@/core/life/meter';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import type { Quantity } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { useJobPart } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Panel } from '@/ui/Panel';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const SETTING: Readonly<
  Record<LogSetting, { readonly name: string; readonly quantity: Quantity }>
> = {
  stack: { name: 'stack', quantity: 'length' },
  clamp: { name: 'clamp', quantity: 'force' },
  leverPull: { name: 'pull', quantity: 'force' },
  liftHad: { name: 'lift', quantity: 'length' },
  freePlay: { name: 'free play', quantity: 'length' },
  installGap: { name: 'install gap', quantity: 'length' },
};

/** Everything this machine went through, over all its jobs. */
export function MachineLog() {
  const machineId = useJobPart((job) => job.machine.id);
  const all = useAppSelector(jobSelectors.selectAll);
  const log = machineLog(all.filter((j) => j.machine.id === machineId));
  return (
    <Panel
      level={2}
      title="Machine log"
      summary={`${countOf(log.length, 'entry', 'entries')} over all jobs`}
    >
      <View role="list" aria-label="Machine log">
        {log.map((line) => (
          <Entry key={`${line.kind}${line.id}`} line={line} />
        ))}
      </View>
    </Panel>
  );
}

function Entry({ line }: { readonly line: LogLine }) {
  const ruled = useRuled();
  const units = useUnits();
  const settings = Object.entries(line.settings) as [LogSetting, number][];
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <Words bold>
        {[
          dayText(line.date),
          line.run === undefined ? undefined : runText(line.run, METER[line.meter], units),
          line.kind === 'job' ? line.number : 'service visit',
        ]
          .filter(Boolean)
          .join(', ')}
      </Words>
      {settings.length > 0 ? (
        <Digits size={15}>
          {settings
            .map(
              ([id, value]) =>
                `${SETTING[id].name} ${formatWithUnit(value, SETTING[id].quantity, units)}`,
            )
            .join('   ')}
        </Digits>
      ) : null}
      {line.note ? <Words soft>{line.note}</Words> : null}
    </View>
  );
}

const GROUPS = [
  { value: 'use', label: 'By use' },
  { value: 'machine', label: 'By machine' },
] as const satisfies readonly { value: WearGroup; label: string }[];

/** Wear by lining and use or machine, over the whole workshop. */
export function WearRates() {
  const all = useAppSelector(jobSelectors.selectAll);
  const [by, setBy] = useState<WearGroup>('use');
  const rates = wearRates(all, by);
  if (rates.length === 0) return null;
  return (
    <Panel
      level={2}
      title="Linings and machines of this workshop"
      summary="Disc wear from all followed packs"
    >
      <Choice label="Compare" value={by} options={GROUPS} onChange={setBy} />
      <View role="list" aria-label={`Wear by lining and ${by}`}>
        {rates.map((rate, i) => (
          <Rate key={`${rate.lining}${rate.group}${i}`} rate={rate} />
        ))}
      </View>
    </Panel>
  );
}

function Rate({ rate }: { readonly rate: WearRate }) {
  const ruled = useRuled();
  const units = useUnits();
  const meter = METER[rate.meter];
  const wear = overRound(rate.perRun, meter.per, meter, units);
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <View style={styles.row}>
        <Words style={flow.shrink}>
          {[LINING_ESTIMATES[rate.lining].name, rate.group].filter(Boolean).join(', ')}
        </Words>
        <Digits
          bold
          style={flow.rigid}
        >{`${formatWithUnit(wear.value, 'length', units)} / ${wear.over}`}</Digits>
      </View>
      <Words soft size={14}>
        {`Per disc, from ${countOf(rate.packs, 'pack')} over ${runText(rate.run, meter, units)}${rate.few ? ': too little data' : ''}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, gap: SPACE.hair },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    columnGap: SPACE.room,
  },
});
