import type { Job } from '@which-way/contract';
import type { JobEvent } from '@which-way/core/log';
import { newId } from '../new-id.js';

/** Saves a job as this page knows it as a file of the program's own, under a new id: it can be taken in as a job of its own. */
export function saveAsFile(
  { title, place, outOfMachine, simulation, created }: Job,
  events: readonly JobEvent[],
): void {
  const job = { id: newId(), title, place, outOfMachine, simulation, created };
  const fresh = freshIds(events);
  const file = { format: 'which-way', version: 1, jobs: [{ ...job, events: fresh }], library: [] };
  const url = URL.createObjectURL(new Blob([JSON.stringify(file)], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = 'which-way-job.json';
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** The same events under new ids of their own, so that they clash with none of a job that is deleted or there. */
function freshIds(events: readonly JobEvent[]): JobEvent[] {
  const ids = new Map(events.map(({ id }) => [id as string, newId<string>()]));
  const text = JSON.stringify(events).replace(
    /[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}/g,
    (id) => ids.get(id) ?? id,
  );
  return JSON.parse(text) as JobEvent[];
}
