import { nanoid } from '@reduxjs/toolkit';
import { useDeferredValue, useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import { readSentence } from '@/core/text/sentence';
import type { PackLayer } from '@/core/evaluate/engine/layers';
import type { Problem } from '@/core/evaluate/engine/problem';
import { withAllNew } from '@/core/job/edits/pack';
import { MAX_PLATES } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { POINTS } from '@/core/job/types';
import { inserted } from '@/core/pack/edit';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useDrafts, useJob, useJobPart } from '@/state/jobs/useJob';
import type { LayerEdits } from '@/features/section/useLayerEdits';
import { useLayerEdits } from '@/features/section/useLayerEdits';
import type { Selection } from '@/features/section/useSelection';
import { Action } from '@/ui/Action';
import { FieldGrid } from '@/ui/FieldGrid';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

import { PlateKindChoice } from './FillStack';
import { PlateMarks } from './PlateMarks';
import { flow } from '@/ui/flow';

interface Props {
  readonly selection: Selection;
}

/** The plates in their order, the outermost on top as in the section; the chosen one opens to be changed. */
export function PlateList({ selection }: Props) {
  // Section and figures answer first; the list follows a frame later.
  const job = useDeferredValue(useJob());
  const { pack } = job;
  const { layout, problems } = evaluationOf(job);
  const edits = useLayerEdits(selection);
  const selected = selection.ids.at(-1);
  const { only } = selection;
  const change = useEditJob();
  const full = pack.plates.length >= MAX_PLATES;
  return (
    <View style={flow.stack}>
      <Heading level={2}>Plate order</Heading>
      <Words soft size={14}>
        {pack.plates.length === 0
          ? 'No plates yet. Fill the stack above, or add plates one by one, from the hub floor outward.'
          : 'Pressure plate at the top, hub floor at the bottom.'}
      </Words>
      <AddPlates full={full} />
      {pack.plates.some((p) => !p.isNew) ? (
        <Action icon="check" onPress={() => change(withAllNew)}>
          Mark all plates new
        </Action>
      ) : null}
      {full ? <Words soft>A pack can have up to {MAX_PLATES} plates.</Words> : null}
      <View role="list" aria-label="Plates, outermost first">
        {[...layout.layers].reverse().map((layer) => (
          <PlateRow
            key={layer.plate.id}
            layer={layer}
            open={layer.plate.id === selected}
            problem={problems.find((p) => p.plateId === layer.plate.id)}
            edits={layer.plate.id === selected ? edits : undefined}
            onToggle={only}
          />
        ))}
      </View>
    </View>
  );
}

/** One key per type: adds a plate on top. */
function AddPlates({ full }: { readonly full: boolean }) {
  const kinds = useJobPart((job) => job.pack.kinds);
  const change = useEditJob();
  return (
    <View style={flow.wrap}>
      {kinds.map((kind) => (
        <Action
          key={kind.id}
          icon="plus"
          blocked={full ? `At most ${MAX_PLATES} plates.` : undefined}
          accessibilityLabel={`Add ${kind.name} on top`}
          onPress={() => change((j) => inserted(j, kind.id, j.pack.plates.length, nanoid(10)))}
        >
          {kind.name || 'Plate'}
        </Action>
      ))}
    </View>
  );
}

interface RowProps {
  readonly layer: PackLayer;
  readonly open: boolean;
  readonly problem: Problem | undefined;
  readonly onToggle: (plateId: string | undefined) => void;
  /** Of the row that is open. */
  readonly edits: LayerEdits | undefined;
}

