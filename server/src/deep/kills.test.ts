import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'libsql';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import type { JobWithEvents, PostedEvents, StoredPhoto, Work } from '@which-way/contract';
import { seededRandom } from '@which-way/core/switch';
import { newJob } from '../testing/served.js';
import { Spawned } from '../testing/spawned.js';

const KILLS = Number(process.env['WHICH_WAY_KILLS'] ?? 300);

describe.runIf(process.env['WHICH_WAY_DEEP'])(`${KILLS} kills at random moments`, () => {
  it('lose nothing that was acknowledged, and leave nothing half: events, photos, imports, backups', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'which-way-kills-'));
    const server = new Spawned(folder);
    const random = seededRandom(41);
    const jobs = [1, 2, 3].map(newJob);
    const acknowledged = new Map<string, string[]>(jobs.map(({ job }) => [job.id, []]));
    const waiting = new Map<string, unknown[]>(jobs.map(({ job, events }) => [job.id, [...events]]));
    const photos: string[] = [];
    const imports: { id: string; events: number; done: boolean }[] = [];
    const picture = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#345' } })
      .jpeg()
      .toBuffer();
    const counts = { events: 0, photos: 0, imports: 0, backups: 0 };
    let seed = 5000;
    let lastBackup: Buffer | null = null;

    const write = async ({ job, add }: (typeof jobs)[number], going: () => boolean) => {
      await server.call('POST', '/api/jobs', job);
      while (going()) {
        const events = waiting.get(job.id) ?? [];
        for (let count = 0; count < 3; count += 1)
          events.push(add({ kind: 'noted', field: 'complaint', text: `${random()}` }));
        const answer = await server.call('POST', `/api/jobs/${job.id}/events`, {
          after: 0,
          events: events.slice(0, 60),
        });
        if (answer?.status !== 200) return;
        const { stored } = answer.body as PostedEvents;
        const there = new Set<string>(stored);
        acknowledged.get(job.id)?.push(...stored.filter((id) => !acknowledged.get(job.id)?.includes(id)));
        waiting.set(
          job.id,
          events.filter((event) => !there.has((event as { id: string }).id)),
        );
        counts.events += stored.length;
      }
    };
    const upload = async (going: () => boolean) => {
      while (going()) {
        seed += 1;
        const { job } = newJob(seed);
        const answer = await server.call('PUT', `/api/photos/${job.id}`, picture);
        if (answer?.status !== 200) return;
        photos.push((answer.body as StoredPhoto).id);
        counts.photos += 1;
      }
    };
    const takeIn = async () => {
      seed += 1;
      const made = newJob(seed);
      for (let count = 0; count < 300; count += 1) made.addReading();
      const one = { id: made.job.id, events: made.events.length, done: false };
      imports.push(one);
      const file = {
        ...made.job,
        place: '',
        simulation: null,
        created: '2026-01-05T10:00:00.000Z',
        events: made.events,
      };
      const answer = await server.call('POST', '/api/import', {
        format: 'which-way',
        version: 1,
        jobs: [file],
        library: [],
      });
      one.done = answer?.status === 200;
      if (one.done) counts.imports += 1;
    };
    const backUp = async () => {
      const begun = await server.call('POST', '/api/backup');
      for (let tries = 0; begun && tries < 100; tries += 1) {
        const answer = await server.call('GET', `/api/works/${(begun.body as Work).id}`);
        if (!answer) return;
        if ((answer.body as Work).state === 'done') {
          const zip = await fetch(`${server.base}/api/works/${(begun.body as Work).id}/file`)
            .then((response) => response.arrayBuffer())
            .catch(() => null);
          if (zip === null) return;
          lastBackup = Buffer.from(zip);
          counts.backups += 1;
          return;
        }
        await new Promise((resolve) => setTimeout(resolve, 10));
      }
    };

    const check = async () => {
      for (const [id, ids] of acknowledged) {
        const answer = await server.call('GET', `/api/jobs/${id}`);
        if (ids.length === 0) continue;
        const { events, unreadable } = answer?.body as unknown as JobWithEvents;
        expect(unreadable).toEqual([]);
        const there = events.map((event) => event.id as string);
        expect(ids.filter((one) => !there.includes(one))).toEqual([]);
      }
      for (const { id, events, done } of imports.slice(-3)) {
        const answer = await server.call('GET', `/api/jobs/${id}`);
        const found = answer?.status === 200 ? (answer.body as JobWithEvents).events.length : 0;
        expect(done ? [events] : [0, events]).toContain(found);
      }
      for (const id of photos.slice(-5)) {
        const response = await fetch(`${server.base}/api/photos/${id}`);
        expect((await sharp(Buffer.from(await response.arrayBuffer())).metadata()).width).toBe(900);
      }
    };

    for (let kill = 0; kill < KILLS; kill += 1) {
      expect([await server.start(), server.said]).toEqual([true, server.said]);
      await check();
      let on = true;
      const going = () => on;
      const all = [
        ...jobs.map((job) => write(job, going)),
        upload(going),
        takeIn(),
        ...(kill % 4 === 0 ? [backUp()] : []),
      ];
      await new Promise((resolve) => setTimeout(resolve, 20 + random() ** 2 * 2500));
      await server.stop();
      on = false;
      await Promise.all(all);
    }
    await server.start();
    await check();
    await server.stop('SIGTERM');
    const database = new Database(join(folder, 'which-way.sqlite'));
    expect(database.prepare('PRAGMA integrity_check').get()).toMatchObject({ integrity_check: 'ok' });
    database.close();
    expect(readdirSync(join(folder, 'photos')).filter((name) => name.endsWith('.part'))).toEqual([]);
    process.stdout.write(`kills: ${KILLS}; acknowledged before them: ${JSON.stringify(counts)}\n`);
    expect(counts.events).toBeGreaterThan(KILLS);
    expect([counts.photos, counts.imports, counts.backups].every((count) => count > 0)).toBe(true);
    const file = join(folder, 'last-backup.zip');
    writeFileSync(file, lastBackup ?? '');
    const { status, stderr } = spawnSync(
      process.execPath,
      ['server/bundle/restore-command.js', file, '--data', join(folder, 'put-back')],
      { cwd: fileURLToPath(new URL('../../..', import.meta.url)), encoding: 'utf8' },
    );
    expect([status, stderr]).toEqual([0, '']);
    rmSync(folder, { recursive: true, force: true });
  });
});
