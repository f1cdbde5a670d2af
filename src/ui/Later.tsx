import type { ReactNode } from 'react';
import { startTransition, useEffect, useState } from 'react';

import { afterPaint } from './useLater';

/**
 * What lies below the first screenful, or is costly to draw: it follows once what stands above it has been shown, so that
 * a press is answered before all of the page is there.
 */
export function Later({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState(false);
  useEffect(() => {
    let here = true;
    afterPaint(() => {
      if (here) startTransition(() => setShown(true));
    });
    return () => {
      here = false;
    };
  }, []);
  return shown ? children : null;
}
