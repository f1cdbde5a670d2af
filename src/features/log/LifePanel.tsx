import { upperFirst } from '@/core/text/sentence';
import { useDeferredValue } from 'react';
import { StyleSheet, View } from 'react-native';

import type { MeterSpec, Run } from '@/core/life/meter';
import { overRound, runText } from '@/core/life/meter';
import type { Foreseen } from '@/core/log/lifeLimits';
import type { PackLife } from '@/core/log/packLife';
import { packLife } from '@/core/log/packLife';
import { nextService } from '@/core/due/due';
import { predictWear } from '@/core/life/wear';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { fromBase } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { useJob } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';
import { Chart } from '@/ui/chart/Chart';
import { dayText } from '@/ui/dates';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const STEPS = 24;
/** The axis runs on past the first limit by this share of the way to it. */
const PAST = 0.08;

const day = (iso: string) => dayText(iso);

/** Readings of this machine's meter in the builder's units. */
const useRun = (meter: MeterSpec) => {
  const units = useUnits();
  return (run: Run) => runText(run, meter, units);
};

/** The prediction from the readings: the limit reached first, the date, and its range. */
export function LifePanel() {
  const job = useDeferredValue(useJob());
  const jobs = useAppSelector(jobSelectors.selectAll);
  const life = packLife(job, jobs);
  const service = nextService(job, jobs);
  const [first, ...others] = life.foreseen;
  return (
    <View style={flow.stack}>
      <Heading level={2}>Wear and the first limit</Heading>
      {first ? <FirstLimit first={first} life={life} /> : null}
      {service ? (
        <Words bold>{`Next service: ${day(service.day)}, ${service.title}.`}</Words>
      ) : null}
      {life.caution ? <Words soft>{life.caution}</Words> : null}
      {life.pack.points.length > 1 ? <WearChart life={life} /> : null}
      {first ? <Limits all={[first, ...others]} meter={life.meter} /> : null}
    </View>
  );
}

function FirstLimit({ first, life }: { readonly first: Foreseen; readonly life: PackLife }) {
  const units = useUnits();
  const read = useRun(life.meter);
  const last = life.pack.points.at(-1);
  const when =
    first.left === 0
      ? `Reached: ${read(first.run)} by the trend, ${read(last?.run ?? 0)} at the last reading.`
      : `${read(first.left)} from the last reading, at ${read(first.run)}${
          first.date ? `, about ${day(first.date)}` : ''
        }.`;
  const pace = (perWeek: Run) =>
    formatWithUnit(perWeek, life.meter.quantity, units, life.meter.meter === 'hours' ? 1 : 0);
  const interval =
    first.earliest === undefined
      ? undefined
      : `90 % range: ${first.latest === undefined ? `from ${read(first.earliest)}` : `between ${read(first.earliest)} and ${read(first.latest)}`}${first.earliestDate ? (first.latestDate ? `, ${day(first.earliestDate)} to ${day(first.latestDate)}` : `, ${day(first.earliestDate)} at the earliest`) : ''}.`;
  return (
    <View role="status" aria-label="First limit" testID="first-limit" style={flow.lines}>
      <Words bold size={18}>{`First limit: ${first.name}`}</Words>
      <Words>{when}</Words>
      {interval ? <Words soft>{interval}</Words> : null}
      {first.date && life.perWeek !== undefined ? (
        <Words soft size={14}>
          {`At this machine’s average of ${pace(life.perWeek)} a week.`}
        </Words>
      ) : null}
    </View>
  );
}

function WearChart({ life }: { readonly life: PackLife }) {
  const units = useUnits();
  const unit = shownUnit('length', units);
  const { meter } = life;
  const runUnit = shownUnit(meter.quantity, units);
  const read = useRun(meter);
  const x = (run: Run) => fromBase(run, runUnit);
  const { points, line } = life.pack;
  // The pack's own line meets the pack's limits; a thin disc has its own.
  const limit = life.foreseen.find((f) => f.kind !== 'disc');
  const from = points[0]?.run ?? 0;
  const last = points.at(-1)?.run ?? 0;
  const to = Math.max(last, limit ? limit.run + PAST * (limit.run - from) : last);
  const along = line
    ? Array.from({ length: STEPS + 1 }, (_, i) => {
        const run = from + ((to - from) * i) / STEPS;
        return { x: x(run), ...predictWear(line, run) };
      })
    : [];
  const y = (mm: number) => fromBase(mm, unit);
  const banded = along.filter((p) => p.low !== undefined && p.high !== undefined);
  const rate = line ? overRound(line.slope, meter.step, meter, units) : undefined;
  return (
    <Chart
      xLabel={meter.meter === 'hours' ? meter.name : `${meter.name}, ${runUnit.symbol}`}
      yLabel={`Wear of the pack against new, ${unit.symbol}`}
      description={`Pack wear over ${meter.meter === 'hours' ? 'hours' : 'distance'}: ${points.map((p) => `${formatWithUnit(p.wear, 'length', units)} at ${read(p.run)}`).join(', ')}${rate ? `; the trend is ${formatWithUnit(rate.value, 'length', units)} in ${rate.over}` : ''}${limit ? `; ${limit.name} at ${read(limit.run)}` : ''}.`}
      lines={[
        { name: 'line', points: along.map((p) => ({ x: p.x, y: y(p.wear) })) },
        {
          name: 'read',
          tone: 'ochre',
          dashed: true,
          points: points.map((p) => ({ x: x(p.run), y: y(p.wear) })),
        },
      ]}
      marks={points.map((p) => ({
        x: x(p.run),
        y: y(p.wear),
        label: read(p.run),
      }))}
      {...(banded.length > 0
        ? {
            band: {
              low: banded.map((p) => ({ x: p.x, y: y(p.low ?? 0) })),
              high: banded.map((p) => ({ x: p.x, y: y(p.high ?? 0) })),
            },
          }
        : {})}
      namesBelow
      levels={limit ? [{ at: y(limit.at), name: limit.name }] : []}
    />
  );
}

function Limits({ all, meter }: { readonly all: readonly Foreseen[]; readonly meter: MeterSpec }) {
  const ruled = useRuled();
  const read = useRun(meter);
  return (
    <View role="list" aria-label="Limits, first one first">
      {all.map((f) => (
        <View key={f.name} role="listitem" style={[ruled, styles.item]}>
          <Words style={flow.shrink}>{upperFirst(f.name)}</Words>
          <View style={styles.place}>
            <Digits>{f.left === 0 ? 'met' : read(f.run)}</Digits>
            {f.date && f.left > 0 ? (
              <Words soft size={14}>
                {day(f.date)}
              </Words>
            ) : null}
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  item: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    gap: SPACE.room,
    paddingVertical: SPACE.gap,
  },
  place: { alignItems: 'flex-end' },
});
