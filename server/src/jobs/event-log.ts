import { Injectable } from '@nestjs/common';
import type { ApiError, PostedEvents } from '@which-way/contract';
import { checkChange, type Problem } from '@which-way/core/switch';
import {
  lastChange,
  readLog,
  structureOf,
  type Deed,
  type DeedKind,
  type JobEvent,
} from '@which-way/core/log';
import { CLOCK_LEAP } from '@which-way/core/schema';
import type { EntityManager } from 'typeorm';
import { sealOf } from '../database/seal.js';
import { inWords, told } from '../errors/refusal.js';
import { readStored, type StoredEvent } from '../backroom/stored-event.js';

/** What became of a run of events; `cursor` is the row of the job's last event now. */
export type Appended = Pick<PostedEvents, 'stored' | 'refused'> & { added: number; cursor: number };

const STRUCTURAL: ReadonlySet<DeedKind> = new Set(['restructured', 'withdrawn', 'restored']);

/** Whether the change of a structure is checked against the one there is: files bring whole histories, and are not. */
export type Trust = 'page' | 'import';

/** How far a job's log is. */
export interface Standing {
  cursor: number;
  clock: number;
}

export interface AppendOptions {
  trust?: Trust;
  /** How far the log is, where the caller has just read it. */
  known?: Standing;
  /** What the job says of when it went on; absent: as it was. */
  updated?: string;
}

async function standingOf(manager: EntityManager, job: string): Promise<Standing> {
  const [row] = (await manager.query('SELECT cursor, clock FROM job WHERE id = ?', [job])) as Standing[];
  return row ?? { cursor: 0, clock: 0 };
}

/** The stored logs: append, nothing else. Runs inside a transaction that the caller opened, in a fixed number of statements. */
@Injectable()
export class EventLog {
  /**
   * Appends well-formed events in the order given. An event that is there already counts as stored. Answers are never refused
   * for being late; a change of the structure that was made on an older structure is.
   */
  async append(
    manager: EntityManager,
    jobId: string,
    events: readonly JobEvent[],
    { trust = 'page', known, updated }: AppendOptions = {},
  ): Promise<Appended> {
    const job = known ?? (await standingOf(manager, jobId));
    const there = await this.#there(manager, jobId, events);
    const structural = events.some(({ what }) => STRUCTURAL.has(what.kind));
    const changes = structural && trust === 'page' ? await this.#structuralEvents(manager, jobId) : [];
    const done: Appended = { stored: [], refused: [], added: 0, cursor: job.cursor };
    const rows: StoredEvent[] = [];
    let { clock } = job;
    for (const event of events) {
      const row = toRow(jobId, event);
      const clash = there.clash(row);
      if (clash === 'same') {
        done.stored.push(event.id);
        continue;
      }
      const error =
        clash ?? inTold(farAhead(event, clock)) ?? (trust === 'page' ? staleness(changes, event) : null);
      if (error) {
        done.refused.push({ id: event.id, error });
        continue;
      }
      there.add(row);
      rows.push(row);
      clock = Math.max(clock, event.clock);
      if (STRUCTURAL.has(event.what.kind)) changes.push(event);
      done.stored.push(event.id);
    }
    if (rows.length > 0) {
      done.cursor = await insertRows(manager, rows);
      done.added = rows.length;
      await manager.query(
        'UPDATE job SET cursor = ?, clock = ?, updated = coalesce(?, updated) WHERE id = ?',
        [done.cursor, clock, updated ?? null, jobId],
      );
    }
    return done;
  }

  async #structuralEvents(manager: EntityManager, jobId: string): Promise<JobEvent[]> {
    const rows = (await manager.query(
      `SELECT * FROM job_event WHERE job_id = ? AND kind IN ('restructured', 'withdrawn', 'restored') ORDER BY row`,
      [jobId],
    )) as StoredEvent[];
    return readStored(rows).events;
  }

  /** The stored events that these may clash with: by their ids, and by the numbers of their devices. */
  async #there(manager: EntityManager, jobId: string, events: readonly JobEvent[]): Promise<Stored> {
    const byId = (await manager.query(
      'SELECT * FROM job_event WHERE id IN (SELECT value FROM json_each(?))',
      [JSON.stringify(events.map(({ id }) => id))],
    )) as StoredEvent[];
    const byNumber = (await manager.query(
      `SELECT * FROM job_event WHERE job_id = ?1 AND (device, sequence) IN
        (SELECT json_extract(value, '$[0]'), json_extract(value, '$[1]') FROM json_each(?2))`,
      [jobId, JSON.stringify(events.map(({ device, sequence }) => [device, sequence]))],
    )) as StoredEvent[];
    return new Stored([...byId, ...byNumber]);
  }
}

