import type { ComponentProps } from 'react';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { FONT } from './theme';

type ButtonProps = ComponentProps<typeof Button>;

interface Props extends Pick<
  ButtonProps,
  'icon' | 'disabled' | 'onPress' | 'accessibilityLabel' | 'style' | 'testID'
> {
  readonly children: string;
  /** The main action of the screen. */
  readonly main?: boolean;
}

/** Paper limits button text to one line; this text is for assistive technology only. */
const WRAPS = { whiteSpace: 'normal', overflow: 'visible' } as const;

/** A screen's main action can be found on the page. */
const MARK = { dataSet: { main: 'true' } };

/** A button that a glove can hit. */
export function Action({ children, main = false, icon, style, ...rest }: Props) {
  return (
    <Button
      mode={main ? 'contained' : 'outlined'}
      contentStyle={styles.content}
      labelStyle={[styles.label, icon ? styles.afterIcon : undefined]}
      {...(icon ? { icon } : {})}
      style={[styles.whole, style]}
      {...(main ? MARK : {})}
      {...rest}
    >
      {children}
    </Button>
  );
}

const styles = StyleSheet.create({
  whole: { maxWidth: '100%' },
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
