import { createElement, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { InputBox } from './InputBox';
import { goToNextField } from './nextField';
import { FONT, useStrata } from './theme';
import { Digits } from './Words';

interface Props {
  /** Ids of the label and of what is said about it. */
  readonly labelledBy: string;
  readonly describedBy?: string;
  readonly name: string;
  /** The name is read out in place of the label, which stands in many places. */
  readonly spoken?: boolean;
  readonly value: string;
  readonly wrong: boolean;
  /** Stands at the end of the field; nothing for a bare number. */
  readonly unit?: string;
  readonly whole?: boolean;
  readonly editable?: boolean;
  readonly testID?: string;
  readonly onChangeText: (text: string) => void;
  readonly onBlur?: () => void;
  /** Enter goes on to the next field unless something is to be done. */
  readonly onSubmit?: () => void;
}

/** Whether there is a thumb, and so a keyboard on the glass. */
const byThumb = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(pointer: coarse)').matches;

/** A phone looks at what keyboard a field asks for when it is given the focus. */
function focusAnew(): void {
  const field = document.activeElement;
  if (!(field instanceof HTMLElement)) return;
  field.blur();
  // The other keyboard is asked for with the next drawing.
  requestAnimationFrame(() => field.focus());
}

const styles = StyleSheet.create({
  number: { height: 48, fontFamily: FONT.mono, fontSize: 18 },
  unit: { position: 'absolute', right: 14, top: 14, pointerEvents: 'none' },
});

const KEY = { position: 'absolute', right: 2, top: 2, height: 44, width: 44 } as const;

/**
 * The box of a number. A phone shows its keys for digits; where a unit or a fraction is to be written the key at the end
 * of the field brings the letters.
 */
export function NumberInput({
  labelledBy,
  describedBy,
  name,
  spoken = false,
  value,
  wrong,
  unit = '',
  whole = false,
  editable = true,
  testID,
  onChangeText,
  onBlur,
  onSubmit = goToNextField,
}: Props) {
  const strata = useStrata();
  const [letters, setLetters] = useState(false);
  const [focused, setFocused] = useState(false);
  const keys = focused && !whole && byThumb();
  return (
    <View>
      <InputBox
        {...(spoken ? { 'aria-label': name } : { 'aria-labelledby': labelledBy })}
        aria-describedby={describedBy}
        aria-invalid={wrong}
        testID={testID}
        value={value}
        editable={editable}
        onChangeText={onChangeText}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          onBlur?.();
        }}
        onSubmitEditing={onSubmit}
        blurOnSubmit={false}
        enterKeyHint="next"
        inputMode={letters ? 'text' : whole ? 'numeric' : 'decimal'}
        autoComplete="off"
        autoCorrect={false}
        autoCapitalize="none"
        maxLength={400}
        wrong={wrong}
        style={[
          styles.number,
          { paddingRight: keys ? 46 : unit === '' ? 12 : 22 + 9 * unit.length },
        ]}
      />
      {keys ? (
        createElement(
          'button',
          {
            type: 'button',
            'aria-label': `${letters ? 'Digits' : 'Letters'} for ${name}`,
            tabIndex: -1,
            // The field keeps the focus: only its keyboard is another.
            onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault(),
            onClick: () => {
              setLetters(!letters);
              focusAnew();
            },
            style: {
              ...KEY,
              border: 'none',
              background: strata.raised,
              color: strata.slate,
              fontFamily: FONT.textBold,
              fontSize: 14,
            },
          },
          letters ? '123' : 'abc',
        )
      ) : unit === '' ? null : (
        <View style={styles.unit}>
          <Digits soft size={15}>
            {unit}
          </Digits>
        </View>
      )}
    </View>
  );
}
