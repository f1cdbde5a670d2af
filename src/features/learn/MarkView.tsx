import { View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { ExerciseMark } from '@/core/exercises/model';
import { useUnits } from '@/features/display/useUnits';
import { Termed } from '@/features/words/Termed';
import { StateMark } from '@/ui/StateMark';
import { flow } from '@/ui/flow';

/** The score of an answer: mark, word and reason. */
export function MarkView({ mark }: { readonly mark: ExerciseMark | undefined }) {
  const units = useUnits();
  if (!mark) return null;
  const { points, says } = mark;
  const [state, word] =
    points >= 1
      ? (['good', 'Correct.'] as const)
      : points > 0
        ? (['watch', 'Partly correct.'] as const)
        : (['stop', 'Wrong.'] as const);
  return (
    <View style={flow.topRow}>
      <StateMark state={state} />
      <Termed style={flow.shrink}>{`${word} ${readSentence(says, units)}`}</Termed>
    </View>
  );
}
