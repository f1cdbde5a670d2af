import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { coilPack } from '@/testing/packs';

import { evaluate } from '../evaluate';
import { omit } from '@/core/omit';

const demo = coilPack();
/** The demo pack with radii of its own for the steels. */
const base: Job = {
  ...demo,
  pack: {
    ...demo.pack,
    kinds: demo.pack.kinds.map((k) =>
      k.lined === 'none' ? { ...k, outerRadius: entry(56), innerRadius: entry(45) } : k,
    ),
  },
};
const duty: Job['duty'] = {
  mass: entry(190),
  wheelRadius: entry(310),
  gearRatio: entry(9.5),
  startRpm: entry(5000),
};
const withDuty = (part: Job['duty'] = {}): Job => ({ ...base, duty: { ...duty, ...part } });
const value = (job: Job, id: 'packMass' | 'packInertia' | 'startHeat' | 'steelRise') => {
  const figure = evaluate(job).figures.get(id);
  return figure?.status === 'known' ? figure.value : undefined;
};
const inAluminium = (job: Job): Job => ({
  ...job,
  pack: {
    ...job.pack,
    kinds: job.pack.kinds.map((k) => (k.lined === 'none' ? { ...k, material: 'aluminium' } : k)),
  },
});

describe('weight and heat', () => {
  it('weighs plates by their rings: π·(R_o² − R_i²)·t·ρ', () => {
    const steel = base.pack.kinds.find((k) => k.lined === 'none');
    if (!steel?.outerRadius || !steel.innerRadius || !steel.thickness) throw new Error('no steel');
    const n = base.pack.plates.filter((p) => p.kindId === steel.id).length;
    const one =
      Math.PI *
      (steel.outerRadius.value ** 2 - steel.innerRadius.value ** 2) *
      steel.thickness.value *
      7850e-9;
    const weighed: Job = {
      ...base,
      pack: {
        ...base.pack,
        kinds: base.pack.kinds.map((k) =>
          k === steel ? omit(k, 'mass') : { ...k, mass: entry(0.1) },
        ),
      },
    };
    const others = base.pack.plates.length - n;
    expect(value(weighed, 'packMass')).toBeCloseTo(n * one + others * 0.1, 9);
    expect(value(base, 'packInertia')).toBeCloseTo(
      (n * one * (steel.outerRadius.value ** 2 + steel.innerRadius.value ** 2) * 1e-6) / 2,
      9,
    );
  });

  it('lets aluminium spare inertia and grow hotter', () => {
    const [heavy, light] = [withDuty(), inAluminium(withDuty())];
    expect(value(light, 'packInertia')).toBeLessThan(value(heavy, 'packInertia') ?? 0);
    expect(value(light, 'startHeat')).toBeCloseTo(value(heavy, 'startHeat') ?? 0, 6);
    expect(value(light, 'steelRise')).toBeGreaterThan(value(heavy, 'steelRise') ?? Infinity);
  });

  it('makes more heat up a grade, from a higher speed and of a heavier machine', () => {
    const plain = value(withDuty(), 'startHeat') ?? 0;
    expect(plain).toBeGreaterThan(0);
    for (const part of [{ grade: entry(0.25) }, { startRpm: entry(7000) }, { mass: entry(260) }])
      expect(value(withDuty(part), 'startHeat')).toBeGreaterThan(plain);
  });

  it('takes at least the energy of the speeds that meet: no start is free', () => {
    // Let out at once and without engine torque, two inertias lose ½·J1·J2/(J1 + J2)·ω².
    const job = withDuty({ letOut: entry(0), throttle: entry(1e-6) });
    const i = base.engine.primaryRatio?.value ?? 1;
    const j1 = 0.02 * i * i;
    const j2 = 190 * (0.31 / 9.5) ** 2;
    const omega = ((5000 / i) * Math.PI) / 30;
    const least = ((j1 * j2) / (j1 + j2) / 2) * omega ** 2;
    const heat = value(job, 'startHeat') ?? 0;
    expect(heat).toBeGreaterThan(0.95 * least);
    expect(heat).toBeLessThan(1.6 * least);
  });

  it('says nothing of heat while no start is described', () => {
    expect(evaluate({ ...base, duty: {} }).figures.has('startHeat')).toBe(false);
  });
});
