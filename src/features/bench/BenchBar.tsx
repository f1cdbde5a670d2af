import { upperFirst } from '@/core/text/sentence';
import { View } from 'react-native';
import { Icon } from 'react-native-paper';

import { Action } from '@/ui/Action';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import type { LinkStatus } from '@/state/benchSlice';
import { useAppDispatch } from '@/state/store';

import { connectBench, disconnectBench, useBenchLink } from './benchLink';
import { flow } from '@/ui/flow';

/** Kind of instrument to connect. */
export type Instrument = 'gauge' | 'tester' | 'dyno';

const NAME: Readonly<Record<Instrument, string>> = {
  gauge: 'gauge',
  tester: 'spring tester',
  dyno: 'dyno',
};

const LOST: Readonly<Record<Instrument, string>> = {
  gauge: 'Continue by hand; nothing is lost.',
  tester: 'Continue by hand; nothing is lost.',
  dyno: 'Repeat any pull that was running.',
};

function words(status: LinkStatus, of: Instrument): string {
  const name = NAME[of];
  const first = `${upperFirst(name)}`;
  return {
    off: `No ${name} connected`,
    connecting: `Searching for the ${name} …`,
    connected: `${first} connected`,
    lost: `${first} disconnected, reconnecting. ${LOST[of]}`,
  }[status];
}

interface Props {
  readonly of?: Instrument;
  readonly compact?: boolean;
}

/** State of the bench link, with the button to connect. */
export function BenchBar({ of = 'gauge', compact = false }: Props) {
  const { status, bench, unit } = useBenchLink();
  const dispatch = useAppDispatch();
  const strata = useStrata();
  const on = status === 'connected';
  const color = on ? strata.good : status === 'lost' ? strata.watch : strata.soft;
  return (
    <View style={flow.stack}>
      <View role="status" aria-label={`Bench ${of}`} testID="bench-status" style={flow.line}>
        <Icon source={on ? 'access-point' : 'access-point-off'} size={20} color={color} />
        <View style={flow.shrink}>
          <Words size={15} soft={!on}>
            {words(status, of)}
            {on ? `, bench ${bench}` : ''}
            {on && of === 'gauge' && unit ? `, ${unit}` : ''}
          </Words>
        </View>
      </View>
      {compact ? null : (
        <View style={flow.wrap}>
          {status === 'off' ? (
            [1, 2].map((n) => (
              <Action key={n} icon="access-point" onPress={() => dispatch(connectBench(n))}>
                {`Connect bench ${n}`}
              </Action>
            ))
          ) : (
            <Action icon="close" onPress={() => dispatch(disconnectBench)}>
              {`Disconnect the ${NAME[of]}`}
            </Action>
          )}
        </View>
      )}
    </View>
  );
}
