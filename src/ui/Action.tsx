import type { ComponentProps } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';

import { FONT, SPACE } from './theme';
import { Words } from './Words';

type ButtonProps = ComponentProps<typeof Button>;

interface Props extends Pick<
  ButtonProps,
  'icon' | 'onPress' | 'accessibilityLabel' | 'style' | 'testID'
> {
  readonly children: string;
  /** The main action of the screen. */
  readonly main?: boolean;
  /** Why it can't be pressed now, shown under it: "Enter a thickness first." */
  readonly blocked?: string | undefined;
  /** It is running: a second press must not start it again. */
  readonly busy?: boolean | undefined;
}

/** Paper limits button text to one line; this text is for assistive technology only. */
const WRAPS = { whiteSpace: 'normal', overflow: 'visible' } as const;

/** A screen's main action can be found on the page. */
const MARK = { dataSet: { main: 'true' } };

/** A button that a glove can hit. */
export function Action({
  children,
  main = false,
  icon,
  style,
  blocked,
  busy = false,
  ...rest
}: Props) {
  const button = (
    <Button
      mode={main ? 'contained' : 'outlined'}
      contentStyle={styles.content}
      labelStyle={[styles.label, icon ? styles.afterIcon : undefined]}
      {...(icon ? { icon } : {})}
      style={[styles.whole, style]}
      {...(main ? MARK : {})}
      {...rest}
      disabled={busy || blocked !== undefined}
    >
      {children}
    </Button>
  );
  return blocked === undefined ? (
    button
  ) : (
    <View style={styles.blocked}>
      {button}
      <Words soft size={14}>
        {blocked}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  whole: { maxWidth: '100%' },
  blocked: { alignItems: 'flex-start', gap: SPACE.tight, maxWidth: '100%' },
  content: { minHeight: 48, maxWidth: '100%' },
  label: {
    fontFamily: FONT.textBold,
    fontSize: 15,
    marginLeft: 14,
    marginRight: 14,
    flexShrink: 1,
    // In large letters, or on a small phone, words go on in a second line rather than being cut.
    ...WRAPS,
  },
  afterIcon: { marginLeft: 22 },
});
