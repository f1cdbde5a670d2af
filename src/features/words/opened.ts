import { useSyncExternalStore } from 'react';

import type { TermId } from '@/core/words/glossary';

/** The opened term; shown over any screen, so it belongs to none. */
let opened: TermId | undefined;
const listeners = new Set<() => void>();

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function openWord(term: TermId | undefined): void {
  opened = term;
  for (const listener of listeners) listener();
}

export const useOpenedWord = (): TermId | undefined =>
  useSyncExternalStore(subscribe, () => opened);
