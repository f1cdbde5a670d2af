import { upperFirst } from '@/core/text/sentence';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { liftAtLever } from '@/core/evaluate/figures/liftTerm';
import { packModel } from '@/core/evaluate/states';
import type { Job } from '@/core/job/types';
import { hasWeights } from '@/core/evaluate/figures/clampOverSpeed';
import { formatWithUnit } from '@/core/units/format';
import { useGoToField } from '@/features/entry/askedFor';
import { useUnits } from '@/features/display/useUnits';
import { evaluationOf } from '@/state/jobs/evaluations';
import { Slide } from './Slide';
import { Words } from '@/ui/Words';

import { LayerTools } from './LayerTools';
import { Section } from './Section';
import type { SectionProps } from './Section';
import type { LayerEdits } from './useLayerEdits';
import type { Selection } from './useSelection';
import { flow } from '@/ui/flow';

const MAX_ZOOM = 6;
/** Wear is slid as far past the first limit as this, or as far as this where no limit is known, mm. */
const PAST_LIMIT = 1.25;
const WEAR_UNKNOWN = 1;
/** Engine speed is slid up to here. */
const TOP_RPM = 10_000;

interface Props extends Pick<SectionProps, 'problems' | 'width'> {
  readonly job: Job;
  /** Height of the drawing before it is enlarged. */
  readonly height: number;
  readonly selection: Selection;
  readonly edits: LayerEdits;
  /** The editor scrolls itself; otherwise its container does. */
  readonly scrolls?: boolean;
}

/** The section as the editor of the pack, with its keys, and the lever and the wear to slide. */
export function SectionEditor({ job, problems, width, height, selection, edits, scrolls }: Props) {
  const { layout, figures } = evaluationOf(job);
  const [zoom, setZoom] = useState(1);
  const [pinched, setPinched] = useState(1);
  const [lever, setLever] = useState(0);
  const [wear, setWear] = useState(0);
  const [speed, setSpeed] = useState(0);
  const onAsk = useGoToField();
  const units = useUnits();
  const model = packModel(job);
  const mostWear = (model.wearReserve()[0]?.wear ?? WEAR_UNKNOWN) * PAST_LIMIT || WEAR_UNKNOWN;
  const had = figures.get('liftHad');
  const full = had?.status === 'known' ? Math.max(0, had.value) : 0;
  const lift = lever > 0 ? Math.max(0, Math.min(full, liftAtLever(job, lever) ?? 0)) : 0;
  const state = {
    zoom: Math.max(1, Math.min(MAX_ZOOM, zoom * pinched)),
    lift,
    room: full,
    wear: wear * mostWear,
  };
  const onZoom = (factor: number) => setZoom((z) => Math.max(1, Math.min(MAX_ZOOM, z * factor)));
  const onPinch = (factor: number, ended: boolean) => {
    if (ended) onZoom(factor);
    setPinched(ended ? 1 : factor);
  };
  const drawing = (
    <Section
      job={job}
      evaluation={evaluationOf(job)}
      onAsk={onAsk}
      problems={problems}
      width={width}
      height={height}
      labelled
      selected={selection.ids}
      onSelect={selection.tap}
      state={state}
      onDrop={edits.drop}
      onPinch={onPinch}
    />
  );
  const below = (
    <>
      {full > 0 ? (
        <Slide
          label="Lever"
          value={lever}
          text={`${Math.round(lever * 100)} %`}
          onChange={setLever}
        />
      ) : null}
      {layout.layers.length > 0 ? (
        <Slide
          label="Wear from here"
          value={wear}
          text={formatWithUnit(wear * mostWear, 'length', units, 2)}
          onChange={setWear}
        />
      ) : null}
      {hasWeights(job) ? (
        <Slide
          label="Engine speed"
          value={speed}
          text={formatWithUnit(speed * TOP_RPM, 'speed', units)}
          onChange={setSpeed}
        />
      ) : null}
      <StateText
        model={model}
        lift={lift}
        wear={wear * mostWear}
        rpm={speed > 0 ? speed * TOP_RPM : undefined}
      />
    </>
  );
  const tools = <LayerTools selection={selection} edits={edits} onZoom={onZoom} />;
  return scrolls ? (
    <View style={[flow.stack, flow.share]}>
      <ScrollView style={flow.share} contentContainerStyle={flow.stack}>
        {drawing}
        {below}
      </ScrollView>
      {tools}
    </View>
  ) : (
    <View style={flow.stack}>
      {drawing}
      {tools}
      {below}
    </View>
  );
}

/** Results of the sliders: clearance and pull when lifted, clamp and reserve when worn. */
function StateText({
  model,
  lift,
  wear,
  rpm,
}: {
  readonly model: ReturnType<typeof packModel>;
  readonly lift: number;
  readonly wear: number;
  /** Engine speed, where weights turn. */
  readonly rpm: number | undefined;
}) {
  const units = useUnits();
  if (lift <= 0 && wear <= 0 && rpm === undefined) return null;
  const turning = rpm === undefined ? {} : { rpm };
  const rest = model.at({ wear, ...turning });
  const at = lift > 0 ? model.at({ wear, lift, ...turning }) : rest;
  const parts = [
    lift > 0 ? `Plate lifted ${formatWithUnit(lift, 'length', units, 2)}` : undefined,
    lift > 0 && at.clearancePerFace !== undefined
      ? at.clearancePerFace >= 0
        ? `${formatWithUnit(at.clearancePerFace, 'length', units)} per face`
        : 'out-of-flat takes all the lift: every face drags'
      : undefined,
    lift > 0 && at.leverPull !== undefined
      ? `pull ${formatWithUnit(at.leverPull, 'force', units, 0)}`
      : undefined,
    wear > 0 ? `worn ${formatWithUnit(wear, 'length', units, 2)}` : undefined,
    rpm !== undefined ? `at ${formatWithUnit(rpm, 'speed', units)}` : undefined,
    at.assist !== undefined
      ? `the weights add ${formatWithUnit(at.assist, 'force', units, 0)}`
      : undefined,
    rest.clamp !== undefined && lift <= 0
      ? `clamp ${formatWithUnit(rest.clamp, 'force', units, 0)}`
      : undefined,
    rest.reserve !== undefined && lift <= 0
      ? `torque reserve ${rest.reserve.low.toFixed(2)} worst case`
      : undefined,
  ].filter((p) => p !== undefined);
  const text = parts.join(', ');
  return (
    <View aria-live="polite" testID="section-state">
      <Words size={15}>{`${upperFirst(text)}.`}</Words>
    </View>
  );
}
