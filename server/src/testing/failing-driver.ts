import Database from 'libsql';
import type { DatabaseDriver } from '../database/data-source.js';

/** When the disk is full: at which statement that writes, counted from now; null: never. */
export interface FullDisk {
  at: number | null;
  /** Statements counted so far. */
  seen: number;
  /**
   * What SQLite does besides failing: it rolls the whole transaction back by itself (as it does when COMMIT or a page runs out
   * of room), or fails the one statement and leaves the transaction open.
   */
  rollsBack: boolean;
}

/** A driver that fails as on a full disk, at a statement of one's choice: reading goes on, as it does on a full disk. */
export function driverOn(disk: FullDisk): DatabaseDriver {
  const writes = (sql: string) => !/^\s*(SELECT|PRAGMA|ROLLBACK)/i.test(sql);
  return class extends Database {
    constructor(path: string, options?: Database.Options) {
      super(path, options);
      const exec = this.exec.bind(this);
      const prepare = this.prepare.bind(this);
      const count = (sql: string) => {
        if (disk.at === null || !writes(sql)) return;
        disk.seen += 1;
        if (disk.seen !== disk.at) return;
        if (disk.rollsBack && this.inTransaction) exec('ROLLBACK');
        throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
      };
      this.exec = (sql: string) => {
        count(sql);
        return exec(sql);
      };
      this.prepare = ((sql: string) => {
        const statement = prepare(sql);
        const run = statement.run.bind(statement);
        const all = statement.all.bind(statement);
        statement.run = ((...values: unknown[]) => (count(sql), run(...values))) as typeof statement.run;
        statement.all = ((...values: unknown[]) => (count(sql), all(...values))) as typeof statement.all;
        return statement;
      }) as typeof this.prepare;
    }
  } as unknown as DatabaseDriver;
}
