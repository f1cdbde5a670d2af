import type { TighteningTool } from '@/core/job/work';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Choice, optionsOf } from '@/ui/Choice';

const TOOL_NAME: Readonly<Record<TighteningTool, string>> = {
  wrench: 'Torque wrench',
  impact: 'Impact gun',
  hand: 'By feel',
};

/** What a fastener was tightened with: all but a torque wrench is asked about at the signature. */
export function TightenedWith({ fastenerId }: { readonly fastenerId: string }) {
  const tool = useJobPart((j) => j.build.fasteners.find((f) => f.id === fastenerId)?.tool);
  const change = useEditJob();
  return (
    <Choice
      label="Tightened with"
      value={tool ?? 'wrench'}
      options={optionsOf(TOOL_NAME)}
      onChange={(next) =>
        change((j) => ({
          ...j,
          build: {
            ...j.build,
            fasteners: j.build.fasteners.map((f) =>
              f.id === fastenerId ? { ...f, tool: next } : f,
            ),
          },
        }))
      }
    />
  );
}
