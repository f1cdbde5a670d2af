import { useEffect, useState } from 'react';
import type { View } from 'react-native';

const BACK = new Set(['ArrowLeft', 'ArrowUp']);
const ON = new Set(['ArrowRight', 'ArrowDown']);

/**
 * One stop of the Tab key for a group of radio buttons, tabs or menu items, with the arrows, Home and End inside it, as the ARIA
 * practices describe it. The group takes the ref.
 */
export function useRoving(role: 'radio' | 'tab' | 'menuitem') {
  const [view, setView] = useState<View | null>(null);
  useEffect(() => {
    const items = itemsIn(view, role);
    const chosen = items.find(isChosen) ?? items[0];
    for (const item of items) item.tabIndex = item === chosen ? 0 : -1;
  });
  useEffect(() => {
    const group = view as unknown as HTMLElement | null;
    if (!group) return undefined;
    const onKey = (event: KeyboardEvent) => {
      const items = itemsIn(view, role);
      const here = items.indexOf(event.target as HTMLElement);
      if (here < 0) return;
      const to = placeOf(event.key, here, items.length);
      if (to === undefined) return;
      event.preventDefault();
      items[to]?.focus();
      // A choice follows the focus; a menu waits for Enter.
      if (role !== 'menuitem') items[to]?.click();
    };
    group.addEventListener('keydown', onKey);
    return () => group.removeEventListener('keydown', onKey);
  }, [role, view]);
  return setView;
}

function placeOf(key: string, here: number, count: number): number | undefined {
  if (BACK.has(key)) return (here + count - 1) % count;
  if (ON.has(key)) return (here + 1) % count;
  return key === 'Home' ? 0 : key === 'End' ? count - 1 : undefined;
}

const isChosen = (item: HTMLElement): boolean =>
  item.getAttribute('aria-checked') === 'true' || item.getAttribute('aria-selected') === 'true';

const itemsIn = (view: View | null, role: string): HTMLElement[] => [
  ...((view as unknown as HTMLElement | null)?.querySelectorAll<HTMLElement>(`[role="${role}"]`) ??
    []),
];
