import type { Figure } from '@/core/evaluate/engine/figure';
import { useUnits } from '@/features/display/useUnits';
import { figureText } from '@/core/text/figureText';
import { useEditJob } from '@/state/jobs/editJob';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';

interface Props {
  readonly from: 'gapSet' | 'gapGauged';
  readonly by: string;
}

/** Uses a set or measured gap as the install gap. */
export function UseGap({ from, by }: Props) {
  const found = useEvaluation().figures.get(from);
  const gap = useJobPart((j) => j.setting.installGap?.value);
  const units = useUnits();
  const change = useEditJob();
  if (found?.status !== 'known' || gap === found.value) return null;
  const figure: Figure = found;
  return (
    <Action
      main
      icon="check"
      onPress={() =>
        change((j) => ({ ...j, setting: { ...j.setting, installGap: { value: figure.value } } }))
      }
    >
      {`Gap: ${figureText(figure, units).value}, by ${by}`}
    </Action>
  );
}
