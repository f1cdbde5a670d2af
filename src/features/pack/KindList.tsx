import { useEditJob } from '@/state/jobs/editJob';
import { nanoid } from '@reduxjs/toolkit';
import { addKind, changeKind, removeKind } from '@/core/job/edits/pack';
import type { KindChoices } from '@/core/job/edits/pack';
import { StyleSheet, View } from 'react-native';

import { MAX_KINDS, MAX_NAME } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { PlateKind } from '@/core/job/types';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useAskedUnder } from '@/features/entry/askedFor';
import { EntryField } from '@/features/entry/EntryField';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice, Toggles } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';
import { SPACE } from '@/ui/theme';

/** The plate types of this pack. Values apply to every plate of the type. */
export function KindList() {
  const kinds = useJobPart((job) => job.pack.kinds);
  const edit = useEditJob();
  return (
    <View>
      {kinds.map((kind) => (
        <KindPanel key={kind.id} kind={kind} />
      ))}
      {kinds.length < MAX_KINDS ? (
        <View style={styles.row}>
          <Action
            icon="plus"
            accessibilityLabel="New disc type"
            onPress={() => edit((job) => addKind(job, 'friction', nanoid(10)))}
          >
            Add disc type
          </Action>
          <Action
            icon="plus"
            accessibilityLabel="New steel type"
            onPress={() => edit((job) => addKind(job, 'steel', nanoid(10)))}
          >
            Add steel type
          </Action>
        </View>
      ) : (
        <Words soft>A pack can have up to {MAX_KINDS} plate types.</Words>
      )}
    </View>
  );
}

const LINED = [
  { value: 'both', label: 'Both faces' },
  { value: 'inner', label: 'Inner' },
  { value: 'outer', label: 'Outer' },
  { value: 'none', label: 'None' },
] as const;

const METALS = [
  { value: 'steel', label: 'Steel' },
  { value: 'aluminium', label: 'Aluminium' },
] as const;

function KindPanel({ kind }: { readonly kind: PlateKind }) {
  const used = useJobPart((job) => job.pack.plates.filter((p) => p.kindId === kind.id).length);
  const asked = useAskedUnder(`pack.kinds.${kind.id}.`);
  const units = useUnits();
  const edit = useEditJob();
  const change = (part: KindChoices) => edit((job) => changeKind(job, kind.id, part));
  const path = (
    leaf:
      | 'thickness'
      | 'minThickness'
      | 'tolerance'
      | 'outerRadius'
      | 'innerRadius'
      | 'tangRadius'
      | 'mass'
      | 'groovedShare'
      | 'pressureLimit'
      | 'frictionLow'
      | 'frictionTypical'
      | 'frictionHigh',
  ) => fieldPath(`pack.kinds.*.${leaf}`, kind.id);
  const lined = kind.lined !== 'none';
  const thickness = kind.thickness
    ? formatWithUnit(kind.thickness.value, 'length', units)
    : 'thickness missing';
  return (
    <Panel
      title={kind.name || 'Plate'}
      summary={`${used} in the pack, ${thickness}`}
      initiallyOpen={kind.thickness === undefined}
      asked={asked}
    >
      <FieldGrid>
        <EntryField path={path('thickness')} />
        <EntryField
          path={path('outerRadius')}
          label={lined ? undefined : 'Friction face outer diameter'}
        />
        <EntryField
          path={path('innerRadius')}
          label={lined ? undefined : 'Friction face inner diameter'}
        />
        <EntryField path={path('tangRadius')} />
        <EntryField path={path('minThickness')} />
        <EntryField path={path('tolerance')} />
      </FieldGrid>
      {lined ? (
        <>
          <Choice
            label="Lining"
            value={kind.lining}
            options={(['paper', 'cork', 'aramid', 'sintered'] as const).map((value) => ({
              value,
              label: LINING_ESTIMATES[value].name,
            }))}
            onChange={(lining) => change({ lining })}
          />
          <Panel title="Friction and pressure" summary={frictionSummary(kind)}>
            <FieldGrid>
              <EntryField path={path('frictionLow')} />
              <EntryField path={path('frictionTypical')} />
              <EntryField path={path('frictionHigh')} />
              <EntryField path={path('groovedShare')} />
              <EntryField path={path('pressureLimit')} />
            </FieldGrid>
          </Panel>
        </>
      ) : null}
      <Panel
        title="Name and construction"
        summary={`Turns with the ${kind.turnsWith}, lining on ${LINED.find((l) => l.value === kind.lined)?.label.toLowerCase()}`}
      >
        <Field
          label="Name"
          value={kind.name}
          maxLength={MAX_NAME}
          onChangeText={(name) => change({ name })}
        />
        <Choice
          label="Metal"
          value={kind.material}
          options={METALS}
          onChange={(material) => change({ material })}
        />
        <FieldGrid>
          <EntryField path={path('mass')} />
        </FieldGrid>
        <Choice
          label="Turns with"
          value={kind.turnsWith}
          options={
            [
              { value: 'basket', label: 'Basket' },
              { value: 'hub', label: 'Hub' },
            ] as const
          }
          onChange={(turnsWith) => change({ turnsWith })}
        />
        <Choice
          label="Lined faces"
          value={kind.lined}
          options={LINED}
          onChange={(next) => change({ lined: next })}
        />
        <Toggles
          bare
          label="More about this type"
          chosen={[
            ...(kind.directional ? ['directional' as const] : []),
            ...(kind.grindable ? ['grindable' as const] : []),
          ]}
          options={[
            { value: 'directional' as const, label: 'Directional' },
            ...(lined ? [] : [{ value: 'grindable' as const, label: 'May be reground' }]),
          ]}
          onToggle={(trait) => change({ [trait]: !kind[trait] })}
        />
        {used === 0 ? (
          <Action icon="delete-outline" onPress={() => edit((job) => removeKind(job, kind.id))}>
            Remove type
          </Action>
        ) : (
          <Words soft size={14}>
            A type can be removed once no plate uses it.
          </Words>
        )}
      </Panel>
    </Panel>
  );
}

function frictionSummary({
  lining,
  frictionLow,
  frictionTypical,
  frictionHigh,
}: PlateKind): string {
  const estimate = LINING_ESTIMATES[lining];
  const all = [
    frictionLow?.value ?? estimate.low,
    frictionTypical?.value ?? estimate.typical,
    frictionHigh?.value ?? estimate.high,
  ];
  const given = [frictionLow, frictionTypical, frictionHigh].filter(Boolean).length;
  return `μ ${all.map((v) => v.toFixed(3).replace(/0$/, '')).join(', ')}${given === 3 ? '' : ', assumed value'}`;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap, paddingTop: SPACE.tight },
});
