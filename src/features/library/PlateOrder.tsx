import { nanoid } from '@reduxjs/toolkit';
import { StyleSheet, View } from 'react-native';

import { MAX_PLATES } from '@/core/job/fields';
import { namesOf } from '@/core/library/edits';
import type { Leaflet, LeafletKind, LeafletPack, LeafletPlate } from '@/core/library/leafletPack';
import type { SpecSheet } from '@/core/library/limits';
import { omit } from '@/core/omit';
import { plateNotes } from '@/core/paper/specSheetPaper';
import { Action } from '@/ui/Action';
import { Choice, Toggles } from '@/ui/Choice';
import { EditRow } from '@/ui/EditRow';
import { flow } from '@/ui/flow';
import { Digits, Heading, Words } from '@/ui/Words';

const SORTS = [
  { value: 'disc', label: 'Disc' },
  { value: 'steel', label: 'Steel' },
] as const;

const STATES = [
  { value: 'new', label: 'New' },
  { value: 'reused', label: 'Reused' },
  { value: 'open', label: 'Either' },
] as const;

const MARKS = [
  { value: 'judder', label: 'Judder pair' },
  { value: 'offsetSlot', label: 'Offset slots' },
  { value: 'outward', label: 'Mark out' },
  { value: 'inward', label: 'Mark in' },
] as const;
type Mark = (typeof MARKS)[number]['value'];

const EMPTY: LeafletPack = { kinds: [], plates: [] };

interface Props {
  readonly sheet: SpecSheet;
  readonly onChange: (change: (leaflet: Leaflet) => Leaflet) => void;
}

/** The plates of a leaflet in their order, from the hub floor outward, each with its notes. */
export function PlateOrder({ sheet, onChange }: Props) {
  const pack = sheet.leaflet?.pack ?? EMPTY;
  const names = namesOf(sheet, 'kinds');
  const set = (change: (pack: LeafletPack) => LeafletPack) =>
    onChange((l) => ({ ...l, pack: change(l.pack ?? EMPTY) }));
  const add = (of: readonly string[]) =>
    set((p) => ({
      kinds: [...p.kinds, ...of.filter((n) => !p.kinds.some((k) => k.name === n)).map(kindNamed)],
      plates: [...p.plates, ...of.map((name) => ({ id: nanoid(10), of: name }))],
    }));
  const lastTwo = pack.plates.slice(-2).map((p) => p.of);
  const full = pack.plates.length >= MAX_PLATES;
  return (
    <View style={flow.tight}>
      <Heading level={3}>Plate order, from the hub floor outward</Heading>
      {names.length === 0 ? <Words soft>Add a plate type first.</Words> : null}
      {names.map((name) => (
        <Choice
          key={name}
          label={`${name} is a`}
          value={sortOf(pack.kinds.find((k) => k.name === name))}
          options={SORTS}
          onChange={(sort) => set((p) => ({ ...p, kinds: withSort(p.kinds, name, sort) }))}
        />
      ))}
      <View role="list" aria-label="Plates of the leaflet, from the hub floor outward">
        {pack.plates.map((plate, i) => (
          <PlateRow
            key={plate.id}
            plate={plate}
            number={i + 1}
            onChange={(next) =>
              set((p) => ({ ...p, plates: p.plates.map((x) => (x.id === plate.id ? next : x)) }))
            }
            onRemove={() =>
              set((p) => ({ ...p, plates: p.plates.filter((x) => x.id !== plate.id) }))
            }
          />
        ))}
      </View>
      <View style={flow.wrap}>
        {names.map((name) => (
          <Action
            key={name}
            icon="plus"
            accessibilityLabel={`Add plate ${name}`}
            blocked={full ? `At most ${MAX_PLATES} plates.` : undefined}
            onPress={() => add([name])}
          >
            {name}
          </Action>
        ))}
        {lastTwo.length === 2 ? (
          <Action
            icon="content-copy"
            blocked={full ? `At most ${MAX_PLATES} plates.` : undefined}
            onPress={() => add(lastTwo)}
          >
            Repeat the last two
          </Action>
        ) : null}
      </View>
    </View>
  );
}

/** By its name a new type is a disc, unless it is called a steel. */
const kindNamed = (name: string): LeafletKind =>
  kindOf(name, /steel/i.test(name) ? 'steel' : 'disc');

const kindOf = (name: string, sort: 'disc' | 'steel'): LeafletKind => ({
  name,
  turnsWith: sort === 'disc' ? 'basket' : 'hub',
  lined: sort === 'disc' ? 'both' : 'none',
  lining: 'paper',
  material: 'steel',
});

const sortOf = (kind: LeafletKind | undefined) =>
  kind === undefined ? '' : kind.lined === 'none' ? 'steel' : 'disc';

function withSort(
  kinds: readonly LeafletKind[],
  name: string,
  sort: 'disc' | 'steel' | '',
): readonly LeafletKind[] {
  if (sort === '') return kinds;
  return [...kinds.filter((k) => k.name !== name), kindOf(name, sort)];
}

interface RowProps {
  readonly plate: LeafletPlate;
  readonly number: number;
  readonly onChange: (plate: LeafletPlate) => void;
  readonly onRemove: () => void;
}

function PlateRow({ plate, number, onChange, onRemove }: RowProps) {
  const marks: readonly Mark[] = [
    ...(plate.judder ? (['judder'] as const) : []),
    ...(plate.offsetSlot ? (['offsetSlot'] as const) : []),
    ...(plate.facing ? [plate.facing] : []),
  ];
  const mark = (which: Mark) => {
    if (which === 'outward' || which === 'inward')
      onChange(plate.facing === which ? omit(plate, 'facing') : { ...plate, facing: which });
    else onChange(plate[which] ? omit(plate, which) : { ...plate, [which]: true });
  };
  const notes = plateNotes(plate).join(', ');
  return (
    <EditRow
      name={`plate ${number}`}
      line={
        <>
          <Digits soft style={styles.number}>
            {String(number)}
          </Digits>
          <View style={flow.share}>
            <Words bold>{plate.of}</Words>
            {notes ? (
              <Words soft size={14}>
                {notes}
              </Words>
            ) : null}
          </View>
        </>
      }
    >
      <Choice
        bare
        label={`Plate ${number} is`}
        value={plate.isNew === undefined ? 'open' : plate.isNew ? 'new' : 'reused'}
        options={STATES}
        onChange={(state) =>
          onChange(state === 'open' ? omit(plate, 'isNew') : { ...plate, isNew: state === 'new' })
        }
      />
      <Toggles
        bare
        label={`Marks of plate ${number}`}
        chosen={marks}
        options={MARKS}
        onToggle={mark}
      />
      <Action icon="close" onPress={onRemove}>
        {`Remove plate ${number}`}
      </Action>
    </EditRow>
  );
}

const styles = StyleSheet.create({ number: { width: 28 } });
