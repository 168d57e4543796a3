import { Injectable } from '@nestjs/common';
import type { Job, JobChange, NewJob, PostedEvents, PostEvents } from '@which-way/contract';
import { readEvent } from '@which-way/core/formats';
import { EVENT_BYTES } from '@which-way/core/schema';
import type { EventId, PhotoId } from '@which-way/core/switch';
import { type JobEvent } from '@which-way/core/log';
import type { EntityManager } from 'typeorm';
import { Backroom } from '../backroom/backroom.js';
import { ANY_ID } from '../backroom/any-id.js';
import { readStored, type StoredEvent } from '../backroom/stored-event.js';
import { toJob } from '../backroom/reading-room.js';
import { Acknowledged } from '../database/acknowledged.js';
import { JobRow } from '../database/job.entity.js';
import { TombstoneRow } from '../database/tombstone.entity.js';
import { Writer } from '../database/writer.js';
import { inWords, notFound, Refusal, refused } from '../errors/refusal.js';
import { Live } from '../live/live.js';
import { PhotoStore } from '../photos/photo-store.js';
import { Summaries } from './summaries.js';
import { Tidying } from './tidying.js';
import { EventLog, type Standing } from './event-log.js';
import { insertJob } from './insert-job.js';

/** Jobs and their logs. */
@Injectable()
export class JobsService {
  constructor(
    private readonly writer: Writer,
    private readonly log: EventLog,
    private readonly backroom: Backroom,
    private readonly live: Live,
    private readonly acknowledged: Acknowledged,
    private readonly summaries: Summaries,
    private readonly photos: PhotoStore,
    private readonly tidying: Tidying,
  ) {}

  /** The list as JSON: from stored summaries, old ones marked and worked out anew beside. */
  async list(search = '', archived = false): Promise<string> {
    const { json, fresh, stale } = await this.backroom.read((desk) => desk.bench(search, archived));
    this.summaries.keep(fresh);
    this.summaries.redo(stale);
    return json;
  }

  /** A job with its log, as JSON. */
  async open(id: string, after = 0): Promise<string> {
    const found = await this.backroom.read((desk) => desk.job(id, after));
    if (found.json !== null) return found.json;
    throw found.gone === null ? notFound('job', id) : deleted(found.gone);
  }

  async exportJob(id: string): Promise<string> {
    const file = await this.backroom.read((desk) => desk.exportJob(id));
    if (file === null) throw notFound('job', id);
    return file;
  }

  /** Makes a job. Sending the same one twice makes one. */
  async create(fresh: NewJob): Promise<Job> {
    const job = await this.writer.write(async (manager) => {
      const there = await manager.findOneBy(JobRow, { id: fresh.id });
      if (there?.import) throw beingTakenIn();
      if (there) return jobOf(there);
      const tomb = await manager.findOneBy(TombstoneRow, { jobId: fresh.id });
      if (tomb) throw deleted(tomb.deleted);
      return jobOf(await insertJob(manager, { ...fresh, created: new Date().toISOString() }));
    });
    this.live.bench();
    return job;
  }

  async change(id: string, { version, ...fields }: JobChange): Promise<Job> {
    const job = await this.writer.write(async (manager) => {
      const row = await this.#row(manager, id);
      if (row.version !== version) {
        throw refused(409, 'stale-job', {}, 'version');
      }
      const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
      const changed = { ...row, ...given, version: version + 1, updated: new Date().toISOString() };
      await manager.update(JobRow, { id }, changed);
      return jobOf(changed);
    });
    this.live.job(id);
    return job;
  }

  /**
   * Appends to a job's log; each event is looked at by itself, so that a bad one spoils no other. The answer is given when it is
   * on the disk.
   */
  async post(id: string, { after, events }: PostEvents): Promise<PostedEvents> {
    const { sound, refused } = sort(events);
    const posted = await this.writer.write(async (manager) => {
      const known = await this.#standing(manager, id);
      const done = await this.log.append(manager, id, sound, { known, updated: now() });
      const rows = (await manager.query('SELECT * FROM job_event WHERE job_id = ? AND row > ? ORDER BY row', [
        id,
        after,
      ])) as StoredEvent[];
      return { done, events: readStored(rows).events, cursor: rows.at(-1)?.row ?? after };
    });
    const { done } = posted;
    this.acknowledged.advance(done.cursor);
    if (done.added > 0) {
      this.live.job(id);
      this.summaries.redo([id]);
    }
    return {
      stored: done.stored,
      refused: [...refused, ...done.refused],
      photosWanted: await this.#wanted(sound, new Set(done.stored)),
      events: posted.events,
      cursor: posted.cursor,
    };
  }

