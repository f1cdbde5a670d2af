import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import { hasPack } from '@/core/guide/layouts';
import { CompareTab } from '@/features/compare/CompareTab';
import { FiguresTab } from '@/features/figures/FiguresTab';
import { VerdictBanner } from '@/features/figures/VerdictBanner';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import type { Selection } from '@/features/section/useSelection';
import { WhichStep } from '@/features/springs/WhichStep';
import { useJobPart } from '@/state/jobs/useJob';
import { TorqueTab } from '@/features/torque/TorqueTab';
import { useStrata } from '@/ui/theme';
import { useRoving } from '@/ui/useRoving';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

import { MachineTab } from './MachineTab';
import { PackTab } from './PackTab';
import { ReleaseTab } from './ReleaseTab';
import { SpringsTab } from './SpringsTab';

const TABS = [
  { id: 'machine', label: 'Machine' },
  { id: 'pack', label: 'Pack' },
  { id: 'springs', label: 'Springs' },
  { id: 'torque', label: 'Torque' },
  { id: 'release', label: 'Release' },
  { id: 'compare', label: 'Compare' },
  { id: 'figures', label: 'Figures' },
] as const;
type Tab = (typeof TABS)[number]['id'];

interface Props {
  readonly selection: Selection;
}

/** Specify: the parts of the pack, and the resulting figures. */
export function SpecifyStage({ selection }: Props) {
  const wide = useWide();
  const params = useLocalSearchParams<{ tab?: string }>();
  // Without plates there are the start clutch and its figures.
  const pack = useJobPart((job) => hasPack(job.machine.layout));
  const tabs = TABS.filter((t) => pack || t.id === 'machine' || t.id === 'figures');
  const tab: Tab = tabs.find((t) => t.id === params.tab)?.id ?? (pack ? 'pack' : 'machine');
  return (
    <>
      <Tabs
        tabs={tabs}
        tab={tab}
        onChange={(next) => router.setParams({ stage: 'specify', tab: next })}
      />
      <StagePage key={tab} stage="specify">
        {tab === 'springs' ? <WhichStep /> : null}
        {wide ? null : <VerdictBanner />}
        {tab === 'machine' ? <MachineTab /> : null}
        {tab === 'pack' ? <PackTab selection={selection} /> : null}
        {tab === 'springs' ? <SpringsTab /> : null}
        {tab === 'torque' ? <TorqueTab /> : null}
        {tab === 'release' ? <ReleaseTab /> : null}
        {tab === 'compare' ? <CompareTab /> : null}
        {tab === 'figures' ? <FiguresTab /> : null}
        <>
          <StageDone stage="specify" />
        </>
      </StagePage>
    </>
  );
}

interface TabsProps {
  readonly tabs: readonly (typeof TABS)[number][];
  readonly tab: Tab;
  readonly onChange: (tab: Tab) => void;
}

function Tabs({ tabs, tab, onChange }: TabsProps) {
  const strata = useStrata();
  const wide = useWide();
  const current = useRef<View>(null);
  const roving = useRoving('tab');
  useEffect(() => {
    const node: unknown = current.current;
    if (node instanceof HTMLElement) node.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [tab]);
  return (
    <View ref={roving} style={[styles.place, { borderColor: strata.line }]}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        role="tablist"
        aria-label="Specify tabs"
        contentContainerStyle={{ paddingHorizontal: wide ? 16 : 0 }}
      >
        {tabs.map(({ id, label }) => (
          <TouchableRipple
            key={id}
            ref={tab === id ? current : undefined}
            role="tab"
            aria-selected={tab === id}
            onPress={() => onChange(id)}
            style={[
              styles.tabsPlace,
              {
                paddingHorizontal: wide ? 12 : 9,
                borderColor: tab === id ? strata.slate : 'transparent',
              },
            ]}
          >
            <Words size={wide ? 16 : 15} bold={tab === id} soft={tab !== id}>
              {label}
            </Words>
          </TouchableRipple>
        ))}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { borderBottomWidth: 1 },
  tabsPlace: {
    minHeight: 48,
    alignItems: 'center',
    justifyContent: 'center',
    borderBottomWidth: 3,
  },
});
