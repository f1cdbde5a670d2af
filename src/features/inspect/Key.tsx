import type { ReactNode } from 'react';
import { Pressable, StyleSheet } from 'react-native';

import { FONT, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface KeyProps {
  readonly label: string;
  readonly children: ReactNode;
  readonly onPress: () => void;
  readonly height: number;
  readonly main?: boolean;
  readonly digit?: boolean;
  readonly disabled?: boolean;
}

/** One key of the run, big enough for a glove. */
export function Key({
  label,
  children,
  onPress,
  height,
  main = false,
  digit = false,
  disabled = false,
}: KeyProps) {
  const strata = useStrata();
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      // A key must not take the focus from a gauge that types.
      tabIndex={digit ? -1 : 0}
      onPress={onPress}
      style={({ pressed }) => ({
        flexGrow: 1,
        flexBasis: 0,
        height,
        alignItems: 'center',
        justifyContent: 'center',
        borderRadius: 6,
        borderWidth: main || digit ? 0 : 1.5,
        borderColor: strata.slate,
        opacity: disabled ? 0.4 : pressed ? 0.7 : 1,
        backgroundColor: main ? strata.slate : digit ? strata.line : 'transparent',
      })}
    >
      {typeof children === 'string' ? (
        <Words
          bold
          size={digit ? 24 : main ? 19 : 16}
          style={[
            styles.text,
            {
              fontFamily: digit ? FONT.monoBold : FONT.textBold,
              color: main ? strata.onSlate : digit ? strata.ink : strata.slate,
            },
          ]}
        >
          {children}
        </Words>
      ) : (
        children
      )}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  text: { textAlign: 'center' },
});
