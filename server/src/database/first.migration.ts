import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Jobs with their append-only logs, and the library. */
export class First1767600000000 implements MigrationInterface {
  name = 'First1767600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE job (
      id TEXT PRIMARY KEY NOT NULL,
      number INTEGER NOT NULL UNIQUE,
      title TEXT NOT NULL,
      place TEXT NOT NULL,
      out_of_machine BOOLEAN NOT NULL,
      simulation TEXT,
      created TEXT NOT NULL,
      updated TEXT NOT NULL,
      version INTEGER NOT NULL
    )`);
    await runner.query(`CREATE TABLE job_event (
      row INTEGER PRIMARY KEY AUTOINCREMENT,
      id TEXT NOT NULL UNIQUE,
      job_id TEXT NOT NULL REFERENCES job(id),
      device TEXT NOT NULL,
      sequence INTEGER NOT NULL,
      clock INTEGER NOT NULL,
      at TEXT NOT NULL,
      schema INTEGER NOT NULL,
      kind TEXT NOT NULL,
      what TEXT NOT NULL,
      UNIQUE (job_id, device, sequence)
    )`);
    await runner.query('CREATE INDEX job_event_by_job ON job_event (job_id, row)');
    for (const verb of ['UPDATE', 'DELETE']) {
      await runner.query(`CREATE TRIGGER job_event_no_${verb.toLowerCase()} BEFORE ${verb} ON job_event
        BEGIN SELECT RAISE(ABORT, 'the log of a job is append-only'); END`);
    }
    await runner.query(`CREATE TABLE library_entry (
      id TEXT PRIMARY KEY NOT NULL,
      kind TEXT NOT NULL,
      name TEXT NOT NULL,
      body TEXT NOT NULL
    )`);
    await runner.query('CREATE TABLE note (key TEXT PRIMARY KEY NOT NULL, value TEXT NOT NULL)');
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['note', 'library_entry', 'job_event', 'job'])
      await runner.query(`DROP TABLE ${table}`);
  }
}
