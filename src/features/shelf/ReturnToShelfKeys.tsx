import { useState } from 'react';
import { View } from 'react-native';

import { isFrozen } from '@/core/job/signOff';
import { useJobId, useJobPart } from '@/state/jobs/useJob';
import type { AppStore, RootState } from '@/state/store';
import { useAppDispatch } from '@/state/store';
import { Action } from '@/ui/Action';
import { isoDay } from '@/ui/dates';
import { Words } from '@/ui/Words';

import type { ReturnedParts } from './returnToShelf';
import { flow } from '@/ui/flow';

interface Props {
  /** How many pieces go; with none there is nothing to press. */
  readonly pieces: number;
  readonly put: (
    jobId: string,
    where: 'shelf' | 'scrap',
    today: string,
  ) => (dispatch: AppStore['dispatch'], getState: () => RootState) => ReturnedParts;
  /** Name of the part, for the keys: "Disc, plate 3". */
  readonly what: string;
  readonly to: readonly ('shelf' | 'scrap')[];
}

const KEY = {
  shelf: { icon: 'layers-outline', word: 'To shelf' },
  scrap: { icon: 'archive-outline', word: 'To scrap' },
} as const;

/** Keys that return plates of the job to the shelf or scrap them, with the result. */
export function ReturnToShelfKeys({ pieces, put, what, to }: Props) {
  const jobId = useJobId();
  const frozen = useJobPart(isFrozen);
  const dispatch = useAppDispatch();
  const [done, setDone] = useState<ReturnedParts>();
  if (frozen) return null;
  return (
    <View style={flow.stack}>
      {pieces > 0 && !done?.undo ? (
        <View style={flow.wrap}>
          {to.map((where) => (
            <Action
              key={where}
              icon={KEY[where].icon}
              accessibilityLabel={`${what}: ${KEY[where].word.toLowerCase()}`}
              onPress={() => setDone(dispatch(put(jobId, where, isoDay())))}
            >
              {pieces > 1 ? `${what}: ${KEY[where].word.toLowerCase()}` : KEY[where].word}
            </Action>
          ))}
        </View>
      ) : null}
      <View aria-live="polite">
        {done ? (
          <View style={flow.stack}>
            <Words size={15}>{done.text}</Words>
            {done.undo ? (
              <Action
                icon="undo"
                accessibilityLabel="Undo"
                onPress={() => {
                  done.undo?.();
                  setDone(undefined);
                }}
              >
                Undo
              </Action>
            ) : null}
          </View>
        ) : null}
      </View>
    </View>
  );
}
