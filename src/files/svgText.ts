/** Text for XML; characters not allowed in XML 1.0 are removed. */
export function escapeXml(text: string): string {
  return text
    .replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/'/g, '&#39;');
}

/** A coordinate, to a hundredth. */
export const at = (n: number): string => String(Math.round(n * 100) / 100);
