import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { fieldAt, MAX_PLATES } from '@/core/job/fields';
import { LooseField } from '@/features/entry/LooseField';
import { useHistory } from '@/state/jobs/useHistory';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';

import type { LayerEdits } from './useLayerEdits';
import type { Selection } from './useSelection';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';
import { countOf } from '@/core/text/countOf';

const FULL = `at most ${MAX_PLATES} plates`;

interface Props {
  readonly selection: Selection;
  readonly edits: LayerEdits;
  /** Shown only where the drawing can be enlarged. */
  readonly onZoom?: (factor: number) => void;
}

/** The keys beside the section: actions on it and on the selected layers. */
export function LayerTools({ selection, edits, onZoom }: Props) {
  const { undo, redo } = useHistory();
  const count = useJobPart((job) => job.pack.plates.length);
  const { ids, several, setSeveral } = selection;
  const none = ids.length === 0;
  const full = count + Math.max(1, ids.length) > MAX_PLATES;
  // Made once for a selection: a key that did not change is not drawn again.
  const keys = {
    larger: () => onZoom?.(1.5),
    smaller: () => onZoom?.(1 / 1.5),
    several: () => setSeveral(!several),
    out: () => edits.move(1),
    in: () => edits.move(-1),
    over: () => edits.insert('over'),
    under: () => edits.insert('under'),
  };
  return (
    <View style={flow.tight}>
      <View role="toolbar" aria-label="Section" style={styles.row}>
        <Tool
          icon="undo"
          word="Undo"
          label="Undo"
          blocked={undo ? undefined : 'nothing to undo'}
          onPress={undo ?? nothing}
        />
        <Tool
          icon="redo"
          word="Redo"
          label="Redo"
          blocked={redo ? undefined : 'nothing to redo'}
          onPress={redo ?? nothing}
        />
        {onZoom ? (
          <>
            <Tool
              icon="magnify-plus-outline"
              word="Larger"
              label="Enlarge the section"
              onPress={keys.larger}
            />
            <Tool
              icon="magnify-minus-outline"
              word="Smaller"
              label="Make the section smaller"
              onPress={keys.smaller}
            />
          </>
        ) : null}
        <Tool
          icon="checkbox-multiple-outline"
          word="Several"
          label="Select several plates"
          on={several}
          onPress={keys.several}
        />
        <Tool
          icon="layers-outline"
          word="Alike"
          label="Select all plates of this type"
          blocked={none ? 'select a plate first' : undefined}
          onPress={edits.alike}
        />
      </View>
      {none ? (
        <Words soft size={14}>
          Tap a layer to edit it; drag to move it.
        </Words>
      ) : (
        <View role="toolbar" aria-label="Selected plates" style={styles.row}>
          <Tool icon="arrow-up" word="Up" label="Move selection outward" onPress={keys.out} />
          <Tool icon="arrow-down" word="Down" label="Move selection inward" onPress={keys.in} />
          <Tool
            icon="content-copy"
            word="Copy"
            label="Duplicate selection"
            blocked={full ? FULL : undefined}
            onPress={edits.again}
          />
          <Tool
            icon="table-row-plus-before"
            word="Above"
            label="Insert a plate above the selection"
            blocked={full ? FULL : ids.length > 1 ? 'select one plate' : undefined}
            onPress={keys.over}
          />
          <Tool
            icon="table-row-plus-after"
            word="Below"
            label="Insert a plate below the selection"
            blocked={full ? FULL : ids.length > 1 ? 'select one plate' : undefined}
            onPress={keys.under}
          />
          <Tool icon="swap-vertical" word="Turn" label="Turn selection over" onPress={edits.flip} />
          <Tool
            icon="delete-outline"
            word="Remove"
            label="Remove selection"
            onPress={edits.remove}
          />
        </View>
      )}
      {ids.length > 1 ? <SeveralFields key={ids.join()} ids={ids} edits={edits} /> : null}
    </View>
  );
}

const nothing = () => undefined;
const THICKNESS = fieldAt('pack.kinds.any.thickness');

const AGES = [
  { value: 'new', label: 'New' },
  { value: 'used', label: 'Used' },
] as const;

/** Fields for several plates at once. */
function SeveralFields({
  ids,
  edits,
}: {
  readonly ids: readonly string[];
  readonly edits: LayerEdits;
}) {
  const kinds = useJobPart((job) => job.pack.kinds);
  const plates = useJobPart((job) => job.pack.plates);
  const [thickness, setThickness] = useState<number>();
  const chosen = plates.filter((p) => ids.includes(p.id));
  const kindIds = new Set(chosen.map((p) => p.kindId));
  const [only] = kindIds.size === 1 ? kindIds : [''];
  const take = () => {
    if (thickness !== undefined) edits.thickness(thickness);
  };
  return (
    <View style={flow.stack}>
      <Words bold size={15}>{`${countOf(chosen.length, 'plate')} selected`}</Words>
      <Choice
        label="Type"
        value={only ?? ''}
        options={kinds.map((k) => ({ value: k.id, label: k.name || 'Plate' }))}
        onChange={edits.kind}
      />
      <Choice
        label="Parts"
        value={chosen.every((p) => p.isNew) ? 'new' : chosen.some((p) => p.isNew) ? '' : 'used'}
        options={AGES}
        onChange={(age) => edits.age(age === 'new')}
      />
      <View style={styles.severalFieldsRow}>
        <LooseField
          label="Set all thicknesses to"
          spec={THICKNESS}
          onValue={setThickness}
          onSubmit={take}
        />
        <Action
          blocked={thickness === undefined ? 'Enter a thickness first.' : undefined}
          onPress={take}
        >
          Set
        </Action>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap' },
  severalFieldsRow: {
    flexDirection: 'row',
    gap: SPACE.gap,
    alignItems: 'flex-end',
    flexWrap: 'wrap',
  },
});
