import { crag, jobsOfEachKind, scree } from '@/testing/jobs';
import { cutawayOf } from '@/core/takeoff/cutaway';

import { sceneOf } from '../scene';

const SIZES = [
  [358, 420],
  [520, 640],
] as const;
const ENLARGE = 10;

describe('the cutaway as it is drawn', () => {
  it('keeps basket, layers, hub and rod beside one another, within the picture', () => {
    for (const job of jobsOfEachKind())
      for (const [width, height] of SIZES) {
        const scene = sceneOf(cutawayOf(job, 90), width, height, ENLARGE);
        const { basket, hub, rod, shape, left } = scene;
        expect(basket.x + basket.width).toBeLessThanOrEqual(left);
        const right = Math.max(...shape.layers.map((s) => s.row.x + s.row.width));
        expect(left + right).toBeLessThanOrEqual(hub.x);
        expect(hub.x + hub.width).toBeLessThan(rod.x);
        expect(rod.x).toBeLessThan(width);
        expect(scene.floor).toBeLessThan(scene.height);
        expect(scene.seat).toBeLessThan(scene.ridgeFoot);
      }
  });

  it('raises each layer by the room below it, and all of them by no more than was left free', () => {
    for (const job of jobsOfEachKind()) {
      const cut = cutawayOf(job, 90);
      const scene = sceneOf(cut, 358, 420, ENLARGE);
      const still = scene.rises(0, 0);
      expect(still).toHaveLength(cut.layout.layers.length + 1);
      expect(still.every((rise) => rise === 0)).toBe(true);
      const open = scene.rises(cut.widest, 0);
      open.forEach((rise, i) => expect(rise).toBeGreaterThanOrEqual((open[i - 1] ?? 0) - 1e-9));
      // Enlarged as the picture says, to the pixel.
      expect(open.at(-1)).toBeCloseTo(cut.widest * scene.openScale, 6);
      expect(scene.ridgeFoot - (open.at(-1) ?? 0)).toBeGreaterThanOrEqual(0);
    }
  });

  it('lifts the parts on the expanding disc, and not those under it', () => {
    const cut = cutawayOf(scree(), 90);
    const scene = sceneOf(cut, 358, 420, ENLARGE);
    const at = scene.shape.layers.findIndex((s) => s.expands);
    expect(at).toBeGreaterThanOrEqual(0);
    const grown = scene.rises(0, 0.5);
    expect(grown.slice(0, at + 1).every((rise) => rise === 0)).toBe(true);
    for (const rise of grown.slice(at + 1)) expect(rise).toBeCloseTo(0.5 * scene.openScale, 9);
  });

  it('without an expanding disc nothing grows', () => {
    const scene = sceneOf(cutawayOf(crag(), 90), 358, 420, ENLARGE);
    expect(scene.rises(0, 0.5).every((rise) => rise === 0)).toBe(true);
  });
});
