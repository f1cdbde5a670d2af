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

/** A button that a glove can hit. */
export function Action({ children, main = false, icon, ...rest }: Props) {
  return (
    <Button
      mode={main ? 'contained' : 'outlined'}
      contentStyle={{ minHeight: 48 }}
      labelStyle={{
        fontFamily: FONT.textBold,
        fontSize: 15,
        marginLeft: icon ? 22 : 14,
        marginRight: 14,
      }}
      icon={icon}
      {...rest}
    >
      {children}
    </Button>
  );
}
