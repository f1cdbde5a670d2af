import type { Ref } from 'react';
import { useState } from 'react';
import type { StyleProp, TextInputProps, TextStyle } from 'react-native';
import { StyleSheet, TextInput } from 'react-native';

import type { Strata } from '@/drawing/palette';

import { FONT, useStrata } from './theme';

interface Props extends Omit<TextInputProps, 'style'> {
  readonly ref?: Ref<TextInput>;
  /** Outlined in the colour of what has to stop. */
  readonly wrong?: boolean;
  readonly 'aria-describedby'?: string;
  readonly 'aria-invalid'?: boolean;
  readonly style?: StyleProp<TextStyle>;
}

/**
 * The outlined box that all text is typed into. Paper's brings a moving label and an animated outline along: nothing here
 * shows them, and they took a quarter to a third of the time in which a screen of fields is drawn.
 */
export function InputBox({
  wrong = false,
  editable = true,
  style,
  onFocus,
  onBlur,
  ...rest
}: Props) {
  const strata = useStrata();
  const [focused, setFocused] = useState(false);
  const line = wrong ? strata.stop : focused ? strata.slate : strata.line;
  return (
    <TextInput
      {...rest}
      editable={editable}
      onFocus={(event) => {
        setFocused(true);
        onFocus?.(event);
      }}
      onBlur={(event) => {
        setFocused(false);
        onBlur?.(event);
      }}
      style={[boxStyle(strata, line, focused, editable), style]}
    />
  );
}

/** Made once for each look, as texts are. */
const STYLES = new Map<string, TextStyle>();

function boxStyle(
  { ink, soft, raised }: Strata,
  line: string,
  focused: boolean,
  editable: boolean,
): TextStyle {
  const color = editable ? ink : soft;
  const key = `${color}|${raised}|${line}|${focused}`;
  const known = STYLES.get(key);
  if (known) return known;
  const { box } = StyleSheet.create<{ box: TextStyle }>({
    box: {
      minHeight: 48,
      borderWidth: 1,
      borderColor: line,
      borderRadius: 2,
      // Thicker over the border, so that what is inside stays where it is.
      outlineStyle: 'solid',
      outlineColor: line,
      outlineWidth: focused ? 2 : 0,
      outlineOffset: -2,
      paddingHorizontal: 16,
      backgroundColor: raised,
      color,
      fontFamily: FONT.text,
      fontSize: 16,
    },
  });
  STYLES.set(key, box);
  return box;
}
