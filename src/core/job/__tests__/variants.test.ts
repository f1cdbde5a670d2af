import { evaluate } from '@/core/evaluate/evaluate';
import { autoPack } from '@/testing/packs';

import type { Job } from '../types';
import {
  withoutVariant,
  jobWith,
  MAX_VARIANTS,
  currentVariantName,
  withVariant,
  withVariantName,
  withVariantInUse,
} from '../variants';

const job: Job = { ...autoPack(), variants: [] };

describe('variants of a pack', () => {
  it('are copies: taking one up puts the present pack in its place', () => {
    const kept = withVariant(job, 'v', 'Diaphragm');
    const changed: Job = { ...kept, springs: { ...kept.springs, type: 'coil' } };
    const back = withVariantInUse(changed, 'v');
    expect(back.springs).toBe(job.springs);
    expect(currentVariantName(back)).toBe('Diaphragm');
    expect(back.variants[0]?.springs.type).toBe('coil');
    const again = withVariantInUse(back, 'v');
    expect(again.springs.type).toBe('coil');
    expect(again.variants[0]?.springs).toBe(job.springs);
  });

  it('leave machine, engine and readings of the job alone', () => {
    const kept = withVariant({ ...job, notes: 'mine' }, 'v', 'A');
    const variant = kept.variants[0];
    if (!variant) throw new Error('no variant');
    expect(jobWith(kept, variant).notes).toBe('mine');
    expect(Object.keys(variant)).not.toContain('engine');
    expect(evaluate(jobWith(kept, variant)).overall).toEqual(evaluate(job).overall);
  });

  it('stand four side by side, no more; one can be named or taken out', () => {
    let full = job;
    for (let i = 0; i < 6; i++) full = withVariant(full, `v${i}`, `V${i}`);
    expect(full.variants).toHaveLength(MAX_VARIANTS - 1);
    expect(withVariantName(full, 'v1', 'Light').variants[1]?.name).toBe('Light');
    expect(currentVariantName(withVariantName(full, undefined, 'Mine'))).toBe('Mine');
    expect(withoutVariant(full, 'v0').variants.map((v) => v.id)).toEqual(['v1', 'v2']);
    expect(withoutVariant(full, 'none')).toBe(full);
    expect(withVariantInUse(full, 'none')).toBe(full);
  });
});
