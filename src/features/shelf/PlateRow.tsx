import { nanoid } from '@reduxjs/toolkit';
import { StyleSheet, View } from 'react-native';

import { fieldAt } from '@/core/job/fields';
import { scrapOf } from '@/core/shelf/fromJob';
import type { StockPlate } from '@/core/shelf/stock';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import { formatValue, formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { useTyped } from '@/features/entry/useTyped';
import { useAppDispatch } from '@/state/store';
import { Action } from '@/ui/Action';
import { dayText, isoDay } from '@/ui/dates';
import { EditRow } from '@/ui/EditRow';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Digits, Words } from '@/ui/Words';

import { shelfActions } from '@/state/shelfSlice';
import { countFrom } from './spec';
import { flow } from '@/ui/flow';

const THICKNESS = fieldAt('pack.kinds.any.thickness');
const FLAT = fieldAt('pack.plates.any.outOfFlat');
const MAX_LABEL = 40;

interface Props {
  readonly plate: StockPlate;
  readonly taken: number;
  /** The jobs that use it, as one text for comparison by value. */
  readonly holders: string;
}

/** A shelf item: a summary, with all its fields below. */
export function PlateRow({ plate, taken, holders }: Props) {
  const units = useUnits();
  const { label, nominal, thickness, count, isNew, lining, outOfFlat } = plate;
  return (
    <EditRow
      name={label}
      line={
        <>
          <Words bold size={15} style={styles.text}>
            {label}
          </Words>
          <View style={flow.share}>
            <Words size={15}>
              {[
                formatWithUnit(nominal, 'length', units, 2),
                isNew ? 'new' : 'used',
                lining ? LINING_ESTIMATES[lining].name.toLowerCase() : undefined,
                count > 1 ? `${count} pieces` : undefined,
                outOfFlat
                  ? `${formatWithUnit(outOfFlat, 'length', units, 2)} out of flat`
                  : undefined,
              ]
                .filter(Boolean)
                .join(', ')}
            </Words>
            {taken > 0 || plate.from ? (
              <Words soft size={14}>
                {[holders, plate.from ? `from ${plate.from}` : undefined]
                  .filter(Boolean)
                  .join('; ')}
              </Words>
            ) : null}
          </View>
          <Digits size={15}>{formatWithUnit(thickness, 'length', units)}</Digits>
        </>
      }
    >
      <PlateFields plate={plate} taken={taken} />
    </EditRow>
  );
}

function PlateFields({ plate, taken }: { readonly plate: StockPlate; readonly taken: number }) {
  const units = useUnits();
  const dispatch = useAppDispatch();
  const kept = `shelf.${plate.id}.`;
  const [why, setWhy] = useTyped(`${kept}why`);
  const today = isoDay();
  const keep = (part: Partial<StockPlate>) =>
    dispatch(shelfActions.stockPlatePut({ ...plate, ...part }));
  const scrap = () => {
    // One of several alike is removed; the others stay.
    const id = plate.count > 1 ? nanoid(10) : plate.id;
    dispatch(shelfActions.plateScrapped(scrapOf({ ...plate, id, count: 1 }, why.trim(), today)));
    setWhy('');
    if (plate.count > 1) keep({ count: plate.count - 1 });
    else dispatch(shelfActions.stockPlateTaken(plate.id));
  };
  return (
    <>
      <Field
        label="Marking"
        value={plate.label}
        maxLength={MAX_LABEL}
        onChangeText={(label) => keep({ label })}
      />
      <FieldGrid>
        <LooseField
          label="Measured"
          spec={THICKNESS}
          keepAs={`${kept}thickness`}
          initial={formatValue(plate.thickness, 'length', units)}
          onValue={(thickness) =>
            thickness === undefined || thickness === plate.thickness
              ? undefined
              : keep({ thickness, measured: today })
          }
        />
        {plate.sort === 'steel' ? (
          <LooseField
            label="Out-of-flat"
            spec={FLAT}
            keepAs={`${kept}outOfFlat`}
            initial={
              plate.outOfFlat === undefined ? '' : formatValue(plate.outOfFlat, 'length', units)
            }
            onValue={(outOfFlat) => (outOfFlat === undefined ? undefined : keep({ outOfFlat }))}
          />
        ) : null}
        <LooseField
          label="Quantity"
          spec={countFrom(taken)}
          keepAs={`${kept}count`}
          initial={String(plate.count)}
          onValue={(count) => (count === undefined ? undefined : keep({ count }))}
        />
      </FieldGrid>
      {plate.measured ? (
        <Words soft size={14}>
          {`Measured on ${dayText(plate.measured)}.`}
        </Words>
      ) : null}
      {taken > 0 ? (
        <Words soft size={14}>
          Used in a job: remove it there before deleting it from the shelf.
        </Words>
      ) : (
        <>
          <Field label="Reason for scrapping" value={why} maxLength={200} onChangeText={setWhy} />
          <View style={flow.wrap}>
            <Action
              icon="archive-outline"
              accessibilityLabel={`Scrap ${plate.label}`}
              blocked={why.trim() === '' ? 'Enter a reason first.' : undefined}
              onPress={scrap}
            >
              Scrap
            </Action>
            <Action
              icon="delete-outline"
              accessibilityLabel={`Remove ${plate.label} from the shelf`}
              onPress={() => dispatch(shelfActions.stockPlateTaken(plate.id))}
            >
              Remove from shelf
            </Action>
          </View>
        </>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  text: { width: 48 },
});
