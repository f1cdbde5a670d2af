import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

type State = Readonly<Record<`aria-${string}`, string | boolean | undefined>>;

/** Roles whose controls answer the Space key; the web target gives it to buttons only, and scrolls the page for all others. */
const BY_SPACE = new Set(['checkbox', 'radio', 'tab', 'switch']);

/**
 * Gives a control of Paper its state. Paper passes it in React Native's older props, which the web target does not read, and
 * does not pass on newer ones; so it is set on the element.
 * @param role of the control inside the view that takes the ref
 */
export function useAria(role: string, state: State) {
  const ref = useRef<View>(null);
  useEffect(() => {
    const control = controlIn(ref.current, role);
    if (!control) return;
    for (const [name, value] of Object.entries(state))
      if (value === undefined) control.removeAttribute(name);
      else control.setAttribute(name, String(value));
  });
  useEffect(() => {
    const control = BY_SPACE.has(role) ? controlIn(ref.current, role) : undefined;
    if (!control) return undefined;
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== ' ') return;
      event.preventDefault();
      control.click();
    };
    control.addEventListener('keydown', onKey);
    return () => control.removeEventListener('keydown', onKey);
  }, [role]);
  return ref;
}

/** On the web a view is an element. */
function controlIn(view: View | null, role: string): HTMLElement | undefined {
  const element = view as unknown as HTMLElement | null;
  return element?.querySelector<HTMLElement>(`[role="${role}"]`) ?? undefined;
}