  /** Photos that stored events speak of and that are not here. */
  async #wanted(events: readonly JobEvent[], stored: ReadonlySet<EventId>): Promise<PhotoId[]> {
    const wanted: PhotoId[] = [];
    for (const { id, what } of events)
      if (what.kind === 'photo-taken' && !what.photo.removed && stored.has(id))
        if (!(await this.photos.has(what.photo.id))) wanted.push(what.photo.id);
    return wanted;
  }

  /** Of these jobs the ones that were deleted: a browser that still has a copy forgets it. */
  deletedOf(ids: string[]): Promise<string[]> {
    return this.backroom.read((desk) => desk.deletedOf(ids));
  }

  /** Deletes a job with its log, and leaves a tombstone. What is asked beforehand is asked by whoever calls. */
  async remove(id: string): Promise<void> {
    const photos = await this.writer.write(async (manager) => {
      const { number } = await this.#row(manager, id);
      const rows = (await manager.query('SELECT what FROM job_event WHERE job_id = ?', [id])) as {
        what: string;
      }[];
      await manager.insert(TombstoneRow, { jobId: id, number, deleted: now() });
      await manager.query('DELETE FROM job_event WHERE job_id = ?', [id]);
      await manager.query('DELETE FROM job WHERE id = ?', [id]);
      return [...new Set(rows.flatMap(({ what }) => what.match(ANY_ID) ?? []))] as PhotoId[];
    });
    this.live.job(id, true);
    await this.tidying.afterDeletion(photos);
  }

  /** How far the log of a job is that can be written to; asked for each measurement, so by one plain statement. */
  async #standing(manager: EntityManager, id: string): Promise<Standing> {
    const [row] = (await manager.query('SELECT cursor, clock FROM job WHERE id = ? AND import IS NULL', [
      id,
    ])) as Standing[];
    return row ?? (await this.#row(manager, id));
  }

  async #row(manager: EntityManager, id: string): Promise<JobRow> {
    const row = await manager.findOneBy(JobRow, { id });
    if (row?.import) throw beingTakenIn();
    if (row) return row;
    const tomb = await manager.findOneBy(TombstoneRow, { jobId: id });
    throw tomb ? deleted(tomb.deleted) : notFound('job', id);
  }
}

const now = (): string => new Date().toISOString();

/** Tells the events that can be looked at further from those that are refused at the door. */
function sort(events: readonly unknown[]): { sound: JobEvent[]; refused: PostedEvents['refused'] } {
  const sound: JobEvent[] = [];
  const refused: PostedEvents['refused'] = [];
  for (const event of events) {
    const read = readEvent(event);
    if (read.ok && JSON.stringify(event).length <= EVENT_BYTES) {
      sound.push(read.event);
      continue;
    }
    const [problem] = read.ok ? [] : read.problems;
    const id = typeof event === 'object' && event !== null && 'id' in event ? String(event.id) : '';
    refused.push({ id: id as EventId, error: problem ? inWords(problem) : tooLarge() });
  }
  return { sound, refused };
}

const tooLarge = () => inWords({ code: 'event-too-large', path: '', params: { most: EVENT_BYTES / 1024 } });

const deleted = (when: string): Refusal => refused(410, 'job-deleted', { when });

const beingTakenIn = (): Refusal => refused(409, 'being-taken-in');

/** A row of the ORM as the job that travels. */
function jobOf(row: JobRow): Job {
  return toJob({
    ...row,
    id: row.id,
    out_of_machine: row.outOfMachine ? 1 : 0,
    archived: row.archived ? 1 : 0,
  });
}