/** Events that are stored, to look for clashes in. */
class Stored {
  readonly #byId = new Map<string, StoredEvent>();
  readonly #byNumber = new Map<string, StoredEvent>();

  constructor(rows: readonly StoredEvent[]) {
    for (const row of rows) this.add(row);
  }

  add(row: StoredEvent): void {
    this.#byId.set(row.id, row);
    this.#byNumber.set(`${row.job_id} ${row.device} ${row.sequence}`, row);
  }

  clash(row: StoredEvent): ApiError | 'same' | null {
    const same = this.#byId.get(row.id);
    if (same) return same.seal !== null && same.seal === row.seal ? 'same' : differs(same, row);
    if (!this.#byNumber.has(`${row.job_id} ${row.device} ${row.sequence}`)) return null;
    return told('sequence-taken', { sequence: row.sequence }, 'sequence');
  }
}

function differs(stored: StoredEvent, sent: StoredEvent): ApiError | 'same' {
  // What is stored may be of an older version of its kind; what was sent is of today's.
  const plain = (row: StoredEvent) => JSON.stringify([row.job_id, readStored([row]).events[0] ?? row]);
  if (plain(stored) === plain(sent)) return 'same';
  return told('event-differs', {}, 'id');
}

const inTold = (problem: Problem | null): ApiError | null => problem && inWords(problem);

/**
 * What is wrong with the numbers of an event: a clock far beyond all that the job has seen is a fault, and would leave no room for
 * those after it; and no device has written more events than its clock has ticked.
 * @param seen the highest clock of the job before it.
 */
export function farAhead({ clock, sequence }: JobEvent, seen: number): Problem | null {
  if (clock > seen + CLOCK_LEAP) return { code: 'clock-too-far', path: 'clock', params: { clock, seen } };
  if (sequence > clock + CLOCK_LEAP)
    return { code: 'sequence-too-far', path: 'sequence', params: { sequence, clock } };
  return null;
}

function staleness(known: readonly JobEvent[], { what }: JobEvent): ApiError | null {
  const target = what.kind === 'withdrawn' || what.kind === 'restored' ? what.target : null;
  const structural =
    what.kind === 'restructured' ||
    known.some(({ id, what: { kind } }) => id === target && kind === 'restructured');
  if (!structural) return null;
  if (!('basedOn' in what) || what.basedOn !== lastChange(known))
    return told('stale-structure', {}, 'what.basedOn');
  if (what.kind !== 'restructured') return null;
  const problem = checkChange(structureOf(readLog(known)), what.change)[0];
  return problem ? inWords({ ...problem, path: `what.${problem.path}` }) : null;
}

function toRow(jobId: string, event: JobEvent): StoredEvent {
  const { id, device, sequence, clock, at, schema, what } = event;
  const row = { id, job_id: jobId, device, sequence, clock, at, schema, what: JSON.stringify(what) };
  return { ...row, row: 0, seal: sealOf(row) };
}

const COLUMNS = ['id', 'job_id', 'device', 'sequence', 'clock', 'at', 'schema', 'kind', 'what', 'seal'];
/** SQLite takes 32,766 values at most in one statement. */
const MOST_ROWS = 3000;

/** Inserts rows in order; the number of the last one. */
async function insertRows(manager: EntityManager, rows: readonly StoredEvent[]): Promise<number> {
  let last = 0;
  for (let from = 0; from < rows.length; from += MOST_ROWS) {
    const some = rows.slice(from, from + MOST_ROWS);
    const marks = some.map(() => `(${COLUMNS.map(() => '?').join(', ')})`).join(', ');
    const inserted = (await manager.query(
      `INSERT INTO job_event (${COLUMNS.join(', ')}) VALUES ${marks} RETURNING row`,
      some.flatMap(({ id, job_id, device, sequence, clock, at, schema, what, seal }) => [
        id,
        job_id,
        device,
        sequence,
        clock,
        at,
        schema,
        (JSON.parse(what) as Deed).kind,
        what,
        seal,
      ]),
    )) as { row: number }[];
    last = inserted.at(-1)?.row ?? last;
  }
  return last;
}