function PlateRow({ layer, open, problem, onToggle, edits }: RowProps) {
  const units = useUnits();
  const ruled = useRuled();
  const strata = useStrata();
  const row = useRef<View>(null);
  useEffect(() => {
    const node: unknown = row.current;
    if (open && node instanceof HTMLElement) node.scrollIntoView({ block: 'nearest' });
  }, [open]);
  const thickness =
    layer.thickness === undefined
      ? 'thickness missing'
      : formatWithUnit(layer.thickness, 'length', units);
  return (
    <View
      ref={row}
      role="listitem"
      style={[
        ruled,
        { backgroundColor: open ? strata.raised : undefined, paddingHorizontal: open ? 8 : 0 },
      ]}
    >
      <TouchableRipple
        role="button"
        aria-expanded={open}
        aria-label={`Plate ${layer.number}, ${layer.kind.name}, ${thickness}`}
        onPress={() => onToggle(open ? undefined : layer.plate.id)}
        style={styles.place}
      >
        <View style={flow.line}>
          <Digits soft size={14} style={styles.text}>
            {layer.number}
          </Digits>
          <View
            style={[
              styles.plateRowPlace,
              { backgroundColor: layer.lined === 'none' ? strata.steel : strata.ochre },
            ]}
          />
          <Words size={15} numberOfLines={1} style={flow.grow}>
            {layer.kind.name}
          </Words>
          {problem ? <StateMark state={problem.state} label /> : null}
          <Digits size={15} soft={!layer.measured}>
            {thickness}
          </Digits>
        </View>
      </TouchableRipple>
      {problem ? (
        <Words size={14} style={[styles.plateRowText, { color: strata.stop }]}>
          {readSentence(problem.sentence, units)}
        </Words>
      ) : null}
      {open && edits ? <PlateEditor layer={layer} edits={edits} /> : null}
    </View>
  );
}

interface KeysProps {
  readonly number: number;
  readonly count: number;
  readonly edits: LayerEdits;
}

function PlateKeys({ number, count, edits }: KeysProps) {
  return (
    <View style={flow.wrap}>
      <Action
        icon="arrow-up"
        accessibilityLabel="Move outward"
        blocked={number === count ? 'Outermost plate.' : undefined}
        onPress={() => edits.move(1)}
      >
        Up
      </Action>
      <Action
        icon="arrow-down"
        accessibilityLabel="Move inward"
        blocked={number === 1 ? 'Innermost plate.' : undefined}
        onPress={() => edits.move(-1)}
      >
        Down
      </Action>
      <Action
        icon="content-copy"
        accessibilityLabel="Duplicate"
        blocked={count >= MAX_PLATES ? `At most ${MAX_PLATES} plates.` : undefined}
        onPress={edits.again}
      >
        Copy
      </Action>
      <Action icon="delete-outline" onPress={edits.remove}>
        Remove
      </Action>
    </View>
  );
}

function PlateEditor({ layer, edits }: { readonly layer: PackLayer; readonly edits: LayerEdits }) {
  const kinds = useJobPart((job) => job.pack.kinds);
  const count = useJobPart((job) => job.pack.plates.length);
  const { plate, number } = layer;
  const plateId = plate.id;
  const drafts = useDrafts();
  // One empty field more than are filled, drafts counted in.
  const filled = POINTS.filter(
    (p) => plate.readings?.[p] ?? drafts[fieldPath('pack.plates.*.readings.*', plateId, p)],
  );
  const shown = POINTS.indexOf(filled.at(-1) ?? '1') + (filled.length > 0 ? 2 : 1);
  return (
    <View style={styles.padded}>
      <PlateKeys number={number} count={count} edits={edits} />
      <PlateKindChoice label="Type" kinds={kinds} value={plate.kindId} onChange={edits.kind} />
      <PlateMarks plate={plate} lined={layer.lined !== 'none'} />
      <FieldGrid>
        {POINTS.slice(0, shown).map((point) => (
          <EntryField
            key={point}
            path={fieldPath('pack.plates.*.readings.*', plateId, point)}
            label={`Reading, point ${point}`}
          />
        ))}
        <EntryField path={fieldPath('pack.plates.*.outOfFlat', plateId)} />
      </FieldGrid>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { minHeight: 48, justifyContent: 'center' },
  text: { width: 24 },
  plateRowPlace: { width: 14, height: 14 },
  plateRowText: { paddingBottom: SPACE.gap },
  padded: { gap: SPACE.gap, paddingBottom: SPACE.room },
});
