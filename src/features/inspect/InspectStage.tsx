import { router } from 'expo-router';
import { coilGroups } from '@/core/clutch/fitted';
import { nanoid } from '@reduxjs/toolkit';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { measuringRun, openSteps, runParts } from '@/core/inspect/run';
import { RUN_PARTS } from '@/core/inspect/runStep';
import type { RunPart } from '@/core/inspect/runStep';
import type { Job } from '@/core/job/types';
import { hasPack } from '@/core/guide/layouts';
import { missingLimits } from '@/core/inspect/missingLimits';
import { POINTS } from '@/core/job/types';
import { fieldPath } from '@/core/job/fieldPath';
import { EntryField } from '@/features/entry/EntryField';
import { FieldGrid } from '@/ui/FieldGrid';
import { useFocusField } from '@/features/entry/askedFor';
import { BenchBar } from '@/features/bench/BenchBar';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { packAsFound } from '@/features/strip/packAsFound';
import { Action } from '@/ui/Action';
import { Choice, Toggles } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { toggled } from '@/core/toggled';
import { SPACE } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { flow } from '@/ui/flow';

import { AcrossParts } from './Across';
import { usualRun, withSpringsToMeasure } from './edits';
import { Limits } from './Limits';
import { MeasureRun } from './MeasureRun';
import { PartList } from './PartList';
import { SummaryView } from './SummaryView';
import { useInspection } from './useInspection';
import { countOf } from '@/core/text/countOf';

const PART_NAME: Readonly<Record<RunPart, string>> = {
  discs: 'Discs, thickness',
  steels: 'Steels, thickness',
  flatness: 'Steels, flatness',
  tangs: 'Tang clearance',
  springs: 'Springs',
  around: 'Basket, hub, pressure plate',
  start: 'Shoes and drum',
};
const PART_OPTIONS = RUN_PARTS.map((value) => ({ value, label: PART_NAME[value] }));
const POINT_OPTIONS = POINTS.map((value) => ({ value, label: value }));

interface Props {
  readonly selected: string | undefined;
  readonly onSelect: (plateId: string | undefined) => void;
}

/** Inspect: the measuring run, then a verdict on every part, on the pack, and across parts. */
export function InspectStage({ selected, onSelect }: Props) {
  const job = useJob();
  const [parts, setParts] = useState(() => usualRun(job));
  const [running, setRunning] = useState(false);
  // After a run one comes for the verdicts.
  const [measured, setMeasured] = useState(false);
  const [deviceKeyboard, setDeviceKeyboard] = useState(false);
  const run = () => setRunning(true);
  const end = () => {
    setRunning(false);
    setMeasured(true);
  };
  return running ? (
    <MeasureRun
      steps={measuringRun(job, parts)}
      deviceKeyboard={deviceKeyboard}
      onKeyboard={setDeviceKeyboard}
      onSelect={onSelect}
      onEnd={end}
    />
  ) : (
    <Overview
      parts={parts}
      onParts={setParts}
      onRun={run}
      toVerdicts={measured}
      selected={selected}
      onSelect={onSelect}
    />
  );
}

interface OverviewProps extends Props {
  readonly parts: readonly RunPart[];
  readonly onParts: (parts: readonly RunPart[]) => void;
  readonly onRun: () => void;
  /** The verdicts come into view and get the focus. */
  readonly toVerdicts: boolean;
}

