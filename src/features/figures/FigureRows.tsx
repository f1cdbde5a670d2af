import { View } from 'react-native';

import type { FigureId } from '@/core/evaluate/engine/figure';
import { useEvaluation } from '@/state/jobs/evaluations';

import { FigureRow } from './FigureRow';

/** Figures of the job on screen, those that apply to it. */
export function FigureRows({ ids }: { readonly ids: readonly FigureId[] }) {
  const { figures } = useEvaluation();
  return (
    <View>
      {ids.map((id) => {
        const outcome = figures.get(id);
        return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
      })}
    </View>
  );
}
