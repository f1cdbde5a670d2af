import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';

import { Action } from './Action';
import { Words } from './Words';

interface Props {
  readonly share: number;
  readonly label: string;
  /** With it a key to stop the run. */
  readonly onStop?: () => void;
}

/** How far a run has come, as a line and in words. */
export function ProgressLine({ share, label, onStop }: Props) {
  const percent = Math.round(100 * Math.min(1, Math.max(0, share)));
  return (
    <View style={styles.whole}>
      {/* Of a fixed height: in what scrolls Paper's bar leaves a gap. */}
      <View style={styles.place}>
        <ProgressBar
          progress={percent / 100}
          aria-label={label}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={percent}
          style={styles.bar}
        />
      </View>
      <Words soft size={14}>
        {`${label}: ${percent} %`}
      </Words>
      {onStop ? (
        <Action icon="close" onPress={onStop}>
          Stop
        </Action>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  whole: { gap: 4 },
  place: { height: 10 },
  bar: { height: 10, borderRadius: 5 },
});
