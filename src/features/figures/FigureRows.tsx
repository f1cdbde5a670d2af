import { View } from 'react-native';

import type { FigureId, Unknown } from '@/core/evaluate/engine/figure';
import { unknownsText } from '@/core/text/reasons';
import { useEvaluation } from '@/state/jobs/evaluations';
import { Words } from '@/ui/Words';

import { FigureRow } from './FigureRow';

/** Figures of the job on screen, those that apply to it; several that wait for inputs take one sentence together. */
export function FigureRows({ ids }: { readonly ids?: readonly FigureId[] }) {
  const { figures } = useEvaluation();
  const outcomes = ids ? ids.flatMap((id) => figures.get(id) ?? []) : [...figures.values()];
  const waiting = outcomes.filter(
    (o): o is Unknown => o.status === 'unknown' && o.needs.length > 0,
  );
  const together = waiting.length > 1 ? waiting : [];
  return (
    <View>
      {outcomes.map((outcome) =>
        outcome.status === 'unknown' && together.includes(outcome) ? null : (
          <FigureRow key={outcome.id} outcome={outcome} />
        ),
      )}
      {together.length > 0 ? (
        <Words soft size={14}>
          {unknownsText(together)}
        </Words>
      ) : null}
    </View>
  );
}
