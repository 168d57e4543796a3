import { Injectable } from '@nestjs/common';
import type { Imported } from '@which-way/contract';
import { FILE_VERSION, readProjectFile, type JobFile, type ProjectFile } from '@which-way/core/formats';
import { DataSource, type EntityManager } from 'typeorm';
import { JobRow } from '../database/job.entity.js';
import { OneAtATime } from '../database/one-at-a-time.js';
import { refuse, Refusal } from '../errors/refusal.js';
import { EventLog } from '../jobs/event-log.js';
import { JobsService } from '../jobs/jobs.service.js';
import { LibraryService } from '../library/library.service.js';

/** The project's own file, in and out. */
@Injectable()
export class TransferService {
  constructor(
    private readonly source: DataSource,
    private readonly writes: OneAtATime,
    private readonly log: EventLog,
    private readonly jobs: JobsService,
    private readonly library: LibraryService,
  ) {}

  /**
   * Takes in a file, whole or not at all. A job that is there already is joined: events it has stay, new ones are
   * appended. Everything is checked before the one transaction begins.
   */
  import(parsed: unknown): Promise<Imported> {
    const read = readProjectFile(parsed);
    if (!read.ok) throw refuse(422, read.problems);
    return this.writes.write(async (manager) => {
      const done: Imported = {
        jobsAdded: 0,
        jobsMerged: 0,
        eventsAdded: 0,
        entriesAdded: 0,
        entriesChanged: 0,
      };
      for (const entry of read.file.library) {
        const outcome = await this.library.put(manager, entry);
        if (outcome === 'added') done.entriesAdded += 1;
        if (outcome === 'changed') done.entriesChanged += 1;
      }
      for (const [index, job] of read.file.jobs.entries()) await this.#importJob(manager, job, index, done);
      return done;
    });
  }

  async #importJob(manager: EntityManager, job: JobFile, index: number, done: Imported): Promise<void> {
    const there = await manager.findOneBy(JobRow, { id: job.id });
    if (!there) await this.jobs.insert(manager, job);
    const { refused, added } = await this.log.append(manager, job.id, job.events, true);
    const [first] = refused;
    if (first) {
      const at = job.events.findIndex(({ id }) => id === first.id);
      const path = `jobs.${index}.events.${at}.${first.error.path}`;
      throw new Refusal(409, { ...first.error, path, message: `${path}: ${first.error.message}` });
    }
    const updated = job.events.at(-1)?.at ?? job.created;
    if (added > 0)
      await manager.update(JobRow, job.id, { updated: there ? new Date().toISOString() : updated });
    done.eventsAdded += added;
    if (there) done.jobsMerged += 1;
    else done.jobsAdded += 1;
  }

  /** One job as a file of its own. */
  async exportJob(id: string): Promise<ProjectFile> {
    return this.#file([await this.#jobFile(id)], false);
  }

  /** Everything: all jobs and the library. */
  async exportAll(): Promise<ProjectFile> {
    const rows = await this.source.manager.find(JobRow, { order: { number: 'ASC' } });
    const jobs: JobFile[] = [];
    for (const { id } of rows) jobs.push(await this.#jobFile(id));
    return this.#file(jobs, true);
  }

  async #file(jobs: JobFile[], withLibrary: boolean): Promise<ProjectFile> {
    return {
      format: 'which-way',
      version: FILE_VERSION,
      jobs,
      library: withLibrary ? await this.library.list() : [],
    };
  }

  async #jobFile(id: string): Promise<JobFile> {
    const { job, events } = await this.jobs.open(id);
    const { title, place, outOfMachine, simulation, created } = job;
    return { id: job.id, title, place, outOfMachine, simulation, created, events };
  }
}
