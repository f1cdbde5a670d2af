import { countOf } from '@/core/text/countOf';
import { nanoid } from '@reduxjs/toolkit';
import { StyleSheet, View } from 'react-native';

import { fieldAt } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { ordersOfJobs, missingStock } from '@/core/shelf/fromJob';
import type { StockPlate } from '@/core/shelf/stock';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { FormChoice, FormNumber } from '@/features/entry/FormFields';
import { LooseField } from '@/features/entry/LooseField';
import { useKeptForm } from '@/features/entry/useKeptForm';
import type { SchemaParts } from '@/files/formSchema';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

import { shelfActions } from '@/state/shelfSlice';
import { COUNT, SORT_OPTIONS } from './spec';
import { flow } from '@/ui/flow';

/** The orders needed for the minimum stock, and the minimum stock itself. */
export function StockNeeds({ jobs }: { readonly jobs: readonly Job[] }) {
  const stock = useAppSelector((state) => state.shelf);
  const units = useUnits();
  const ruled = useRuled();
  const dispatch = useAppDispatch();
  const size = (mm: number) => formatWithUnit(mm, 'length', units, 2);
  const short = missingStock(stock, jobs, size);
  return (
    <View style={flow.stack}>
      <Heading level={2}>To order</Heading>
      {short.length === 0 ? (
        <Words soft>
          {stock.wanted.length === 0
            ? 'Enter minimum quantities below; shortages appear here.'
            : 'Nothing: all minimum quantities are in stock.'}
        </Words>
      ) : (
        <View role="list" aria-label="To order">
          {short.map((line) => (
            <View key={line.what} role="listitem" style={[ruled, styles.item]}>
              <View style={flow.grow}>
                <Words size={15}>{line.what}</Words>
                <Words soft size={14}>
                  {line.why}
                </Words>
              </View>
              <Digits bold size={17}>
                {String(line.count)}
              </Digits>
            </View>
          ))}
        </View>
      )}
      <Panel title="For current jobs" summary="Parts missing for jobs at Specify and Build">
        <ForJobs jobs={jobs} />
      </Panel>
      <Panel
        title="Minimum quantities"
        summary={
          stock.wanted
            .map((w) => `${countOf(w.atLeast, w.sort)} of ${size(w.nominal)}`)
            .join(', ') || 'Nothing yet'
        }
      >
        {stock.wanted.map((w) => {
          const name = `${w.sort === 'steel' ? 'Steel' : 'Disc'} ${size(w.nominal)}`;
          return (
            <FieldGrid
              key={w.id}
              removeLabel={`Remove ${name}`}
              onRemove={() => dispatch(shelfActions.wantedTaken(w.id))}
            >
              <LooseField
                label={`${name}, minimum`}
                spec={COUNT}
                keepAs={`shelf.wanted.${w.id}`}
                initial={String(w.atLeast)}
                onValue={(atLeast) =>
                  atLeast === undefined
                    ? undefined
                    : dispatch(shelfActions.wantedPut({ ...w, atLeast }))
                }
              />
            </FieldGrid>
          );
        })}
        <AddWanted />
      </Panel>
    </View>
  );
}

/** The parts missing for current jobs, job by job; calculated when opened. */
function ForJobs({ jobs }: { readonly jobs: readonly Job[] }) {
  const units = useUnits();
  const orders = ordersOfJobs(jobs, units);
  if (orders.length === 0) return <Words soft>No parts missing for jobs.</Words>;
  return (
    <View role="list" aria-label="For current jobs" style={flow.stack}>
      {orders.map(({ job, lines }) => (
        <View key={job.id} role="listitem" style={flow.lines}>
          <Words bold size={15}>
            {[job.number, job.machine.name].filter(Boolean).join(' ')}
          </Words>
          {lines.map((line, i) => (
            <Words key={i} size={15}>
              {`${[`${line.count} × ${line.what}`, line.spec].filter(Boolean).join(', ')} (${line.why})`}
            </Words>
          ))}
        </View>
      ))}
    </View>
  );
}

const THICKNESS = fieldAt('pack.kinds.any.thickness');

const schemaOf =
  (units: UnitChoice) =>
  ({ Joi, numberText }: SchemaParts) =>
    Joi.object<{ sort: StockPlate['sort']; nominal: number; atLeast: number }>({
      sort: Joi.valid('steel', 'disc'),
      nominal: numberText(THICKNESS, units)
        .required()
        .messages({ 'any.required': 'Enter the thickness as sold.' }),
      atLeast: numberText(COUNT, units)
        .required()
        .messages({ 'any.required': 'Enter the minimum quantity.' }),
    });

function AddWanted() {
  const dispatch = useAppDispatch();
  const { control, submit } = useKeptForm(
    'shelf.addWanted',
    { sort: 'steel', nominal: '', atLeast: '' },
    schemaOf(useUnits()),
  );
  const add = submit((wanted) => dispatch(shelfActions.wantedPut({ id: nanoid(10), ...wanted })));
  return (
    <>
      <FormChoice control={control} name="sort" label="Another size" options={SORT_OPTIONS} />
      <FieldGrid>
        <FormNumber control={control} name="nominal" label="Nominal thickness" spec={THICKNESS} />
        <FormNumber control={control} name="atLeast" label="Minimum quantity" spec={COUNT} />
      </FieldGrid>
      <Action icon="plus" onPress={() => void add()}>
        Add minimum
      </Action>
    </>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, minHeight: 48 },
});
