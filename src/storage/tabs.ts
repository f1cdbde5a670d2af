/* What one tab has stored, told to the other tabs on the same workshop: they read it themselves. */

export interface OtherTabs {
  tell(keys: readonly string[]): void;
  /** Called with the keys of what another tab has stored or taken away. */
  onStored(take: (keys: readonly string[]) => void): void;
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
    tell: (keys) => channel.postMessage(keys),
    onStored: (take) => {
      channel.onmessage = ({ data }: MessageEvent<readonly string[]>) => take(data);
    },
  };
}
