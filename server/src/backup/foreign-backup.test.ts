import type { Work } from '@which-way/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backUp, filled, folder, restore, tampered } from '../testing/backups.js';
import { serve, type Served } from '../testing/served.js';

describe('a backup whose database is not one of ours', () => {
  let zip: Buffer;
  let empty: Served;
  beforeAll(async () => {
    const { served } = await filled(folder());
    zip = await backUp(served);
    await served.close();
    empty = await serve();
  });
  afterAll(() => empty.close());

  it.each<[string, string, string]>([
    [
      'a trigger that ignores what is stored',
      'CREATE TRIGGER evil BEFORE INSERT ON job_event BEGIN SELECT RAISE(IGNORE); END',
      'trigger evil',
    ],
    [
      'a trigger named like the text index',
      'CREATE TRIGGER library_text_data BEFORE INSERT ON job BEGIN SELECT RAISE(IGNORE); END',
      'trigger library_text_data',
    ],
    ['a view', 'CREATE VIEW jobs AS SELECT * FROM job', 'view jobs'],
    ['a foreign table', 'CREATE TABLE extra (x)', 'table extra'],
    ['a column too many', 'ALTER TABLE job ADD COLUMN extra TEXT', 'table job'],
    ['a column too few', 'ALTER TABLE job DROP COLUMN clock', 'table job'],
    ['a table too few', 'DROP TABLE staged_event', 'table staged_event'],
    ['an index too few', 'DROP INDEX library_entry_name', 'index library_entry_name'],
    ['a unique index too many', 'CREATE UNIQUE INDEX one ON job_event (what)', 'index one'],
    ['a guard of the log removed', 'DROP TRIGGER job_event_no_update', 'trigger job_event_no_update'],
    [
      'a table that takes nothing',
      'DROP TABLE note; CREATE TABLE note (key TEXT PRIMARY KEY NOT NULL, value TEXT NOT NULL CHECK (0))',
      'table note',
    ],
    ['no list of versions', 'DROP TABLE migrations', 'table migrations'],
    ['versions with a gap', "DELETE FROM migrations WHERE name LIKE 'Third%'", 'versions'],
    ['a simulation that is no JSON', "UPDATE job SET simulation = '{'", 'a job'],
  ])('%s: is refused by name, and the bench goes on', async (_, sql, named) => {
    const work = await restore(
      empty,
      tampered(zip, (database) => database.exec(sql)),
    );
    expect(work).toMatchObject({
      state: 'failed',
      error: { code: expect.stringMatching(/not-a-backup|damaged-file/) },
    });
    expect((work as Work).error?.message).toContain(named);
    expect((work as Work).error?.message).not.toMatch(/SQLITE|no such|syntax error/i);
    expect((await empty.call('GET', '/api/jobs')).body).toEqual([]);
  });

  it('and one that says it is larger than the disk is refused before it is unpacked', async () => {
    const bomb = Buffer.from(zip);
    // The size in the central directory (APPNOTE 4.3.12: 24 bytes after its signature), of the database, which is its first entry.
    bomb.writeUInt32LE(0xfffffff0, bomb.indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02])) + 24);
    const work = (await restore(empty, bomb)) as Work;
    expect([work.state, work.error?.code]).toEqual([
      'failed',
      expect.stringMatching(/damaged-file|disk-full/),
    ]);
    expect((await empty.call('GET', '/api/jobs')).body).toEqual([]);
  });

  it('the one that it came from is put back, once nobody has tampered with it', async () => {
    const work = (await restore(
      empty,
      tampered(zip, () => undefined),
    )) as Work;
    expect(work).toMatchObject({ state: 'done' });
  });
});
