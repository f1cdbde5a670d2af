import { Icon, TouchableRipple } from 'react-native-paper';
import { StyleSheet, View } from 'react-native';

import { useStrata } from './theme';
import { WithReason } from './WithReason';
import { Words } from './Words';

interface Props {
  readonly icon: string;
  /** One short word under the sign. */
  readonly word: string;
  /** Accessible name: "Move outward". */
  readonly label: string;
  /** Why it can't be pressed now: part of its name, and shown on hover or a long press. */
  readonly blocked?: string | undefined;
  readonly on?: boolean | undefined;
  /** 56 unless there is less room. */
  readonly width?: number;
  readonly onPress: () => void;
}

/** A small key with icon and word, for repeated use beside a drawing. */
export function Tool({ icon, word, label, blocked, on, width = 56, onPress }: Props) {
  const strata = useStrata();
  const disabled = blocked !== undefined;
  const tool = (
    <TouchableRipple
      role="button"
      aria-label={disabled ? `${label}: ${blocked}` : label}
      aria-disabled={disabled}
      aria-pressed={on}
      disabled={disabled}
      onPress={onPress}
      style={[
        styles.place,
        { width, borderWidth: on ? 2 : 0, borderColor: strata.slate, opacity: disabled ? 0.45 : 1 },
      ]}
    >
      <View style={styles.toolPlace} aria-hidden>
        <Icon source={icon} size={24} color={strata.slate} />
        <Words size={13}>{word}</Words>
      </View>
    </TouchableRipple>
  );
  return <WithReason reason={blocked}>{tool}</WithReason>;
}

const styles = StyleSheet.create({
  place: { minHeight: 52, alignItems: 'center', justifyContent: 'center', borderRadius: 6 },
  toolPlace: { alignItems: 'center' },
});
