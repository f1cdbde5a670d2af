import { useLocalSearchParams, router } from 'expo-router';

import { isFrozen } from '@/core/job/signOff';
import { StagePage } from '@/features/job/StagePage';
import { useJob } from '@/state/jobs/useJob';
import { LifePanel } from '@/features/log/LifePanel';
import { WhenRead } from '@/features/jobs/WhenRead';
import { MachineLog, WearRates } from '@/features/log/MachineLog';
import { Visits } from '@/features/log/Visits';

import { SheetsPanel } from './SheetsPanel';
import { Revisions } from './Revisions';
import { RevisionView } from './RevisionView';
import { SignPanel } from './SignPanel';

/** Log: open items, signature, revisions, and sheets. */
export function LogStage() {
  const job = useJob();
  const { revision } = useLocalSearchParams<{ revision?: string }>();
  const read = job.signOff.revisions.find((r) => String(r.number) === revision);
  if (read) {
    return (
      <StagePage>
        <RevisionView
          revision={read}
          onClose={() => router.setParams({ revision: undefined, stage: 'log' })}
        />
      </StagePage>
    );
  }
  return (
    <StagePage stage="log">
      {isFrozen(job) ? null : <SignPanel />}
      <LifePanel />
      <Visits />
      <WhenRead>
        <MachineLog />
        <WearRates />
      </WhenRead>
      <Revisions />
      <SheetsPanel />
    </StagePage>
  );
}
