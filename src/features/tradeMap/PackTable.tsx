import { useState } from 'react';
import { DataTable } from 'react-native-paper';

import { readSentence } from '@/core/text/sentence';
import type { Measure } from '@/core/tradeMap/measures';
import { amountOf, MEASURE_SHORT } from '@/core/tradeMap/text';
import type { MapPack } from '@/core/tradeMap/pack';
import { useUnits } from '@/features/display/useUnits';
import { Action } from '@/ui/Action';
import { Digits, Words } from '@/ui/Words';

interface Props {
  readonly packs: readonly MapPack[];
  readonly columns: readonly Measure[];
  readonly chosen: MapPack | undefined;
  readonly onChoose: (pack: MapPack) => void;
  readonly chanceText: (pack: MapPack) => string | undefined;
}

/** Rows that are shown at once. */
const FIRST = 12;

/** The packs of the map as a table, sorted by a tap on a column. */
export function PackTable({ packs, columns, chosen, onChoose, chanceText }: Props) {
  const units = useUnits();
  const [by, setBy] = useState<Measure>();
  const [up, setUp] = useState(true);
  const [all, setAll] = useState(false);
  const sorted = by
    ? packs.toSorted((a, b) => (a.measured[by] - b.measured[by]) * (up ? 1 : -1))
    : packs;
  const sort = (m: Measure) => {
    setUp(by === m ? !up : true);
    setBy(m);
  };
  const cellsOf = (pack: MapPack) => [
    ...columns.map((m) => readSentence([amountOf(m, pack.measured[m])], units)),
    [pack.name || 'present parts', chanceText(pack)].filter(Boolean).join('; '),
  ];
  // Packs whose plates differ by hundredths read alike: one row for all of them.
  const read = new Set<string>();
  const rows: MapPack[] = [];
  for (const pack of sorted) {
    if (!all && rows.length === FIRST) break;
    const text = cellsOf(pack).join();
    if (!read.has(text) || pack === chosen) rows.push(pack);
    read.add(text);
  }
  return (
    <>
      <DataTable accessibilityLabel="Packs of the map">
        <DataTable.Header>
          {columns.map((m) => (
            <DataTable.Title
              key={m}
              numeric
              {...(by === m
                ? { sortDirection: up ? ('ascending' as const) : ('descending' as const) }
                : {})}
              onPress={() => sort(m)}
            >
              {MEASURE_SHORT[m]}
            </DataTable.Title>
          ))}
          <DataTable.Title>Pack</DataTable.Title>
        </DataTable.Header>
        {rows.map((pack, i) => (
          <DataTable.Row key={i} onPress={() => onChoose(pack)}>
            {cellsOf(pack).map((text, c) => (
              <DataTable.Cell key={c} numeric={c < columns.length}>
                {c < columns.length ? (
                  <Digits size={14} bold={pack === chosen}>
                    {text}
                  </Digits>
                ) : (
                  <Words size={14} numberOfLines={2}>
                    {text}
                  </Words>
                )}
              </DataTable.Cell>
            ))}
          </DataTable.Row>
        ))}
      </DataTable>
      {!all && rows.length === FIRST && sorted.length > FIRST ? (
        <Action onPress={() => setAll(true)}>Show all packs</Action>
      ) : null}
    </>
  );
}
