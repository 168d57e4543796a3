import type { Job } from '@which-way/contract';
import type { JobEvent } from '@which-way/core/log';
import { saveText } from '../../controls/files/save-text.js';
import { newId } from '../new-id.js';

/** Saves a job as this page knows it as a file of the program's own, under a new id: it can be taken in as a job of its own. */
export function saveAsFile(
  { title, place, outOfMachine, simulation, created, about }: Job,
  events: readonly JobEvent[],
): void {
  const job = { id: newId(), title, place, outOfMachine, simulation, created };
  const of = about === 'system' ? { about } : {};
  const fresh = freshIds(events);
  const file = { format: 'which-way', version: 1, jobs: [{ ...job, ...of, events: fresh }], library: [] };
  saveText('which-way-job.json', JSON.stringify(file), 'application/json');
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
