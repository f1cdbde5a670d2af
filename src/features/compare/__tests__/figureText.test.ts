import { figuresOverLife } from '@/core/advice/compare';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import { coilPack } from '@/testing/packs';

import { comparedText, differenceText } from '../figureText';

describe('what another pack changes', () => {
  const now = figuresOverLife(coilPack());
  const [group] = coilPack().springs.coil.groups;
  const stiffer = figuresOverLife(
    withEntry(
      coilPack(),
      `springs.coil.groups.${group?.id ?? ''}.rate`,
      entry((group?.rate?.value ?? 10) * 1.25),
    ),
  );

  it('is a share of forces, with its sign', () => {
    expect(differenceText(now, stiffer, 'clamp', {})).toBe('+25 %');
    expect(differenceText(stiffer, now, 'clamp', {})).toBe('−20 %');
    expect(differenceText(now, stiffer, 'clampWorn', {})).toBe('+25 %');
  });

  it('is an amount of lengths', () => {
    const [disc] = coilPack().pack.kinds;
    const taller = figuresOverLife(
      withEntry(
        coilPack(),
        `pack.kinds.${disc?.id ?? ''}.thickness`,
        entry((disc?.thickness?.value ?? 3) + 0.05),
      ),
    );
    expect(differenceText(now, taller, 'stack', {})).toMatch(/^\+0\.\d+\smm$/);
  });

  it('is nothing where both show the same, or one is not known', () => {
    expect(differenceText(now, now, 'clamp', {})).toBe('');
    expect(differenceText(now, { ...now, values: {} }, 'clamp', {})).toBe('');
    expect(comparedText({ ...now, values: {} }, 'clamp', {})).toBe('–');
  });
});
