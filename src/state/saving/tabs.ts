import type { Clash } from './clashes';

/* What one tab has stored, told to the other tabs on the same workshop: they read it themselves. */

/** What one tab tells the others. */
export interface Told {
  /** Keys of what it has stored or taken away. */
  readonly keys: readonly string[];
  /** What it found changed in both. */
  readonly clashes: readonly Clash[];
}

export interface OtherTabs {
  tell(told: Told): void;
  onStored(take: (told: Told) => void): void;
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
      channel.onmessage = ({ data }: MessageEvent<Told>) => take(data);
    },
  };
}
