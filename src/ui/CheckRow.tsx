import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly text: string;
  /** One line of help or warning under it. */
  readonly watch?: string;
  readonly done: boolean;
  /** Said beside the box in place of done or open. */
  readonly tone?: 'stop' | 'watch';
  readonly onToggle: () => void;
  /** Who and when, under the text. */
  readonly below?: ReactNode;
  readonly testID?: string;
}

/** A step to tick off, as large as a glove needs. */
export function CheckRow({ text, watch, done, tone, onToggle, below, testID }: Props) {
  const strata = useStrata();
  const color = tone ? strata[tone] : done ? strata.good : strata.slate;
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={watch ? `${text}${/[.?!]$/.test(text) ? '' : '.'} ${watch}` : text}
      testID={testID}
      onPress={onToggle}
      style={styles.row}
    >
      <Icon source={done ? 'checkbox-marked' : 'checkbox-blank-outline'} size={28} color={color} />
      <View style={styles.words}>
        <Words bold={!done} soft={done}>
          {text}
        </Words>
        {watch ? (
          <Words soft size={14}>
            {watch}
          </Words>
        ) : null}
        {below}
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: 56, flexDirection: 'row', gap: 12, alignItems: 'center', paddingVertical: 6 },
  words: { flexShrink: 1, flexGrow: 1 },
});
