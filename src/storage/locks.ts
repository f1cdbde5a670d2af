/*
 * What the tabs of one browser agree on by its locks. Where there are none (pages that are not served from this machine or by
 * HTTPS) a tab goes on as if it were alone.
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

/** Says, as long as this tab lives, that it is open on a workshop. */
export function holdTab(workshop: string): void {
  locks()
    ?.request(workshop + TAB, { mode: 'shared' }, () => new Promise<void>(() => undefined))
    .catch(() => undefined);
}

/** How many tabs are open on a workshop; 1 where nobody can tell. */
export async function tabsOpen(workshop: string): Promise<number> {
  const held =
    (
      await locks()
        ?.query()
        .catch(() => undefined)
    )?.held ?? [];
  return Math.max(1, held.filter((lock) => lock.name === workshop + TAB).length);
}
