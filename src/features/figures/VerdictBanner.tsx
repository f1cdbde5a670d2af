import { View } from 'react-native';

import { readSentence } from '@/core/evaluate/sentence';
import { AdvicePanel } from '@/features/advice/AdvicePanel';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/features/jobs/useJob';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';

/** The verdict on the pack, in a sentence with its reason. */
export function VerdictBanner() {
  const units = useUnits();
  const { overall, verdicts } = useEvaluation();
  // Advice is for the verdict that the whole goes by.
  const gravest = verdicts.find(
    (v) => v.state === overall.state && (v.state === 'stop' || v.state === 'watch'),
  );
  return (
    <View role="status" aria-label="Verdict" testID="verdict" style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <StateMark state={overall.state} size={22} label />
        <View style={{ flexShrink: 1 }}>
          <Heading level={2}>{overall.title}</Heading>
        </View>
      </View>
      <Words size={15}>{readSentence(overall.sentence, units)}</Words>
      {gravest && gravest.id !== 'overall' ? (
        <AdvicePanel key={gravest.id} verdict={gravest.id} title={gravest.title} />
      ) : null}
    </View>
  );
}
