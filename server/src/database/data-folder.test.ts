import Database from 'libsql';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { collect } from '../testing/collected.js';
import { DataFolderError, takeDataFolder } from './data-folder.js';

const folder = () => mkdtempSync(join(tmpdir(), 'which-way-'));

describe('the data folder', () => {
  it('serves one program at a time, and says so to the second', () => {
    const place = folder();
    const first = takeDataFolder(place, false);
    expect(() => takeDataFolder(place, false)).toThrow(/Another Which Way/);
    expect(() => takeDataFolder(place, true)).toThrow(DataFolderError);
    first.release();
    takeDataFolder(place, false).release();
  });

  it('stays locked through garbage collections, though nobody keeps what taking it returned', async () => {
    const place = folder();
    takeDataFolder(place, false);
    for (let count = 0; count < 5; count += 1) {
      collect();
      await new Promise((resolve) => setImmediate(resolve));
    }
    expect(() => takeDataFolder(place, false)).toThrow(/Another Which Way/);
  });

  it('with a damaged database is refused with a clear message, and nothing in it is changed', () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    writeFileSync(path, 'this is no database, though it is long enough to look like one. '.repeat(40));
    const before = readFileSync(path);
    expect(() => takeDataFolder(place, false)).toThrow(/damaged.*\n?.*Nothing was changed/s);
    expect(readFileSync(path).equals(before)).toBe(true);
  });

  it('with an index that is not what its table says is refused: rows would be lost in silence', () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    const filled = new Database(path);
    filled.exec(
      "CREATE TABLE thing (x TEXT); CREATE INDEX thing_x ON thing (x); INSERT INTO thing VALUES ('needle-1')",
    );
    filled.close();
    // The table came first; a flipped bit in the index names another row, and the one that is asked for is lost in silence.
    const bytes = readFileSync(path);
    const at = bytes.lastIndexOf('needle-1');
    expect(bytes.indexOf('needle-1')).toBeLessThan(at);
    bytes[at] = (bytes[at] as number) ^ 1;
    writeFileSync(path, bytes);
    expect(() => takeDataFolder(place, false)).toThrow(/damaged.*index thing_x.*Nothing was changed/s);
    expect(readFileSync(path).equals(bytes)).toBe(true);
  });

  it('with a database that another program holds is refused', () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    const other = new Database(path);
    other.exec('CREATE TABLE thing (x); BEGIN EXCLUSIVE');
    expect(() => takeDataFolder(place, false)).toThrow(/locked by another program/);
    other.exec('ROLLBACK');
    other.close();
    takeDataFolder(place, false).release();
  });

  it('is emptied of its database only when asked for afresh', () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    const filled = new Database(path);
    filled.exec('CREATE TABLE thing (x)');
    filled.close();
    takeDataFolder(place, false).release();
    expect(existsSync(path)).toBe(true);
    takeDataFolder(place, true).release();
    expect(existsSync(path)).toBe(false);
  });
});
