import { FAMILIES, GLOSSARY } from '@/core/words/glossary';

import { DRAWINGS, FIELD } from '../drawings';

/** The points through which a path goes, followed command by command; curves by their ends and handles. */
function pointsOf(d: string): readonly (readonly [number, number])[] {
  const points: [number, number][] = [];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  for (const [, command = '', rest = ''] of d.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)) {
    const n = [...rest.matchAll(/-?\d*\.?\d+/g)].map(Number);
    const relative = command === command.toLowerCase();
    const go = (nx: number, ny: number) => {
      [x, y] = relative ? [x + nx, y + ny] : [nx, ny];
      points.push([x, y]);
    };
    switch (command.toUpperCase()) {
      case 'M':
      case 'L':
      case 'T':
        for (let i = 0; i + 1 < n.length; i += 2) {
          go(n[i] ?? NaN, n[i + 1] ?? NaN);
          if (i === 0 && command.toUpperCase() === 'M') [startX, startY] = [x, y];
        }
        break;
      case 'H':
        for (const v of n) {
          x = relative ? x + v : v;
          points.push([x, y]);
        }
        break;
      case 'V':
        for (const v of n) {
          y = relative ? y + v : v;
          points.push([x, y]);
        }
        break;
      case 'A':
        for (let i = 0; i + 6 < n.length; i += 7) go(n[i + 5] ?? NaN, n[i + 6] ?? NaN);
        break;
      case 'Q':
        for (let i = 0; i + 3 < n.length; i += 4) go(n[i + 2] ?? NaN, n[i + 3] ?? NaN);
        break;
      case 'C':
        for (let i = 0; i + 5 < n.length; i += 6) go(n[i + 4] ?? NaN, n[i + 5] ?? NaN);
        break;
      case 'Z':
        [x, y] = [startX, startY];
        break;
      default:
        throw new Error(`A path with ${command} can’t be followed.`);
    }
  }
  return points;
}

describe('the drawings of words', () => {
  it.each(Object.entries(DRAWINGS))(
    '%s is within its field and says what it shows',
    (_id, drawing) => {
      expect(drawing.label.length).toBeGreaterThan(10);
      expect(drawing.parts.length).toBeGreaterThan(0);
      for (const { d, line } of drawing.parts) {
        const points = pointsOf(d);
        expect(points.length).toBeGreaterThan(0);
        const reach = (line ?? 0) / 2 + 1;
        for (const [x, y] of points) {
          expect(x).toBeGreaterThanOrEqual(-reach);
          expect(x).toBeLessThanOrEqual(FIELD.width + reach);
          expect(y).toBeGreaterThanOrEqual(-reach);
          expect(y).toBeLessThanOrEqual(FIELD.height + reach);
        }
      }
    },
  );

  it('are all used by a word or a family of clutch', () => {
    const used = new Set(
      [...Object.values(GLOSSARY), ...Object.values(FAMILIES)].flatMap((t) => t.drawing ?? []),
    );
    expect(Object.keys(DRAWINGS).sort()).toEqual([...used].sort());
  });
});
