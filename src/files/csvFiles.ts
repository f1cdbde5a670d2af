/* Readers and writers of CSV, loaded as one piece when a table is read or written; see `jsonFiles.ts`. */
export { MAX_CSV_BYTES } from './csvTable';
export { writeOrderCsv } from './orderCsv';
export { readSpringCsv } from './springCsv';
export { writeLogCsv, writeMeasurementsCsv, writeShelfCsv, writeTorqueCsv } from './tablesCsv';
export { readTorqueCsv } from './torqueCsv';
