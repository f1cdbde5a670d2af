import fc from 'fast-check';

import { DomainError } from '../../errors';
import type { Layer } from '../faces';
import { frictionFaces } from '../faces';
import { checkLimits, stackHeight, summarizeReadings } from '../stack';

const hub: Layer = { turnsWith: 'hub', lined: 'none' };
const F: Layer = { turnsWith: 'basket', lined: 'both', outerRadius: 58.5, innerRadius: 46.5 };
const S: Layer = { turnsWith: 'hub', lined: 'none' };
const slipping = (plates: Layer[], plate = hub) =>
  frictionFaces(hub, plates, plate).filter((f) => f.kind === 'slipping');

describe('friction faces', () => {
  it('counts 16 for 8 discs and 7 steels, friction first and last', () => {
    const plates = Array.from({ length: 15 }, (_, i) => (i % 2 === 0 ? F : S));
    expect(slipping(plates)).toHaveLength(16);
  });

  it('counts 4 for steel-friction-steel-friction-steel', () => {
    expect(slipping([S, F, S, F, S])).toHaveLength(4);
  });

  it('counts 6 for two frictions side by side, where a rule of two per disc says 8', () => {
    expect(slipping([F, F, S, F, S, F])).toHaveLength(6);
  });

  it('finds unlined plates that slip on each other', () => {
    const bare: Layer = { turnsWith: 'basket', lined: 'none' };
    expect(frictionFaces(hub, [bare, S], hub).map((f) => f.kind)).toEqual([
      'metal',
      'metal',
      'together',
    ]);
  });

  it('takes a face lined on one side only, and a pressure plate that turns with the basket', () => {
    const single: Layer = { ...F, lined: 'inner' };
    expect(frictionFaces(hub, [single], hub).map((f) => f.kind)).toEqual(['slipping', 'metal']);
    expect(slipping([S], { turnsWith: 'basket', lined: 'inner' })).toHaveLength(1);
  });

  it('rubs on the overlap of both rings: a large bore narrows only its own faces', () => {
    const large = { ...F, innerRadius: 50.5 };
    const narrow: Layer = { ...S, outerRadius: 57, innerRadius: 45 };
    const faces = slipping([large, narrow, F]);
    expect(faces.map((f) => [f.outerRadius, f.innerRadius])).toEqual([
      [58.5, 50.5],
      [57, 50.5],
      [57, 46.5],
      [58.5, 46.5],
    ]);
  });

  it('never has more faces than neighbours, and two more with every disc laid on a steel', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 30 }), (sorts) => {
        const plates = sorts.map((friction) => (friction ? F : S));
        const n = slipping(plates).length;
        expect(n).toBeLessThanOrEqual(plates.length + 1);
        expect(slipping([...plates, S, F, S])).toHaveLength(n + 2);
      }),
    );
  });
});

describe('stack', () => {
  it('adds plates up and refuses a thickness of nothing', () => {
    expect(stackHeight([3, 1.5, 3])).toBeCloseTo(7.5, 12);
    expect(stackHeight([])).toBe(0);
    expect(() => stackHeight([3, 0])).toThrow(DomainError);
    expect(() => stackHeight([3, Number.NaN])).toThrow('thicknesses.1');
  });

  it('takes the mean to the stack, the least to the limit and the spread as taper', () => {
    const { mean, least, taper } = summarizeReadings([2.9, 3.0, 2.95]);
    expect([mean, least, taper].map((v) => v.toFixed(6))).toEqual([
      '2.950000',
      '2.900000',
      '0.100000',
    ]);
    expect(() => summarizeReadings([])).toThrow('at least one reading');
  });

  it('lets both edges of a window belong to it', () => {
    expect(checkLimits(34, 34, 35)).toEqual({ inside: true, margin: 0, side: 'within' });
    expect(checkLimits(35, 34, 35).inside).toBe(true);
    expect(checkLimits(0.1 + 0.2 + 33.7, 34, 35).margin).toBe(0);
    expect(checkLimits(33.9, 34, 35)).toMatchObject({ inside: false, side: 'below' });
    expect(checkLimits(35.25, 34, 35)).toMatchObject({
      inside: false,
      side: 'above',
      margin: -0.25,
    });
    expect(checkLimits(20, undefined, 35).margin).toBe(15);
    expect(() => checkLimits(34, 35, 34)).toThrow(DomainError);
    expect(() => checkLimits(34, undefined, undefined)).toThrow(DomainError);
  });
});
