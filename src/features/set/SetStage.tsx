import { useCallback } from 'react';

import type { Job } from '@/core/job/types';
import type { SheetLine } from '@/core/worksheet/line';
import { isOpen, stepsOf } from '@/core/worksheet/worksheet';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { LossFields } from '@/features/pack/LossFields';
import { StepList } from '@/features/worksheet/StepList';
import { Choice } from '@/ui/Choice';

import { GapTool } from './GapTool';
import { GaugesTool } from './GaugesTool';
import { LiftTool } from './LiftTool';
import { ToolBox } from './ToolBox';

/** Set: gap, free play and lift of this clutch, with what each reading says. */
export function SetStage() {
  const job = useJob();
  const change = useChangeJob();
  const tool = useCallback((line: SheetLine) => toolOf(line), []);
  return (
    <StagePage>
      <StepList stage="set" title="Setting it" tool={tool} />
      <Choice
        label="A primary of its own, with a chain and an end float to set"
        value={job.setting.separatePrimary ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes' },
        ]}
        onChange={(v) =>
          change((j) => ({ ...j, setting: { ...j.setting, separatePrimary: v === 'yes' } }))
        }
      />
      <StageDone stage="set" open={openIn(job)} />
    </StagePage>
  );
}

function toolOf(line: SheetLine) {
  switch (line.tool) {
    case 'gap':
      return <GapTool />;
    case 'gauges':
      return <GaugesTool />;
    case 'lift':
      return <LiftTool />;
    case 'thumb':
      return <ThumbTest />;
    case 'losses':
      return (
        <ToolBox>
          <LossFields bare />
        </ToolBox>
      );
    case 'arm':
      return (
        <ToolBox fields={line.fields}>
          <FigureRows ids={['armBestStart', 'armLost']} />
        </ToolBox>
      );
    case 'freePlay':
      return (
        <ToolBox fields={line.fields}>
          <VerdictLine id="freePlay" />
        </ToolBox>
      );
    case 'chain':
      return (
        <ToolBox fields={line.fields}>
          <VerdictLine id="chain" />
        </ToolBox>
      );
    case 'endFloat':
      return (
        <ToolBox fields={line.fields}>
          <VerdictLine id="endFloat" />
        </ToolBox>
      );
    case 'pushrod':
      return <ToolBox fields={line.fields} />;
    default:
      return null;
  }
}

/** With the springs out, does the plate still tilt under the thumb? */
function ThumbTest() {
  const { thumbTest } = useJob().setting;
  const change = useChangeJob();
  return (
    <ToolBox>
      <Choice
        bare
        label="With the springs out"
        value={thumbTest ?? 'open'}
        options={[
          { value: 'tilts', label: 'Still tilts' },
          { value: 'true', label: 'Lifts true' },
        ]}
        onChange={(v) =>
          change((j) => (v === 'open' ? j : { ...j, setting: { ...j.setting, thumbTest: v } }))
        }
      />
      <VerdictLine id="thumb" />
    </ToolBox>
  );
}

function openIn(job: Job): string[] {
  const steps = stepsOf(job, 'set').filter(isOpen).length;
  return [
    ...(steps > 0 ? [`${steps} ${steps === 1 ? 'step' : 'steps'}`] : []),
    ...(job.expanding.fitted && !job.setting.installGap ? ['the install gap'] : []),
    ...(job.release.liftReadings.length === 0 && !job.release.measuredLift
      ? ['lift by the dial']
      : []),
  ];
}
