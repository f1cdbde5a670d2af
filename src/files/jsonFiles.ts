/*
 * Readers and writers of our own JSON files, loaded as one chunk: they share the schema, and separate chunks would pull it into
 * the first screen.
 */
export { digestOf } from './digest';
export { jobFileName, MAX_FILE_BYTES, readJobFile, writeJobFile } from './jobFile';
export { readPackCode, writePackCode } from './packCode';
export { fileRuns } from './fileRuns';
