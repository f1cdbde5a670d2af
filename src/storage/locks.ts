/*
 * What the tabs of one browser agree on by its locks. Where there are none (pages that are not served from this machine or by
 * HTTPS) a tab goes on as if it were alone.
 */

const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.locks;

/** Runs alone among all tabs. */
export async function withLock<T>(name: string, run: () => Promise<T>): Promise<T> {
  const all = locks();
  return all ? ((await all.request(name, run)) as T) : run();
}

const TAB = '-tab';

/** Says, as long as this tab lives, that it is open on a workshop. */
export function holdTab(workshop: string): void {
  void locks()?.request(
    workshop + TAB,
    { mode: 'shared' },
    () => new Promise<void>(() => undefined),
  );
}

/** How many tabs are open on a workshop; 1 where nobody can tell. */
export async function tabsOpen(workshop: string): Promise<number> {
  const held = (await locks()?.query())?.held ?? [];
  return Math.max(1, held.filter((lock) => lock.name === workshop + TAB).length);
}
