import { nanoid } from '@reduxjs/toolkit';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { fieldAt } from '@/core/job/fields';
import type { StockPlate } from '@/core/shelf/stock';
import { reserved } from '@/core/shelf/stock';
import { formatWithUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { jobSelectors } from '@/features/jobs/jobsSlice';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Page } from '@/ui/Page';
import { Panel } from '@/ui/Panel';
import { useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

import { shelfActions } from './shelfSlice';

/** What lies on the shop's shelf, and what of it is reserved for which job. */
export function ShelfScreen() {
  const strata = useStrata();
  const { plates, springs } = useAppSelector((state) => state.shelf);
  const jobs = useAppSelector(jobSelectors.selectAll);
  const taken = useMemo(() => reserved(jobs), [jobs]);
  const holders = useMemo(() => holdersOf(jobs), [jobs]);
  return (
    <Page title="Shelf">
      <Heading level={2}>New on the shelf</Heading>
      <AddPlate />
      {(['steel', 'disc'] as const).map((sort) => {
        const of = plates.filter((p) => p.sort === sort);
        return (
          <View key={sort} style={{ gap: 4 }}>
            <Heading level={2}>{sort === 'steel' ? 'Steels' : 'Discs'}</Heading>
            {of.length === 0 ? (
              <Words soft>{`No ${sort}s on the shelf yet: put one on it above.`}</Words>
            ) : null}
            <View role="list" aria-label={sort === 'steel' ? 'Steels' : 'Discs'}>
              {of.map((plate) => (
                <PlateRow
                  key={plate.id}
                  plate={plate}
                  taken={taken.get(plate.id) ?? 0}
                  holders={holders.get(plate.id) ?? []}
                />
              ))}
            </View>
          </View>
        );
      })}
      <Heading level={2}>Coil springs</Heading>
      {springs.length === 0 ? <Words soft>No springs on the shelf.</Words> : null}
      <View role="list" aria-label="Coil springs">
        {springs.map((s) => (
          <View
            key={s.id}
            role="listitem"
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              minHeight: 40,
              alignItems: 'center',
              borderTopWidth: 1,
              borderColor: strata.line,
            }}
          >
            <Words size={15}>{s.group.name}</Words>
            <Digits size={15}>{`${s.count - (taken.get(s.id) ?? 0)} of ${s.count} free`}</Digits>
          </View>
        ))}
      </View>
    </Page>
  );
}

/** Numbers of the jobs in which an item lies. */
function holdersOf(jobs: Parameters<typeof reserved>[0]): ReadonlyMap<string, readonly string[]> {
  const holders = new Map<string, string[]>();
  for (const job of jobs)
    for (const id of reserved([job]).keys())
      holders.set(id, [...(holders.get(id) ?? []), job.number]);
  return holders;
}

interface RowProps {
  readonly plate: StockPlate;
  readonly taken: number;
  readonly holders: readonly string[];
}

function PlateRow({ plate, taken, holders }: RowProps) {
  const units = useUnits();
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const { label, nominal, thickness, count, isNew } = plate;
  return (
    <View
      role="listitem"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 8,
        minHeight: 48,
        borderTopWidth: 1,
        borderColor: strata.line,
      }}
    >
      <Words bold size={15} style={{ width: 48 }}>
        {label}
      </Words>
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}>
        <Words size={15}>
          {`${formatWithUnit(nominal, 'length', units, 2)}, ${isNew ? 'new' : 'used'}${count > 1 ? `, ${count} of them` : ''}`}
        </Words>
        {taken > 0 ? (
          <Words soft size={14}>
            {`${taken} reserved for ${holders.join(', ')}`}
          </Words>
        ) : null}
      </View>
      <Digits size={15}>{formatWithUnit(thickness, 'length', units)}</Digits>
      <IconButton
        icon="delete-outline"
        aria-label={`Take ${label} off the shelf`}
        size={22}
        disabled={taken > 0}
        style={{ width: 48, height: 48, margin: 0 }}
        onPress={() => dispatch(shelfActions.stockPlateTaken(plate.id))}
      />
    </View>
  );
}

const THICKNESS = fieldAt('pack.kinds.any.thickness');
const COUNT = { quantity: 'count', bounds: { min: 1, max: 200, integer: true } } as const;

/** Puts a plate on the shelf: measured by itself, or several alike. */
function AddPlate() {
  const dispatch = useAppDispatch();
  const plates = useAppSelector((state) => state.shelf.plates);
  const [sort, setSort] = useState<StockPlate['sort']>('steel');
  const [age, setAge] = useState<'new' | 'used'>('used');
  const [nominal, setNominal] = useState<number>();
  const [thickness, setThickness] = useState<number>();
  const [count, setCount] = useState<number>();
  const [key, setKey] = useState(0);
  const put = () => {
    if (nominal === undefined) return;
    const mark = sort === 'steel' ? 'S' : 'D';
    const numbers = plates.map((p) =>
      Number(new RegExp(`^${mark}(\\d+)$`).exec(p.label)?.[1] ?? 0),
    );
    dispatch(
      shelfActions.stockPlatePut({
        id: nanoid(10),
        label: `${mark}${Math.max(0, ...numbers) + 1}`,
        sort,
        nominal,
        thickness: thickness ?? nominal,
        count: count ?? 1,
        isNew: age === 'new',
      }),
    );
    // The next plate begins with empty fields.
    setKey(key + 1);
    setNominal(undefined);
    setThickness(undefined);
    setCount(undefined);
  };
  return (
    <Panel title="Put a plate on the shelf" summary="Measured by itself, or several alike">
      <Choice
        label="Sort"
        value={sort}
        options={[
          { value: 'steel', label: 'Steel' },
          { value: 'disc', label: 'Disc' },
        ]}
        onChange={setSort}
      />
      <Choice
        label="Age"
        value={age}
        options={[
          { value: 'used', label: 'Used' },
          { value: 'new', label: 'New' },
        ]}
        onChange={setAge}
      />
      <FieldGrid key={key}>
        <LooseField label="Sold as" spec={THICKNESS} onValue={setNominal} />
        <LooseField label="Measured" spec={THICKNESS} onValue={setThickness} />
        <LooseField label="How many alike" spec={COUNT} onValue={setCount} />
      </FieldGrid>
      <Action main icon="plus" disabled={nominal === undefined} onPress={put}>
        Put it on the shelf
      </Action>
    </Panel>
  );
}
