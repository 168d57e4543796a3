import { createWriter, lastChange, type Deed, type JobEvent } from '@which-way/core/log';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import type { Served } from './served.js';

/** Puts a job with these events on the server, as a stated half-way state, and says where it is. */
export async function seedJob(
  served: Served,
  title: string,
  deedsOf: (newId: ReturnType<typeof newIdFrom>) => readonly Deed[],
): Promise<string> {
  const newId = newIdFrom(seededRandom(Date.now() % 2 ** 31));
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events: JobEvent[] = [];
  // Each change of the switch is made on the one before it.
  for (const what of deedsOf(newId))
    events.push(
      writer.write(events, what.kind === 'restructured' ? { ...what, basedOn: lastChange(events) } : what),
    );
  const id = newId<never>();
  const post = async (path: string, body: unknown) => {
    const response = await fetch(served.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
    return (await response.json()) as { refused?: unknown[] };
  };
  await post('/api/jobs', { id, title, outOfMachine: true, simulation: null });
  const { refused = [] } = await post(`/api/jobs/${String(id)}/events`, { after: 0, events });
  if (refused.length > 0) throw new Error(JSON.stringify(refused));
  return `/jobs/${String(id)}/map`;
}
