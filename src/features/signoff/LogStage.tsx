import { useLocalSearchParams, router } from 'expo-router';
import { useState } from 'react';

import { visitRun } from '@/core/inspect/run';
import { MeasureRun } from '@/features/inspect/MeasureRun';

import { hasPack } from '@/core/guide/layouts';
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
export function LogStage({ onPlate }: { readonly onPlate: (plateId: string | undefined) => void }) {
  const job = useJob();
  const [visitId, setVisitId] = useState<string>();
  const [measured, setMeasured] = useState<string>();
  const [deviceKeyboard, setDeviceKeyboard] = useState(false);
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
  if (visitId !== undefined)
    return (
      <MeasureRun
        ofVisit
        steps={visitRun(job, visitId)}
        deviceKeyboard={deviceKeyboard}
        onKeyboard={setDeviceKeyboard}
        onSelect={onPlate}
        onEnd={() => {
          setMeasured(visitId);
          setVisitId(undefined);
        }}
      />
    );
  return (
    <StagePage stage="log">
      {isFrozen(job) ? null : <SignPanel />}
      {hasPack(job.machine.layout) ? (
        <WhenRead>
          <LifePanel />
        </WhenRead>
      ) : null}
      <Visits measured={measured} onMeasure={setVisitId} />
      <WhenRead>
        <MachineLog />
        <WearRates />
      </WhenRead>
      <Revisions />
      <SheetsPanel />
    </StagePage>
  );
}
