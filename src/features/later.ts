import { lazy } from 'react';

type Screens = typeof import('./screens');

/** A screen that is loaded when it is first shown. */
export const later = <Name extends keyof Screens>(name: Name) =>
  lazy(async () => ({ default: (await import('./screens'))[name] }));
