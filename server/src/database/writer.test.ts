import { copyFileSync, mkdirSync, mkdtempSync, renameSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { DataSource } from 'typeorm';
import { afterEach, describe, expect, it } from 'vitest';
import { Refusal } from '../errors/refusal.js';
import { dataSourceOptions, type DatabaseDriver } from './data-source.js';
import { Footing } from './footing.js';
import { Writer } from './writer.js';

const sources: DataSource[] = [];
const opened = async (driver?: DatabaseDriver) => {
  const place = join(mkdtempSync(join(tmpdir(), 'which-way-writer-')), 'which-way.sqlite');
  const source = await new DataSource(dataSourceOptions(place, driver)).initialize();
  sources.push(source);
  const footing = new Footing([dirname(place), place]);
  footing.take();
  return { place, source, writer: new Writer(source, footing) };
};
afterEach(async () => {
  for (const source of sources.splice(0)) if (source.isInitialized) await source.destroy();
});

const note = (writer: Writer, key: string, rank?: 'reading' | 'batch') =>
  writer.write((manager) => manager.query('INSERT INTO note (key, value) VALUES (?, ?)', [key, '']), rank);
const keys = async (source: DataSource) =>
  ((await source.query('SELECT key FROM note ORDER BY rowid')) as { key: string }[]).map(({ key }) => key);

describe('the one writer', () => {
  it('writes one thing after another, readings before the next piece of long work', async () => {
    const { source, writer } = await opened();
    const first = note(writer, 'batch 1', 'batch');
    const others = [
      note(writer, 'batch 2', 'batch'),
      note(writer, 'batch 3', 'batch'),
      note(writer, 'reading 1'),
      note(writer, 'reading 2', 'reading'),
    ];
    await Promise.all([first, ...others]);
    expect(await keys(source)).toEqual(['batch 1', 'reading 1', 'reading 2', 'batch 2', 'batch 3']);
  });

  it('takes all of a failed write back, and goes on with the next', async () => {
    const { source, writer } = await opened();
    const failing = writer.write(async (manager) => {
      await manager.query("INSERT INTO note (key, value) VALUES ('half', '')");
      throw new Error('on purpose');
    });
    await expect(failing).rejects.toThrow('on purpose');
    await note(writer, 'whole');
    expect(await keys(source)).toEqual(['whole']);
  });

  it('that can neither finish nor take back a change refuses everything further, and says so once', async () => {
    let stuck = false;
    const driver = class extends Database {
      constructor(path: string, options?: Database.Options) {
        super(path, options);
        const exec = this.exec.bind(this);
        this.exec = (sql: string) => {
          if (stuck && /^(COMMIT|ROLLBACK)/.test(sql))
            throw Object.assign(new Error('disk I/O error'), { code: 'SQLITE_IOERR' });
          return exec(sql);
        };
      }
    } as unknown as DatabaseDriver;
    const { writer } = await opened(driver);
    const said: string[] = [];
    writer.onBroken = (reason) => said.push(reason);
    await note(writer, 'before');
    stuck = true;
    for (let count = 0; count < 3; count += 1) {
      const refused: unknown = await note(writer, `after ${count}`).catch((error: unknown) => error);
      expect(refused).toBeInstanceOf(Refusal);
      expect((refused as Refusal).body.code).toBe('store-broken');
    }
    expect(said).toHaveLength(1);
    stuck = false;
    await expect(note(writer, 'much later')).rejects.toThrow(/cannot write any more/);
  });

  it.each([
    ['the database was moved aside', (place: string) => renameSync(place, `${place}.aside`)],
    [
      'another database stands in its place',
      (place: string) => {
        renameSync(place, `${place}.aside`);
        copyFileSync(`${place}.aside`, place);
      },
    ],
    ['the folder was moved aside', (place: string) => renameSync(dirname(place), `${dirname(place)}-aside`)],
    [
      'another folder stands in its place',
      (place: string) => {
        renameSync(dirname(place), `${dirname(place)}-aside`);
        mkdirSync(dirname(place));
        copyFileSync(join(`${dirname(place)}-aside`, 'which-way.sqlite'), place);
      },
    ],
  ])('calls nothing stored once %s', async (_, happens) => {
    const { place, writer } = await opened();
    const said: string[] = [];
    writer.onBroken = (reason) => said.push(reason);
    await note(writer, 'before');
    happens(place);
    for (const key of ['after', 'later'])
      await expect(note(writer, key)).rejects.toMatchObject({ body: { code: 'store-broken' } });
    expect(said).toEqual([expect.stringContaining('moved, removed or replaced')]);
  });

  it('refuses what comes when it is being stopped, and finishes what is being written', async () => {
    const { source, writer } = await opened();
    const written = note(writer, 'in time');
    await writer.beforeApplicationShutdown();
    await written;
    await expect(note(writer, 'too late')).rejects.toThrow(/being stopped/);
    expect(await keys(source)).toEqual(['in time']);
  });
});
