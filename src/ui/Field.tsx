import type { ComponentProps, ReactNode, RefCallback } from 'react';
import { useId } from 'react';
import type { ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';

import { bound } from './bound';
import { goToNextField } from './nextField';
import { FONT, useStrata } from './theme';
import { Words } from './Words';

type InputProps = ComponentProps<typeof TextInput>;

export interface FieldProps extends Pick<
  InputProps,
  | 'autoFocus'
  | 'editable'
  | 'inputMode'
  | 'maxLength'
  | 'multiline'
  | 'onBlur'
  | 'onFocus'
  | 'right'
  | 'testID'
> {
  /** Takes the focus to the field. */
  readonly ref?: RefCallback<{ focus: () => void }>;
  readonly label: string;
  /** In a table, whose columns are named above it: the label is read out but not shown. */
  readonly cell?: boolean;
  /** In a grid of fields: has the whole row of it. */
  readonly across?: boolean;
  /** Accessible name instead of the label, where several share a label. */
  readonly name?: string;
  readonly value: string;
  readonly onChangeText: (text: string) => void;
  /** The error message. */
  readonly message?: string | undefined;
  readonly tone?: 'stop' | 'watch';
  readonly figures?: boolean;
  /** Action of Enter; by default it moves to the next field. */
  readonly onSubmit?: () => void;
  /** Enter does not move on from this field. */
  readonly alone?: boolean;
  /** Beside the message, or in its place: a note, the source, answers to a question. */
  readonly children?: ReactNode;
}

/**
 * Paper's outlined field with its message. On the web Paper ties neither label nor message to the input, so that both are
 * named here once.
 */
export function Field({
  ref,
  label,
  name = label,
  message,
  tone = 'stop',
  figures = false,
  alone = false,
  cell = false,
  across = false,
  multiline = false,
  editable = true,
  onSubmit = goToNextField,
  children,
  ...rest
}: FieldProps) {
  const strata = useStrata();
  const id = useId();
  return (
    <View style={[styles.field, across && ACROSS]}>
      <TextInput
        ref={ref}
        mode="outlined"
        {...(cell ? {} : { label })}
        accessibilityLabel={name}
        aria-describedby={message ? id : undefined}
        aria-invalid={message !== undefined}
        error={message !== undefined}
        multiline={multiline}
        editable={editable}
        autoComplete="off"
        {...(figures ? { autoCorrect: false, autoCapitalize: 'none' as const } : {})}
        {...(multiline || alone
          ? {}
          : { onSubmitEditing: onSubmit, blurOnSubmit: false, enterKeyHint: 'next' as const })}
        theme={{ colors: { error: strata[tone], background: strata.raised } }}
        outlineColor={strata.line}
        contentStyle={cell ? styles.cell : undefined}
        textColor={editable ? strata.ink : strata.soft}
        style={[
          styles.input,
          { backgroundColor: strata.raised },
          figures && styles.figures,
          multiline && styles.multiline,
        ]}
        {...rest}
      />
      <View style={[styles.words, cell && styles.close]}>
        <View nativeID={id} aria-live="polite">
          {message ? (
            <HelperText
              type="error"
              padding="none"
              style={[styles.message, { color: strata[tone] }]}
            >
              {bound(message)}
            </HelperText>
          ) : null}
        </View>
        {rest.maxLength !== undefined && rest.value.length >= rest.maxLength ? (
          <Words soft live size={14}>
            {`Full: ${rest.maxLength} characters fit; the rest was not entered.`}
          </Words>
        ) : null}
        {children}
      </View>
    </View>
  );
}

// The grid is the browser's own; React Native has no words for it.
const ACROSS: ViewStyle & object = { gridColumn: '1 / -1' } as object;

const styles = StyleSheet.create({
  field: { flexGrow: 1 },
  input: { fontSize: 16 },
  figures: { fontFamily: FONT.mono },
  multiline: { minHeight: 120 },
  words: { gap: 2, paddingBottom: 8 },
  close: { paddingBottom: 2 },
  cell: { paddingHorizontal: 8 },
  message: { fontFamily: FONT.text, fontSize: 14, lineHeight: 19, paddingVertical: 0 },
});
