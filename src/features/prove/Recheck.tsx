import { View } from 'react-native';

import type { ChecklistLine } from '@/core/worksheet/line';
import { recheckFindings } from '@/core/signoff/recheck';
import { readSentence } from '@/core/text/sentence';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { ToolBox } from '@/features/worksheet/ToolBox';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** Measurements after break-in, compared with the settings. */
export function Recheck({ fields }: Pick<ChecklistLine, 'fields'>) {
  const job = useJob();
  const units = useUnits();
  return (
    <ToolBox fields={fields}>
      {recheckFindings(job).map((f) => (
        <View key={f.id} role="status" style={flow.row}>
          <StateMark state={f.state} label />
          <Words size={15} style={flow.shrink}>
            {readSentence(f.sentence, units)}
          </Words>
        </View>
      ))}
    </ToolBox>
  );
}
