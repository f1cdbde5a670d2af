import { expose } from 'comlink';

import { fileRuns } from '@/files/fileRuns';

/* Reading and writing of whole workshops in a worker. Bundled separately to public/files-worker.js. */
expose(fileRuns);
