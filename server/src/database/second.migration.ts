import type { MigrationInterface, QueryRunner } from 'typeorm';
import { sealOf } from './seal.js';

/**
 * Seals on events; jobs that are archived, deleted (a tombstone stays) or just being taken in; summaries for the bench; the
 * library as columns with a text index.
 */
export class Second1795737600000 implements MigrationInterface {
  name = 'Second1795737600000';

  async up(runner: QueryRunner): Promise<void> {
    for (const column of [
      'archived BOOLEAN NOT NULL DEFAULT 0',
      'cursor INTEGER NOT NULL DEFAULT 0',
      'clock INTEGER NOT NULL DEFAULT 0',
      'import TEXT',
    ])
      await runner.query(`ALTER TABLE job ADD COLUMN ${column}`);
    await runner.query(`UPDATE job SET
      cursor = coalesce((SELECT max(row) FROM job_event WHERE job_id = job.id), 0),
      clock = coalesce((SELECT max(clock) FROM job_event WHERE job_id = job.id), 0)`);
    await runner.query(`CREATE TABLE tombstone (
      job_id TEXT PRIMARY KEY NOT NULL, number INTEGER NOT NULL, title TEXT NOT NULL, deleted TEXT NOT NULL)`);
    await this.#seal(runner);
    await runner.query('DROP TRIGGER job_event_no_delete');
    await runner.query(`CREATE TRIGGER job_event_no_delete BEFORE DELETE ON job_event
      WHEN NOT EXISTS (SELECT 1 FROM tombstone WHERE job_id = OLD.job_id)
        AND NOT EXISTS (SELECT 1 FROM job WHERE id = OLD.job_id AND import IS NOT NULL)
      BEGIN SELECT RAISE(ABORT, 'the log of a job is append-only'); END`);
    await runner.query(`CREATE TABLE job_summary (
      job_id TEXT PRIMARY KEY NOT NULL REFERENCES job(id) ON DELETE CASCADE,
      cursor INTEGER NOT NULL, version INTEGER NOT NULL, engine INTEGER NOT NULL,
      body TEXT NOT NULL, found TEXT NOT NULL)`);
    await runner.query(`CREATE TABLE staged_event (
      import TEXT NOT NULL, place INTEGER NOT NULL, job_id TEXT NOT NULL, event TEXT NOT NULL,
      PRIMARY KEY (import, place)) WITHOUT ROWID`);
    await this.#library(runner);
  }

  /** Each event gets a sum over all its columns, by which a flipped bit is found. */
  async #seal(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TRIGGER job_event_no_update');
    await runner.query('ALTER TABLE job_event ADD COLUMN seal INTEGER');
    const rows = (await runner.query('SELECT * FROM job_event')) as (Parameters<typeof sealOf>[0] & {
      row: number;
    })[];
    for (const row of rows)
      await runner.query('UPDATE job_event SET seal = ? WHERE row = ?', [sealOf(row), row.row]);
    await runner.query(`CREATE TRIGGER job_event_no_update BEFORE UPDATE ON job_event
      BEGIN SELECT RAISE(ABORT, 'the log of a job is append-only'); END`);
  }

  async #library(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE library_entry RENAME TO library_entry_before');
    await runner.query(`CREATE TABLE library_entry (
      row INTEGER PRIMARY KEY AUTOINCREMENT,
      id TEXT NOT NULL, kind TEXT NOT NULL, name TEXT NOT NULL, maker TEXT, family TEXT NOT NULL,
      form TEXT NOT NULL, terminals INTEGER NOT NULL, positions INTEGER NOT NULL, note TEXT,
      body TEXT NOT NULL, import TEXT)`);
    await runner.query('CREATE UNIQUE INDEX library_entry_id ON library_entry (id) WHERE import IS NULL');
    await runner.query(
      'CREATE INDEX library_entry_import ON library_entry (import) WHERE import IS NOT NULL',
    );
    await runner.query(
      'CREATE INDEX library_entry_size ON library_entry (terminals, positions) WHERE import IS NULL',
    );
    await runner.query(
      'CREATE INDEX library_entry_name ON library_entry (kind DESC, name, row) WHERE import IS NULL',
    );
    await runner.query(`CREATE VIRTUAL TABLE library_text USING fts5(
      name, maker, family, note, labels, content='', contentless_delete=1, prefix='2 3',
      tokenize='unicode61 remove_diacritics 2')`);
    await runner.query(`CREATE TRIGGER library_entry_text AFTER INSERT ON library_entry BEGIN
      INSERT INTO library_text (rowid, name, maker, family, note, labels) VALUES (
        NEW.row, NEW.name, coalesce(NEW.maker, ''), NEW.family, coalesce(NEW.note, ''),
        (SELECT group_concat(value, ' ') FROM json_each(NEW.body, '$.terminals'))); END`);
    await runner.query(`CREATE TRIGGER library_entry_text_gone AFTER DELETE ON library_entry BEGIN
      DELETE FROM library_text WHERE rowid = OLD.row; END`);
    await runner.query(`INSERT INTO library_entry
      (id, kind, name, maker, family, form, terminals, positions, note, body)
      SELECT id, kind, name, json_extract(body, '$.maker'), json_extract(body, '$.family'),
        json_extract(body, '$.form'), json_array_length(body, '$.terminals'),
        json_array_length(body, '$.positions'), json_extract(body, '$.note'), body
      FROM library_entry_before`);
    await runner.query('DROP TABLE library_entry_before');
  }

  async down(): Promise<void> {
    throw new Error('An older Which Way cannot read this database: restore a backup instead.');
  }
}
