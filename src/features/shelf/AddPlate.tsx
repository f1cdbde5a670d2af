import { nanoid } from '@reduxjs/toolkit';
import { useWatch } from 'react-hook-form';

import { fieldAt } from '@/core/job/fields';
import type { LiningId } from '@/core/job/types';
import { nextLabel } from '@/core/shelf/fromJob';
import type { StockPlate } from '@/core/shelf/stock';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import type { UnitChoice } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { FormChoice, FormNumber } from '@/features/entry/FormFields';
import { useKeptForm } from '@/features/entry/useKeptForm';
import type { SchemaParts } from '@/files/formSchema';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';

import { shelfActions } from '@/state/shelfSlice';
import { COUNT, SORT_OPTIONS } from './spec';

const THICKNESS = fieldAt('pack.kinds.any.thickness');
const LINING_OPTIONS = (Object.keys(LINING_ESTIMATES) as LiningId[]).map((value) => ({
  value,
  label: LINING_ESTIMATES[value].name,
}));
const AGE_OPTIONS = [
  { value: 'used', label: 'Used' },
  { value: 'new', label: 'New' },
] as const;

const EMPTY = {
  sort: 'steel',
  lining: 'paper',
  age: 'used',
  nominal: '',
  thickness: '',
  count: '',
};

/** The next plate is alike: only its reading is typed. */
const ONE_AFTER_ANOTHER = {
  keep: ['sort', 'lining', 'age', 'nominal'],
  focus: 'thickness',
} as const;

interface Plate {
  readonly sort: StockPlate['sort'];
  readonly lining: LiningId;
  readonly age: 'new' | 'used';
  readonly nominal: number;
  readonly thickness?: number;
  readonly count?: number;
}

const schemaOf =
  (units: UnitChoice) =>
  ({ Joi, numberText }: SchemaParts) =>
    Joi.object<Plate>({
      sort: Joi.valid('steel', 'disc'),
      lining: Joi.valid(...Object.keys(LINING_ESTIMATES)),
      age: Joi.valid('used', 'new'),
      nominal: numberText(THICKNESS, units)
        .required()
        .messages({ 'any.required': 'Enter the thickness as sold.' }),
      thickness: numberText(THICKNESS, units),
      count: numberText(COUNT, units),
    });

/** Adds a plate to the shelf: measured singly, or several alike. */
export function AddPlate() {
  const dispatch = useAppDispatch();
  const stock = useAppSelector((state) => state.shelf);
  const units = useUnits();
  const { control, submit } = useKeptForm(
    'shelf.addPlate',
    EMPTY,
    schemaOf(units),
    ONE_AFTER_ANOTHER,
  );
  const sort = useWatch({ control, name: 'sort' });
  const put = submit(({ sort, lining, age, nominal, thickness, count }) =>
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
    ),
  );
  return (
    <Panel title="Add plate to shelf" summary="Measured singly, or several alike">
      <FormChoice control={control} name="sort" label="Kind" options={SORT_OPTIONS} />
      {sort === 'disc' ? (
        <FormChoice control={control} name="lining" label="Lining" options={LINING_OPTIONS} />
      ) : null}
      <FormChoice control={control} name="age" label="Condition" options={AGE_OPTIONS} />
      <FieldGrid>
        <FormNumber control={control} name="nominal" label="Nominal" spec={THICKNESS} />
        <FormNumber control={control} name="count" label="Quantity" spec={COUNT} />
        <FormNumber
          control={control}
          name="thickness"
          label="Measured"
          spec={THICKNESS}
          onSubmit={() => void put()}
        />
      </FieldGrid>
      <Action main icon="plus" onPress={() => void put()}>
        Add to shelf
      </Action>
    </Panel>
  );
}
