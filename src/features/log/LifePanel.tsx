import { View } from 'react-native';

import type { Foreseen, PackLife } from '@/core/log/packLife';
import { packLife } from '@/core/log/packLife';
import { predictWear } from '@/core/life/wear';
import { formatWithUnit, fromBase, shownUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useJobLater } from '@/features/jobs/useJob';
import { Chart } from '@/ui/Chart';
import { dayText } from '@/ui/dates';
import { useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

const STEPS = 24;
/** The axis runs on past the first limit by this share of the way to it. */
const PAST = 0.08;

const day = (iso: string) => dayText(iso);
const hours = (h: number) => `${h.toFixed(0)} h`;

/** What the readings over hours say: the limit that will be met first, when, and by how much that may be off. */
export function LifePanel() {
  const job = useJobLater();
  const life = packLife(job);
  const [first, ...others] = life.foreseen;
  return (
    <View style={{ gap: 10 }}>
      <Heading level={2}>Wear and the first limit</Heading>
      {first ? <FirstLimit first={first} life={life} /> : null}
      {life.caution ? <Words soft>{life.caution}</Words> : null}
      {life.pack.points.length > 1 ? <WearChart life={life} /> : null}
      {first ? <Limits all={[first, ...others]} /> : null}
    </View>
  );
}

function FirstLimit({ first, life }: { readonly first: Foreseen; readonly life: PackLife }) {
  const last = life.pack.points.at(-1);
  const when =
    first.left === 0
      ? `It is met: ${hours(first.hours)} by the line, ${hours(last?.hours ?? 0)} at the last reading.`
      : `${hours(first.left)} from the last reading, at ${hours(first.hours)}${
          first.date ? `, about ${day(first.date)}` : ''
        }.`;
  const interval =
    first.earliest === undefined
      ? undefined
      : `Nine in ten: ${
          first.latest === undefined
            ? `from ${hours(first.earliest)} on`
            : `between ${hours(first.earliest)} and ${hours(first.latest)}`
        }${
          first.earliestDate
            ? first.latestDate
              ? `, ${day(first.earliestDate)} to ${day(first.latestDate)}`
              : `, ${day(first.earliestDate)} at the earliest`
            : ''
        }.`;
  return (
    <View role="status" aria-label="First limit" testID="first-limit" style={{ gap: 2 }}>
      <Words bold size={18}>{`First limit: ${first.name}`}</Words>
      <Words>{when}</Words>
      {interval ? <Words soft>{interval}</Words> : null}
      {first.date && life.hoursPerWeek !== undefined ? (
        <Words soft size={14}>
          {`By this machine’s own ${life.hoursPerWeek.toFixed(1)} h a week.`}
        </Words>
      ) : null}
    </View>
  );
}

function WearChart({ life }: { readonly life: PackLife }) {
  const units = useUnits();
  const unit = shownUnit('length', units);
  const { points, line } = life.pack;
  // The pack's own line meets the pack's limits; a thin disc has its own.
  const limit = life.foreseen.find((f) => f.kind !== 'disc');
  const from = points[0]?.hours ?? 0;
  const last = points.at(-1)?.hours ?? 0;
  const to = Math.max(last, limit ? limit.hours + PAST * (limit.hours - from) : last);
  const along = line
    ? Array.from({ length: STEPS + 1 }, (_, i) => {
        const x = from + ((to - from) * i) / STEPS;
        return { x, ...predictWear(line, x) };
      })
    : [];
  const y = (mm: number) => fromBase(mm, unit);
  const banded = along.filter((p) => p.low !== undefined && p.high !== undefined);
  const rate = line ? formatWithUnit(line.slope * 10, 'length', units) : '';
  return (
    <Chart
      xLabel="Machine hours"
      yLabel={`Wear of the pack against new, ${unit.symbol}`}
      description={`Wear of the pack over hours: ${points
        .map((p) => `${formatWithUnit(p.wear, 'length', units)} at ${hours(p.hours)}`)
        .join(', ')}${line ? `; the line rises by ${rate} in 10 h` : ''}${
        limit ? `; ${limit.name} at ${hours(limit.hours)}` : ''
      }.`}
      lines={[
        { name: 'line', points: along.map((p) => ({ x: p.x, y: y(p.wear) })) },
        {
          name: 'read',
          tone: 'ochre',
          dashed: true,
          points: points.map((p) => ({ x: p.hours, y: y(p.wear) })),
        },
      ]}
      marks={points.map((p) => ({ x: p.hours, y: y(p.wear), label: hours(p.hours) }))}
      {...(banded.length > 0
        ? {
            band: {
              low: banded.map((p) => ({ x: p.x, y: y(p.low ?? 0) })),
              high: banded.map((p) => ({ x: p.x, y: y(p.high ?? 0) })),
            },
          }
        : {})}
      namesBelow
      levels={limit ? [y(limit.at)] : []}
    />
  );
}

function Limits({ all }: { readonly all: readonly Foreseen[] }) {
  const strata = useStrata();
  return (
    <View role="list" aria-label="Limits, the first one first">
      {all.map((f) => (
        <View
          key={f.name}
          role="listitem"
          style={{
            flexDirection: 'row',
            justifyContent: 'space-between',
            gap: 12,
            paddingVertical: 8,
            borderTopWidth: 1,
            borderColor: strata.line,
          }}
        >
          <Words style={{ flexShrink: 1 }}>
            {f.name.charAt(0).toUpperCase() + f.name.slice(1)}
          </Words>
          <View style={{ alignItems: 'flex-end' }}>
            <Digits>{f.left === 0 ? 'met' : hours(f.hours)}</Digits>
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
