/*
 * Agreement between tabs by browser locks. Without locks (pages not served from this machine or by HTTPS) a tab works as if
 * alone.
 */

const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.locks;

/** Runs alone among all tabs. */
export async function withLock<T>(name: string, run: () => Promise<T>): Promise<T> {
  const all = locks();
  if (!all) return run();
  let begun = false;
  const once = () => {
    begun = true;
    return run();
  };
  try {
    return (await all.request(name, once)) as T;
  } catch (error) {
    // Where site data is blocked locks are refused, and no other tab shares anything with this one.
    if (begun) throw error;
    return run();
  }
}

const TAB = '-tab';

/** Holds a lock while this tab has the workshop open. */
export function holdTab(workshop: string): void {
  locks()
    ?.request(workshop + TAB, { mode: 'shared' }, () => new Promise<void>(() => undefined))
    .catch(() => undefined);
}

/** The number of open tabs; 1 if unknown. */
export async function tabsOpen(workshop: string): Promise<number> {
  const held =
    (
      await locks()
        ?.query()
        .catch(() => undefined)
    )?.held ?? [];
  return Math.max(1, held.filter((lock) => lock.name === workshop + TAB).length);
}
