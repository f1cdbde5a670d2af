import { StyleSheet } from 'react-native';
import { Searchbar } from 'react-native-paper';

import { FONT, useStrata } from './theme';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChangeText: (text: string) => void;
}

const MAX_LENGTH = 80;

/** Paper's search bar; Escape empties it. */
export function SearchField({ label, value, onChangeText }: Props) {
  const strata = useStrata();
  return (
    <Searchbar
      placeholder={label}
      accessibilityLabel={label}
      // Paper gives the input the role of a landmark.
      role="searchbox"
      searchAccessibilityLabel="Search"
      clearAccessibilityLabel="Clear the search"
      value={value}
      onChangeText={onChangeText}
      maxLength={MAX_LENGTH}
      onKeyPress={({ nativeEvent }) => {
        if (nativeEvent.key === 'Escape') onChangeText('');
      }}
      mode="bar"
      style={[styles.bar, { backgroundColor: strata.raised, borderColor: strata.line }]}
      inputStyle={styles.input}
    />
  );
}

const styles = StyleSheet.create({
  bar: { borderWidth: 1, borderRadius: 6 },
  input: { fontFamily: FONT.text, fontSize: 16 },
});
