import { useId } from 'react';
import { StyleSheet, View } from 'react-native';

import { InputBox } from './InputBox';
import { goToNextField } from './nextField';
import { Words } from './Words';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChangeText: (text: string) => void;
  readonly maxLength: number;
  readonly multiline?: boolean;
  /** Stands alone: Enter does not go on to whatever field comes after it. */
  readonly alone?: boolean;
  readonly autoFocus?: boolean;
}

/** A field for words. The label stands above it and stays there. */
export function LineField({
  label,
  value,
  onChangeText,
  maxLength,
  multiline = false,
  alone = false,
  autoFocus = false,
}: Props) {
  const id = useId();
  return (
    <View style={styles.field}>
      <Words soft size={15} nativeID={id}>
        {label}
      </Words>
      <InputBox
        aria-labelledby={id}
        value={value}
        onChangeText={onChangeText}
        maxLength={maxLength}
        multiline={multiline}
        autoFocus={autoFocus}
        {...(multiline || alone
          ? {}
          : { onSubmitEditing: goToNextField, blurOnSubmit: false, enterKeyHint: 'next' })}
        style={multiline && styles.multiline}
      />
      <View aria-live="polite">
        {value.length >= maxLength ? (
          <Words soft size={14}>
            {`Full: ${maxLength} characters fit, what is beyond them was not taken.`}
          </Words>
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  multiline: { minHeight: 120, paddingVertical: 12 },
});
