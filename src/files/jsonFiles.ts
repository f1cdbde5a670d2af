/*
 * Readers and writers of our own JSON files and the schemas of forms, loaded as one chunk: they share Joi, and separate chunks
 * would pull it into the first screen.
 */
export { digestOf } from './digest';
export { schemaParts } from './formSchema';
export { jobFileName, MAX_FILE_BYTES, readJobFile, writeJobFile } from './jobFile';
export { readPackCode, writePackCode } from './packCode';
export { fileRuns } from './fileRuns';
