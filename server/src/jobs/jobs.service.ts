import { Injectable } from '@nestjs/common';
import type { Job, JobSummary, JobWithEvents, PostedEvents } from '@which-way/contract';
import { createMapper, type Mapper } from '@which-way/core/continuity';
import { routeOf } from '@which-way/core/route';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import { markingsOf, notesOf, positionsOf, sistersOf, type JobId, type Log } from '@which-way/core/switch';
import { DataSource, type EntityManager } from 'typeorm';
import { JobRow } from '../database/job.entity.js';
import { OneAtATime } from '../database/one-at-a-time.js';
import { notFound, Refusal } from '../errors/refusal.js';
import { EventLog } from './event-log.js';
import type { JobChangeDto, NewJobDto, PostEventsDto } from './dto.js';

/** Jobs and their logs. */
@Injectable()
export class JobsService {
  /** What was derived for the list, by job, as long as the job does not change. */
  readonly #summaries = new Map<
    string,
    { updated: string; version: number; cursor: number; summary: JobSummary; text: string }
  >();

  constructor(
    private readonly source: DataSource,
    private readonly writes: OneAtATime,
    private readonly log: EventLog,
  ) {}

  async list(search = ''): Promise<JobSummary[]> {
    const rows = await this.source.manager.find(JobRow, { order: { number: 'DESC' } });
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const known = await Promise.all(rows.map((row) => this.#summary(row)));
    return known
      .filter(({ text }) => words.every((word) => text.includes(word)))
      .map(({ summary }) => summary);
  }

  async #summary(row: JobRow): Promise<{ summary: JobSummary; text: string }> {
    const remembered = this.#summaries.get(row.id);
    if (remembered && remembered.updated === row.updated && remembered.version === row.version) {
      return remembered;
    }
    const { events, cursor } = await this.log.read(this.source.manager, row.id);
    const map = freshMapper()(events);
    const job = toJob(row);
    const route = routeOf(job, map);
    const about = route.next.code === 'touches-left' ? route.next.setting : null;
    const setting = map.structure.settings.find(({ id }) => id === about);
    const settingName = setting
      ? positionsOf(map.structure, setting)
          .map(({ name }) => name)
          .filter(Boolean)
          .join(', ') || null
      : null;
    const summary = { ...job, route, settingName };
    const text = searchText(summary, map.log);
    this.#summaries.set(row.id, { updated: row.updated, version: row.version, cursor, summary, text });
    return { summary, text };
  }

  async open(id: string, after = 0): Promise<JobWithEvents> {
    const row = await this.#row(this.source.manager, id);
    return { job: toJob(row), ...(await this.log.read(this.source.manager, id, after)) };
  }

  /** Makes a job. Sending the same one twice makes one. */
  create(fresh: NewJobDto): Promise<Job> {
    return this.writes.write(async (manager) => {
      const there = await manager.findOneBy(JobRow, { id: fresh.id });
      if (there) return toJob(there);
      return toJob(await this.insert(manager, { ...fresh, created: new Date().toISOString() }));
    });
  }

  /** Inserts a job with the next free number; within the caller's transaction. */
  async insert(
    manager: EntityManager,
    fresh: {
      id: string;
      title: string;
      place?: string;
      outOfMachine: boolean;
      simulation?: SimulatedSwitch | null;
      created: string;
    },
  ): Promise<JobRow> {
    const highest = await manager.maximum(JobRow, 'number');
    const row: JobRow = {
      id: fresh.id,
      number: (highest ?? 0) + 1,
      title: fresh.title.trim(),
      place: fresh.place ?? '',
      outOfMachine: fresh.outOfMachine,
      simulation: fresh.simulation ? JSON.stringify(fresh.simulation) : null,
      created: fresh.created,
      updated: fresh.created,
      version: 1,
    };
    await manager.insert(JobRow, row);
    return row;
  }

  change(id: string, { version, ...fields }: JobChangeDto): Promise<Job> {
    return this.writes.write(async (manager) => {
      const row = await this.#row(manager, id);
      if (row.version !== version) {
        throw new Refusal(409, {
          code: 'stale-job',
          message: 'The job was changed meanwhile, in another tab perhaps.',
          path: 'version',
          hint: 'Look at the job as it is now and make the change again.',
        });
      }
      const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
      const changed = { ...row, ...given, version: version + 1, updated: new Date().toISOString() };
      await manager.save(JobRow, changed);
      return toJob(changed);
    });
  }

  /** Appends to a job's log. The answer is given when it is on the disk. */
  post(id: string, { after, events }: PostEventsDto): Promise<PostedEvents> {
    return this.writes.write(async (manager) => {
      const row = await this.#row(manager, id);
      const { stored, refused, added } = await this.log.append(manager, id, events);
      if (added > 0) await manager.update(JobRow, row.id, { updated: new Date().toISOString() });
      return { stored, refused, ...(await this.log.read(manager, id, after)) };
    });
  }

  async #row(manager: EntityManager, id: string): Promise<JobRow> {
    const row = await manager.findOneBy(JobRow, { id });
    if (!row) throw notFound('job', id);
    return row;
  }
}

/** What a job is found by: its number, names, what was written down of it, and its markings. */
function searchText({ number, title, place, settingName }: JobSummary, log: Log): string {
  const markings = markingsOf(log).map(({ runs }) => runs.map(({ text }) => text).join(''));
  const written = [...notesOf(log).values(), ...markings, ...sistersOf(log).map(({ text }) => text)];
  return [number, title, place, settingName ?? '', ...written].join(' ').toLowerCase();
}

const freshMapper = (): Mapper => createMapper();

/** A row as the job that travels. Simulations were checked when they were stored. */
export function toJob(row: JobRow): Job {
  return {
    id: row.id as JobId,
    number: row.number,
    title: row.title,
    place: row.place,
    outOfMachine: Boolean(row.outOfMachine),
    simulation: row.simulation === null ? null : (JSON.parse(row.simulation) as SimulatedSwitch),
    created: row.created,
    updated: row.updated,
    version: row.version,
  };
}
