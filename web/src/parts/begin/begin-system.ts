import { createWriter } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import { api } from '../../api/client.js';
import { newId } from '../../job/new-id.js';

/** Puts a system of several switches on the bench, with these in it; the address of its page. */
export async function beginSystem(title: string, members: readonly JobId[]): Promise<string> {
  const id = newId<JobId>();
  await api.makeJob({ id, title, outOfMachine: true, simulation: null, about: 'system' });
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events = members.map((job) => writer.write([], { kind: 'system-member', job, belongs: true }));
  if (events.length > 0) await api.postEvents(id, { after: 0, events });
  return `/systems/${id}`;
}
