import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { SPACE } from '@/ui/theme';

/** Link to the main action, past everything before it. */
function focusMainAction(): void {
  const buttons = document.querySelectorAll<HTMLElement>('[role="main"] [data-main] button');
  const open = [...buttons].find((button) => button.ariaDisabled !== 'true');
  open?.focus();
  open?.scrollIntoView({ block: 'center' });
}

/** Takes keyboard users past the fields to the main action; visible only while it has the focus. */
export function SkipLink() {
  const [focused, setFocused] = useState(false);
  return (
    <Button
      mode="contained"
      onFocus={() => setFocused(true)}
      onBlur={() => setFocused(false)}
      onPress={focusMainAction}
      style={[styles.link, focused && styles.shown]}
    >
      Skip to the main action
    </Button>
  );
}

const styles = StyleSheet.create({
  link: { position: 'absolute', top: -100, left: SPACE.gap, zIndex: 1 },
  shown: { top: SPACE.gap },
});
