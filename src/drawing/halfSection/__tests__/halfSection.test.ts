import { assistSlip } from '@/core/clutch/assistSlip/kind';
import fc from 'fast-check';

import { evaluate } from '@/core/evaluate/evaluate';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';
import { cairn, crag, fen, jobsOfEachKind, knoll, scree } from '@/testing/jobs';
import { loosePack } from '@/testing/packs';

import { dimensionsAt } from '../dimensions';
import type { HalfSection, View } from '../halfSection';
import { drawHalfSection, gapAt, gapHeight } from '../halfSection';
import { drawingNote, heightForLabels, placeLabels } from '../labels';
import { painted } from '../looks';
import { INK, LIMESTONE, PEAT } from '../../palette';
import { partsOf } from '../parts';
import { openedBy } from '../plates';
import type { Shape } from '../shape';
import { boxAround, pathOf } from '../shape';
import { drawTangDetail } from '../tangDetail';
import { worstPart } from '../worst';

const SIZE = { width: 374, height: 440, left: 120 };
const subjectOf = (job: Job) => ({ job, evaluation: evaluate(job) });
const drawn = (job: Job, view: Partial<View> = {}) =>
  drawHalfSection(subjectOf(job), { ...SIZE, ...view });
const of = ({ shapes }: HalfSection, test: Partial<Pick<Shape, 'part' | 'look'>>) =>
  shapes.filter(
    (s) => (!test.part || s.part === test.part) && (!test.look || s.look === test.look),
  );
