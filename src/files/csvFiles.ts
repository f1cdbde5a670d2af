/*
 * Readers and writers of CSV. They stand on the core's figures, so they are part of the workbench: a piece of their own would
 * put what they share with it into the first screen.
 */
export { MAX_CSV_BYTES } from './csvTable';
export { writeOrderCsv } from './orderCsv';
export { readSpringCsv } from './springCsv';
export { writeLogCsv, writeMeasurementsCsv, writeShelfCsv, writeTorqueCsv } from './tablesCsv';
export { readTorqueCsv } from './torqueCsv';
