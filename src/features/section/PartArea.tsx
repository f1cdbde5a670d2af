import { Pressable, StyleSheet, View } from 'react-native';

import type { FieldPath } from '@/core/job/fieldPath';
import type { DrawnPart } from '@/drawing/halfSection/parts';

interface Props {
  readonly part: DrawnPart;
  readonly worst: boolean;
  readonly onAsk: ((path: FieldPath) => void) | undefined;
}

/** A part of the drawing in words; where it asks for a measure, a tap opens the field. */
export function PartArea({ part: { id, text, box, asks }, worst, onAsk }: Props) {
  const place = [styles.over, { left: box.x, top: box.y, width: box.width, height: box.height }];
  const name = worst ? `${text}, stop` : text;
  return asks && onAsk ? (
    <Pressable
      role="button"
      aria-label={`${name}. Enter it`}
      testID={`part-${id}`}
      onPress={() => onAsk(asks)}
      style={place}
    />
  ) : (
    <View role="img" aria-label={name} testID={`part-${id}`} style={place} />
  );
}

const styles = StyleSheet.create({ over: { position: 'absolute' } });
