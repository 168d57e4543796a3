import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import type { ApiError, JobWithEvents, PostedEvents } from '@which-way/contract';
import { newJob } from '../testing/served.js';
import { Spawned } from '../testing/spawned.js';

const folder = mkdtempSync(join(tmpdir(), 'which-way-small-'));
const mounted =
  Boolean(process.env['WHICH_WAY_DEEP']) &&
  spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=12m', 'tmpfs', folder]).status === 0;

describe.runIf(mounted)('a file system of 12 MB that fills up', () => {
  it('takes nothing back that was acknowledged: events and photos are there after a restart, and it goes on with room', async () => {
    const server = new Spawned(folder);
    expect(await server.start()).toBe(true);
    const { job, events, add } = newJob(3);
    const acknowledged: string[] = [];
    const codes = new Set<string>();
    const photos: string[] = [];
    await server.call('POST', '/api/jobs', job);
    const post = async (some: unknown[]) => {
      const answer = await server.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: some });
      if (answer?.status === 200) acknowledged.push(...(answer.body as PostedEvents).stored);
      else codes.add((answer?.body as unknown as ApiError).code);
      return answer?.status;
    };
    await post(events);
    const noise = Buffer.alloc(1600 * 1200 * 3).map(() => Math.floor(Math.random() * 256));
    const picture = await sharp(noise, { raw: { width: 1600, height: 1200, channels: 3 } })
      .jpeg()
      .toBuffer();
    for (let round = 0; round < 40; round += 1) {
      if (round === 5) writeFileSync(join(folder, 'ballast'), Buffer.alloc(6 << 20));
      await post([add({ kind: 'noted', field: 'complaint', text: 'x'.repeat(3900) })]);
      if (round % 4 === 0) {
        const id = newJob(800 + round).job.id;
        const answer = await server.call('PUT', `/api/photos/${id}`, picture);
        if (answer?.status === 200) photos.push(id);
        else expect([answer?.status, (answer?.body as unknown as ApiError).code]).toEqual([503, 'disk-full']);
      }
      if (round % 10 === 9) await server.call('POST', '/api/backup');
    }
    rmSync(join(folder, 'ballast'), { force: true });
    expect(await post([add({ kind: 'noted', field: 'complaint', text: 'room again' })])).toBe(200);
    expect([...codes].filter((code) => code !== 'disk-full')).toEqual([]);
    await server.stop();
    expect(await server.start()).toBe(true);
    const opened = (await server.call('GET', `/api/jobs/${job.id}`))?.body as unknown as JobWithEvents;
    expect(opened.events.map(({ id }) => id)).toEqual(acknowledged);
    for (const id of photos) expect((await fetch(`${server.base}/api/photos/${id}`)).status).toBe(200);
    await server.stop('SIGTERM');
    spawnSync('umount', [folder]);
  });
});
