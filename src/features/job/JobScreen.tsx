import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { StyleSheet, View } from 'react-native';

import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { STAGE_NAME } from '@/core/job/words';
import { BuildStage } from '@/features/build/BuildStage';
import { FootStrip } from '@/features/figures/FootStrip';
import { WorkingHost } from '@/features/figures/WorkingPanel';
import { InspectStage } from '@/features/inspect/InspectStage';
import { IntakeStage } from '@/features/intake/IntakeStage';
import { JobOfPage } from '@/features/jobs/JobOfPage';
import { useOpenHistory } from '@/state/jobs/useHistory';
import { useJobPart } from '@/state/jobs/useJob';
import { SpecifyStage } from '@/features/pack/SpecifyStage';
import { ProveStage } from '@/features/prove/ProveStage';
import { useLayerEdits } from '@/features/section/useLayerEdits';
import { useLayerKeys } from '@/features/section/useLayerKeys';
import { useSelection } from '@/features/section/useSelection';
import { SetStage } from '@/features/set/SetStage';
import { FrozenBanner } from '@/features/signoff/FrozenBanner';
import { LogStage } from '@/features/signoff/LogStage';
import { StripStage } from '@/features/strip/StripStage';
import { Action } from '@/ui/Action';
import { IconKey } from '@/ui/IconKey';
import { SPACE, useStrata } from '@/ui/theme';
import { Tool } from '@/ui/Tool';
import { TopBar } from '@/features/page/TopBar';
import { useKeys } from '@/ui/useKeys';
import { useWide } from '@/ui/useWide';

import { JobErrorBoundary } from './JobErrorBoundary';
import { FullList } from './FullList';
import { JobMenu } from './JobMenu';
import { JobRidge } from './JobRidge';
import { EditorView, SectionView, UndoTools } from './JobSection';
import { SidePanel, sideWidth } from './SidePanel';
import { SkipLink } from './SkipLink';
import { RollingRidge } from './StagePage';
import { viewedStage } from './stages';
import { flow } from '@/ui/flow';

/** One job: its stages as a ridge, its pack in section beside the work on it, its live figures at the foot. */
export function JobScreen({ id }: { readonly id: string }) {
  useOpenHistory(id);
  return (
    <JobOfPage id={id}>
      <JobErrorBoundary what="This job">
        <WorkingHost>
          <OpenJob />
        </WorkingHost>
      </JobErrorBoundary>
    </JobOfPage>
  );
}

/** Stages in which a layer that is tapped is worked on or shown where one is. */
const WITH_LAYERS: ReadonlySet<Stage> = new Set(['inspect', 'specify', 'build']);
/** Whether the work is on the section: a phone shows it beside the work; elsewhere a key at the foot opens it. */
const isOnSection = (stage: Stage, tab: string | undefined): boolean =>
  stage === 'inspect' || (stage === 'specify' && (tab ?? 'pack') === 'pack');

