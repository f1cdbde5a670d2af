import { lazy } from 'react';

import type * as screens from './screens';

/** A screen that is loaded when it is first shown. */
export const later = <Name extends keyof typeof screens>(name: Name) =>
  lazy(async () => ({ default: (await import('./screens'))[name] }));
