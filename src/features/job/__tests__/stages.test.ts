import { isStage, stageAfter, viewedStage } from '../stages';

describe('the stage on screen', () => {
  it('is the stage in the address, else that of its tab, else the stage of the job', () => {
    expect(viewedStage('prove', undefined, 'intake')).toBe('prove');
    expect(viewedStage('prove', 'pack', 'intake')).toBe('prove');
    expect(viewedStage(undefined, 'pack', 'intake')).toBe('specify');
    expect(viewedStage(undefined, undefined, 'set')).toBe('set');
    // An address that somebody typed.
    expect(viewedStage('lunch', undefined, 'set')).toBe('set');
    expect(isStage('lunch')).toBe(false);
  });

  it('is followed by the next, and the last by itself', () => {
    expect(stageAfter('intake')).toBe('strip');
    expect(stageAfter('log')).toBe('log');
  });
});
