import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, renameSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import type { PostedEvents, Work } from '@which-way/contract';
import { newJob } from '../testing/served.js';
import { Spawned } from '../testing/spawned.js';

const root = fileURLToPath(new URL('../../..', import.meta.url));
const folder = () => mkdtempSync(join(tmpdir(), 'which-way-two-'));
const restore = (file: string, data: string) =>
  spawnSync(process.execPath, ['server/bundle/restore-command.js', file, '--data', data], {
    cwd: root,
    encoding: 'utf8',
  });

/** A running server with a job, and a backup of it in a file. */
async function running(place: string) {
  const server = new Spawned(place);
  expect([await server.start(), server.said]).toEqual([true, server.said]);
  const made = newJob(3);
  await server.call('POST', '/api/jobs', made.job);
  const post = async () =>
    (await server.call('POST', `/api/jobs/${made.job.id}/events`, { after: 0, events: made.events }))
      ?.body as PostedEvents | undefined;
  await post();
  // So many reads that garbage was collected more than once.
  for (let count = 0; count < 200; count += 1) await server.call('GET', `/api/jobs/${made.job.id}`);
  const begun = (await server.call('POST', '/api/backup'))?.body as unknown as Work;
  const file = join(place, 'works', begun.id, 'result');
  for (let tries = 0; tries < 400 && !existsSync(file); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 25));
  return { server, post, made, file };
}

describe.runIf(process.env['WHICH_WAY_DEEP'])('one data folder', () => {
  it('is not restored into while its server runs, and serves no second server', async () => {
    const place = folder();
    const { server, post, made, file } = await running(place);
    const command = restore(file, place);
    expect([command.status, command.stderr]).toEqual([
      3,
      expect.stringContaining('Another Which Way is using'),
    ]);
    const second = new Spawned(place);
    expect([await second.start(), second.said]).toEqual([
      false,
      expect.stringContaining('Another Which Way is using'),
    ]);
    made.addReading();
    expect((await post())?.stored).toHaveLength(made.events.length);
    await server.stop('SIGTERM');
    expect(restore(file, place).status).toBe(0);
  });

  it('that is moved aside under a running server gets nothing called stored, and the server ends', async () => {
    const place = folder();
    const { server, made } = await running(place);
    renameSync(place, `${place}-aside`);
    made.addReading();
    const answer = await server.call('POST', `/api/jobs/${made.job.id}/events`, {
      after: 0,
      events: made.events,
    });
    expect(answer?.status).toBe(503);
    for (let tries = 0; tries < 200 && server.running; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 25));
    expect(server.running).toBe(false);
    expect(server.said).toContain('was moved, removed or replaced');
  });

  it('put back with an older backup lets no device and no link of that time in', async () => {
    // The cookie and the link themselves are tried in server/src/backup; here with the whole program, after a restart.
    const place = folder();
    const { server, file, made } = await running(place);
    const share = (await server.call('POST', `/api/jobs/${made.job.id}/share`))?.body as unknown as {
      share: { token: string };
    };
    const status = async () =>
      (await fetch(`${server.base}/shared/${share.share.token}`).catch(() => null))?.status;
    expect(await status()).toBe(200);
    await server.stop('SIGTERM');
    expect(restore(file, place).status).toBe(0);
    expect(await server.start()).toBe(true);
    expect(await status()).toBe(404);
    await server.stop('SIGTERM');
  });
});
