import { expect, it, vi } from 'vitest';
import { patiently, untilItComes } from './patiently.js';

it('what does not come at once is tried again, and what never comes says why', async () => {
  const stumbles = vi
    .fn<() => Promise<string>>()
    .mockRejectedValueOnce(new Error('lost'))
    .mockResolvedValue('there');
  await expect(patiently(stumbles, [0, 0])).resolves.toBe('there');
  expect(stumbles).toHaveBeenCalledTimes(2);
  const gone = vi.fn<() => Promise<string>>().mockRejectedValue(new Error('gone'));
  await expect(patiently(gone, [0, 0])).rejects.toThrow('gone');
  expect(gone).toHaveBeenCalledTimes(3);
});

it('what stands beside a page is waited for, however often it does not come', async () => {
  const away = vi.fn<() => Promise<string>>().mockResolvedValue('there');
  for (let times = 0; times < 20; times += 1) away.mockRejectedValueOnce(new Error('away'));
  await expect(untilItComes(away, 0)).resolves.toBe('there');
  expect(away).toHaveBeenCalledTimes(21);
});
