import { startTransition, useEffect, useRef, useState } from 'react';

/** Calls back once the page has been painted next. */
export function afterPaint(call: () => void): void {
  requestAnimationFrame(() => setTimeout(call));
}

/** Waits until the thread has nothing else to do, or so long at the latest. */
export const whenIdle = (atLatestMs = 1000): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === 'undefined') setTimeout(resolve);
    else requestIdleCallback(() => resolve(), { timeout: atLatestMs });
  });

/**
 * The value as it was when the page was last painted: what is drawn from it follows a frame later, so that what answers
 * the hand is on screen first. While `on` is false it is the value itself.
 */
export function useLater<T>(value: T, on: boolean): T {
  const [later, setLater] = useState(value);
  const latest = useRef(value);
  const pending = useRef(false);
  useEffect(() => {
    latest.current = value;
    if (!on || pending.current || later === value) return;
    pending.current = true;
    // After the paint; whatever came meanwhile is taken with it, so that a stream of values can't put it off for ever.
    afterPaint(() => {
      pending.current = false;
      startTransition(() => setLater(latest.current));
    });
  }, [value, later, on]);
  return on ? later : value;
}
