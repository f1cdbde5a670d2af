import type { Clash } from './clashes';

/* Notifies other tabs of the same workshop about stored records, which they read themselves. */

/** Message of one tab to the others. */
export interface Report {
  /** Keys of stored or deleted records. */
  readonly keys: readonly string[];
  /** Conflicts found. */
  readonly clashes: readonly Clash[];
}

export interface OtherTabs {
  tell(told: Report): void;
  onStored(take: (told: Report) => void): void;
}

export const ALONE: OtherTabs = { tell: () => undefined, onStored: () => undefined };

/** The other tabs of this browser on one workshop; nobody, where the browser knows no channel or lets nobody use it. */
export function otherTabs(workshop: string): OtherTabs {
  let channel: BroadcastChannel;
  try {
    channel = new BroadcastChannel(workshop);
  } catch {
    return ALONE;
  }
  return {
    tell: (told) => channel.postMessage(told),
    onStored: (take) => {
      channel.onmessage = ({ data }: MessageEvent<Report>) => take(data);
    },
  };
}
