import { View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { Termed } from '@/features/words/Termed';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** One verdict of the job on screen, where it is decided; nothing while it does not apply. */
export function VerdictLine({ id }: { readonly id: VerdictId }) {
  const units = useUnits();
  const verdict = useEvaluation().verdicts.find((v) => v.id === id);
  if (!verdict) return null;
  return (
    <View style={flow.row} role="status" testID={`verdict-${id}`}>
      <StateMark state={verdict.state} label />
      <View style={flow.shrink}>
        <Words bold>{verdict.title}</Words>
        <Termed size={15}>{readSentence(verdict.sentence, units)}</Termed>
      </View>
    </View>
  );
}
