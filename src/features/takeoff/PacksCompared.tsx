import { ScrollView, StyleSheet, View } from 'react-native';

import type { PackTakeoff } from '@/core/takeoff/packs';
import type { RepeatedStart } from '@/core/takeoff/takeoff';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { Chart } from '@/ui/chart/Chart';
import { nameAlong } from '@/ui/chart/model';
import { SPACE, useRuled } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const TONES = ['slate', 'ochre', 'steel', 'stop'] as const;
const OUTCOME = { locked: 'locks', stalled: 'stalls', 'still slipping': 'slips again' } as const;

interface Row {
  readonly name: string;
  readonly of: (starts: readonly RepeatedStart[], units: UnitChoice) => string;
}

const first = (starts: readonly RepeatedStart[]) => starts[0]?.start;

const ROWS: readonly Row[] = [
  { name: 'Start', of: (s) => OUTCOME[first(s)?.outcome ?? 'still slipping'] },
  { name: 'Slip', of: (s) => `${(first(s)?.slipTime ?? 0).toFixed(2)} s` },
  { name: 'Heat', of: (s) => `${((first(s)?.energy ?? 0) / 1000).toFixed(1)} kJ` },
  {
    name: 'Steels',
    of: (s, units) =>
      formatWithUnit(Math.max(...s.map(({ start }) => start.warmest)), 'temperature', units, 0),
  },
  { name: 'Lowest engine speed', of: (s) => `${(first(s)?.leastRpm ?? 0).toFixed(0)} rpm` },
  { name: 'Judder', of: (s) => first(s)?.judder.level ?? '' },
];

/** The same hands with several packs, side by side, and their hubs laid on each other. */
export function PacksCompared({ packs }: { readonly packs: readonly PackTakeoff[] }) {
  const units = useUnits();
  const ruled = useRuled();
  const wide = useWide();
  const width = wide ? 136 : 96;
  const known = packs.filter((p) => p.starts.length > 0);
  const missing = packs.filter((p) => p.needs);
  return (
    <View style={flow.stack}>
      <Heading level={3}>Same hands, other packs</Heading>
      <ScrollView horizontal tabIndex={0} aria-label="Packs side by side">
        <View role="table" aria-label="Packs with the same hands" testID="packs-compared">
          <View role="row" style={flow.inline}>
            <View role="columnheader" aria-label="Figure" style={styles.cell} />
            {known.map((p) => (
              <View key={p.name} role="columnheader" style={[styles.packsComparedCell, { width }]}>
                <Words bold size={14}>
                  {p.name}
                </Words>
              </View>
            ))}
          </View>
          {ROWS.map((row) => (
            <View key={row.name} role="row" style={[ruled, flow.inline]}>
              <View role="rowheader" style={styles.packsComparedCellSized}>
                <Words soft size={14}>
                  {row.name}
                </Words>
              </View>
              {known.map((p) => (
                <View key={p.name} role="cell" style={[styles.packsComparedCellSized2, { width }]}>
                  <Digits size={14}>{row.of(p.starts, units)}</Digits>
                </View>
              ))}
            </View>
          ))}
        </View>
      </ScrollView>
      <Chart
        xLabel="Time, s"
        yLabel="Speed of the hub, rpm"
        height={200}
        lines={known.map((p, i) => ({
          name: p.name,
          tone: TONES[i % TONES.length],
          points: (first(p.starts)?.points ?? []).map((at) => ({ x: at.t, y: at.hubRpm })),
        }))}
        marks={known.flatMap((p, i) =>
          nameAlong(first(p.starts)?.points ?? [], 0.95 - 0.2 * i, p.name, (at) => ({
            x: at.t,
            y: at.hubRpm,
          })),
        )}
        description={known
          .map((p) => `${p.name}: slips ${(first(p.starts)?.slipTime ?? 0).toFixed(2)} s`)
          .join('; ')}
      />
      {missing.map((p) => (
        <Words key={p.name} size={15}>
          {`${p.name} can’t be compared yet. Missing: ${(p.needs ?? []).join(', ')}.`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  cell: { width: 70 },
  packsComparedCell: { padding: SPACE.tight },
  packsComparedCellSized: { width: 70, paddingVertical: SPACE.gap },
  packsComparedCellSized2: { padding: SPACE.gap },
});