const withPlates = (job: Job, count: number): Job => ({
  ...job,
  pack: {
    ...job.pack,
    plates: Array.from({ length: count }, (_, i) => ({
      id: `p${i}`,
      kindId: job.pack.plates[i % 2]?.kindId ?? '',
    })),
  },
});
/** The points of a path, as an eye would see them. */
const pointsOf = (d: string): [number, number][] =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe('the half-section', () => {
  it('draws heights and radii to scale, hub floor at the foot, axis at the right', () => {
    const drawing = drawn(crag());
    const { layers } = evaluate(crag()).layout;
    drawing.layers.forEach(({ row }, i) => {
      expect(row.height / drawing.up).toBeCloseTo(layers[i]?.thickness ?? 0, 9);
      // A closed pack has no gaps: each plate is on the one before, the first on the hub floor.
      const below = drawing.layers[i - 1]?.row.y ?? drawing.floor;
      expect(row.y + row.height).toBeCloseTo(below, 9);
    });
    const stack = layers.reduce((sum, l) => sum + (l.thickness ?? 0), 0);
    expect((drawing.floor - drawing.top) / drawing.up).toBeCloseTo(stack, 9);
    const lining = boxAround(of(drawing, { look: 'lining' }));
    const disc = crag().pack.kinds.find((k) => k.lined === 'both');
    const width = (disc?.outerRadius?.value ?? 0) - (disc?.innerRadius?.value ?? 0);
    expect(lining.width / drawing.across).toBeCloseTo(width, 6);
    expect(lining.x + lining.width).toBeLessThan(boxAround(of(drawing, { part: 'release' })).x);
  });

  it('reaches with its tangs into the slots on the left and with steels into the spline on the right', () => {
    const drawing = drawn(crag());
    const finger = boxAround(of(drawing, { look: 'finger' }));
    const spline = boxAround(of(drawing, { look: 'spline' }));
    const core = boxAround(of(drawing, { look: 'core' }));
    const steel = boxAround(of(drawing, { look: 'steel' }));
    expect(core.x).toBeGreaterThan(finger.x);
    expect(core.x).toBeLessThan(finger.x + finger.width);
    expect(core.x + core.width).toBeLessThan(spline.x);
    expect(steel.x).toBeGreaterThanOrEqual(finger.x + finger.width - 1);
    expect(steel.x + steel.width).toBeGreaterThan(spline.x);
    expect(steel.x + steel.width).toBeLessThanOrEqual(spline.x + spline.width + 2);
  });

  it('draws finite shapes inside the drawing, whatever the job, the size and the state', () => {
    fc.assert(
      fc.property(
        arbitraryJob,
        fc.integer({ min: 250, max: 900 }),
        fc.integer({ min: 200, max: 900 }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.boolean(),
        (job, width, height, lift, close) => {
          const drawing = drawHalfSection(subjectOf(job), { width, height, close, room: lift });
          expect(Number.isFinite(drawing.up) && drawing.up > 0).toBe(true);
          const rises = drawing.rises(lift, lift / 2);
          for (const shape of drawing.shapes) {
            const path = pathOf(shape, rises, 1);
            expect(path).not.toMatch(/NaN|Infinity/);
            if (!close) for (const [x] of pointsOf(path)) expect(x).toBeLessThanOrEqual(width + 1);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('never lets plates run into one another, closed, lifted or worn', () => {
    fc.assert(
      fc.property(
        arbitraryJob,
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (job, lift, wear) => {
          const drawing = drawn(job, { room: lift, wear });
          const rises = drawing.rises(lift);
          drawing.layers.forEach(({ row, layer }, i) => {
            const before = drawing.layers[i - 1];
            if (!before) return;
            const low = row.y + row.height - (rises[layer.number] ?? 0);
            expect(low).toBeLessThanOrEqual(before.row.y - (rises[layer.number - 1] ?? 0) + 1e-6);
          });
          const plate = boxAround(
            of(drawing, { part: 'pressurePlate' }).filter((s) => s.rides > 0 && !s.bend),
          );
          // Nothing of the rim is in the pack; cups may hang inside the hub.
          expect(plate.y).toBeLessThan(drawing.top + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('opens by the whole lift, keeps its scale while it does, and grows with zoom', () => {
    const drawing = drawn(crag(), { room: 1.5 });
    const plate = drawing.layers.length + 1;
    expect(drawing.rises(0).every((rise) => rise === 0)).toBe(true);
    expect((drawing.rises(1.5)[plate] ?? 0) / drawing.up).toBeCloseTo(1.5, 9);
    expect((drawing.rises(1.5, 0, 6)[plate] ?? 0) / drawing.up).toBeCloseTo(9, 9);
    const large = drawn(crag(), { room: 1.5, zoom: 3 });
    expect(large.up).toBeCloseTo(3 * drawing.up, 9);
    expect(large.across).toBe(drawing.across);
    expect(large.height).toBeGreaterThan(drawing.height);
  });

  it('opens nothing at rest, and just the lift once the plate rises, warped plates or true', () => {
    const room = (job: Job, lift: number) =>
      [...openedBy(evaluate(job).layout, lift).values()].reduce((sum, r) => sum + r, 0);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (warp, lift) => {
          const job = crag();
          const plates = job.pack.plates.map((p, i) =>
            i % 2 === 1 ? { ...p, outOfFlat: { value: warp } } : p,
          );
          const warped = { ...job, pack: { ...job.pack, plates } };
          expect(room(warped, 0)).toBe(0);
          expect(room(warped, lift)).toBeCloseTo(lift, 9);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('draws coil springs as long as they are, and shorter by the lift', () => {
    const job = crag();
    const { figures } = evaluate(job);
    const length = figures.get('installedLength');
    const drawing = drawn(job);
    const spring = boxAround(of(drawing, { look: 'spring' }));
    const fitted = length?.status === 'known' ? length.value : NaN;
    expect(Math.abs(spring.height / drawing.up - fitted)).toBeLessThan(0.6);
    const written = dimensionsAt(drawing, drawing.rises(1), 1, (mm) => mm.toFixed(2));
    expect(written.find((d) => d.name === 'fitted')?.text).toBe((fitted - 1).toFixed(2));
    expect(written.find((d) => d.name === 'lift')?.text).toBe(
      `Lift 1.00, ${(1 / evaluate(job).layout.slipping.length).toFixed(2)} per face`,
    );
    const rest = dimensionsAt(drawing, [], 0, (mm) => mm.toFixed(2));
    expect(rest.map((d) => d.name)).toEqual(['stack', 'fitted']);
  });

  it('bends a diaphragm: its edge follows the plate, its seat stays, its fingers come down', () => {
    const drawing = drawn(knoll(), { room: 2 });
    const [leaf] = of(drawing, { part: 'springs', look: 'spring' });
    const [fingers] = of(drawing, { part: 'springs', look: 'wire' });
    if (!leaf || !fingers) throw new Error('no diaphragm');
    const rises = drawing.rises(2);
    const moved = (shape: Shape) => {
      const [before, after] = [pointsOf(pathOf(shape)), pointsOf(pathOf(shape, rises))];
      return before.map(([, y], i) => y - (after[i]?.[1] ?? 0));
    };
    expect(Math.max(...moved(leaf))).toBeCloseTo(2 * drawing.up, 1);
    expect(Math.min(...moved(leaf).map(Math.abs))).toBeCloseTo(0, 1);
    expect(Math.min(...moved(fingers))).toBeLessThan(0);
    expect(of(drawing, { part: 'retainer' }).length).toBeGreaterThan(2);
  });

  it('draws loose springs between two plates with the gap, and the gap closing by the lift', () => {
    const drawing = drawn(loosePack(), { room: 1 });
    const names = drawing.dimensions.map((d) => d.name);
    expect(names).toEqual(['stack', 'gap', 'fitted']);
    const outer = of(drawing, { part: 'pressurePlate' }).filter((s) => s.rides === 0);
    const inner = of(drawing, { part: 'pressurePlate' }).filter((s) => s.rides > 0);
    const gap = drawing.dimensions.find((d) => d.name === 'gap');
    expect((gap?.bottom ?? 0) - (gap?.top ?? 0)).toBeCloseTo((gap?.value ?? 0) * drawing.up, 6);
    expect(boxAround(outer).y).toBeLessThan(boxAround(inner).y);
    const said = dimensionsAt(drawing, drawing.rises(1), 1, (mm) => mm.toFixed(3));
    expect(said.find((d) => d.name === 'gap')?.text).toBe(
      `gap ${((gap?.value ?? 0) - 1).toFixed(3)}`,
    );
  });

  it('lifts what is on an expanding disc, and its outer half, and nothing under it', () => {
    const drawing = drawn(scree(), { room: 2 });
    const at = drawing.layers.findIndex((s) => s.expands) + 1;
    expect(at).toBeGreaterThan(0);
    const grown = drawing.rises(0, 0.5);
    expect(grown.slice(0, at + 1).every((rise) => rise === 0)).toBe(true);
    for (const rise of grown.slice(at + 1, -2)) expect(rise).toBeCloseTo(0.5 * drawing.up, 9);
    expect(grown.at(-2)).toBeCloseTo(0.25 * drawing.up, 9);
    const half = drawing.shapes.filter((s) => s.rides === grown.length - 3);
    expect(half.some((s) => s.look === 'lining')).toBe(true);
    expect(of(drawing, { look: 'weight' })).toHaveLength(3);
    expect(
      drawn(crag())
        .rises(0, 0.5)
        .slice(0, -3)
        .every((rise) => rise === 0),
    ).toBe(true);
  });

  it('parts the halves of a hub on ramps, and moves nothing else', () => {
    const drawing = drawn(assistSlip.example(crag()));
    const apart = drawing.rises(0, 0, 1, 1);
    expect(apart.at(-1)).toBeCloseTo(1.6 * drawing.up, 9);
    expect(apart.slice(0, -1).every((rise) => rise === 0)).toBe(true);
    const half = drawing.shapes.filter((s) => s.part === 'ramps');
    expect(half.length).toBeGreaterThan(0);
    expect(half.every((s) => s.rides === apart.length - 1)).toBe(true);
    expect(drawn(crag()).shapes.some((s) => s.part === 'ramps')).toBe(false);
  });

  it('takes wear from the linings that slip, all of it, and keeps the outline of new', () => {
    const [fresh, worn] = [0, 0.8].map((wear) => drawn(crag(), { wear }));
    if (!fresh || !worn) throw new Error('no drawing');
    const tall = (d: HalfSection) => (d.floor - d.top) / d.up;
    expect(tall(fresh) - tall(worn)).toBeCloseTo(0.8, 9);
    expect(of(worn, { look: 'ghost' }).length).toBeGreaterThan(of(fresh, { look: 'ghost' }).length);
  });

  it('shows plates that turn together, slip bare, are warped, or have lost their spline', () => {
    const looks = (job: Job, view?: Partial<View>) =>
      new Set(drawn(job, view).shapes.map((s) => s.look));
    const job = crag();
    expect(looks(job)).not.toContain('joint');
    const [disc, steel] = job.pack.plates;
    if (!disc || !steel) throw new Error('no plates');
    const order = (plates: typeof job.pack.plates) => ({ ...job, pack: { ...job.pack, plates } });
    const twice = (p: typeof disc) => [p, { ...p, id: 'again' }];
    expect(looks(order(twice(disc)))).toContain('joint');
    expect(looks(order([{ ...steel, outOfFlat: entry(0.1) }]))).toContain('warp');
    expect(looks({ ...job, pack: { ...job.pack, splineLength: entry(20) } })).toContain('fault');
    expect(looks({ ...job, pack: { ...job.pack, splineLength: entry(60) } })).not.toContain(
      'fault',
    );
    const offset = order(job.pack.plates.map((p, i) => (i === 2 ? { ...p, offsetSlot: true } : p)));
    expect(looks(offset)).toContain('hidden');
    expect(looks(order([{ ...disc, judder: true, facing: 'outward' }]))).toContain('judder');
  });

  it('moves the shoes of a start clutch outward, to the drum and no further', () => {
    const drawing = drawn(fen());
    const shoes = drawing.shapes.filter((s) => s.part === 'startClutch' && s.slides > 0);
    expect(shoes.length).toBeGreaterThan(0);
    const drum = boxAround(of(drawing, { part: 'startClutch', look: 'basket' }));
    for (const shoe of shoes) {
      const lefts = pointsOf(pathOf(shoe, [], 1)).map(([x]) => x);
      expect(Math.min(...lefts)).toBeGreaterThan(drum.x);
    }
  });

  it('finds the gap under a finger', () => {
    const drawing = drawn(crag());
    expect(gapAt(drawing, drawing.height)).toBe(0);
    expect(gapAt(drawing, 0)).toBe(drawing.layers.length);
    const third = drawing.layers[2];
    if (!third) throw new Error('no third');
    expect(gapAt(drawing, third.row.y + 0.5)).toBe(3);
    expect(gapHeight(drawing, 3)).toBeCloseTo(third.row.y, 9);
    expect(gapHeight(drawing, 0)).toBe(drawing.floor);
  });
});

describe('the detail across a finger and a tooth', () => {
  it('draws clearance and notch to scale, the loosest plate of its member', () => {
    const job = crag();
    const plates = job.pack.plates.map((p, i) => ({ ...p, tangClearance: entry(0.2 + i / 50) }));
    const worn: Job = {
      ...job,
      pack: { ...job.pack, plates },
      inspection: { ...job.inspection, basketNotch: entry(0.8) },
    };
    const detail = drawTangDetail(worn, 'basket', 250);
    const discs = evaluate(worn).layout.layers.filter((l) => l.turnsWith === 'basket');
    expect(detail.clearance).toBe(discs.at(-1)?.plate.tangClearance?.value);
    const [clearance, notch] = detail.lines.map(({ from, to }) => to[0] - from[0]);
    expect((notch ?? 0) / (clearance ?? 1)).toBeCloseTo(0.8 / (detail.clearance ?? 1), 9);
    const hub = drawTangDetail(job, 'hub', 250);
    expect(hub).toMatchObject({ clearance: undefined, notch: undefined, lines: [] });
    expect(hub.shapes.some((s) => s.faint)).toBe(true);
  });
});

describe('labels and words of the half-section', () => {
  it('keeps the labels of 5, 17 and 24 plates apart and inside', () => {
    for (const count of [1, 5, 17, 24])
      for (const lift of [0, 1.5]) {
        const height = Math.max(300, heightForLabels(count));
        const drawing = drawn(withPlates(crag(), count), { height, room: lift });
        const { at } = placeLabels(drawing, drawing.rises(lift), 100);
        at.forEach((y, i) => {
          expect(y).toBeGreaterThanOrEqual(29);
          expect(y).toBeLessThanOrEqual(drawing.height);
          if (i > 0) expect((at[i - 1] ?? 0) - y).toBeGreaterThanOrEqual(12 - 1e-9);
        });
      }
  });

  it('says each part with its figures, and asks for what it assumed', () => {
    const subject = subjectOf(crag());
    const parts = partsOf(subject, drawn(crag()), {});
    const text = (id: string) => parts.find((p) => p.id === id)?.text ?? '';
    expect(text('springs')).toMatch(/^Springs: .*fitted length \d+\.\d+\smm, clamp \d+\sN$/);
    expect(text('basket')).toMatch(/^Basket: fingers missing, drawn assumed/);
    expect(parts.find((p) => p.id === 'basket')?.asks).toBe('pack.fingerLength');
    const known = { ...crag(), pack: { ...crag().pack, fingerLength: entry(40) } };
    const [basket] = partsOf(subjectOf(known), drawn(known), {});
    expect(basket).toMatchObject({ text: 'Basket: fingers 40.000 mm' });
    expect(basket?.asks).toBeUndefined();
    for (const job of [...jobsOfEachKind(), loosePack()])
      for (const part of partsOf(subjectOf(job), drawn(job), {})) {
        expect(part.text).not.toMatch(/undefined|NaN/);
        expect(part.box.width).toBeGreaterThan(0);
      }
  });

  it('marks the part of the worst verdict', () => {
    const weak = {
      ...crag(),
      engine: { ...crag().engine, peakTorque: entry(400) },
    };
    expect(worstPart(evaluate(weak))).toBe('springs');
    expect(worstPart({ verdicts: [] })).toBeUndefined();
  });

  it('says to what scale it is drawn, and what is not', () => {
    const note = drawingNote(drawn(crag(), { wear: 0.4 }), 10);
    expect(note).toMatch(/^(Heights drawn|Heights and radii to one scale)/);
    expect(note).toMatch(/wear 10 times as deep/);
    expect(note).toMatch(/dashed parts are assumed$/);
  });

  it('paints every look in every theme, from back to front, in few paths', () => {
    for (const job of [...jobsOfEachKind(), loosePack(), cairn()])
      for (const strata of [LIMESTONE, PEAT, INK]) {
        const paths = painted(drawn(job).shapes, strata);
        expect(paths.length).toBeLessThan(40);
        for (const { d, fill, stroke } of paths) {
          expect(d).toMatch(/^M/);
          expect(`${fill} ${stroke}`).not.toMatch(/^none undefined$/);
        }
        expect(new Set(paths.map((p) => p.key)).size).toBe(paths.length);
      }
  });
});
