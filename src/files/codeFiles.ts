/* QR codes, loaded as one piece when one is drawn or read. What is in them is read and written by `jsonFiles.ts`. */
export { drawQr, findQr, qrPng } from './qr';
