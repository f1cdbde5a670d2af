import { expose } from 'comlink';

import { heavyRuns } from './api';

/* The core's heavy runs off the interface's thread. Bundled by itself to public/core-worker.js. */
expose(heavyRuns);
