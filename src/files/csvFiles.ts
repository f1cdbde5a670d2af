/*
 * Readers and writers of CSV. They use the core's figures, so they share its chunk: a chunk of their own would pull shared code
 * into the first screen.
 */
export { MAX_CSV_BYTES } from './csvTable';
export { writeOrderCsv } from './orderCsv';
export { readSpringCsv } from './springCsv';
export { writeLogCsv, writeMeasurementsCsv, writeShelfCsv, writeTorqueCsv } from './tablesCsv';
export { readTorqueCsv } from './torqueCsv';
