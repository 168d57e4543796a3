import { plainLine, VISIBLE_LINE } from '@which-way/core/schema';
import type { MigrationInterface, QueryRunner } from 'typeorm';

interface Note {
  key: string;
  value: string;
}

/**
 * Links and signed-in devices become rows, one link a job at most, so that each can be ended by itself. Devices that were signed in
 * before are signed out once. Of a deleted job nothing is kept but its id and number.
 */
export class Sixth1796083200000 implements MigrationInterface {
  name = 'Sixth1796083200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE link (
      job_id TEXT PRIMARY KEY NOT NULL REFERENCES job(id) ON DELETE CASCADE,
      token TEXT NOT NULL UNIQUE, until TEXT NOT NULL)`);
    await runner.query(`CREATE TABLE session (
      id TEXT PRIMARY KEY NOT NULL, token_hash TEXT NOT NULL UNIQUE, device TEXT NOT NULL,
      address TEXT NOT NULL, opened TEXT NOT NULL, seen TEXT NOT NULL)`);
    // An import that is decided is finished whatever happens; one that is not is taken back.
    await runner.query('CREATE TABLE import_decided (import TEXT PRIMARY KEY NOT NULL)');
    await this.#links(runner);
    await runner.query("DELETE FROM note WHERE key LIKE 'share %' OR key LIKE 'share-of %'");
    await this.#code(runner);
    await runner.query('ALTER TABLE tombstone DROP COLUMN title');
    await this.#titles(runner);
  }

  /** Of each job the link that its page showed; others that were left open are ended. */
  async #links(runner: QueryRunner): Promise<void> {
    const notes = (await runner.query("SELECT key, value FROM note WHERE key LIKE 'share-of %'")) as Note[];
    for (const { key, value } of notes) {
      const [token = '', until = ''] = value.split(' ');
      await runner.query(
        `INSERT OR IGNORE INTO link (job_id, token, until)
         SELECT id, ?2, ?3 FROM job WHERE id = ?1 AND about = 'switch'`,
        [key.slice('share-of '.length), token, until],
      );
    }
  }

  /** The code stays; what sealed the sessions of before is not needed any more. */
  async #code(runner: QueryRunner): Promise<void> {
    const [note] = (await runner.query("SELECT key, value FROM note WHERE key = 'access'")) as Note[];
    const [code = ''] = note?.value.split(' ') ?? [];
    if (note) await runner.query("UPDATE note SET value = ? WHERE key = 'access'", [code]);
  }

  /** Titles lose what no title may have any more; one that is nothing else is called by its number, so that its file can be taken in. */
  async #titles(runner: QueryRunner): Promise<void> {
    const jobs = (await runner.query('SELECT id, number, title FROM job')) as {
      id: string;
      number: number;
      title: string;
    }[];
    const visible = new RegExp(VISIBLE_LINE, 'u');
    for (const { id, number, title } of jobs) {
      if (visible.test(title)) continue;
      const plain = plainLine(title);
      await runner.query('UPDATE job SET title = ?, version = version + 1 WHERE id = ?', [
        visible.test(plain) ? plain : `Job ${number}`,
        id,
      ]);
    }
  }

  async down(): Promise<void> {
    throw new Error('An older Which Way cannot read this database: restore a backup instead.');
  }
}
