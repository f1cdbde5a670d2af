/* All of the invented workshop, loaded as one piece on the first visit. */
export { demoJobs } from './jobs';
export { demoShelf } from './shelf';
