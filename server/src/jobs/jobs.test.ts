import type { Job, JobSummary, JobWithEvents } from '@which-way/contract';
import { createWriter, readLog, structureOf, type Deed, type JobEvent } from '@which-way/core/log';
import { newTerminal, type TerminalId } from '@which-way/core/switch';
import Database from 'libsql';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readStored } from '../backroom/stored-event.js';
import { sealOf } from '../database/seal.js';
import { madeOn, newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

const made = (seed: number) => madeOn(served, seed);

describe('jobs', () => {
  it('are numbered, found by words, and made once however often they are sent', async () => {
    const { job } = await made(1);
    const again: Job = (await served.call('POST', '/api/jobs', job)).body;
    expect(again.number).toBe(1);
    await made(2);
    const all: JobSummary[] = (await served.call('GET', '/api/jobs?search=job')).body;
    expect(all.map(({ number }) => number)).toEqual([2, 1]);
    const one: JobSummary[] = (await served.call('GET', '/api/jobs?search=seed%201')).body;
    expect(one.map(({ id }) => id)).toEqual([job.id]);
  });

  it('are found by what was noted of them and by their markings', async () => {
    const { job, add, events, newId } = newJob(71);
    add({ kind: 'noted', field: 'complaint', text: 'Hums like a wasp' });
    add({
      kind: 'transcribed',
      marking: {
        id: newId(),
        runs: [
          { text: '16(4)A', sure: 'certain' },
          { text: ' 250V~', sure: 'guess' },
        ],
        box: null,
      },
    });
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    for (const search of ['wasp', '16(4)a', 'hums 250v']) {
      const { body }: { body: { id: string }[] } = await served.call(
        'GET',
        `/api/jobs?search=${encodeURIComponent(search)}`,
      );
      expect(body.map(({ id }) => id)).toEqual([job.id]);
    }
    expect((await served.call('GET', '/api/jobs?search=wasp%20nest')).body).toEqual([]);
  });

  it('refuse a change made on an older version', async () => {
    const { job } = await made(3);
    const change = { version: 1, outOfMachine: false };
    expect((await served.call('PATCH', `/api/jobs/${job.id}`, change)).body).toMatchObject({
      outOfMachine: false,
      version: 2,
    });
    const stale = await served.call('PATCH', `/api/jobs/${job.id}`, change);
    expect(stale).toMatchObject({ status: 409, body: { code: 'stale-job', path: 'version' } });
  });

  it('show where they are on their route, worked out from the log', async () => {
    const { job, add, addReading, post } = await made(4);
    addReading();
    add({ kind: 'withdrawn', target: addReading().id, basedOn: null });
    await post();
    const [summary]: JobSummary[] = (await served.call('GET', '/api/jobs?search=seed%204'))
      .body as JobSummary[];
    expect(summary).toMatchObject({ id: job.id, route: { at: 'map', next: { code: 'readings-left' } } });
  });
});

describe('the log', () => {
  it('stores an event sent twice once, and gives back what the sender had not seen', async () => {
    const { post, addReading, events, job } = await made(10);
    const first = await post();
    expect(first.events).toHaveLength(1);
    addReading();
    const second = await post(events, first.cursor);
    expect(second.stored).toEqual(events.map(({ id }) => id));
    expect(second.events.map(({ id }) => id)).toEqual([events[1]?.id]);
    const opened: JobWithEvents = (await served.call('GET', `/api/jobs/${job.id}`)).body;
    expect(opened.events).toEqual(events);
  });

  it('refuses other contents under a stored id, and a sequence number used twice', async () => {
    const { post, addReading, events, newId } = await made(11);
    const event = addReading();
    await post();
    const { refused } = await post([{ ...event, at: '2026-01-06T10:00:00.000Z' }]);
    expect(refused[0]?.error.code).toBe('event-differs');
    const twice = await post([{ ...event, id: newId() }]);
    expect(twice.refused[0]?.error.code).toBe('sequence-taken');
    expect((await post([])).events).toEqual(events);
  });

  it('never refuses an answer for being late, but refuses a structure change made on an older structure', async () => {
    const { post, add, addReading, events, newId } = await made(12);
    const lug = (label: string, basedOn: JobEvent | undefined): Deed => ({
      kind: 'restructured',
      change: { change: 'terminal-added', terminal: newTerminal(label, newId) },
      basedOn: basedOn?.id ?? null,
    });
    const described = events.slice();
    const [first] = described;
    const here = add(lug('4', first));
    await post();
    const otherTab = createWriter({ newId, now: () => '2026-01-05T10:00:09.000Z' });
    const stale = otherTab.write(described, lug('5', first));
    const answer = otherTab.write(described, addReading().what);
    const posted = await post([stale, answer]);
    expect(posted.stored).toEqual([answer.id]);
    expect(posted.refused).toMatchObject([{ id: stale.id, error: { code: 'stale-structure' } }]);
    const undo = otherTab.write(described, {
      kind: 'withdrawn',
      target: here.id,
      basedOn: first?.id ?? null,
    });
    expect((await post([undo])).refused[0]?.error.code).toBe('stale-structure');
    const again = otherTab.write(described, lug('4', here));
    expect((await post([again])).refused[0]?.error.code).toBe('label-taken');
  });

  it('does not let a second change overwrite another writer’s after the first one was refused', async () => {
    const { post, events, newId } = await made(15);
    await post();
    const [first] = events;
    const structure = structureOf(readLog(events));
    const terminal = structure.terminals[0]?.id as TerminalId;
    const renamed = (label: string, basedOn: JobEvent | undefined): Deed => ({
      kind: 'restructured',
      change: { change: 'terminal-renamed', terminal, label, marking: null },
      basedOn: basedOn?.id ?? null,
    });
    const means = { newId, now: () => '2026-01-05T10:00:09.000Z' };
    const [here, there] = [createWriter(means), createWriter(means)];
    const theirs = there.write(events, renamed('theirs', first));
    expect((await post([theirs])).refused).toEqual([]);
    const mine = here.write(events, renamed('mine', first));
    const second = here.write([...events, mine], renamed('mine again', mine));
    const { refused } = await post([mine, second]);
    expect(refused.map(({ error }) => error.code)).toEqual(['stale-structure', 'stale-structure']);
    const log = readLog((await post([])).events);
    expect(structureOf(log).terminals[0]?.label).toBe('theirs');
  });

  it('cannot be rewritten, not even in the database', async () => {
    const { post } = await made(13);
    await post();
    const database = new Database(served.database);
    expect(() => database.exec("UPDATE job_event SET what = '{}'")).toThrow(/append-only/);
    expect(() => database.exec('DELETE FROM job_event')).toThrow(/append-only/);
    database.close();
  });

  it('keeps every event of many sent at once', async () => {
    const { post, addReading, events } = await made(14);
    for (let count = 0; count < 30; count += 1) addReading();
    await Promise.all(events.map((event) => post([event])));
    expect(new Set((await post([])).events.map(({ id }) => id))).toEqual(new Set(events.map(({ id }) => id)));
  });
});

describe('jobs that are put away or deleted', () => {
  it('are not in the list; one that is put away comes back, a deleted one answers late events with its tombstone', async () => {
    const { job, events } = await made(40);
    const listed = async (query: string) =>
      ((await served.call('GET', `/api/jobs?search=seed%2040${query}`)).body as JobSummary[]).map(
        ({ id }) => id,
      );
    await served.call('PATCH', `/api/jobs/${job.id}`, { version: 1, archived: true });
    expect([await listed(''), await listed('&archived=true')]).toEqual([[], [job.id]]);
    await served.call('PATCH', `/api/jobs/${job.id}`, { version: 2, archived: false });
    expect(await listed('')).toEqual([job.id]);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    expect((await served.call('DELETE', `/api/jobs/${job.id}`)).status).toBe(200);
    expect(await listed('')).toEqual([]);
    for (const [method, path, body] of [
      ['POST', `/api/jobs/${job.id}/events`, { after: 0, events }],
      ['GET', `/api/jobs/${job.id}`, undefined],
      ['POST', '/api/jobs', job],
    ] as const)
      expect(await served.call(method, path, body)).toMatchObject({
        status: 410,
        body: { code: 'job-deleted' },
      });
    const next = await made(41);
    const numbers = ((await served.call('GET', '/api/jobs')).body as JobSummary[]).map(
      ({ number }) => number,
    );
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(next.job.id).not.toBe(job.id);
  });
});

describe('a job that cannot be read', () => {
  it('stands alone: the bench and the others work, it says why, and what can be read of it can be saved', async () => {
    const place = await serve();
    const bad = newJob(50);
    bad.addReading();
    bad.addReading();
    const good = newJob(51);
    for (const { job, events } of [bad, good]) {
      await place.call('POST', '/api/jobs', job);
      await place.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    }
    const database = new Database(place.database);
    database.exec('DROP TRIGGER job_event_no_update');
    const what = `{"kind":"answered"`;
    database.prepare('UPDATE job_event SET what = ? WHERE id = ?').run(what, bad.events[1]?.id);
    database.exec('DELETE FROM job_summary; UPDATE job SET version = version + 1');
    database.close();
    const list: JobSummary[] = (await place.call('GET', '/api/jobs')).body;
    expect(list.map(({ trouble }) => trouble)).toEqual([null, expect.stringContaining('damaged')]);
    expect(list[0]?.route?.at).toBe('map');
    const opened: JobWithEvents = (await place.call('GET', `/api/jobs/${bad.job.id}`)).body;
    expect(opened.unreadable).toMatchObject([{ id: bad.events[1]?.id, code: 'damaged' }]);
    const saved: { jobs: { events: unknown[] }[] } = (
      await place.call('GET', `/api/jobs/${bad.job.id}/export`)
    ).body;
    expect(saved.jobs[0]?.events).toHaveLength(2);
    await place.close();
  });

  it('is found by any one flipped bit in what is stored of an event', async () => {
    const { job, events } = newJob(52);
    const row = {
      row: 1,
      id: events[0]?.id ?? '',
      job_id: job.id,
      device: events[0]?.device ?? '',
      sequence: 1,
      clock: 1,
      at: events[0]?.at ?? '',
      schema: 1,
      what: JSON.stringify(events[0]?.what),
    };
    const stored = { ...row, seal: sealOf(row) };
    expect(readStored([stored]).unreadable).toEqual([]);
    const bytes = Buffer.from(row.what);
    for (let bit = 0; bit < bytes.length * 8; bit += 1) {
      const flipped = Buffer.from(bytes);
      flipped[bit >> 3] = (flipped[bit >> 3] as number) ^ (1 << (bit & 7));
      expect(readStored([{ ...stored, what: flipped.toString('latin1') }]).events).toEqual([]);
    }
  });
});
