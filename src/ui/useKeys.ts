import { useEffect, useEffectEvent } from 'react';

/** Whether a key event comes from a place where keys are text. */
export function isTyping({ target }: KeyboardEvent): boolean {
  return target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
}

/** Listens for keys on the whole page outside fields; the handler returns whether it used one. */
export function useKeys(onKey: (event: KeyboardEvent) => boolean): void {
  const latest = useEffectEvent(onKey);
  useEffect(() => {
    if (typeof document === 'undefined') return undefined;
    const listen = (event: KeyboardEvent) => {
      if (isTyping(event) || event.defaultPrevented) return;
      if (latest(event)) event.preventDefault();
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, []);
}
