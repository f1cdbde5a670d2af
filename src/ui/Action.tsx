import type { ComponentProps } from 'react';
import { Button } from 'react-native-paper';

import { FONT } from './theme';

type ButtonProps = ComponentProps<typeof Button>;

interface Props extends Pick<
  ButtonProps,
  'icon' | 'disabled' | 'onPress' | 'accessibilityLabel' | 'style' | 'testID'
> {
  readonly children: string;
  /** The one thing that most will want to do here. */
  readonly main?: boolean;
}

/** Paper holds the words of a button to one line; these are read by the browser alone. */
const WRAPS = { whiteSpace: 'normal', overflow: 'visible' } as const;

/** A button that a glove can hit. */
export function Action({ children, main = false, icon, style, ...rest }: Props) {
  return (
    <Button
      mode={main ? 'contained' : 'outlined'}
      contentStyle={{ minHeight: 48, maxWidth: '100%' }}
      labelStyle={{
        fontFamily: FONT.textBold,
        fontSize: 15,
        marginLeft: icon ? 22 : 14,
        marginRight: 14,
        flexShrink: 1,
        // In large letters, or on a small phone, words go on in a second line rather than being cut.
        ...WRAPS,
      }}
      icon={icon}
      style={[{ maxWidth: '100%' }, style]}
      {...rest}
    >
      {children}
    </Button>
  );
}
