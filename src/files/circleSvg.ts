import { shapeCircle } from '@/drawing/boltCircle';
import { LIMESTONE as C } from '@/drawing/palette';

import { at, escapeXml } from './svgText';

/** A circle of bolts with its order as an SVG document. @param font family of the numbers */
export function circleSvg(n: number, size: number, font: string): string {
  const { bolts, centre, radius, head } = shapeCircle(n, size);
  const lines = bolts
    .slice(1)
    .map(
      ({ x, y }, i) =>
        `<line x1="${at(bolts[i]?.x ?? x)}" y1="${at(bolts[i]?.y ?? y)}" x2="${at(x)}" y2="${at(y)}" stroke="${C.soft}" stroke-width="0.6"/>`,
    );
  const heads = bolts.map(
    ({ turn, x, y }) =>
      `<circle cx="${at(x)}" cy="${at(y)}" r="${at(head)}" fill="#FFFFFF" stroke="${C.slate}" stroke-width="1.2"/><text x="${at(x)}" y="${at(y + head * 0.36)}" text-anchor="middle" font-family="${escapeXml(font)}" font-size="${at(head)}" fill="${C.ink}">${turn}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${size} ${size}"><circle cx="${at(centre)}" cy="${at(centre)}" r="${at(radius)}" fill="none" stroke="${C.line}" stroke-width="1.2"/>${lines.join('')}${heads.join('')}</svg>`;
}
