import type { UnreadableEvent } from '@which-way/contract';
import { readEvent } from '@which-way/core/formats';
import { type JobEvent } from '@which-way/core/log';
import { inWords } from '../errors/refusal.js';
import { sealOf, type Sealed } from '../database/seal.js';
import { STORED_EVENT_TEXT } from '@which-way/words/server/backroom/stored-event';

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
    const read = readRow(row);
    if ('what' in read) events.push(read);
    else unreadable.push(read);
  }
  return { events, unreadable };
}

/** A time as people write it, to the minute, in UTC as it is stored. */
const when = (at: string): string => at.slice(0, 16).replace('T', ' ');

function readRow(row: StoredEvent): JobEvent | UnreadableEvent {
  const { id, at, schema } = row;
  const damaged = (how: string): UnreadableEvent => ({
    id,
    at,
    code: 'damaged',
    message: STORED_EVENT_TEXT.anEventOfIsDamaged(when(at), how),
  });
  if (row.seal !== null && row.seal !== sealOf(row)) return damaged(STORED_EVENT_TEXT.itIsNotAsIt);
  let what: unknown;
  try {
    what = JSON.parse(row.what);
  } catch {
    return damaged(STORED_EVENT_TEXT.itsContentsAreNoJson);
  }
  const { device, sequence, clock } = row;
  const read = readEvent({ id, device, sequence, clock, at, schema, what });
  if (read.ok) return read.event;
  const [problem] = read.problems;
  if (problem?.code === 'event-too-new' || problem?.code === 'kind-not-known')
    return {
      id,
      at,
      code: problem.code,
      message: STORED_EVENT_TEXT.anEventOfWasWritten(when(at), inWords(problem).message),
    };
  return damaged(STORED_EVENT_TEXT.doesNotFit(problem?.path || 'its contents'));
}
