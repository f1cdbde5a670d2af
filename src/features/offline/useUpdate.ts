import { useSyncExternalStore } from 'react';

import type { Update } from './update';
import { watchForUpdate } from './update';

let waiting: Update | undefined;
const listeners = new Set<() => void>();

/** Begins to watch for newer versions, once for the page. */
export function watchUpdates(workshop: string): void {
  void watchForUpdate(workshop, (update) => {
    waiting = update;
    listeners.forEach((tell) => tell());
  }).catch(() => undefined);
}

const subscribe = (tell: () => void) => {
  listeners.add(tell);
  return () => void listeners.delete(tell);
};

const now = () => waiting;

/** The newer version that waits, if one does. */
export const useUpdate = (): Update | undefined => useSyncExternalStore(subscribe, now, now);
