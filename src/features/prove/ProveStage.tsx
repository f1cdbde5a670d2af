import type { ChecklistLine } from '@/core/worksheet/line';
import { BoltCircle } from '@/features/build/BoltCircle';
import { FigureRows } from '@/features/figures/FigureRows';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { ToolBox } from '@/features/worksheet/ToolBox';
import { StepList } from '@/features/worksheet/StepList';
import { Words } from '@/ui/Words';

import { BreakInCounter } from './BreakInCounter';
import { GainReadings } from './GainReadings';
import { Recheck } from './Recheck';

/** Prove: checks before the machine is returned. */
export function ProveStage() {
  const tool = (line: ChecklistLine) => toolOf(line);
  return (
    <StagePage stage="prove">
      <Words soft size={15}>
        Cover on before the engine runs, engine off before hands go in. The maker’s manual, local
        rules and a licensed mechanic take precedence.
      </Words>
      <StepList stage="prove" title="Prove" tool={tool} />
      <StageDone stage="prove" />
    </StagePage>
  );
}

function toolOf(line: ChecklistLine) {
  switch (line.tool) {
    case 'circle':
      return <BoltCircle fastenerId={line.fastenerId ?? ''} />;
    case 'gain':
      return (
        <ToolBox fields={line.fields}>
          <GainReadings />
          <FigureRows ids={['ownRatio', 'overallRatio', 'leverGain', 'gapByLever', 'gapPerMark']} />
        </ToolBox>
      );
    case 'breakIn':
      return <BreakInCounter />;
    case 'recheck':
      return <Recheck fields={line.fields} />;
    default:
      return null;
  }
}
