import fc from 'fast-check';

import { layOut } from '@/core/evaluate/engine/layers';
import { coilPack } from '@/testing/packs';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { spreadLabels } from '@/drawing/spreadLabels';

import { pointer, wave, wedges } from '../layerGlyphs';
import { gapAt, gapHeight, openedBy, shapeSection } from '../sectionShape';

describe('the section', () => {
  const job = coilPack();

  it('draws heights to one scale, from the hub floor up without a gap', () => {
    if (!job) throw new Error('no demo');
    const layout = layOut(job);
    const shape = shapeSection(layout, 120, 560);
    shape.layers.forEach((s, i) => {
      expect(s.row.height / shape.pixelsPerMm).toBeCloseTo(layout.layers[i]?.thickness ?? 0, 9);
      const below = shape.layers[i - 1]?.row.y ?? shape.floor.y;
      expect(s.row.y + s.row.height).toBeCloseTo(below, 9);
    });
  });

  it('lets discs reach to the basket on the left and steels to the hub on the right', () => {
    if (!job) throw new Error('no demo');
    const { layers } = shapeSection(layOut(job), 120, 560);
    const [disc, steel] = layers;
    if (!disc || !steel) throw new Error('no layers');
    expect(disc.core.x).toBeLessThan(steel.core.x);
    expect(disc.core.x + disc.core.width).toBeLessThan(steel.core.x + steel.core.width);
    expect(disc.linings).toHaveLength(2);
    expect(steel.linings).toHaveLength(0);
  });

  it('stays inside the drawing whatever the pack', () => {
    fc.assert(
      fc.property(
        arbitraryJob,
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: 200, max: 900 }),
        (any, width, height) => {
          const shape = shapeSection(layOut(any), width, height);
          for (const s of shape.layers) {
            expect(s.row.y).toBeGreaterThanOrEqual(-1e-6);
            expect(s.core.x).toBeGreaterThanOrEqual(-1e-6);
            for (const box of [s.core, ...s.linings])
              expect(Number.isFinite(box.x + box.y + box.width + box.height)).toBe(true);
          }
        },
      ),
      { numRuns: 100 },
    );
  });

  it('opens by the whole lift, keeps its scale while it does, and grows with zoom', () => {
    const layout = layOut(job);
    const rest = shapeSection(layout, 120, 560, { room: 1.5 });
    const open = shapeSection(layout, 120, 560, { room: 1.5, lift: 1.5 });
    expect(open.pixelsPerMm).toBeCloseTo(rest.pixelsPerMm, 9);
    const risen = (rest.pressurePlate.y - open.pressurePlate.y) / open.pixelsPerMm;
    expect(risen).toBeCloseTo(1.5, 9);
    const large = shapeSection(layout, 120, 560, { room: 1.5, zoom: 3 });
    expect(large.pixelsPerMm).toBeCloseTo(3 * rest.pixelsPerMm, 9);
    expect(large.layers[0]?.row.y).toBeGreaterThan(rest.layers[0]?.row.y ?? Infinity);
  });

  it('opens nothing at rest, and just the lift once the plate rises, warped plates or true', () => {
    const room = (layout: ReturnType<typeof layOut>, lift: number) =>
      [...openedBy(layout, lift).values()].reduce((sum, r) => sum + r, 0);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (warp, lift) => {
          const warped = layOut({
            ...job,
            pack: {
              ...job.pack,
              plates: job.pack.plates.map((p, i) =>
                i % 2 === 1 ? { ...p, outOfFlat: { value: warp } } : p,
              ),
            },
          });
          expect(openedBy(warped, 0).size).toBe(0);
          expect(room(warped, lift)).toBeCloseTo(lift, 9);
        },
      ),
    );
  });

  it('keeps the signs on a layer inside of it', () => {
    const heights = (path: string) =>
      // Each command's second number; small letters go on from the last place.
      [...path.matchAll(/([A-Za-z])(-?[\d.]+) (-?[\d.]+)/g)].reduce<number[]>(
        (ys, [, letter = '', , dy = '0']) => [
          ...ys,
          letter === letter.toLowerCase() ? (ys.at(-1) ?? 0) + Number(dy) : Number(dy),
        ],
        [],
      );
    fc.assert(
      fc.property(fc.double({ min: 2, max: 60, noNaN: true }), (height) => {
        const box = { x: 10, y: 100, width: 80, height };
        const drawn = [wave(box), wedges(box), pointer(box, 'outward'), pointer(box, 'inward')];
        for (const path of drawn) {
          const ys = heights(path);
          expect(ys.length).toBeGreaterThan(2);
          expect(Math.min(...ys)).toBeGreaterThanOrEqual(100 - 1e-9);
          expect(Math.max(...ys)).toBeLessThanOrEqual(100 + height + 1e-9);
        }
        const [out, into] = [heights(pointer(box, 'outward')), heights(pointer(box, 'inward'))];
        // The tip looks up, away from the hub floor, where the plate's mark looks outward.
        expect(out[1]).toBeLessThanOrEqual(out[0] ?? 0);
        expect(into[1]).toBeGreaterThanOrEqual(into[0] ?? 0);
      }),
    );
  });

  it('takes wear from the linings that slip, all of it', () => {
    const layout = layOut(job);
    const [fresh, worn] = [0, 0.8].map((wear) => shapeSection(layout, 120, 560, { wear }));
    if (!fresh || !worn) throw new Error('no shape');
    const height = (s: typeof fresh) =>
      s.layers.reduce((sum, l) => sum + l.row.height, 0) / s.pixelsPerMm;
    expect(height(fresh) - height(worn)).toBeCloseTo(0.8, 9);
  });

  it('finds the gap under a finger', () => {
    const shape = shapeSection(layOut(job), 120, 560);
    expect(gapAt(shape, 560)).toBe(0);
    expect(gapAt(shape, 0)).toBe(shape.layers.length);
    const third = shape.layers[2];
    if (!third) throw new Error('no third');
    expect(gapAt(shape, third.row.y + 1)).toBe(3);
    expect(gapHeight(shape, 3)).toBeCloseTo(third.row.y, 9);
    expect(gapHeight(shape, 0)).toBe(shape.floor.y);
  });

  it('spreads labels so that none covers the next', () => {
    const placed = spreadLabels([500, 498, 495, 300, 299], 17, 8, 520);
    for (let i = 1; i < placed.length; i++)
      expect((placed[i - 1] ?? 0) - (placed[i] ?? 0)).toBeGreaterThanOrEqual(17 - 1e-9);
    expect(spreadLabels([], 17, 8, 520)).toEqual([]);
  });
});
