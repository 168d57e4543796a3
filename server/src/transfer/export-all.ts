import { FILE_VERSION } from '@which-way/core/formats';
import { createWriteStream } from 'node:fs';
import { readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type { ReadingRoom } from '../backroom/reading-room.js';
import type { Reporter } from '../backroom/reporter.js';

const PHOTO = /^[0-9a-f-]{36}\.jpg$/;

/**
 * Everything as one file that can be taken in again: a zip of which-way.json (jobs, library, the shop's settings) and the
 * photos. What cannot be read of a job is left out of it, the rest of it is there.
 */
export async function exportAll(
  room: ReadingRoom,
  { to, photos }: { to: string; photos: string },
  report: Reporter,
): Promise<{ jobs: number; photos: number }> {
  const names = (await readdir(photos).catch(() => [])).filter((name) => PHOTO.test(name)).sort();
  const jobs = room.jobIds();
  const zip = new ZipFile();
  zip.addReadStream(Readable.from(projectFile(room, jobs, report)), 'which-way.json');
  for (const name of names) zip.addFile(join(photos, name), `photos/${name}`, { compress: false });
  zip.end();
  const part = `${to}.part`;
  try {
    await pipeline(zip.outputStream as Readable, createWriteStream(part));
    await rename(part, to);
  } finally {
    await rm(part, { force: true });
  }
  return { jobs: jobs.length, photos: names.length };
}

/** The project file, piece by piece. */
function* projectFile(room: ReadingRoom, jobs: readonly string[], report: Reporter): Generator<string> {
  const shop = room.shop();
  yield `{"format":"which-way","version":${FILE_VERSION},"shop":${JSON.stringify(shop)},"jobs":[`;
  let first = true;
  for (const [index, id] of jobs.entries()) {
    const job = room.jobFile(id);
    if (job) {
      yield `${first ? '' : ','}\n${JSON.stringify(job)}`;
      first = false;
    }
    if (index % 10 === 0) report('reading', index, jobs.length);
  }
  yield '\n],"library":[';
  first = true;
  for (const { body } of room.shelf.entries()) {
    yield `${first ? '' : ','}\n${body}`;
    first = false;
  }
  yield '\n]}\n';
}
