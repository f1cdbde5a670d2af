/*
 * All screens but the first, loaded as one chunk: what two chunks share is loaded with the first screen.
 */
export { FilesScreen } from './backup/FilesScreen';
export { CodeScreen } from './code/CodeScreen';
export { CutawayScreen } from './cutaway/CutawayScreen';
export { DueScreen } from './due/DueScreen';
export { FindScreen } from './find/FindScreen';
export { JobScreen } from './job/JobScreen';
export { JobPreview } from './jobs/JobPreview';
export { ExerciseScreen } from './learn/ExerciseScreen';
export { LearnScreen } from './learn/LearnScreen';
export { LibraryScreen } from './library/LibraryScreen';
export { ShelfScreen } from './shelf/ShelfScreen';
