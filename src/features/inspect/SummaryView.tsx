import { useState } from 'react';
import { View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import { summarize } from '@/core/inspect/summary';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';
import { Heading, Words } from '@/ui/Words';

import { useInspection } from './useInspection';
import { flow } from '@/ui/flow';

/** The inspection summed up, for the one who pays and for the one who works. */
export function SummaryView() {
  const job = useJob();
  const inspection = useInspection();
  const evaluation = useEvaluation();
  const units = useUnits();
  const [whom, setWhom] = useState<'customer' | 'shop'>('shop');
  if (!inspection.begun) return null;
  const sentences = summarize(job, inspection, evaluation)[whom];
  return (
    <View style={flow.stack} role="region" aria-label="Summary">
      <Heading level={2}>Summary</Heading>
      <Choice
        bare
        label="Summary for"
        value={whom}
        options={[
          { value: 'shop', label: 'Shop' },
          { value: 'customer', label: 'Customer' },
        ]}
        onChange={setWhom}
      />
      <View testID="summary" style={flow.tight}>
        {sentences.map((s) => {
          const text = readSentence(s, units);
          return <Words key={text}>{text}</Words>;
        })}
      </View>
    </View>
  );
}
