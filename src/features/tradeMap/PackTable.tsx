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
        {(all ? sorted : sorted.slice(0, FIRST)).map((pack, i) => (
          <DataTable.Row key={i} onPress={() => onChoose(pack)}>
            {columns.map((m) => (
              <DataTable.Cell key={m} numeric>
                <Digits size={14} bold={pack === chosen}>
                  {readSentence([amountOf(m, pack.measured[m])], units)}
                </Digits>
              </DataTable.Cell>
            ))}
            <DataTable.Cell>
              <Words size={14} numberOfLines={2}>
                {[pack.name || 'present parts', chanceText(pack)].filter(Boolean).join('; ')}
              </Words>
            </DataTable.Cell>
          </DataTable.Row>
        ))}
      </DataTable>
      {!all && sorted.length > FIRST ? (
        <Action onPress={() => setAll(true)}>{`Show all ${sorted.length} packs`}</Action>
      ) : null}
    </>
  );
}
