import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { useUnits } from '@/features/display/useUnits';
import { Words } from '@/ui/Words';

import { describeRide, stateOf } from './describeRide';
import type { RideLoop } from './RideLoop';
import { useReading } from './useRide';

const HIDDEN = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as object;

/** Description of the picture; announced when its kind changes, not at every figure. */
export function SentenceLine({ ride }: { readonly ride: RideLoop }) {
  const units = useUnits();
  const reading = useReading(ride);
  const words = describeRide(reading, units);
  const state = stateOf(reading);
  return (
    <View style={styles.grow} testID="cutaway-state" {...{ dataSet: { state } }}>
      <Words size={15}>{words}</Words>
      <View aria-live="polite" style={HIDDEN}>
        <SentenceText state={state} words={words} />
      </View>
    </View>
  );
}

/** Announced when the kind of description changes, not at every figure. */
function SentenceText({ state, words }: { readonly state: string; readonly words: string }) {
  const [said, setSaid] = useState({ state, words });
  if (said.state !== state) setSaid({ state, words });
  return <Words>{said.words}</Words>;
}

const styles = StyleSheet.create({
  grow: { minHeight: 44, flexGrow: 1, flexShrink: 1 },
});
