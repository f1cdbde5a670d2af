import type { ChecklistLine } from '@/core/worksheet/line';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { OpenQuestions } from '@/features/pack/Questions';
import { StepList } from '@/features/worksheet/StepList';
import { ToolBox } from '@/features/worksheet/ToolBox';

import { BoltCircle } from './BoltCircle';
import { TightenedWith } from './TightenedWith';
import { PartsFitted } from './PartsFitted';
import { Fasteners } from './Fasteners';
import { SoakTimer } from './SoakTimer';

interface Props {
  /** Shows a plate in the section. */
  readonly onPlate: (plateId: string) => void;
}

/** Build: the sheet by which this very pack is put together. */
export function BuildStage({ onPlate }: Props) {
  const tool = (line: ChecklistLine) => toolOf(line);
  return (
    <StagePage stage="build">
      <OpenQuestions ids={['design', 'hubStays']} />
      <Fasteners />
      <StepList stage="build" title="Assembly" tool={tool} onPlate={onPlate} />
      <StageDone stage="build" />
    </StagePage>
  );
}

function toolOf(line: ChecklistLine) {
  switch (line.tool) {
    case 'soak':
      return <SoakTimer fields={line.fields} />;
    case 'circle':
      return (
        <>
          <BoltCircle fastenerId={line.fastenerId ?? ''} />
          {tightened(line)}
        </>
      );
    case 'countIn':
      return <PartsFitted />;
    case 'heads':
    case 'gapRead':
      return (
        <ToolBox fields={line.fields}>
          <VerdictLine id={line.tool} />
        </ToolBox>
      );
    default:
      return tightened(line);
  }
}

/** Where a torque is written, what it was reached with. */
const tightened = ({ fastenerId, answers }: ChecklistLine) =>
  fastenerId !== undefined && answers ? <TightenedWith fastenerId={fastenerId} /> : null;
