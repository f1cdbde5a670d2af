import { readBackup } from '../workshop';

describe('reading a backup', () => {
  it('refuses a file of 300 MB by its size, before any of it is read', async () => {
    const arrayBuffer = jest.fn();
    const file = { name: 'huge.zip', size: 300_000_000, arrayBuffer } as unknown as File;
    await expect(readBackup(file, () => undefined)).rejects.toThrow(
      '300 MB is too large for a backup; at most 250 MB.',
    );
    expect(arrayBuffer).not.toHaveBeenCalled();
  });
});
