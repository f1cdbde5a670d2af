import type { ReactNode, Ref } from 'react';
import { Children } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { StyleSheet, Text } from 'react-native';

import { bound } from './bound';
import { FONT, useStrata } from './theme';

interface Props {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly bold?: boolean | undefined;
  readonly soft?: boolean | undefined;
  readonly size?: number;
  readonly nativeID?: string;
  readonly numberOfLines?: number;
  readonly live?: boolean;
  readonly testID?: string;
  readonly 'aria-hidden'?: boolean;
}

type Face = (typeof FONT)[keyof typeof FONT];

/** Styles are cached per look: new objects at each render would be processed again by the platform. */
const STYLES = new Map<string, TextStyle>();

function textStyle(color: string, fontFamily: Face, fontSize: number, leading: number): TextStyle {
  const key = `${color}|${fontFamily}|${fontSize}|${leading}`;
  const known = STYLES.get(key);
  if (known) return known;
  const { text } = StyleSheet.create({
    text: { color, fontFamily, fontSize, lineHeight: Math.round(fontSize * leading) },
  });
  STYLES.set(key, text);
  return text;
}

/** Text in which values stay together with their units. */
function boundIn(children: ReactNode): ReactNode {
  if (typeof children === 'string') return bound(children);
  return Array.isArray(children)
    ? Children.map(children as readonly ReactNode[], (child) =>
        typeof child === 'string' ? bound(child) : child,
      )
    : children;
}

/** Running text in the text face. */
export function Words({ children, style, bold, soft, size = 16, live, ...rest }: Props) {
  const strata = useStrata();
  const face = textStyle(
    soft ? strata.soft : strata.ink,
    bold ? FONT.textBold : FONT.text,
    size,
    1.35,
  );
  return (
    <Text aria-live={live ? 'polite' : undefined} style={[face, style]} {...rest}>
      {boundIn(children)}
    </Text>
  );
}

/** Figures in the mono face, so that digits align. */
export function Digits({ children, style, bold, soft, size = 16, ...rest }: Omit<Props, 'live'>) {
  const strata = useStrata();
  const face = textStyle(
    soft ? strata.soft : strata.ink,
    bold ? FONT.monoBold : FONT.mono,
    size,
    1.25,
  );
  return (
    <Text style={[face, style]} {...rest}>
      {boundIn(children)}
    </Text>
  );
}

interface HeadingProps {
  /** Of the heading of a screen, which can take the focus. */
  readonly ref?: Ref<Text>;
  readonly level: 1 | 2 | 3;
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly numberOfLines?: number;
}

const HEADING_SIZE = { 1: 20, 2: 18, 3: 16 } as const;

/** A heading with its level in the outline of the page. */
export function Heading({ ref, level, children, style, numberOfLines }: HeadingProps) {
  const { ink } = useStrata();
  return (
    <Text
      {...(ref ? { ref, tabIndex: -1 } : {})}
      role="heading"
      aria-level={level}
      numberOfLines={numberOfLines}
      style={[textStyle(ink, FONT.textBold, HEADING_SIZE[level], 1.3), ref && styles.start, style]}
    >
      {boundIn(children)}
    </Text>
  );
}

const styles = StyleSheet.create({
  // Where a screen begins, not something to press: no ring around it.
  start: { outlineWidth: 0, outlineStyle: 'solid' },
});
