import { useCallback, useLayoutEffect, useRef } from 'react';

/**
 * A function that stays the same and calls whichever was handed over last. What answers a press is mostly made anew
 * whenever the screen around it is drawn; a part that takes it by this need not be drawn again for that.
 */
export function useSteady<A extends readonly unknown[]>(
  handler: ((...args: A) => void) | undefined,
): (...args: A) => void {
  const latest = useRef(handler);
  useLayoutEffect(() => {
    latest.current = handler;
  }, [handler]);
  return useCallback((...args: A) => latest.current?.(...args), []);
}
