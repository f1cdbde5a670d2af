import type { VerdictId } from '@/core/evaluate/engine/verdict';
import type { LineTool, ChecklistLine } from '@/core/worksheet/line';
import { stepMarked } from '@/core/worksheet/worksheet';
import { FigureRows } from '@/features/figures/FigureRows';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { OpenQuestions } from '@/features/pack/Questions';
import { LossFields } from '@/features/pack/LossFields';
import { StepList } from '@/features/worksheet/StepList';
import { Choice } from '@/ui/Choice';

import { GapTool } from './GapTool';
import { GaugesTool } from './GaugesTool';
import { LiftTool } from './LiftTool';
import { ReadingSets } from '@/features/readings/ReadingSets';
import { ToolBox } from '@/features/worksheet/ToolBox';

/** Set: gap, free play and lift, with the result of each reading. */
export function SetStage() {
  const tool = (line: ChecklistLine) => toolOf(line);
  return (
    <StagePage stage="set">
      <OpenQuestions ids={['release', 'separatePrimary']} />
      <StepList stage="set" title="Set" tool={tool} />
      <StageDone stage="set" />
    </StagePage>
  );
}

/** Steps whose reading is judged by one verdict. */
const VERDICT: Partial<Record<LineTool, VerdictId>> = {
  freePlay: 'freePlay',
  chain: 'chain',
  endFloat: 'endFloat',
};

function toolOf({ tool, fields }: ChecklistLine) {
  switch (tool) {
    case undefined:
      return null;
    case 'gap':
      return <GapTool fields={fields} />;
    case 'gauges':
      return <GaugesTool fields={fields} />;
    case 'lift':
      return <LiftTool fields={fields} />;
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
        <ToolBox fields={fields}>
          <FigureRows ids={['armBestStart', 'armLost']} />
        </ToolBox>
      );
    default: {
      const verdict = VERDICT[tool];
      return (
        <ToolBox fields={fields}>
          {verdict ? <VerdictLine id={verdict} /> : null}
          {tool === 'freePlay' ? <ReadingSets kind="freePlay" /> : null}
        </ToolBox>
      );
    }
  }
}

/** With the springs out, does the plate still tilt under the thumb? */
function ThumbTest() {
  const { thumbTest } = useJob().setting;
  const change = useEditJob();
  return (
    <ToolBox>
      <Choice
        bare
        label="With springs removed"
        value={thumbTest ?? 'open'}
        options={[
          { value: 'tilts', label: 'Still tilts' },
          { value: 'true', label: 'Lifts evenly' },
        ]}
        onChange={(v) =>
          change((j) =>
            v === 'open'
              ? j
              : stepMarked(
                  { ...j, setting: { ...j.setting, thumbTest: v } },
                  'set',
                  'thumb',
                  true,
                  new Date().toISOString(),
                ),
          )
        }
      />
      <VerdictLine id="thumb" />
      <ReadingSets kind="thumb" />
    </ToolBox>
  );
}
