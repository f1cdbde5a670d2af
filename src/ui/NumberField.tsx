import { StyleSheet } from 'react-native';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';

import type { FieldProps } from './Field';
import { Field } from './Field';
import { FONT, useStrata } from './theme';

interface Props extends Omit<
  FieldProps,
  'alone' | 'autoFocus' | 'figures' | 'inputMode' | 'maxLength' | 'multiline' | 'onFocus' | 'right'
> {
  /** Suffix of the field; none for a bare number. */
  readonly unit?: string;
  readonly whole?: boolean;
}

/** A text that names its own unit, or turns: the suffix would contradict it. */
const HAS_UNIT = /[\p{L}"″]/u;

/** Whether there is a thumb, and so a keyboard on the glass. */
const byThumb = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(pointer: coarse)').matches;

/** A phone reads the keyboard type when the field gets the focus. */
function focusAgain(): void {
  const field = document.activeElement;
  if (!(field instanceof HTMLElement)) return;
  field.blur();
  // The other keyboard is requested at the next render.
  requestAnimationFrame(() => field.focus());
}

/**
 * A field for a number. A phone shows its keys for digits; where a unit or a fraction is to be written the key at the end
 * of the field brings the letters.
 */
export function NumberField({ unit = '', whole = false, onBlur, ...rest }: Props) {
  const strata = useStrata();
  const [letters, setLetters] = useState(false);
  const [focused, setFocused] = useState(false);
  const keys = focused && !whole && byThumb();
  return (
    <Field
      figures
      inputMode={letters ? 'text' : whole ? 'numeric' : 'decimal'}
      maxLength={400}
      right={
        keys ? (
          <TextInput.Icon
            icon={letters ? 'numeric' : 'alphabetical'}
            aria-label={`${letters ? 'Digits' : 'Letters'} for ${rest.name ?? rest.label}`}
            forceTextInputFocus={false}
            {...{
              tabIndex: -1,
              // The field keeps the focus: only its keyboard is another.
              onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault(),
            }}
            onPress={() => {
              setLetters(!letters);
              focusAgain();
            }}
          />
        ) : unit === '' || HAS_UNIT.test(rest.value) ? undefined : (
          <TextInput.Affix text={unit} textStyle={[styles.text, { color: strata.soft }]} />
        )
      }
      {...rest}
      onFocus={() => setFocused(true)}
      onBlur={(event) => {
        setFocused(false);
        onBlur?.(event);
      }}
    />
  );
}

const styles = StyleSheet.create({
  text: { fontFamily: FONT.mono, fontSize: 15 },
});
