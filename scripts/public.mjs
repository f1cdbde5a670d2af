// What lies in public/ but is made of the sources: the workers' bundles and the demo workshop.
import { makeDemo } from './demo.mjs';
import { bundleWorker } from './worker.mjs';

export const makePublic = () => Promise.all([bundleWorker(), makeDemo()]);
