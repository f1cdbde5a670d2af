import { expose } from 'comlink';

import { heavyRuns } from './api';

/* Heavy runs of the core in a worker. Bundled separately to public/core-worker.js. */
expose(heavyRuns);
