import { Injectable } from '@nestjs/common';
import type { ApiError, PostedEvents } from '@which-way/contract';
import {
  checkChange,
  readLog,
  structureOf,
  structureRevision,
  type Deed,
  type EventId,
  type JobEvent,
} from '@which-way/core/switch';
import { MoreThan, type EntityManager } from 'typeorm';
import { JobEventRow } from '../database/job-event.entity.js';
import { inWords } from '../errors/refusal.js';

/** What became of a run of events. */
export type Appended = Pick<PostedEvents, 'stored' | 'refused'> & { added: number };

const STRUCTURAL: ReadonlySet<Deed['kind']> = new Set(['restructured', 'withdrawn', 'restored']);

/** The stored logs: append and read, nothing else. Runs inside a transaction that the caller opened. */
@Injectable()
export class EventLog {
  /**
   * Appends events in the order given. An event that is there already counts as stored. Answers are never refused
   * for being late; a change of the structure that was made on an older structure is.
   */
  async append(
    manager: EntityManager,
    jobId: string,
    events: readonly JobEvent[],
    trusted = false,
  ): Promise<Appended> {
    const known = await this.#structuralEvents(manager, jobId);
    const done: Appended = { stored: [], refused: [], added: 0 };
    for (const event of events) {
      const clash = await this.#clash(manager, jobId, event);
      if (clash === 'same') {
        done.stored.push(event.id);
        continue;
      }
      const error = clash ?? (trusted ? null : staleness(known, event));
      if (error) {
        done.refused.push({ id: event.id, error });
        continue;
      }
      await manager.insert(JobEventRow, toRow(jobId, event));
      if (STRUCTURAL.has(event.what.kind)) known.push(event);
      done.stored.push(event.id);
      done.added += 1;
    }
    return done;
  }

  /** Events after a cursor, in order of arrival, with the new cursor. */
  async read(
    manager: EntityManager,
    jobId: string,
    after = 0,
  ): Promise<{ events: JobEvent[]; cursor: number }> {
    const rows = await manager.find(JobEventRow, {
      where: { jobId, row: MoreThan(after) },
      order: { row: 'ASC' },
    });
    return { events: rows.map(fromRow), cursor: rows.at(-1)?.row ?? after };
  }

  async #structuralEvents(manager: EntityManager, jobId: string): Promise<JobEvent[]> {
    const rows = await manager.find(JobEventRow, {
      where: [...STRUCTURAL].map((kind) => ({ jobId, kind })),
      order: { row: 'ASC' },
    });
    return rows.map(fromRow);
  }

  async #clash(manager: EntityManager, jobId: string, event: JobEvent): Promise<ApiError | 'same' | null> {
    const byId = await manager.findOneBy(JobEventRow, { id: event.id });
    if (byId) {
      const same = byId.jobId === jobId && JSON.stringify(fromRow(byId)) === JSON.stringify(plain(event));
      return same
        ? 'same'
        : {
            code: 'event-differs',
            message: 'An event with this id is stored with other contents.',
            path: 'id',
            hint: 'The log is append-only: send a correction as a new event (withdrawn, or superseded).',
          };
    }
    const { device, sequence } = event;
    if (!(await manager.findOneBy(JobEventRow, { jobId, device, sequence }))) return null;
    return {
      code: 'sequence-taken',
      message: `Event ${sequence} of this device is stored already, with another id.`,
      path: 'sequence',
      hint: 'Each device counts its events of a job from 1, without using a number twice.',
    };
  }
}

function staleness(known: readonly JobEvent[], { what }: JobEvent): ApiError | null {
  const target = what.kind === 'withdrawn' || what.kind === 'restored' ? what.target : null;
  const structural =
    what.kind === 'restructured' ||
    known.some(({ id, what: { kind } }) => id === target && kind === 'restructured');
  if (!structural) return null;
  const revision = structureRevision(known);
  const basedOn = 'basedOn' in what ? what.basedOn : null;
  if (basedOn !== revision) {
    return {
      code: 'stale-structure',
      message: `The switch was changed meanwhile (revision ${revision}, this change was made on ${basedOn ?? 'none'}).`,
      path: 'what.basedOn',
      hint: 'Look at the switch as it is now and make the change again if it is still wanted.',
    };
  }
  if (what.kind !== 'restructured') return null;
  const problem = checkChange(structureOf(readLog(known)), what.change)[0];
  return problem ? inWords({ ...problem, path: `what.${problem.path}` }) : null;
}

function toRow(jobId: string, event: JobEvent): Omit<JobEventRow, 'row'> {
  const { id, device, sequence, clock, at, schema, what } = event;
  return { id, jobId, device, sequence, clock, at, schema, kind: what.kind, what: JSON.stringify(what) };
}

/** Rows were checked when they were stored. */
function fromRow(row: JobEventRow): JobEvent {
  const { device, sequence, clock, at, schema } = row;
  return {
    id: row.id as EventId,
    device: device as JobEvent['device'],
    sequence,
    clock,
    at,
    schema,
    what: JSON.parse(row.what) as Deed,
  };
}

function plain({ id, device, sequence, clock, at, schema, what }: JobEvent): JobEvent {
  return { id, device, sequence, clock, at, schema, what };
}
