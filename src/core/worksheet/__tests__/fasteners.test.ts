import { bothTorques, usualFasteners } from '../fasteners';
import { demoJob } from '@/demo/jobs';

describe('torques', () => {
  it.each([
    [{ value: 12.2024, typed: '9 ft-lb' }, '9 ft-lb (12.2 N·m)'],
    [{ value: 12.2024, typed: '108 in-lb' }, '108 in-lb (12.2 N·m)'],
    [{ value: 12, typed: '12 Nm' }, '12 Nm (106 in·lb)'],
    [{ value: 68, typed: '68 N·m' }, '68 N·m (50.2 ft·lb)'],
    [{ value: 68 }, '68.0 N·m (50.2 ft·lb)'],
  ])('says both units, the one it was given in first: %j', (torque, said) => {
    expect(bothTorques(torque)).toBe(said);
  });

  it('follows the builder’s unit where none was written, and another torque’s for a share of it', () => {
    expect(bothTorques({ value: 13.5582 }, { torque: 'ftlb' })).toBe('10.0 ft·lb (13.6 N·m)');
    expect(bothTorques({ value: 6.1012 }, {}, { value: 12.2024, typed: '108 in-lb' })).toBe(
      '54 in·lb (6.1 N·m)',
    );
  });

  it('lists what this clutch has: springs under bolts, a retainer, or nuts', () => {
    const names = (number: string) =>
      usualFasteners(demoJob(number), () => 'x').map((f) => [f.name, f.count?.value]);
    expect(names('UR-0106')).toContainEqual(['Spring bolts', 6]);
    expect(names('UR-0102').map(([n]) => n)).toContain('Retainer bolts');
    expect(names('UR-0104').map(([n]) => n)).toContain('Nuts of the spring plate');
  });
});
