import fc from 'fast-check';

import { layOut } from '@/core/evaluate/layers';
import { demoJob } from '@/demo/jobs';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { spreadLabels } from '@/drawing/spreadLabels';

import { gapAt, gapHeight, shapeSection } from '../sectionShape';

describe('the section', () => {
  const job = demoJob('UR-0106');

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
