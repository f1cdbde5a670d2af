/** Bytes of a base64 data URL; empty for anything else. */
export function bytesOfDataUrl(url: string): Uint8Array {
  const base64 = /^data:[^,]*;base64,(.*)$/s.exec(url)?.[1] ?? '';
  return Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
}

/** Pieces of this size: a call can't have millions of arguments. */
const PIECE = 8192;

/** A base64 data URL of some bytes. */
export function dataUrlOf(bytes: Uint8Array, type: string): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += PIECE)
    text += String.fromCharCode(...bytes.subarray(i, i + PIECE));
  return `data:${type};base64,${btoa(text)}`;
}
