// cspell:ignore heix heim heis
import { FileRefused } from './refused';

/** A photograph made small enough to keep. */
export interface SmallPicture {
  readonly dataUrl: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

const MAX_SIDE = 1280;
const MAX_SOURCE_BYTES = 60_000_000;
/** A kept picture is squeezed until it is below this, as long as it stays legible. */
const WANTED_BYTES = 350_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4] as const;

/**
 * Reduces a photograph: at most 1280 pixels a side, as JPEG, with its orientation applied.
 * @throws {FileRefused} for what is no picture, or one that this browser can't read, saying what to do
 */
export async function shrinkPicture(file: File): Promise<SmallPicture> {
  const bitmap = await openPicture(file);
  const { canvas } = drawn(bitmap, MAX_SIDE);
  const { width, height } = canvas;
  bitmap.close();
  let dataUrl = '';
  for (const quality of QUALITIES) {
    dataUrl = canvas.toDataURL('image/jpeg', quality);
    if (bytesOf(dataUrl) <= WANTED_BYTES) break;
  }
  return { dataUrl, width, height, bytes: bytesOf(dataUrl) };
}

/**
 * The points of a picture, at most so many a side.
 * @throws {FileRefused} as {@link shrinkPicture}
 */
export async function pointsOf(file: File, maxSide: number): Promise<ImageData> {
  const bitmap = await openPicture(file);
  const { canvas, context } = drawn(bitmap, maxSide);
  bitmap.close();
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

async function openPicture(file: File): Promise<ImageBitmap> {
  if (file.size === 0) throw new FileRefused('The file is empty.');
  if (file.size > MAX_SOURCE_BYTES)
    throw new FileRefused(
      `${(file.size / 1e6).toFixed(0)} MB is too large for a photograph here: at most 60 MB.`,
    );
  const head = new Uint8Array(await file.slice(0, 16).arrayBuffer());
  try {
    return await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new FileRefused(
      isHeic(head)
        ? 'HEIC pictures can’t be read by this browser. Set the camera to JPEG (“most compatible”), or save it as JPEG first.'
        : looksLikePicture(head)
          ? 'The picture is damaged, or its format can’t be read by this browser. Save it as JPEG or PNG first.'
          : 'The file is not a picture.',
    );
  }
}

/** A picture on a canvas, reduced to the maximum size. */
function drawn(
  bitmap: ImageBitmap,
  maxSide: number,
): { readonly canvas: HTMLCanvasElement; readonly context: CanvasRenderingContext2D } {
  const scale = Math.min(1, maxSide / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new FileRefused('This browser can’t reduce the picture.');
  // JPEG has no transparency: clear areas become white, not black.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return { canvas, context };
}

/** Bytes of a base64 data URL. */
function bytesOf(dataUrl: string): number {
  return Math.round(((dataUrl.length - dataUrl.indexOf(',') - 1) * 3) / 4);
}

const ascii = (bytes: Uint8Array, from: number, to: number) =>
  String.fromCharCode(...bytes.slice(from, to));

/** By the brand in the file's head, not by its name. */
export function isHeic(head: Uint8Array): boolean {
  return (
    ascii(head, 4, 8) === 'ftyp' &&
    /^(heic|heix|hevc|heim|heis|mif1|msf1)$/.test(ascii(head, 8, 12))
  );
}

export function looksLikePicture(head: Uint8Array): boolean {
  return (
    (head[0] === 0xff && head[1] === 0xd8) ||
    ascii(head, 1, 4) === 'PNG' ||
    ascii(head, 0, 3) === 'GIF' ||
    ascii(head, 8, 12) === 'WEBP' ||
    ascii(head, 0, 2) === 'BM'
  );
}
