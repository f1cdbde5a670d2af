import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import { FiguresTab } from '@/features/figures/FiguresTab';
import { VerdictBanner } from '@/features/figures/VerdictBanner';
import { StagePage } from '@/features/job/StagePage';
import { useStrata } from '@/ui/theme';
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
  { id: 'release', label: 'Release' },
  { id: 'figures', label: 'Figures' },
] as const;
type Tab = (typeof TABS)[number]['id'];

interface Props {
  readonly selected: string | undefined;
  readonly onSelect: (plateId: string | undefined) => void;
}

/** Specify: what the pack is made of, and what comes of it. */
export function SpecifyStage({ selected, onSelect }: Props) {
  const wide = useWide();
  const params = useLocalSearchParams<{ tab?: string }>();
  const tab: Tab = TABS.find((t) => t.id === params.tab)?.id ?? 'pack';
  return (
    <>
      <Tabs tab={tab} onChange={(next) => router.setParams({ stage: 'specify', tab: next })} />
      <StagePage key={tab}>
        {wide ? null : <VerdictBanner />}
        {tab === 'machine' ? <MachineTab /> : null}
        {tab === 'pack' ? <PackTab selected={selected} onSelect={onSelect} /> : null}
        {tab === 'springs' ? <SpringsTab /> : null}
        {tab === 'release' ? <ReleaseTab /> : null}
        {tab === 'figures' ? <FiguresTab /> : null}
      </StagePage>
    </>
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
