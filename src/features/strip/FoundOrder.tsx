import { nanoid } from '@reduxjs/toolkit';
import { StyleSheet, View } from 'react-native';

import { MAX_PLATES } from '@/core/job/fields';
import type { Facing, FoundPlate } from '@/core/job/types';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { IconKey } from '@/ui/IconKey';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

import { packAsFound } from './packAsFound';
import { useStrip } from './useStrip';
import { flow } from '@/ui/flow';

type Mark = Facing | 'none';

const FACINGS = [
  { value: 'outward', label: 'Mark out' },
  { value: 'none', label: 'No mark' },
  { value: 'inward', label: 'Mark in' },
] as const;

/** The plates in the order in which they come out, each with the way its mark looks. One tap a plate. */
export function FoundOrder() {
  const change = useEditJob();
  const [found, setFound] = useStrip('found');
  const kinds = useJobPart((job) => job.pack.kinds);
  const plates = useJobPart((job) => job.pack.plates);
  const nameOf = (kindId: string) => kinds.find((k) => k.id === kindId)?.name || 'Plate';
  const same =
    found.length === plates.length &&
    [...plates].reverse().every((p, i) => p.kindId === found[i]?.kindId);
  return (
    <View style={flow.stack}>
      <Heading level={2}>Plates as they come out</Heading>
      <Words soft size={15}>
        Outermost first: tap once per plate, then set the direction of its mark. Numbers run from
        the hub floor outward.
      </Words>
      <View style={flow.wrap}>
        {kinds.map((kind) => (
          <Action
            key={kind.id}
            icon="plus"
            blocked={found.length >= MAX_PLATES ? `At most ${MAX_PLATES} plates.` : undefined}
            accessibilityLabel={`Add ${kind.name || 'Plate'}`}
            onPress={() =>
              setFound((all) => [...all, { id: nanoid(10), kindId: kind.id, note: '' }])
            }
          >
            {kind.name || 'Plate'}
          </Action>
        ))}
        {found.length > 0 ? (
          <Action icon="undo" onPress={() => setFound((all) => all.slice(0, -1))}>
            Undo last plate
          </Action>
        ) : null}
      </View>
      <View role="list" aria-label="Plates found, outermost first">
        {found.map((plate, i) => (
          <FoundRow
            key={plate.id}
            plate={plate}
            number={found.length - i}
            name={nameOf(plate.kindId)}
            onChange={setFound}
          />
        ))}
      </View>
      {found.length > 0 && !same ? (
        <View style={flow.tight}>
          <Action main icon="check" onPress={() => change(packAsFound)}>
            {found.length === 1
              ? 'Use this plate as the pack'
              : `Use these ${found.length} plates as the pack`}
          </Action>
          {plates.length > 0 ? (
            <Words soft size={14}>
              The pack has {String(plates.length)} plates in a different order; they and their
              readings are replaced.
            </Words>
          ) : null}
        </View>
      ) : null}
      {same && found.length > 0 ? <Words size={15}>The pack has this order.</Words> : null}
    </View>
  );
}

interface RowProps {
  readonly plate: FoundPlate;
  readonly number: number;
  readonly name: string;
  readonly onChange: (change: (found: readonly FoundPlate[]) => readonly FoundPlate[]) => void;
}

function FoundRow({ plate, number, name, onChange }: RowProps) {
  const face = (mark: Mark) =>
    onChange((all) =>
      all.map((p) => {
        if (p.id !== plate.id) return p;
        const { facing: _old, ...rest } = p;
        return mark === 'none' ? rest : { ...rest, facing: mark };
      }),
    );
  const remove = () => onChange((all) => all.filter((p) => p.id !== plate.id));
  const ruled = useRuled();
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <Digits soft size={15} style={styles.text}>
        {String(number)}
      </Digits>
      <Words bold style={styles.foundRowText}>
        {name}
      </Words>
      <Choice
        bare
        label={`Mark of plate ${number}`}
        value={plate.facing ?? 'none'}
        options={FACINGS}
        onChange={face}
      />
      <IconKey narrow icon="close" label={`Remove found plate ${number}`} onPress={remove} />
    </View>
  );
}

const styles = StyleSheet.create({
  item: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: SPACE.gap,
    paddingVertical: SPACE.tight,
  },
  text: { width: 24 },
  foundRowText: { flexGrow: 1, minWidth: 80 },
});
