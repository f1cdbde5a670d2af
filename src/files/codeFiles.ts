/* QR codes, loaded as one chunk when needed. Their content is handled by `jsonFiles.ts`. */
export { drawQr, findQr, qrPng } from './qr';
