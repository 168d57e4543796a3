import type { JobAbout } from '@which-way/core/log';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import type { EntityManager } from 'typeorm';
import { JobRow } from '../database/job.entity.js';

/** What a new job begins with. */
export interface FreshJob {
  id: string;
  title: string;
  place?: string;
  outOfMachine: boolean;
  simulation?: SimulatedSwitch | null;
  created: string;
  about?: JobAbout;
  /** The import that brings it in. */
  import?: string;
}

/** Inserts a job with the next free number, which no job has had before; within the caller's transaction. */
export async function insertJob(manager: EntityManager, fresh: FreshJob): Promise<JobRow> {
  const [{ highest }] = (await manager.query(
    `SELECT max(coalesce((SELECT max(number) FROM job), 0), coalesce((SELECT max(number) FROM tombstone), 0)) AS highest`,
  )) as [{ highest: number }];
  const row: JobRow = {
    id: fresh.id,
    number: highest + 1,
    title: fresh.title.trim() || fresh.title,
    place: fresh.place ?? '',
    outOfMachine: fresh.outOfMachine,
    simulation: fresh.simulation ? JSON.stringify(fresh.simulation) : null,
    created: fresh.created,
    updated: fresh.created,
    version: 1,
    archived: false,
    about: fresh.about ?? 'switch',
    cursor: 0,
    clock: 0,
    import: fresh.import ?? null,
  };
  await manager.insert(JobRow, row);
  return row;
}
