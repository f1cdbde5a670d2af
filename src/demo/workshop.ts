/* All of the invented workshop, loaded as one piece on the first visit. */
export { demoJobs } from './jobs';
export { demoLibrary } from './library';
export { demoShelf } from './shelf';
