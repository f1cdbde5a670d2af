import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { blankCoilGroup } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS, MAX_TESTER_POINTS } from '@/core/job/fields';
import type { CoilGroup, Entry, RateSource, TesterPoint } from '@/core/job/types';
import type { StockSpring } from '@/core/shelf/stock';
import type { UnitChoice } from '@/core/units/format';
import { formatValue } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { FormNumber, FormText } from '@/features/entry/FormFields';
import { LooseField } from '@/features/entry/LooseField';
import { useKeptForm } from '@/features/entry/useKeptForm';
import type { SchemaParts } from '@/files/formSchema';
import { useAppDispatch } from '@/state/store';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { isoDay } from '@/ui/dates';
import { EditRow } from '@/ui/EditRow';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { Digits, Words } from '@/ui/Words';

import { shelfActions } from '@/state/shelfSlice';
import { COUNT, countFrom } from './spec';
import { flow } from '@/ui/flow';

interface Props {
  readonly spring: StockSpring;
  readonly taken: number;
}

/** Springs of one kind on the shelf, and everything about them to change under it. */
export function SpringRow({ spring, taken }: Props) {
  const { group, count, from } = spring;
  const name = group.name || 'Springs';
  return (
    <EditRow
      name={name}
      line={
        <>
          <View style={flow.share}>
            <Words size={15}>{name}</Words>
            {from ? (
              <Words soft size={14}>
                {`from ${from}`}
              </Words>
            ) : null}
          </View>
          <Digits size={15}>{`${count - taken} of ${count} free`}</Digits>
        </>
      }
    >
      <SpringFields spring={spring} taken={taken} />
    </EditRow>
  );
}

const RATE_FROM = [
  { value: 'tester', label: 'Tester points' },
  { value: 'rate', label: 'Known rate' },
] as const satisfies readonly { value: RateSource; label: string }[];

type Numbers = 'rate' | 'freeLength' | 'minFreeLength' | 'solidLength';
const OF_RATE: readonly Numbers[] = ['rate', 'freeLength', 'minFreeLength', 'solidLength'];
const OF_TESTER: readonly Numbers[] = ['freeLength', 'minFreeLength', 'solidLength'];

function SpringFields({ spring, taken }: Props) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { group, count } = spring;
  const kept = `shelf.${spring.id}.`;
  const keep = (part: Partial<CoilGroup>) =>
    dispatch(shelfActions.springsPut({ ...spring, group: { ...group, ...part } }));
  const said = (value: number): Entry => entry(value, { kind: 'tested', date: isoDay() });
  const shown = (pattern: FieldPattern, value: Entry | undefined) =>
    value === undefined ? '' : formatValue(value.value, FIELDS[pattern].quantity, units);
  const point = (id: string, part: Partial<TesterPoint>) =>
    keep({ testerPoints: group.testerPoints.map((p) => (p.id === id ? { ...p, ...part } : p)) });
  return (
    <>
      <Field
        label="Name"
        value={group.name}
        maxLength={120}
        onChangeText={(name) => keep({ name })}
      />
      <Choice
        label="Rate from"
        value={group.rateFrom === 'wire' ? 'rate' : group.rateFrom}
        options={RATE_FROM}
        onChange={(rateFrom) => keep({ rateFrom })}
      />
      <FieldGrid>
        <LooseField
          label="Pieces"
          spec={countFrom(taken)}
          keepAs={`${kept}count`}
          initial={String(count)}
          onValue={(n) =>
            n === undefined ? undefined : dispatch(shelfActions.springsPut({ ...spring, count: n }))
          }
        />
        {(group.rateFrom === 'tester' ? OF_TESTER : OF_RATE).map((key) => {
          const pattern = `springs.coil.groups.*.${key}` as const;
          return (
            <LooseField
              key={key}
              label={FIELDS[pattern].label}
              spec={FIELDS[pattern]}
              keepAs={kept + key}
              initial={shown(pattern, group[key])}
              onValue={(value) => (value === undefined ? undefined : keep({ [key]: said(value) }))}
            />
          );
        })}
      </FieldGrid>
      {group.rateFrom === 'tester' ? (
        <>
          {group.testerPoints.map((p, i) => (
            <FieldGrid
              key={p.id}
              removeLabel={`Remove tester point ${i + 1}`}
              onRemove={() =>
                keep({ testerPoints: group.testerPoints.filter((other) => other.id !== p.id) })
              }
            >
              <LooseField
                label={`Point ${i + 1}, length`}
                spec={FIELDS['springs.coil.groups.*.testerPoints.*.length']}
                keepAs={`${kept}${p.id}.length`}
                initial={shown('springs.coil.groups.*.testerPoints.*.length', p.length)}
                onValue={(v) => (v === undefined ? undefined : point(p.id, { length: said(v) }))}
              />
              <LooseField
                label={`Point ${i + 1}, force`}
                spec={FIELDS['springs.coil.groups.*.testerPoints.*.force']}
                keepAs={`${kept}${p.id}.force`}
                initial={shown('springs.coil.groups.*.testerPoints.*.force', p.force)}
                onValue={(v) => (v === undefined ? undefined : point(p.id, { force: said(v) }))}
              />
            </FieldGrid>
          ))}
          <Action
            icon="plus"
            blocked={
              group.testerPoints.length >= MAX_TESTER_POINTS
                ? `At most ${MAX_TESTER_POINTS} points.`
                : undefined
            }
            onPress={() => keep({ testerPoints: [...group.testerPoints, { id: nanoid(8) }] })}
          >
            Add tester point
          </Action>
        </>
      ) : null}
      {taken > 0 ? (
        <Words soft size={14}>
          Some are used in a job: remove them there before deleting them from the shelf.
        </Words>
      ) : (
        <Action
          icon="delete-outline"
          accessibilityLabel={`Remove ${group.name} from the shelf`}
          onPress={() => dispatch(shelfActions.springsTaken(spring.id))}
        >
          Remove from shelf
        </Action>
      )}
    </>
  );
}

const schemaOf =
  (units: UnitChoice) =>
  ({ Joi, nameText, numberText }: SchemaParts) =>
    Joi.object<{ name: string; count?: number }>({
      name: nameText('Enter a name for the springs.'),
      count: numberText(COUNT, units),
    });

/** Adds springs of a new kind; their details are filled in on the row. */
export function AddSprings() {
  const dispatch = useAppDispatch();
  const { control, submit } = useKeptForm(
    'shelf.addSprings',
    { name: '', count: '' },
    schemaOf(useUnits()),
  );
  const put = submit(({ name, count }) => {
    const id = nanoid(10);
    dispatch(
      shelfActions.springsPut({
        id,
        count: count ?? 1,
        group: { ...blankCoilGroup(id, name), rateFrom: 'tester' },
      }),
    );
  });
  return (
    <Panel title="Add springs to shelf" summary="One kind; tester points and lengths follow">
      <FormText control={control} name="name" label="Name of the springs" maxLength={120} />
      <FieldGrid>
        <FormNumber control={control} name="count" label="Quantity" spec={COUNT} />
      </FieldGrid>
      <Action main icon="plus" onPress={() => void put()}>
        Add to shelf
      </Action>
    </Panel>
  );
}
