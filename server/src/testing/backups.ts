import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { JobSummary, JobWithEvents, Work } from '@which-way/contract';
import { unzipSync, zipSync } from 'fflate';
import Database from 'libsql';
import sharp from 'sharp';
import { newJob, serve, type Served } from './served.js';
import { workEnded } from './works.js';

export const folder = () => mkdtempSync(join(tmpdir(), 'which-way-backup-'));

/** Makes a backup of a bench: the zip. */
export const backUp = async (served: Served): Promise<Buffer> => {
  const work = await workEnded(served, ((await served.call('POST', '/api/backup')).body as Work).id);
  if (work.state !== 'done') throw new Error(`the backup is ${work.state}`);
  return Buffer.from(await (await fetch(`${served.base}/api/works/${work.id}/file`)).arrayBuffer());
};
/** Restores a backup: how it ended, or how it was refused. */
export const restore = async (
  served: Served,
  body: Uint8Array,
): Promise<Work | { status: number; code: string }> => {
  const response = await fetch(`${served.base}/api/restore`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: new Uint8Array(body),
  });
  const answer = (await response.json()) as Work & { code: string };
  return response.ok ? workEnded(served, answer.id) : { status: response.status, code: answer.code };
};
export const PHOTO = 'a0000000-0000-4000-8000-00000000bbbb';

/** A bench with two jobs, a photo, and most of it only in the write-ahead log. */
export const filled = async (place: string) => {
  const served = await serve(place);
  const jobs = [newJob(1), newJob(2)];
  for (const { job, events, addReading } of jobs) {
    addReading();
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  }
  const picture = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#654321' } })
    .jpeg()
    .toBuffer();
  await fetch(`${served.base}/api/photos/${PHOTO}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/jpeg' },
    body: new Uint8Array(picture),
  });
  return { served, jobs };
};

/** The zip of a backup with its database changed by hand, and its list made to fit. */
export const tampered = (zip: Uint8Array, change: (database: Database.Database) => void): Uint8Array => {
  const parts = unzipSync(zip);
  const path = join(folder(), 'which-way.sqlite');
  writeFileSync(path, parts['which-way.sqlite'] ?? new Uint8Array());
  const database = new Database(path);
  change(database);
  database.close();
  const bytes = readFileSync(path);
  const manifest = JSON.parse(Buffer.from(parts['manifest.json'] ?? []).toString()) as {
    files: Record<string, string>;
  };
  manifest.files['which-way.sqlite'] = createHash('sha256').update(bytes).digest('hex');
  return zipSync({
    ...parts,
    'which-way.sqlite': new Uint8Array(bytes),
    'manifest.json': new TextEncoder().encode(JSON.stringify(manifest)),
  });
};

/** A bench as it is seen: its jobs, their logs, and whether the photo is there. */
export const bench = async (served: Served) => {
  const list: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
  const logs = await Promise.all(
    list.map(async ({ id }) => ((await served.call('GET', `/api/jobs/${id}`)).body as JobWithEvents).events),
  );
  const photo = await fetch(`${served.base}/api/photos/${PHOTO}`);
  return { jobs: list.map(({ number, title }) => [number, title]), logs, photo: photo.status };
};
