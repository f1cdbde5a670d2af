import { useCallback } from 'react';

import type { Job } from '@/core/job/types';
import type { SheetLine } from '@/core/worksheet/line';
import { partMissing } from '@/core/signoff/openItems';
import { isOpen, stepsOf } from '@/core/worksheet/worksheet';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useJob } from '@/features/jobs/useJob';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { StepList } from '@/features/worksheet/StepList';
import { ToolBox } from '@/features/worksheet/ToolBox';

import { BoltCircle } from './BoltCircle';
import { CountIn } from './CountIn';
import { Fasteners } from './Fasteners';
import { SoakTimer } from './SoakTimer';

interface Props {
  /** Shows a plate in the section. */
  readonly onPlate: (plateId: string) => void;
}

/** Build: the sheet by which this very pack is put together. */
export function BuildStage({ onPlate }: Props) {
  const job = useJob();
  const tool = useCallback((line: SheetLine) => toolOf(line), []);
  return (
    <StagePage>
      <Fasteners />
      <StepList stage="build" title="Putting it together" tool={tool} onPlate={onPlate} />
      <StageDone stage="build" open={openIn(job)} />
    </StagePage>
  );
}

function toolOf(line: SheetLine) {
  switch (line.tool) {
    case 'soak':
      return <SoakTimer fields={line.fields} />;
    case 'circle':
      return <BoltCircle fastenerId={line.fastenerId ?? ''} />;
    case 'countIn':
      return <CountIn />;
    case 'heads':
    case 'gapRead':
      return (
        <ToolBox fields={line.fields}>
          <VerdictLine id={line.tool} />
        </ToolBox>
      );
    default:
      return null;
  }
}

function openIn(job: Job): string[] {
  const steps = stepsOf(job, 'build').filter(isOpen).length;
  const missing = job.strip.parts.filter(partMissing).length;
  return [
    ...(steps > 0 ? [`${steps} ${steps === 1 ? 'step' : 'steps'}`] : []),
    ...(missing > 0
      ? [`${missing} small ${missing === 1 ? 'part' : 'parts'} not counted back in`]
      : []),
    ...(job.build.fasteners.some((f) => !f.torque) || job.build.fasteners.length === 0
      ? ['torques by the manual']
      : []),
  ];
}
