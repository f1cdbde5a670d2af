/*
 * Every screen but the list of jobs, loaded as one piece: pieces that are loaded one by one would put what they share into
 * the first screen. The list fetches it as soon as it has been drawn.
 */
export { CodeScreen } from './code/CodeScreen';
export { CutawayScreen } from './cutaway/CutawayScreen';
export { DueScreen } from './due/DueScreen';
export { ExerciseScreen } from './learn/ExerciseScreen';
export { FilesScreen } from './backup/FilesScreen';
export { FindScreen } from './find/FindScreen';
export { JobScreen } from './job/JobScreen';
export { LearnScreen } from './learn/LearnScreen';
export { LibraryScreen } from './library/LibraryScreen';
export { ShelfScreen } from './shelf/ShelfScreen';
export { WordHost } from './words/WordHost';
export { evaluationOf } from './jobs/evaluations';
/* The demo workshop stands on the same core. */
