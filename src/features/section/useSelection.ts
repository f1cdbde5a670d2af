import { useState } from 'react';

/** The layers that are being worked on; the last one chosen is the one whose data are open. */
export interface Selection {
  readonly ids: readonly string[];
  /** Whether a tap adds to the selection instead of replacing it. */
  readonly several: boolean;
  readonly tap: (id: string) => void;
  readonly set: (ids: readonly string[]) => void;
  readonly only: (id: string | undefined) => void;
  readonly setSeveral: (several: boolean) => void;
}

export function useSelection(): Selection {
  const [ids, set] = useState<readonly string[]>([]);
  const [several, setMany] = useState(false);
  const tap = (id: string) =>
    set((now) =>
      several ? (now.includes(id) ? now.filter((n) => n !== id) : [...now, id]) : [id],
    );
  const only = (id: string | undefined) => set(id === undefined ? [] : [id]);
  const setSeveral = (on: boolean) => {
    setMany(on);
    if (!on) set((now) => now.slice(-1));
  };
  return { ids, several, tap, set, only, setSeveral };
}