function Overview({ parts, onParts, onRun, toVerdicts, selected, onSelect }: OverviewProps) {
  const place = useRef<View>(null);
  useEffect(() => {
    const node: unknown = place.current;
    if (!toVerdicts || !(node instanceof HTMLElement)) return;
    node.scrollIntoView({ block: 'start' });
    node.focus({ preventScroll: true });
  }, [toVerdicts]);
  const job = useJob();
  const change = useEditJob();
  const focusField = useFocusField();
  const { parts: judged } = useInspection();
  const pack = hasPack(job.machine.layout);
  const missing = missingLimits(job, judged);
  // The springs get their places in the record when the run begins; they count before.
  const toCome = withUnmeasuredSprings(job, parts);
  const steps = measuringRun(toCome, parts);
  const left = openSteps(toCome, steps).length;
  const setPoints = (part: { discPoints?: number; steelPoints?: number }) =>
    change((j) => ({ ...j, inspection: { ...j.inspection, ...part } }));

  const start = () => {
    if (parts.includes('springs')) change((j) => withSpringsToMeasure(j, () => nanoid(8)));
    onRun();
  };
  // Springs are measured one by one, so that their number must be known first.
  const uncounted = parts.includes('springs')
    ? coilGroups(job).filter((g) => g.count === undefined)
    : [];
  const all = steps.length > 0 && left === 0;
  const verdicts = (
    <View ref={place} tabIndex={-1} style={styles.verdicts}>
      <SummaryView />
      {missing.map(({ path, name }) => (
        <Action key={path} icon="chevron-right" onPress={() => focusField(path)}>
          {`Enter ${name}`}
        </Action>
      ))}
      <AcrossParts onSelect={onSelect} />
      <PartList selected={selected} onSelect={onSelect} />
    </View>
  );
  return (
    <StagePage stage="inspect">
      <Heading level={2}>Measuring run</Heading>
      <Toggles
        label="Parts to measure"
        chosen={parts}
        options={PART_OPTIONS.filter(({ value }) => runParts(job).includes(value))}
        onToggle={(p) => onParts(toggled(RUN_PARTS, parts, p))}
      />
      {uncounted.length > 0 ? (
        <FieldGrid>
          {uncounted.map((g) => (
            <EntryField
              key={g.id}
              path={fieldPath('springs.coil.groups.*.count', g.id)}
              label={uncounted.length > 1 ? `Number of ${g.name || 'springs'}` : undefined}
            />
          ))}
        </FieldGrid>
      ) : null}
      {steps.length === 0 && !parts.includes('springs') ? (
        <NoPlates />
      ) : (
        <Action main icon="play" onPress={start}>
          {all
            ? `Measure again: ${countOf(steps.length, 'reading')}`
            : left === steps.length
              ? `Measure: ${countOf(steps.length, 'reading')}`
              : `Continue (${left} left)`}
        </Action>
      )}
      <BenchBar />
      {pack ? (
        <Panel
          title="Points per plate"
          summary={`${job.inspection.discPoints} per disc, ${job.inspection.steelPoints} per steel`}
        >
          <Choice
            label="Per disc"
            value={String(job.inspection.discPoints) as (typeof POINTS)[number]}
            options={POINT_OPTIONS}
            onChange={(n) => setPoints({ discPoints: Number(n) })}
          />
          <Choice
            label="Per steel"
            value={String(job.inspection.steelPoints) as (typeof POINTS)[number]}
            options={POINT_OPTIONS}
            onChange={(n) => setPoints({ steelPoints: Number(n) })}
          />
        </Panel>
      ) : null}
      {verdicts}
      <Limits />
      <StageDone stage="inspect" />
    </StagePage>
  );
}

/** Nothing can be measured before there is a pack; the plates that came out may be one. */
function NoPlates() {
  const change = useEditJob();
  const { found } = useJob().strip;
  return found.length > 0 ? (
    <>
      <Words soft>The plates found at Strip are not yet the pack.</Words>
      <Action main icon="check" onPress={() => change(packAsFound)}>
        {found.length === 1
          ? 'Use the plate found as the pack'
          : `Use the ${found.length} plates found as the pack`}
      </Action>
    </>
  ) : (
    <>
      <Words soft>
        No plates to measure yet. Record them at Strip as they come out, or add them at Specify.
      </Words>
      <View style={flow.wrap}>
        <Action icon="chevron-right" onPress={() => router.setParams({ stage: 'strip' })}>
          Go to Strip
        </Action>
        <Action icon="chevron-right" onPress={() => router.setParams({ stage: 'specify' })}>
          Go to Specify
        </Action>
      </View>
    </>
  );
}

/** The job with a place for each spring that will be measured. */
function withUnmeasuredSprings(job: Job, parts: readonly RunPart[]): Job {
  let n = 0;
  return parts.includes('springs') ? withSpringsToMeasure(job, () => String(n++)) : job;
}

const styles = StyleSheet.create({
  // The focus is visible by the scroll position.
  verdicts: { gap: SPACE.margin, ...({ outlineStyle: 'none' } as object) },
});
