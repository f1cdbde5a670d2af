import { crag, jobOf } from '@/testing/jobs';
import { evaluate } from '../evaluate';
import { figureText } from '@/core/text/figureText';
import { omit } from '@/core/omit';

const known = (id: 'stack' | 'reserve' | 'clamp' | 'clampAtPeak', number = 'T-1') => {
  const figure = evaluate(jobOf(number)).figures.get(id);
  if (figure?.status !== 'known') throw new Error(`${id} is not known`);
  return figure;
};

describe('a figure as text', () => {
  it('has its own decimals in its base unit, and those of the gauge in another', () => {
    const stack = { ...known('stack'), value: 33.93, decimals: 2 };
    expect(figureText(stack, {}).value).toBe('33.93 mm');
    expect(figureText(stack, { length: 'in' }).value).toBe('1.3358 in');
    expect(figureText(stack, { length: 'thou' }).value).toBe('1335.8 thou');
  });

  it('carries its range in the same unit, and none where it has none', () => {
    const clamp = { ...known('clamp'), value: 1000, decimals: 0 };
    expect(figureText(clamp, {})).toEqual({ value: '1000 N' });
    const between = { ...clamp, range: { low: 900, high: 1100 } };
    expect(figureText(between, {}).range).toBe('900 to 1100');
    expect(figureText(between, { force: 'lbf' }).range).toBe('202.3 to 247.3');
  });
});

describe('the formula of the clamp at peak torque', () => {
  it('names what presses on this machine and nothing else', () => {
    expect(known('clampAtPeak', 'T-2').working.formula).toBe(
      'F(s + y) with n·m·r_w·ω²·i_e − F_0 − k_r·y = F(s + y), g ≤ y ≤ e',
    );
    const job = crag();
    const assist = {
      ...job.assist,
      type: 'levers',
      count: { value: 6 },
      mass: { value: 0.011 },
      radius: { value: 47 },
      leverRatio: { value: 1.2 },
    } as const;
    const assisted = evaluate({ ...job, assist }).figures.get('clampAtPeak');
    expect(assisted?.status === 'known' && assisted.working.formula).toBe('F + F_c');
    // Weights that nobody has weighed are asked for.
    const unweighed = { ...job, assist: omit(assist, 'mass') };
    expect(evaluate(unweighed).figures.get('clampAtPeak')?.status).toBe('unknown');
  });
});
