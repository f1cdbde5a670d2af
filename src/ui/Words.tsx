import type { ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { Text } from 'react-native';

import { FONT, useStrata } from './theme';

interface Props {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly bold?: boolean;
  readonly soft?: boolean;
  readonly size?: number;
  readonly nativeID?: string;
  readonly numberOfLines?: number;
  readonly live?: boolean;
  readonly 'aria-hidden'?: boolean;
}

/** Running text in the text face. */
export function Words({ children, style, bold, soft, size = 16, live, ...rest }: Props) {
  const strata = useStrata();
  return (
    <Text
      aria-live={live ? 'polite' : undefined}
      style={[
        {
          color: soft ? strata.soft : strata.ink,
          fontFamily: bold ? FONT.textBold : FONT.text,
          fontSize: size,
          lineHeight: Math.round(size * 1.35),
        },
        style,
      ]}
      {...rest}
    >
      {children}
    </Text>
  );
}

/** Figures in the mono face, so that digits stand under digits. */
export function Digits({ children, style, bold, soft, size = 16, ...rest }: Props) {
  const strata = useStrata();
  return (
    <Text
      style={[
        {
          color: soft ? strata.soft : strata.ink,
          fontFamily: bold ? FONT.monoBold : FONT.mono,
          fontSize: size,
          lineHeight: Math.round(size * 1.25),
        },
        style,
      ]}
      {...rest}
    >
      {children}
    </Text>
  );
}

interface HeadingProps {
  readonly level: 1 | 2 | 3;
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly numberOfLines?: number;
}

const HEADING_SIZE = { 1: 20, 2: 18, 3: 16 } as const;

/** A heading with its level in the outline of the page. */
export function Heading({ level, children, style, numberOfLines }: HeadingProps) {
  const strata = useStrata();
  return (
    <Text
      role="heading"
      aria-level={level}
      numberOfLines={numberOfLines}
      style={[
        {
          color: strata.ink,
          fontFamily: FONT.textBold,
          fontSize: HEADING_SIZE[level],
          lineHeight: Math.round(HEADING_SIZE[level] * 1.3),
        },
        style,
      ]}
    >
      {children}
    </Text>
  );
}
