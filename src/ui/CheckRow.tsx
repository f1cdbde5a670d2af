import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { List } from 'react-native-paper';

import { useStrata } from './theme';
import { useAria } from './useAria';
import { Words } from './Words';

interface Props {
  readonly text: string;
  /** One line of help or warning under it. */
  readonly watch?: string | undefined;
  readonly done: boolean;
  /** Shown instead of done or open. */
  readonly tone?: 'stop' | 'watch' | undefined;
  readonly onToggle: () => void;
  /** Who and when, under the text. */
  readonly below?: ReactNode;
  readonly testID?: string;
}

/**
 * A step to tick, large enough for gloves. Paper's Checkbox.Item nests two checkboxes and fixes its font; this is its List.Item
 * with the checkbox role.
 */
export function CheckRow({ text, watch, done, tone, onToggle, below, testID }: Props) {
  const strata = useStrata();
  const color = tone ? strata[tone] : done ? strata.good : strata.slate;
  const ref = useAria('checkbox', { 'aria-checked': done });
  return (
    <View ref={ref}>
      <List.Item
        role="checkbox"
        aria-label={watch ? `${text}${/[.?!]$/.test(text) ? '' : '.'} ${watch}` : text}
        {...(testID === undefined ? {} : { testID })}
        onPress={onToggle}
        style={styles.row}
        containerStyle={styles.inside}
        contentStyle={styles.words}
        left={() => (
          <List.Icon
            icon={done ? 'checkbox-marked' : 'checkbox-blank-outline'}
            color={color}
            style={styles.box}
          />
        )}
        title={() => (
          <Words bold={!done} soft={done}>
            {text}
          </Words>
        )}
        description={() => (
          <>
            {watch ? (
              <Words soft size={14}>
                {watch}
              </Words>
            ) : null}
            {below}
          </>
        )}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: 56, paddingVertical: 0, paddingRight: 0, justifyContent: 'center' },
  inside: { alignItems: 'center', gap: 12 },
  box: { marginLeft: 0, marginRight: 0 },
  words: { paddingLeft: 0 },
});
