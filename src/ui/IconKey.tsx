import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { WithReason } from './WithReason';

interface Props {
  readonly icon: string;
  /** Accessible name. */
  readonly label: string;
  readonly onPress: () => void;
  /** Why it can't be pressed now: part of its name, and shown on hover or a long press. */
  readonly blocked?: string | undefined;
  /** Whether its content is open. */
  readonly expanded?: boolean | undefined;
  readonly outlined?: boolean;
  /** Smaller, for several in a row on a phone. */
  readonly narrow?: boolean;
  /** Placed beside a field's box, which is below its label. */
  readonly atBox?: boolean;
}

/** A key that is a sign alone, as large as a thumb needs. */
export function IconKey({
  icon,
  label,
  onPress,
  blocked,
  expanded,
  outlined = false,
  narrow = false,
  atBox = false,
}: Props) {
  const key = (
    <IconButton
      icon={icon}
      {...(outlined ? { mode: 'outlined' } : {})}
      aria-label={blocked === undefined ? label : `${label}: ${blocked}`}
      aria-expanded={expanded}
      disabled={blocked !== undefined}
      size={24}
      style={[styles.key, narrow && styles.narrow, atBox && styles.atBox]}
      onPress={onPress}
    />
  );
  return <WithReason reason={blocked}>{key}</WithReason>;
}

const styles = StyleSheet.create({
  key: { width: 48, height: 48, margin: 0 },
  narrow: { width: 44 },
  atBox: { marginTop: 11 },
});
