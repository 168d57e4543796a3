import { afterEach, describe, expect, it, vi } from 'vitest';
import { newId } from '../../job/new-id.js';
import { MemoryOutbox } from '../../testing/stand-in.js';
import { forgetDeleted } from './forget-deleted.js';

afterEach(() => vi.unstubAllGlobals());

const filled = () => {
  const outbox = new MemoryOutbox();
  const ids = [newId(), newId()] as [never, never];
  for (const id of ids) outbox.copied.set(id, { job: { id } as never, cursor: 1, events: [] });
  return { outbox, ids };
};

describe('the copies of jobs in this browser', () => {
  it('go with a job that was deleted elsewhere, and no other', async () => {
    const { outbox, ids } = filled();
    const asked: unknown[] = [];
    vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
      asked.push([path, JSON.parse(String(init.body))]);
      return Response.json({ gone: [ids[0]] });
    });
    await forgetDeleted(outbox);
    expect(asked).toEqual([['/api/jobs/gone', { ids }]]);
    expect([...outbox.copied.keys()]).toEqual([ids[1]]);
  });

  it('stay while the server does not answer, and nothing is asked where there are none', async () => {
    const { outbox } = filled();
    const fetched = vi.fn(() => Promise.reject(new TypeError('no connection')));
    vi.stubGlobal('fetch', fetched);
    await expect(forgetDeleted(outbox)).rejects.toThrow();
    expect(outbox.copied.size).toBe(2);
    await forgetDeleted(new MemoryOutbox());
    expect(fetched).toHaveBeenCalledTimes(1);
  });
});
