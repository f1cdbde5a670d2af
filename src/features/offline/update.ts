import { whenWritten } from '@/storage/current';
import { tabsOpen } from '@/storage/locks';

/*
 * The service worker keeps one whole version of the application. A newer one waits beside it until it is taken over, with
 * all that is typed written first; the page and its parts are never of two versions.
 */

/** A newer version that waits. */
export interface Update {
  /** Updates and reloads the page; returns the number of other tabs that block it, in which case nothing happens. */
  readonly take: () => Promise<number>;
}

const HOUR_MS = 3_600_000;

/**
 * Registers the service worker where there can be one.
 * @param workshop whose tabs must be closed before a change of version
 * @param found called when a newer version waits
 */
export async function watchForUpdate(
  workshop: string,
  found: (update: Update) => void,
): Promise<void> {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  const { Workbox } = await import('workbox-window');
  const workbox = new Workbox('/sw.js');
  const take = async () => {
    const others = (await tabsOpen(workshop)) - 1;
    if (others > 0) return others;
    await whenWritten();
    workbox.addEventListener('controlling', () => location.reload());
    workbox.messageSkipWaiting();
    return 0;
  };
  workbox.addEventListener('waiting', () => found({ take }));
  await workbox.register();
  setInterval(() => void workbox.update().catch(() => undefined), HOUR_MS);
}
