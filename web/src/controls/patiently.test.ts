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

it('is asked for under another address once a browser holds it for failed', async () => {
  const failed = () =>
    new TypeError('Failed to fetch dynamically imported module: http://bench:4/assets/a-1.js');
  const load = vi.fn<() => Promise<string>>().mockImplementation(() => Promise.reject(failed()));
  const asked: string[] = [];
  const open = (address: string) => {
    asked.push(address);
    return asked.length < 2
      ? Promise.reject(new TypeError(`Failed to fetch: ${address}`))
      : Promise.resolve('there');
  };
  await expect(patiently(load, [0, 0], open)).resolves.toBe('there');
  expect(asked).toEqual(['http://bench:4/assets/a-1.js?again=1', 'http://bench:4/assets/a-1.js?again=2']);
  expect(load).toHaveBeenCalledTimes(1);
  asked.length = 0;
  await expect(untilItComes(load, 0, open)).resolves.toBe('there');
  expect(load).toHaveBeenCalledTimes(2);
});
