/*
 * Readers and writers of our own JSON files, loaded as one piece when a file is read or written: they share the schema,
 * and pieces that are loaded one by one would put what they share into the first screen.
 */
export { digestOf } from './digest';
export { jobFileName, MAX_FILE_BYTES, readJobFile, writeJobFile } from './jobFile';
export { readPackCode, writePackCode } from './packCode';
export { fileRuns } from './fileRuns';
