import { StyleSheet, View } from 'react-native';

import { countOf } from '@/core/text/countOf';
import type { Cutaway } from '@/core/takeoff/cutaway';
import { partsOf } from '@/drawing/halfSection/parts';
import type { Subject } from '@/drawing/halfSection/measures';
import { useUnits } from '@/features/display/useUnits';

import { Canvas } from './Canvas';
import type { RideLoop } from './RideLoop';
import type { Scene } from './scene';
import { useStatus } from './useRide';

interface PictureProps {
  readonly subject: Subject;
  readonly cutaway: Cutaway;
  readonly scene: Scene;
  readonly ride: RideLoop;
}

/** The moving half-section, with its parts in words. */
export function Picture({ subject, cutaway, scene: { drawing }, ride }: PictureProps) {
  const state = useStatus(ride);
  const units = useUnits();
  const { layers } = cutaway.layout;
  const parts = partsOf(subject, drawing, units).map((p) => p.text);
  return (
    <View
      role="img"
      aria-label={`Section of the clutch, ${state.running ? 'moving' : 'still'}: ${countOf(layers.length, 'plate')} between the hub floor and the pressure plate. ${parts.join('. ')}.`}
      style={[styles.picture, { width: drawing.width, height: drawing.height }]}
    >
      <Canvas width={drawing.width} height={drawing.height} />
    </View>
  );
}

const styles = StyleSheet.create({ picture: { alignSelf: 'center' } });
