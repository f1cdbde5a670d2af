import { coilPack } from '@/testing/packs';

import type { Job, ReleaseType } from '../../job/types';
import { releasedBy } from '../way';

const job = coilPack();
const by = (type: ReleaseType, layout: Job['machine']['layout']) =>
  releasedBy({ release: { ...job.release, type }, machine: { ...job.machine, layout } });

describe('what opens the pack', () => {
  it('is the shift pedal behind a start clutch whose lift is only measured, and nowhere else', () => {
    expect(by('measured', 'startAndPack')).toBe('pedal');
    expect(by('measured', 'pack')).toBe('cable');
    expect(by('cable', 'startAndPack')).toBe('cable');
    expect(by('hydraulic', 'startAndPack')).toBe('hydraulic');
    expect(by('hydraulic', 'pack')).toBe('hydraulic');
  });
});
