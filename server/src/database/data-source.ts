import Database from 'libsql';
import type { DataSourceOptions } from 'typeorm';
import { First1767600000000 } from './first.migration.js';
import { JobEventRow } from './job-event.entity.js';
import { JobRow } from './job.entity.js';
import { LibraryEntryRow } from './library-entry.entity.js';

export const ENTITIES = [JobRow, JobEventRow, LibraryEntryRow];

/**
 * SQLite through libsql. WAL with synchronous=FULL: what is acknowledged is on the disk.
 * Migrations run at start; the schema is never synchronised from the classes.
 */
export function dataSourceOptions(database: string): DataSourceOptions {
  return {
    type: 'better-sqlite3',
    driver: Database,
    database,
    entities: ENTITIES,
    migrations: [First1767600000000],
    migrationsRun: true,
    synchronize: false,
    prepareDatabase: (opened: Database.Database) => {
      opened.pragma('journal_mode = WAL');
      opened.pragma('synchronous = FULL');
      opened.pragma('foreign_keys = ON');
      opened.pragma('busy_timeout = 2000');
    },
  };
}
