import { useEffect, useRef } from 'react';

import type { RunKeys } from './Keypad';

/** Keys that reach the page without a field, as those of a gauge that types, go to the run. */
export function useTypingGauge(keys: RunKeys, typed: boolean): void {
  const hasText = useRef(typed);
  useEffect(() => {
    hasText.current = typed;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.key === 'Enter') {
        // On a button that has the focus, Enter presses it, unless something is typed.
        if (
          target instanceof HTMLElement &&
          target.closest('[role="button"], button') &&
          !hasText.current
        )
          return;
        keys.take();
      } else if (event.key === 'Backspace') keys.erase();
      else if (event.key === 'PageDown') keys.step(1);
      else if (event.key === 'PageUp') keys.step(-1);
      else if (/^[\d.,/"a-zA-Z ]$/.test(event.key)) keys.key(event.key);
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    // Before the buttons get it: one that still has the focus would be pressed by the gauge's Enter.
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [keys]);
}