function OpenJob() {
  // Parts of the job, not the job: a reading must not draw the whole screen again.
  const stage = useJobPart((job) => job.stage);
  const name = useJobPart((job) => job.machine.name);
  const number = useJobPart((job) => job.number);
  const plates = useJobPart((job) => job.pack.plates.length > 0);
  const strata = useStrata();
  const wide = useWide();
  const params = useLocalSearchParams<{ stage?: string; tab?: string }>();
  const viewed = viewedStage(params.stage, params.tab, stage);
  const selection = useSelection();
  const edits = useLayerEdits(selection);
  const onSection = isOnSection(viewed, params.tab);
  const [whole, setWhole] = useState(false);
  const [size, onLayout] = useSize();
  const side = sideWidth(size.width);
  const open = (stage: string) => {
    setWhole(false);
    router.setParams({ stage, tab: undefined, step: undefined });
  };
  // Where no layer is worked on, tapping one leads to where it is.
  const toWork = !WITH_LAYERS.has(viewed);
  const { tap } = selection;
  const select = (plateId: string) => {
    tap(plateId);
    if (toWork) open('specify');
  };
  const editing = viewed === 'specify';
  useLayerKeys(editing, selection, edits);
  useKeys(({ altKey, code }) => {
    const to = altKey ? STAGES[Number(/^Digit([1-8])$/.exec(code)?.[1]) - 1] : undefined;
    if (to) open(to);
    return to !== undefined;
  });
  const ridge = { stage, viewed, onOpen: open };
  const line = <JobRidge {...ridge} width={size.width || 390} />;
  // Beside the section the work has its own column, and the ridge is over both.
  const rolls = !wide && !whole && viewed !== 'specify' && !(plates && onSection);

  return (
    <View style={[flow.fill, { backgroundColor: strata.ground }]}>
      <TopBar title={name || 'New machine'} code={number} back end={<JobMenu />} />
      <SkipLink />
      <FrozenBanner />
      <FullList />
      {wide || rolls ? null : line}
      <View style={styles.row} onLayout={onLayout}>
        {wide ? (
          <View style={[styles.padded, { borderColor: strata.line }]}>
            <JobRidge {...ridge} height={size.height - 32} />
          </View>
        ) : null}
        {!wide && !whole && plates && onSection ? (
          <View role="complementary" aria-label="The pack" style={styles.openJobPadded}>
            <JobErrorBoundary small what="Section">
              <SectionView
                width={88}
                height={size.height - (editing ? 116 : 60)}
                selected={selection.ids}
                onSelect={select}
                onDrop={editing ? edits.drop : undefined}
              />
            </JobErrorBoundary>
            <IconKey
              icon="eye-outline"
              label="Show the whole section"
              onPress={() => setWhole(true)}
            />
            {editing ? <UndoTools /> : null}
          </View>
        ) : null}
        {!wide && whole ? (
          <View role="main" style={styles.grow}>
            <JobErrorBoundary small what="Section">
              {editing ? (
                <EditorView
                  width={size.width - 12}
                  height={Math.max(260, size.height - 210)}
                  selection={selection}
                  edits={edits}
                  scrolls
                />
              ) : (
                <SectionView
                  width={size.width - 12}
                  height={size.height - 112}
                  labelled
                  selected={selection.ids}
                  onSelect={select}
                />
              )}
            </JobErrorBoundary>
            <Action icon="close" onPress={() => setWhole(false)}>
              Back to the work
            </Action>
          </View>
        ) : (
          <View role="main" style={styles.openJobGrow}>
            <RollingRidge value={rolls ? line : undefined}>
              <JobErrorBoundary
                what={`${STAGE_NAME[viewed]} of this job`}
                view={`${viewed} ${params.tab}`}
              >
                {viewed === 'intake' ? <IntakeStage /> : null}
                {viewed === 'strip' ? <StripStage /> : null}
                {viewed === 'inspect' ? (
                  <InspectStage selected={selection.ids.at(-1)} onSelect={selection.only} />
                ) : null}
                {viewed === 'specify' ? <SpecifyStage selection={selection} /> : null}
                {viewed === 'build' ? <BuildStage onPlate={selection.only} /> : null}
                {viewed === 'set' ? <SetStage /> : null}
                {viewed === 'prove' ? <ProveStage /> : null}
                {viewed === 'log' ? <LogStage onPlate={selection.only} /> : null}
              </JobErrorBoundary>
            </RollingRidge>
          </View>
        )}
        {wide ? (
          <JobErrorBoundary small what="The pack">
            <SidePanel stage={viewed} width={side}>
              {editing ? (
                <EditorView
                  width={side - 32}
                  height={Math.max(380, size.height - 300)}
                  selection={selection}
                  edits={edits}
                />
              ) : (
                <SectionView
                  width={side - 32}
                  height={viewed === 'intake' ? 340 : Math.max(340, size.height - 210)}
                  labelled
                  selected={selection.ids}
                  onSelect={select}
                />
              )}
            </SidePanel>
          </JobErrorBoundary>
        ) : null}
      </View>
      <View style={[flow.inline, { backgroundColor: strata.raised }]}>
        {!wide && !whole && plates && !onSection ? (
          <Tool
            icon="layers-outline"
            word="Section"
            label="Show the whole section"
            width={60}
            onPress={() => setWhole(true)}
          />
        ) : null}
        <View style={flow.share}>
          <JobErrorBoundary small what="The figures">
            <FootStrip stage={viewed} />
          </JobErrorBoundary>
        </View>
      </View>
    </View>
  );
}

function useSize() {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  return [size, onLayout] as const;
}

const styles = StyleSheet.create({
  row: { flexGrow: 1, flexShrink: 1, flexBasis: 0, flexDirection: 'row' },
  padded: { width: 184, padding: SPACE.margin, borderRightWidth: 1 },
  openJobPadded: { width: 92, paddingVertical: SPACE.gap, alignItems: 'center' },
  grow: { flexGrow: 1, flexShrink: 1, padding: SPACE.gap },
  openJobGrow: { flexGrow: 1, flexShrink: 1, flexBasis: 0, minWidth: 0 },
});
