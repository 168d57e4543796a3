import type { UnreadableEvent } from '@which-way/contract';
import { deedProblems } from '@which-way/core/formats';
import { EVENT_SCHEMA, type JobEvent } from '@which-way/core/switch';
import { sealOf, type Sealed } from '../database/seal.js';

/** An event as it lies in the database. */
export interface StoredEvent extends Sealed {
  row: number;
  seal: number | null;
}

/** What can be read of a run of stored events, and what cannot, each by itself. */
export function readStored(rows: readonly StoredEvent[]): {
  events: JobEvent[];
  unreadable: UnreadableEvent[];
} {
  const events: JobEvent[] = [];
  const unreadable: UnreadableEvent[] = [];
  for (const row of rows) {
    const read = readEvent(row);
    if ('what' in read) events.push(read);
    else unreadable.push(read);
  }
  return { events, unreadable };
}

/** A time as people write it, to the minute, in UTC as it is stored. */
const when = (at: string): string => at.slice(0, 16).replace('T', ' ');

function readEvent(row: StoredEvent): JobEvent | UnreadableEvent {
  const { id, at, schema } = row;
  const damaged = (how: string): UnreadableEvent => ({
    id,
    at,
    code: 'damaged',
    message: `An event of ${when(at)} is damaged: ${how}.`,
  });
  if (row.seal !== null && row.seal !== sealOf(row)) return damaged('it is not as it was stored');
  if (schema > EVENT_SCHEMA)
    return {
      id,
      at,
      code: 'event-too-new',
      message: `An event of ${when(at)} was written by a newer Which Way (its version is ${schema}, this one reads up to ${EVENT_SCHEMA}).`,
    };
  let what: unknown;
  try {
    what = JSON.parse(row.what);
  } catch {
    return damaged('its contents are no JSON');
  }
  const [problem] = deedProblems(what);
  if (problem) return damaged(`${problem.path || 'its contents'} does not fit`);
  const { device, sequence, clock } = row;
  return { id, device, sequence, clock, at, schema, what } as JobEvent;
}
