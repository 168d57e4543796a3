import type { Imported, LibraryPage, Work } from '@which-way/contract';
import { newIdFrom, seededRandom, type EntryId, type KnownSwitch } from '@which-way/core/switch';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dataSourceOptions, MIGRATIONS } from '../database/data-source.js';
import { serve, type Served } from '../testing/served.js';
import { derivedColumns } from './entry-columns.js';

const newId = newIdFrom(seededRandom(16));

const entry = (name: string, more: Partial<KnownSwitch> = {}): KnownSwitch => ({
  ...{ id: newId<EntryId>(), kind: 'part', name, maker: 'Hollis & Brae', family: 'rockers', form: 'rocker' },
  terminals: ['1', '2'],
  positions: [
    { name: 'OFF', rests: 'maintained', joined: [] },
    { name: 'ON', rests: 'maintained', joined: [['1', '2']] },
  ],
  note: null,
  ...more,
});

describe('the library by what is stated, and parts that are here already', () => {
  let served: Served;
  beforeAll(async () => (served = await serve()));
  afterAll(() => served.close());

  const take = async (library: KnownSwitch[]): Promise<Imported> => {
    const answer = await served.call('POST', '/api/import', {
      format: 'which-way',
      version: 2,
      jobs: [],
      library,
    });
    expect(answer.status).toBe(200);
    return answer.body;
  };
  const find = async (query: string) =>
    (await served.call('GET', `/api/library?${query}`)).body as LibraryPage;
  const open = async (id: string) => (await served.call('GET', `/api/library/${id}`)).body as KnownSwitch;
  const preview = async (library: KnownSwitch[]) => {
    const started = await fetch(`${served.base}/api/imports?name=parts.json`, {
      ...{ method: 'POST', headers: { 'content-type': 'application/octet-stream' } },
      body: JSON.stringify({ format: 'which-way', version: 2, shop: null, jobs: [], library }),
    });
    const { id } = (await started.json()) as Work;
    for (;;) {
      const work: Work = (await served.call('GET', `/api/works/${id}`)).body;
      if (work.state === 'ready' && work.preview) return work.preview;
      if (work.state === 'failed') throw new Error(work.error?.message);
    }
  };

  it('finds by figures that are stated, and not by what is not', async () => {
    const [rocker, lever, silent] = [
      entry('Rocker 16', { facts: { marking: '16(4)A 250V~', price: 3.5, inStock: true, number: 'HB-16' } }),
      entry('Lever 20', {
        form: 'lever',
        facts: { ratings: [{ load: 'motor', amps: 12, volts: 400, supply: 'ac' }] },
      }),
      entry('Silent one'),
    ];
    await take([rocker, lever, silent]);
    const names = async (query: string) => (await find(query)).entries.map(({ name }) => name).sort();
    expect(await names('motorAmps=4')).toEqual(['Lever 20', 'Rocker 16']);
    expect(await names('motorAmps=10&voltsAc=400')).toEqual(['Lever 20']);
    expect(await names('amps=10')).toEqual(['Rocker 16']);
    expect(await names('inStock=true&mostPrice=4')).toEqual(['Rocker 16']);
    expect(await names('form=lever')).toEqual(['Lever 20']);
    // Its number and its marking are words too.
    expect(await names('search=HB-16')).toEqual(['Rocker 16']);
    expect(await names('search=250V')).toEqual(['Rocker 16']);
    expect((await served.call('GET', '/api/library?motorAmps=much')).status).toBe(400);
    expect((await served.call('GET', '/api/library?inStock=perhaps')).status).toBe(400);
  });

  it('a part of the same maker and number is put together with the one that is here, and that is told', async () => {
    const facts = { number: 'X 40', price: 5, depth: 20 };
    const here = entry('Forty', { facts });
    await take([here]);
    const same = entry('Forty again', {
      maker: 'hollis brae',
      facts: { number: 'x-40', price: 6, bushing: 12 },
    });
    const twice = entry('Forty once more', { facts: { number: 'X40', connector: 'tabs' } });
    expect(await preview([same, twice])).toMatchObject({
      ...{ entries: 1, mergedCount: 2, setAsideCount: 0 },
      merged: [
        { name: 'Forty again', into: 'Forty', changed: ['number', 'price'] },
        { name: 'Forty once more', into: 'Forty', changed: ['number'] },
      ],
    });
    expect(await take([same, twice])).toMatchObject({ entriesAdded: 0, entriesChanged: 1 });
    expect(await open(here.id)).toMatchObject({
      name: 'Forty',
      facts: { number: 'X40', price: 6, depth: 20, bushing: 12, connector: 'tabs' },
    });
    // Taken in again nothing is left to do; wired otherwise it is another part with a wrong number.
    expect((await preview([same, twice])).entries).toBe(0);
    const other = entry('Not forty', { facts, positions: here.positions.toReversed() });
    expect(await preview([other])).toMatchObject({
      entries: 0,
      setAside: [{ code: 'same-number-other-wiring' }],
    });
  });
});

describe('a library of before', () => {
  it('gets its columns, and is found by its numbers', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'which-way-'));
    const database = join(folder, 'which-way.sqlite');
    const old = await new DataSource({
      ...dataSourceOptions(database),
      migrations: MIGRATIONS.slice(0, 3),
    }).initialize();
    const kept = entry('Kept', { facts: { number: 'KK 7', marking: '10(3)A 250V~' } });
    await old.query(
      `INSERT INTO library_entry (id, kind, name, maker, family, form, terminals, positions, note, body)
       VALUES (?, 'part', 'Kept', ?, 'rockers', 'rocker', 2, 2, NULL, ?)`,
      [kept.id, kept.maker, JSON.stringify(kept)],
    );
    await old.destroy();
    const now = await new DataSource(dataSourceOptions(database)).initialize();
    const [row] = (await now.query('SELECT * FROM library_entry')) as Record<string, unknown>[];
    expect(row).toMatchObject({ ...derivedColumns(kept), amps: 10, motor_amps: 3, same: 'hollisbrae kk7' });
    expect(await now.query("SELECT rowid FROM library_text WHERE library_text MATCH 'kk'")).toHaveLength(1);
    await now.destroy();
    rmSync(folder, { recursive: true });
  });
});
