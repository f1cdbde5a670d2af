import { View } from 'react-native';

import type { State } from '@/core/evaluate/engine/figure';
import type { Decision } from '@/core/inspect/decisions';
import { DECISION_NAME } from '@/core/inspect/decisions';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const STATE: Readonly<Record<Decision, State | 'unknown'>> = {
  keep: 'good',
  open: 'unknown',
  watch: 'watch',
  grind: 'watch',
  change: 'stop',
  scrap: 'stop',
};

/** The decision on a part: mark and word. */
export function DecisionMark({
  decision,
  size = 16,
}: {
  readonly decision: Decision;
  readonly size?: number;
}) {
  return (
    <View style={flow.line}>
      <StateMark state={STATE[decision]} size={size + 2} />
      <Words bold size={size}>
        {DECISION_NAME[decision]}
      </Words>
    </View>
  );
}
