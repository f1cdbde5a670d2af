import { View } from 'react-native';
import type { WorkStage } from '@/core/job/work';
import type { SheetStep } from '@/core/worksheet/worksheet';
import { isWaiting, stepsMarkedTo } from '@/core/worksheet/worksheet';
import { useEditJob } from '@/state/jobs/editJob';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';

interface DoneProps {
  readonly stage: WorkStage;
  /** Ends with the last step to mark. */
  readonly steps: readonly SheetStep[];
  readonly words: string;
  /** The list it belongs to, for the screen reader. */
  readonly of: string;
}

/** Everything up to a step as done; a reading waits for its value, a check for its outcome unless all were passed. */
export function DoneToHere({ stage, steps, words, of }: DoneProps) {
  const change = useEditJob();
  const last = steps.at(-1)?.line.key ?? '';
  const mark = (checks: boolean) =>
    change((j) => stepsMarkedTo(j, stage, last, new Date().toISOString(), checks));
  const open = steps.filter(isWaiting);
  return (
    <View style={flow.wrap}>
      {open.some((s) => !s.line.test) ? (
        <Action icon="check" accessibilityLabel={`${words}: ${of}`} onPress={() => mark(false)}>
          {words}
        </Action>
      ) : null}
      {open.some((s) => s.line.test) ? (
        <Action
          icon="check"
          accessibilityLabel={`${words}, all checks OK: ${of}`}
          onPress={() => mark(true)}
        >
          {`${words}, all checks OK`}
        </Action>
      ) : null}
    </View>
  );
}
