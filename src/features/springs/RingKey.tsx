import { Pressable, StyleSheet } from 'react-native';

const SIZE = 44;

interface Props {
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly onPress: () => void;
}

/** The place of one spring under the finger. */
export function RingKey({ label, x, y, onPress }: Props) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={[styles.over, { left: x - SIZE / 2, top: y - SIZE / 2 }]}
    />
  );
}

const styles = StyleSheet.create({
  over: { position: 'absolute', width: SIZE, height: SIZE, borderRadius: SIZE / 2 },
});
