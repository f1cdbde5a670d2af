import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';

import { fieldAt } from '@/core/job/fields';
import type { LiningId } from '@/core/job/types';
import { nextLabel } from '@/core/shelf/fromJob';
import type { StockPlate } from '@/core/shelf/stock';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import { LooseField } from '@/features/entry/LooseField';
import { useForm } from '@/features/entry/useForm';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';

import { shelfActions } from './shelfSlice';
import { COUNT, SORT_OPTIONS } from './spec';

const THICKNESS = fieldAt('pack.kinds.any.thickness');
const LINING_OPTIONS = (Object.keys(LINING_ESTIMATES) as LiningId[]).map((value) => ({
  value,
  label: LINING_ESTIMATES[value].name,
}));

/** Puts a plate on the shelf: measured by itself, or several alike. */
export function AddPlate() {
  const dispatch = useAppDispatch();
  const stock = useAppSelector((state) => state.shelf);
  const form = useForm('shelf.addPlate');
  const [sort, setSort] = useState<StockPlate['sort']>('steel');
  const [lining, setLining] = useState<LiningId>('paper');
  const [age, setAge] = useState<'new' | 'used'>('used');
  const [nominal, setNominal] = useState(() => form.kept('nominal', THICKNESS));
  const [thickness, setThickness] = useState(() => form.kept('thickness', THICKNESS));
  const [count, setCount] = useState(() => form.kept('count', COUNT));
  const put = () => {
    if (nominal === undefined) return;
    dispatch(
      shelfActions.stockPlatePut({
        id: nanoid(10),
        label: nextLabel(stock, sort),
        sort,
        nominal,
        thickness: thickness ?? nominal,
        count: count ?? 1,
        isNew: age === 'new',
        ...(sort === 'disc' ? { lining } : {}),
        ...(thickness === undefined ? {} : { measured: isoDay() }),
      }),
    );
    // The next plate begins with empty fields.
    form.done();
    setNominal(undefined);
    setThickness(undefined);
    setCount(undefined);
  };
  return (
    <Panel title="Put a plate on the shelf" summary="Measured by itself, or several alike">
      <Choice label="Sort" value={sort} options={SORT_OPTIONS} onChange={setSort} />
      {sort === 'disc' ? (
        <Choice label="Lining" value={lining} options={LINING_OPTIONS} onChange={setLining} />
      ) : null}
      <Choice
        label="Age"
        value={age}
        options={[
          { value: 'used', label: 'Used' },
          { value: 'new', label: 'New' },
        ]}
        onChange={setAge}
      />
      <FieldGrid key={form.round}>
        <LooseField
          label="Sold as"
          spec={THICKNESS}
          onValue={setNominal}
          {...form.field('nominal')}
        />
        <LooseField
          label="Measured"
          spec={THICKNESS}
          onValue={setThickness}
          {...form.field('thickness')}
        />
        <LooseField
          label="How many alike"
          spec={COUNT}
          onValue={setCount}
          {...form.field('count')}
        />
      </FieldGrid>
      <Action main icon="plus" disabled={nominal === undefined} onPress={put}>
        Put it on the shelf
      </Action>
    </Panel>
  );
}
