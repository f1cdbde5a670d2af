import { StyleSheet, View } from 'react-native';

import type { Cutaway } from '@/core/takeoff/cutaway';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { Canvas } from './Canvas';
import type { RideLoop } from './RideLoop';
import type { Scene } from './scene';
import { useStatus } from './useRide';
import { countOf } from '@/core/text/countOf';

interface PictureProps {
  readonly cutaway: Cutaway;
  readonly scene: Scene;
  readonly ride: RideLoop;
}

/** The moving section, with the names of its parts. */
export function Picture({ cutaway, scene, ride }: PictureProps) {
  const state = useStatus(ride);
  const { layers } = cutaway.layout;
  return (
    <View
      role="img"
      aria-label={`Section of the clutch, ${state.running ? 'moving' : 'still'}: ${countOf(layers.length, 'plate')} between the hub floor and the pressure plate, basket to the left, hub and rod to the right.`}
      style={[styles.picture, { width: scene.width, height: scene.height }]}
    >
      <Canvas width={scene.width} height={scene.height} />
      <Label text="basket" left={0} top={scene.floor + 24} />
      <Label text="hub and rod" left={scene.rod.x - 140} top={scene.floor + 34} />
      <Label text="springs" left={scene.hub.x - 4} top={8} />
    </View>
  );
}

function Label({
  text,
  left,
  top,
}: {
  readonly text: string;
  readonly left: number;
  readonly top: number;
}) {
  const strata = useStrata();
  return (
    <Words aria-hidden size={13} style={[styles.over, { left, top, color: strata.soft }]}>
      {text}
    </Words>
  );
}

const styles = StyleSheet.create({
  picture: { alignSelf: 'center' },
  over: { position: 'absolute' },
});
