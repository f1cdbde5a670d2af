import jsQR from 'jsqr';
import { create } from 'qrcode';

/** A QR code as one path of squares, a unit each, with the quiet zone that readers need around it. */
export interface QrDrawing {
  /** Side of the drawing in units. */
  readonly side: number;
  readonly d: string;
}

/** Units of quiet around a code; ISO/IEC 18004. */
const QUIET = 4;

/**
 * Draws bytes as a QR code: with error correction M where they fit so, else with L.
 * @returns nothing where they do not fit at all
 */
export function drawQr(bytes: Uint8Array): QrDrawing | undefined {
  for (const errorCorrectionLevel of ['M', 'L'] as const) {
    try {
      const { modules } = create([{ data: bytes, mode: 'byte' }], { errorCorrectionLevel });
      return { side: modules.size + 2 * QUIET, d: pathOf(modules.size, modules.data) };
    } catch {
      // Too many bytes for this level.
    }
  }
  return undefined;
}

function pathOf(size: number, data: Uint8Array): string {
  let d = '';
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      if (!data[y * size + x]) continue;
      // Squares beside each other are one bar.
      let end = x + 1;
      while (end < size && data[y * size + end]) end++;
      d += `M${x + QUIET} ${y + QUIET}h${end - x}v1h${x - end}z`;
      x = end;
    }
  return d;
}

/** Points of a picture for one unit of a code. */
const UNIT = 8;

/** The code as a picture, PNG: black on white, whatever the theme. */
export function qrPng({ side, d }: QrDrawing): Promise<Uint8Array> {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = side * UNIT;
  const context = canvas.getContext('2d');
  if (!context) return Promise.reject(new Error('This browser can’t draw a picture.'));
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.scale(UNIT, UNIT);
  context.fillStyle = '#000';
  context.fill(new Path2D(d));
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => {
      if (blob) void blob.arrayBuffer().then((bytes) => resolve(new Uint8Array(bytes)), reject);
      else reject(new Error('This browser can’t draw a picture.'));
    }, 'image/png'),
  );
}

/** The bytes of the first QR code in a picture, or nothing where none can be read. */
export function findQr({ data, width, height }: ImageData): Uint8Array | undefined {
  const found = jsQR(data, width, height);
  return found ? new Uint8Array(found.binaryData) : undefined;
}
