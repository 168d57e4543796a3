import Database from 'libsql';
import { chmodSync } from 'node:fs';
import type { DataSourceOptions } from 'typeorm';
import { First1767600000000 } from './first.migration.js';
import { Fifth1795996800000 } from './fifth.migration.js';
import { Fourth1795910400000 } from './fourth.migration.js';
import { JobEventRow } from './job-event.entity.js';
import { JobRow } from './job.entity.js';
import { JobSummaryRow } from './job-summary.entity.js';
import { LibraryEntryRow } from './library-entry.entity.js';
import { Second1795737600000 } from './second.migration.js';
import { Sixth1796083200000 } from './sixth.migration.js';
import { Third1795824000000 } from './third.migration.js';
import { TombstoneRow } from './tombstone.entity.js';

const ENTITIES = [JobRow, JobEventRow, JobSummaryRow, LibraryEntryRow, TombstoneRow];
export const MIGRATIONS = [
  First1767600000000,
  Second1795737600000,
  Third1795824000000,
  Fourth1795910400000,
  Fifth1795996800000,
  Sixth1796083200000,
];

/** How a class opens a database file: libsql's, or one made of it that fails on purpose. */
export type DatabaseDriver = new (path: string, options?: Database.Options) => Database.Database;

/**
 * SQLite through libsql. WAL with synchronous=FULL: what is acknowledged is on the disk.
 * Migrations run at start; the schema is never synchronised from the classes.
 */
export function dataSourceOptions(database: string, driver: DatabaseDriver = Database): DataSourceOptions {
  return {
    type: 'better-sqlite3',
    driver,
    database,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    migrationsRun: true,
    synchronize: false,
    prepareDatabase: (opened: Database.Database) => {
      // Its owner's alone, and so are the files beside it, which are made with the same permissions.
      chmodSync(database, 0o600);
      opened.pragma('journal_mode = WAL');
      opened.pragma('synchronous = FULL');
      opened.pragma('foreign_keys = ON');
      opened.pragma('busy_timeout = 2000');
      // What is deleted is written over.
      opened.pragma('secure_delete = ON');
    },
  };
}
