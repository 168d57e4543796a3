import type { Work } from '@which-way/contract';
import type { Served } from './served.js';

/** Waits for long work to come to an end, or to wait for a person. */
export async function workEnded(served: Served, id: string): Promise<Work> {
  for (;;) {
    const work: Work = (await served.call('GET', `/api/works/${id}`)).body;
    if (work.state !== 'running' && work.state !== 'waiting') return work;
    await new Promise((resolve) => setTimeout(resolve, 15));
  }
}

/** Sends a file to be looked through, and waits until it was. */
export async function lookedThrough(served: Served, body: Buffer | string): Promise<Work> {
  const response = await fetch(`${served.base}/api/imports?name=test`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: typeof body === 'string' ? body : new Uint8Array(body),
  });
  return workEnded(served, ((await response.json()) as Work).id);
}
