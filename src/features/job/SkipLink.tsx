import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { SPACE } from '@/ui/theme';

/** Frames to wait for a main action in the lower part of a stage, which is drawn after the upper. */
const FRAMES = 60;

/** Moves the focus to the main action, past everything before it. */
function focusMainAction(frames = FRAMES): void {
  const buttons = document.querySelectorAll<HTMLElement>('[role="main"] [data-main] button');
  const open = [...buttons].find((button) => button.ariaDisabled !== 'true');
  if (!open && frames > 0) requestAnimationFrame(() => focusMainAction(frames - 1));
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
      onPress={() => focusMainAction()}
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
