import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import type { Job, Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { STAGE_NAME } from '@/core/job/words';
import { Words } from '@/ui/Words';

import { missingHere } from './missing';
import { stageAfter } from './stages';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

interface Props {
  readonly stage: Stage;
  /** Further action on first use. */
  readonly alsoDone?: (job: Job) => Job;
}

/** The foot of a stage: missing entries, and the next stage. */
export function StageDone({ stage, alsoDone = (job) => job }: Props) {
  const open = useJobPart((job) => missingHere(stage, job).join(', '));
  const current = STAGES.indexOf(useJobPart((job) => job.stage));
  const change = useEditJob();
  const next = stageAfter(stage);
  const here = STAGES.indexOf(stage);
  const go = () => {
    if (current <= here) change((j) => ({ ...alsoDone(j), stage: next }));
    router.setParams({ stage: next, tab: undefined });
  };
  return (
    <View style={styles.stack}>
      {open ? (
        <Words soft size={15} testID="missing">
          Open: {open}.
        </Words>
      ) : null}
      <View style={flow.wrap}>
        <Action main icon="chevron-right" onPress={go}>
          {`Next: ${STAGE_NAME[next]}`}
        </Action>
        {current > here ? (
          <Action icon="undo" onPress={() => change((j) => ({ ...j, stage }))}>
            {`Return the job to ${STAGE_NAME[stage]}`}
          </Action>
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.gap, marginTop: 8 },
});
