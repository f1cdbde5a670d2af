import { expose } from 'comlink';

import { fileRuns } from '@/files/fileRuns';

/* Whole workshops read and written off the interface's thread. Bundled by itself to public/files-worker.js. */
expose(fileRuns);
