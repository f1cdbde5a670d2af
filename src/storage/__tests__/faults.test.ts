import { reportFault } from '../faults';

describe('a fault', () => {
  it('is logged and reported as what it is, and names storage space only where it is full', () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const error = new Error('the worker broke.');
    expect(reportFault('The backup could not be made', error)).toBe(
      'The backup could not be made: the worker broke.',
    );
    expect(log).toHaveBeenCalledWith('The backup could not be made', error);
    const full = Object.assign(new Error('x'), { name: 'QuotaExceededError' });
    expect(reportFault('The backup could not be made', full)).toContain('no storage space left');
    expect(reportFault('It failed', 'a string')).toBe('It failed: the browser gave no reason.');
    log.mockRestore();
  });
});
