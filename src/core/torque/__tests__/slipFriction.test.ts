import { coilPack, figureOf, put } from '@/testing/packs';

import { assistSlip } from '../../clutch/assistSlip/kind';
import { entry } from '../../job/entry';
import { fieldPath } from '../../job/fieldPath';
import type { Job, Slip } from '../../job/types';
import { frictionOfSlip, shopFrictions, slipTorque, withShopFriction } from '../slipFriction';

const lined = (job: Job) => job.pack.kinds.find((k) => k.lined !== 'none')?.id ?? '';
const slipAt = (job: Job, part: Partial<Slip>): Slip => ({
  id: 's',
  date: '2026-11-01',
  kindId: lined(job),
  note: '',
  ...part,
});
/** A job whose disc has this friction, and the torque at which it slips, at the crank. */
function slipping(base: Job, friction: number): number {
  const job = put(base, { [fieldPath('pack.kinds.*.frictionTypical', lined(base))]: friction });
  return figureOf(job, 'capacityWithTangs') / (job.engine.primaryRatio?.value ?? 1);
}

describe('the friction of a slip', () => {
  it('is the one at which the pack slips there, with ramps and without', () => {
    for (const job of [coilPack(), assistSlip.example(coilPack())])
      for (const friction of [0.08, 0.115, 0.15])
        expect(
          frictionOfSlip(job, slipAt(job, { torque: entry(slipping(job, friction)) })),
        ).toBeCloseTo(friction, 5);
  });

  it('follows from gear and grade as from torque', () => {
    const job = put(coilPack(), { 'duty.mass': 240, 'duty.wheelRadius': 310 });
    const slip = slipAt(job, { gearRatio: entry(5), grade: entry(0.2) });
    const angle = Math.atan(0.2);
    const torque = (240 * 9.80665 * (0.02 * Math.cos(angle) + Math.sin(angle)) * 310) / 1000 / 5;
    expect(slipTorque(job, slip)).toBeCloseTo(torque, 9);
    expect(slipTorque(job, slipAt(job, {}))).toBeUndefined();
  });

  it('is not named where none explains it', () => {
    const job = coilPack();
    expect(frictionOfSlip(job, slipAt(job, { torque: entry(500) }))).toBeUndefined();
    expect(frictionOfSlip(job, slipAt(job, { torque: entry(0.01) }))).toBeUndefined();
  });
});

describe('the linings of a shop', () => {
  const base = coilPack();
  const job: Job = {
    ...base,
    slips: [0.11, 0.12, 0.13].map((friction, i) =>
      slipAt(base, { id: `s${i}`, torque: entry(slipping(base, friction)) }),
    ),
  };

  it('collect their slips over the jobs, with count and spread', () => {
    const [found] = shopFrictions([job, base, job]);
    expect(found).toMatchObject({ count: 6 });
    expect(found?.mean).toBeCloseTo(0.12, 5);
    expect(found?.low).toBeCloseTo(0.11, 5);
    expect(found?.high).toBeCloseTo(0.13, 5);
    expect(shopFrictions([base])).toEqual([]);
  });

  it('serve a later job as measured by this shop', () => {
    const [found] = shopFrictions([job]);
    if (!found) throw new Error('nothing found');
    const later = withShopFriction(base, lined(base), found, '2026-12-01');
    const kind = later.pack.kinds.find((k) => k.id === lined(base));
    expect(kind?.frictionTypical).toEqual({
      value: 0.12,
      source: { kind: 'measured', date: '2026-12-01', note: '3 slips of this shop' },
    });
    expect(kind?.frictionLow?.value).toBeCloseTo(0.1, 4);
    expect(kind?.frictionHigh?.value).toBeCloseTo(0.14, 4);
  });
});
