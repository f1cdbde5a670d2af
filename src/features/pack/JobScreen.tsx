import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { ScrollView, View } from 'react-native';
import { IconButton, TouchableRipple } from 'react-native-paper';

import { FigureRow } from '@/features/figures/FigureRow';
import { FiguresTab } from '@/features/figures/FiguresTab';
import { FootStrip } from '@/features/figures/FootStrip';
import { VerdictBanner } from '@/features/figures/VerdictBanner';
import { WorkingHost } from '@/features/figures/WorkingPanel';
import { JobContext, useEvaluation, useJob } from '@/features/jobs/useJob';
import { Section } from '@/features/section/Section';
import { useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { RidgeEdge, RidgeLine } from '@/ui/Ridge';
import { useStrata } from '@/ui/theme';
import { TopBar } from '@/ui/TopBar';
import { useWide } from '@/ui/useWide';
import { Heading, Words } from '@/ui/Words';

import { JobMenu } from './JobMenu';
import { MachineTab } from './MachineTab';
import { PackTab } from './PackTab';
import { ReleaseTab } from './ReleaseTab';
import { SpringsTab } from './SpringsTab';

const TABS = [
  { id: 'machine', label: 'Machine' },
  { id: 'pack', label: 'Pack' },
  { id: 'springs', label: 'Springs' },
  { id: 'release', label: 'Release' },
  { id: 'figures', label: 'Figures' },
] as const;
type Tab = (typeof TABS)[number]['id'];

/** One job: its pack in section beside the work on it, its live figures at the foot. */
export function JobScreen({ id }: { readonly id: string }) {
  const known = useAppSelector((state) => state.jobs.entities[id] !== undefined);
  if (!known) return <NoJob />;
  return (
    <JobContext.Provider value={id}>
      <WorkingHost>
        <OpenJob />
      </WorkingHost>
    </JobContext.Provider>
  );
}

function NoJob() {
  const strata = useStrata();
  return (
    <View style={{ flex: 1, backgroundColor: strata.ground, padding: 24, gap: 16 }}>
      <Heading level={1}>No such job</Heading>
      <Words>
        This job is not in the workshop of this browser: it was deleted, or belongs to another
        device.
      </Words>
      <Action main onPress={() => router.replace('/')}>
        To the jobs
      </Action>
    </View>
  );
}

function OpenJob() {
  const job = useJob();
  const strata = useStrata();
  const wide = useWide();
  const params = useLocalSearchParams<{ tab?: string }>();
  const tab: Tab = TABS.find((t) => t.id === params.tab)?.id ?? 'pack';
  const setTab = (next: Tab) => router.setParams({ tab: next });
  const [selected, setSelected] = useState<string>();
  const [whole, setWhole] = useState(false);
  const select = (plateId: string) => {
    setSelected(plateId);
    setWhole(false);
    if (tab !== 'pack') setTab('pack');
  };
  const [size, onLayout] = useSize();
  const title = job.machine.name || 'New machine';

  const work = (
    <ScrollView
      key={tab}
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
      contentContainerStyle={{ padding: wide ? 24 : 10, paddingBottom: 40, gap: 16, maxWidth: 760 }}
    >
      {wide ? null : <VerdictBanner />}
      {tab === 'machine' ? <MachineTab /> : null}
      {tab === 'pack' ? <PackTab selected={selected} onSelect={setSelected} /> : null}
      {tab === 'springs' ? <SpringsTab /> : null}
      {tab === 'release' ? <ReleaseTab /> : null}
      {tab === 'figures' ? <FiguresTab /> : null}
    </ScrollView>
  );

  return (
    <View style={{ flex: 1, backgroundColor: strata.ground }}>
      <TopBar title={title} code={job.number} back end={<JobMenu />} />
      {wide ? null : <RidgeLine stage={job.stage} width={size.width || 390} />}
      <View
        role="main"
        style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0, flexDirection: 'row' }}
        onLayout={onLayout}
      >
        {wide ? (
          <View style={{ width: 184, padding: 16, borderRightWidth: 1, borderColor: strata.line }}>
            <RidgeEdge stage={job.stage} height={size.height - 32} />
          </View>
        ) : null}
        {!wide && !whole ? (
          <View style={{ width: 92, paddingVertical: 6, alignItems: 'center' }}>
            <SectionView
              width={88}
              height={size.height - 60}
              selected={selected}
              onSelect={select}
            />
            <IconButton
              icon="eye-outline"
              aria-label="Show the whole section"
              size={24}
              style={{ width: 48, height: 44, margin: 0 }}
              onPress={() => setWhole(true)}
            />
          </View>
        ) : null}
        {!wide && whole ? (
          <View style={{ flexGrow: 1, padding: 6 }}>
            <SectionView
              width={size.width - 12}
              height={size.height - 64}
              labelled
              selected={selected}
              onSelect={select}
            />
            <Action icon="close" onPress={() => setWhole(false)}>
              Back to the work
            </Action>
          </View>
        ) : (
          <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}>
            <Tabs tab={tab} onChange={setTab} />
            {work}
          </View>
        )}
        {wide ? (
          <ScrollView
            style={{
              width: 380,
              flexGrow: 0,
              flexShrink: 0,
              borderLeftWidth: 1,
              borderColor: strata.line,
            }}
            contentContainerStyle={{ padding: 16, gap: 12 }}
          >
            <VerdictBanner />
            <SectionView
              width={348}
              height={Math.max(300, size.height - 190)}
              labelled
              selected={selected}
              onSelect={select}
            />
            <SideFigures />
          </ScrollView>
        ) : null}
      </View>
      <FootStrip />
    </View>
  );
}

function SectionView(props: {
  readonly width: number;
  readonly height: number;
  readonly labelled?: boolean;
  readonly selected?: string;
  readonly onSelect: (id: string) => void;
}) {
  const { layout, problems } = useEvaluation();
  if (props.height < 80) return null;
  return <Section layout={layout} problems={problems} {...props} />;
}

/** Figures that a wide screen has room for under the section. */
function SideFigures() {
  const { figures } = useEvaluation();
  return (
    <View>
      {(['clamp', 'torqueAtClutch', 'capacityWithTangs'] as const).map((id) => {
        const outcome = figures.get(id);
        return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
      })}
    </View>
  );
}

function Tabs({ tab, onChange }: { readonly tab: Tab; readonly onChange: (tab: Tab) => void }) {
  const strata = useStrata();
  const wide = useWide();
  return (
    <View
      role="tablist"
      aria-label="Parts of the pack"
      style={{
        flexDirection: 'row',
        borderBottomWidth: 1,
        borderColor: strata.line,
        paddingHorizontal: wide ? 16 : 0,
      }}
    >
      {TABS.map(({ id, label }) => (
        <TouchableRipple
          key={id}
          role="tab"
          aria-selected={tab === id}
          onPress={() => onChange(id)}
          style={{
            minHeight: 48,
            flexGrow: wide ? 0 : 1,
            paddingHorizontal: wide ? 14 : 1,
            alignItems: 'center',
            justifyContent: 'center',
            borderBottomWidth: 3,
            borderColor: tab === id ? strata.slate : 'transparent',
          }}
        >
          <Words size={wide ? 16 : 14} bold={tab === id} soft={tab !== id}>
            {label}
          </Words>
        </TouchableRipple>
      ))}
    </View>
  );
}

function useSize() {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  return [size, onLayout] as const;
}
