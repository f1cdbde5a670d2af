/* Packs as codes, loaded as one piece when one is drawn or read. */
export { findQr, drawQr, qrPng } from './qr';
export { readPackCode, writePackCode } from './packCode';
export { pointsOf } from './picture';
