import { View } from 'react-native';
import { Icon } from 'react-native-paper';

import { Action } from '@/ui/Action';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import type { LinkStatus } from './benchLink';
import { benchLink, useBenchLink } from './benchLink';

const WORDS: Readonly<Record<LinkStatus, string>> = {
  off: 'No bench gauge connected',
  connecting: 'Looking for the bench gauge …',
  connected: 'Gauge connected',
  lost: 'Gauge lost: trying again. Go on by hand, nothing is lost.',
};

/** How the gauge's link stands, and the way to connect it. */
export function BenchBar({ compact = false }: { readonly compact?: boolean }) {
  const { status, bench, unit } = useBenchLink();
  const strata = useStrata();
  const on = status === 'connected';
  const color = on ? strata.good : status === 'lost' ? strata.watch : strata.soft;
  return (
    <View style={{ gap: 6 }}>
      <View
        role="status"
        aria-label="Bench gauge"
        testID="bench-status"
        style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}
      >
        <Icon source={on ? 'access-point' : 'access-point-off'} size={20} color={color} />
        <View style={{ flexShrink: 1 }}>
          <Words size={15} soft={!on}>
            {WORDS[status]}
            {on && unit ? `, bench ${bench}, ${unit}` : ''}
          </Words>
        </View>
      </View>
      {compact ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {status === 'off' ? (
            [1, 2].map((n) => (
              <Action key={n} icon="access-point" onPress={() => benchLink.connect(n)}>
                {`Connect bench ${n}`}
              </Action>
            ))
          ) : (
            <Action icon="close" onPress={() => benchLink.disconnect()}>
              Disconnect the gauge
            </Action>
          )}
        </View>
      )}
    </View>
  );
}
