import { expose } from 'comlink';

import { fileRuns } from './fileRuns';

/* Whole workshops read and written off the interface's thread. Bundled by itself to public/files-worker.js. */
expose(fileRuns);
