import { demoJobs, demoLibrary, demoShelf } from '@/demo/workshop';

/* The invented workshop, worked out by the core off the interface's thread. Bundled by itself to public/demo-worker.js. */
postMessage({ jobs: demoJobs(), shelf: demoShelf(), library: demoLibrary() });
