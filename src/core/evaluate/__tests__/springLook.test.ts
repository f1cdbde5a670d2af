import { diaphragm } from '@/core/clutch/diaphragm/kind';
import { cairn, crag } from '@/testing/jobs';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';

import { evaluate } from '../evaluate';
import { readSentence } from '@/core/text/sentence';
import { ringLook } from '../../clutch/coil/look';
import { diaphragmLook } from '../../clutch/diaphragm/look';
import { packModel } from '../states';

describe('a diaphragm looked at', () => {
  const job = diaphragm.example(crag());
  const look = diaphragmLook(job);
  if (!look) throw new Error('no look');

  it('is on its curve at the calculated point', () => {
    const clamp = evaluate(job).figures.get('clamp');
    expect(look.built.force).toBeCloseTo(clamp?.status === 'known' ? clamp.value : 0, 6);
    expect(look.lifted?.deflection).toBeGreaterThan(look.built.deflection);
    expect(look.worn?.deflection).toBeLessThan(look.built.deflection);
  });

  it('shades where more preload means less clamp, and this spring works there', () => {
    const { falling, curve } = look;
    if (!falling) throw new Error('no falling part');
    expect(look.built.deflection).toBeGreaterThan(falling.from);
    expect(look.built.deflection).toBeLessThan(falling.to);
    const inside = curve.filter((p) => p.deflection >= falling.from && p.deflection <= falling.to);
    inside.forEach((p, i) => {
      if (i > 0) expect(p.force).toBeLessThanOrEqual(inside[i - 1]?.force ?? 0);
    });
  });

  it('describes a step with more preload: lighter, less clamp, and the wear that restores the clamp', () => {
    const now = look.steps.find((s) => s.inUse);
    const further = look.steps.find((s) => s.deflection > (now?.deflection ?? 0));
    if (!now || !further) throw new Error('no further step');
    expect(now.clampChange).toBeCloseTo(0, 12);
    expect(further.clampChange).toBeLessThan(0);
    expect(further.pullChange).toBeLessThan(0);
    expect(readSentence(further.sentence)).toMatch(
      /% lighter at the lever, .*% less clamp; wear of \d\.\d+ mm restores the clamp/,
    );
    // At that wear the variant clamps at least what the step in use does now, a hundredth before it does not.
    const variant: Job = {
      ...job,
      springs: {
        ...job.springs,
        diaphragm: { ...job.springs.diaphragm, stepId: further.id },
      },
    };
    const at = (wear: number) => packModel(variant).at({ wear }).clamp ?? 0;
    expect(at(further.backAt ?? 0)).toBeGreaterThanOrEqual(now.clamp);
    expect(at((further.backAt ?? 0) - 0.011)).toBeLessThan(now.clamp);
  });

  it('is nothing for other springs or while the spring is not known', () => {
    expect(diaphragmLook(crag())).toBeUndefined();
    const { coneHeight: _h, measuredCone: _m, ...rest } = job.springs.diaphragm;
    const unknown: Job = {
      ...job,
      springs: { ...job.springs, diaphragm: { ...rest, forceFrom: 'geometry' } },
    };
    expect(diaphragmLook(unknown)).toBeUndefined();
  });
});

describe('a ring of springs looked at', () => {
  const job = cairn();
  const withRing = (ring: readonly string[]): Job => ({
    ...job,
    springs: { ...job.springs, coil: { ...job.springs.coil, ring, ringRadius: entry(50) } },
  });
  const [x = '', y = ''] = job.springs.coil.groups.map((g) => g.id);

  it('presses in the middle when two kinds alternate, and off it when one side has the stronger', () => {
    const even = ringLook(withRing([x, y, x, y, x, y, x, y]));
    expect(even?.resultant.offset).toBeCloseTo(0, 9);
    const uneven = ringLook(withRing([x, x, x, x, y, y, y, y]));
    expect(uneven?.resultant.offset).toBeGreaterThan(0.5);
  });

  it('agrees with the figure, and with the sum of the forces', () => {
    const look = ringLook(job);
    const figure = evaluate(job).figures.get('springOffset');
    expect(look?.resultant.offset).toBeCloseTo(figure?.status === 'known' ? figure.value : -1, 9);
    const sum = look?.springs.reduce((total, s) => total + s.force, 0);
    expect(sum).toBeCloseTo(look?.resultant.total ?? -1, 6);
  });

  it('is nothing while no order is recorded', () => {
    expect(ringLook(withRing([]))).toBeUndefined();
  });
});

describe('face by face', () => {
  it('adds up to the capacity, with the least at the innermost face', () => {
    const job = crag();
    const faces = packModel(job).faces();
    const capacity = evaluate(job).figures.get('capacityWithTangs');
    const sum = faces.reduce((total, f) => total + f.torque, 0);
    expect(sum).toBeCloseTo(capacity?.status === 'known' ? capacity.value : 0, 6);
    expect(faces.reduce((total, f) => total + f.share, 0)).toBeCloseTo(1, 9);
    for (let i = 1; i < faces.length; i++)
      expect(faces[i]?.clamp).toBeLessThan(faces[i - 1]?.clamp ?? 0);
  });
});
