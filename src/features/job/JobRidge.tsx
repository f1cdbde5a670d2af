import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { RidgeEdge, RidgeLine } from './Ridge';

import { useIncompleteStages } from './missing';

interface Props {
  readonly stage: Stage;
  readonly viewed: Stage;
  readonly onOpen: (stage: Stage) => void;
}

/** The ridge of the job on screen: horizontal for a width, vertical for a height. */
export function JobRidge(
  props: Props & ({ readonly width: number } | { readonly height: number }),
) {
  const names = useIncompleteStages().join();
  // Keeps the list identity while equal, so that the ridge is not redrawn at every key.
  const left = STAGES.filter((s) => names.split(',').includes(s));
  return 'width' in props ? (
    <RidgeLine {...props} openable={STAGES} left={left} />
  ) : (
    <RidgeEdge {...props} openable={STAGES} left={left} />
  );
}
