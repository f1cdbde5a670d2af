import { useEffect, useEffectEvent } from 'react';

import { isTyping } from '@/ui/useKeys';

import type { RunKeys } from './Keypad';

/** Keys that reach the page without a field, as those of a gauge that types, go to the run. */
export function useTypingGauge(keys: RunKeys, typed: boolean): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const { target } = event;
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return;
    if (event.key === 'Enter') {
      // On a button that has the focus, Enter presses it, unless something is typed.
      if (!typed && target instanceof HTMLElement && target.closest('[role="button"], button'))
        return;
      keys.take();
    } else if (event.key === 'Backspace') keys.erase();
    else if (event.key === 'PageDown') keys.step(1);
    else if (event.key === 'PageUp') keys.step(-1);
    else if (/^[\d.,/"a-zA-Z ]$/.test(event.key)) keys.key(event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    // Before the buttons get it: one that still has the focus would be pressed by the gauge's Enter.
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, []);
}
