import { format, isValid, parseISO } from 'date-fns';
import { DatePickerInput, en, registerTranslation } from 'react-native-paper-dates';
import { StyleSheet, View } from 'react-native';

import { FONT, useStrata } from './theme';
import { useAria } from './useAria';

// The day before the month, as in the rest of the program.
const LOCALE = 'en-GB';
registerTranslation(LOCALE, en);

interface Props {
  readonly label: string;
  /** ISO date. */
  readonly value: string | undefined;
  readonly onChange: (date: string | undefined) => void;
}

/** A day, typed or taken from a calendar. */
export function DateField({ label, value, onChange }: Props) {
  const strata = useStrata();
  const ref = useAria('button', { 'aria-label': `Calendar for ${label}` });
  return (
    <View ref={ref} style={styles.field}>
      <DatePickerInput
        locale={LOCALE}
        mode="outlined"
        inputMode="start"
        label={label}
        accessibilityLabel={label}
        value={value === undefined ? undefined : parseISO(value)}
        onChange={(date) =>
          onChange(date && isValid(date) ? format(date, 'yyyy-MM-dd') : undefined)
        }
        outlineColor={strata.line}
        style={[styles.input, { backgroundColor: strata.raised }]}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { flexGrow: 1, minWidth: 200 },
  input: { fontFamily: FONT.mono, fontSize: 16 },
});
