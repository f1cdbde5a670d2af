import { coilPack } from '@/testing/packs';

import { packAsFound } from '../packAsFound';

describe('plates as they came out', () => {
  it('become the pack the other way round, with their marks', () => {
    const job = coilPack();
    const found = [
      { id: 'a', kindId: 'disc', facing: 'outward' as const, note: '' },
      { id: 'b', kindId: 'steel', note: '' },
      { id: 'c', kindId: 'disc-bore', facing: 'inward' as const, note: '' },
    ];
    const { plates } = packAsFound({ ...job, strip: { ...job.strip, found } }).pack;
    expect(plates).toEqual([
      { id: 'c', kindId: 'disc-bore', facing: 'inward' },
      { id: 'b', kindId: 'steel' },
      { id: 'a', kindId: 'disc', facing: 'outward' },
    ]);
  });
});
