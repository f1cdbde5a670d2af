/* What one tab has stored, told to the other tabs on the same workshop. */

/** Records as they were written, and keys that were taken away. */
export interface Stored {
  readonly changed: readonly (readonly [string, unknown])[];
  readonly gone: readonly string[];
}

export interface OtherTabs {
  tell(stored: Stored): void;
  /** Called with what another tab has stored. */
  onStored(take: (stored: Stored) => void): void;
}

/** The other tabs of this browser on one workshop; nobody, where the browser knows no channel. */
export function otherTabs(workshop: string): OtherTabs {
  if (typeof BroadcastChannel === 'undefined')
    return { tell: () => undefined, onStored: () => undefined };
  const channel = new BroadcastChannel(workshop);
  return {
    tell: (stored) => channel.postMessage(stored),
    onStored: (take) => {
      channel.onmessage = ({ data }: MessageEvent<Stored>) => take(data);
    },
  };
}
