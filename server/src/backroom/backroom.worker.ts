import type { MatchAnswer, MatchQuestion } from '@which-way/contract';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { existsSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { backUp, type BackupSource } from '../backup/back-up.js';
import { checkBackup, type CheckedBackup } from '../backup/check-backup.js';
import { exportAll } from '../transfer/export-all.js';
import { checkFile, type CheckedFile } from '../transfer/check-file.js';
import { StagedFile } from '../transfer/staged-file.js';
import { notLookedThrough } from '../transfer/not-looked-through.js';
import { matchLibrary, type MatchHeard } from './match-library.js';
import { reporter, type Heard } from './reporter.js';
import { ReadyLibrary } from './ready-library.js';
import type { LibraryQuestion } from './library-shelf.js';
import { ReadingRoom } from './reading-room.js';
import { SharedReports } from './shared-report.js';
import { LEAVE } from './start-worker.js';

const { database } = workerData as { database: string };

let open: ReadingRoom | null = null;
/** Opened when it is first asked for: at the start the database is not there yet. */
let library = new ReadyLibrary();
/** Replaced when the database is: a cursor of the old one means nothing in the new one. */
let shared = new SharedReports();
const room = () => (open ??= new ReadingRoom(database));
/** Files that were looked through and wait to be taken in, by their path: several may wait at a time. */
const staged = new Map<string, StagedFile>();

function forget(file: string): void {
  staged.get(file)?.close();
  staged.delete(file);
}

/** What a worker of the backroom does: short readings, and one long work at a time. Each answer is plain data. */
const desk = {
  /** Lets go of the database, so that another can be put in its place. */
  letGo(): void {
    open?.close();
    open = null;
    library = new ReadyLibrary();
    shared = new SharedReports();
  },
  bench: (search: string, archived: boolean) => room().bench(search, archived),
  summaries: (ids: string[]) => room().summaries(ids),
  job: (id: string, after: number) => room().job(id, after),
  open: (id: string, after: number) => room().open(id, after),
  exportJob: (id: string) => room().exportJob(id),
  linkOf: (job: string) => room().linkOf(job),
  jobOfLink: (token: string) => room().jobOfLink(token),
  sharedPage: (job: string, photosAt: string) => shared.page(room(), job, photosAt),
  sharedPhoto: (job: string, photo: string) => shared.shows(room(), job, photo),
  note: (key: string) => room().note(key),
  entry: (id: string) => room().shelf.entry(id),
  library: (question: LibraryQuestion) => room().shelf.library(question),
  alike: (terminals: number, positions: number, most: number) =>
    room().shelf.alike(terminals, positions, most),
  deletedOf: (ids: string[]) => room().deletedOf(ids),
  namedPhotos: (ids: string[]) => room().namedPhotos(ids),
  lastRow: () => room().lastRow(),
  countJobs: () => room().countJobs(),
  match: (question: MatchQuestion, flag: SharedArrayBuffer, heard: MatchHeard): Promise<MatchAnswer> =>
    matchLibrary(room().shelf, library, question, flag, heard),

  exportAll: (to: string, photos: string, heard: Heard, flag: SharedArrayBuffer) =>
    exportAll(room(), { to, photos }, reporter(heard, flag)),
  backUp: (source: BackupSource, to: string, heard: Heard, flag: SharedArrayBuffer) =>
    backUp(source, to, reporter(heard, flag)),
  checkBackup: (file: string, to: string, heard: Heard, flag: SharedArrayBuffer): Promise<CheckedBackup> =>
    checkBackup(file, to, reporter(heard, flag)),
  checkFile(file: string, name: string, heard: Heard, flag: SharedArrayBuffer): Promise<CheckedFile> {
    // Those that nobody wants any more are gone from the disk already.
    for (const path of [...staged.keys()]) if (path === file || !existsSync(path)) forget(path);
    const mine = new StagedFile(`${file}.checked`);
    staged.set(file, mine);
    return checkFile(room(), { file, name, staged: mine }, reporter(heard, flag));
  },
  /** The next rows of a file that was looked through, of about so many bytes; null at its end. */
  nextRows(file: string, bytes: number) {
    const mine = staged.get(file);
    // The worker was started anew in between: to go on would take in nothing, and call it done.
    if (!mine) throw notLookedThrough().toWire();
    return mine.nextRows(bytes);
  },
  /** Leaves these jobs of a file that was looked through out. */
  leaveOut(file: string, jobs: string[]): void {
    for (const job of jobs) staged.get(file)?.dropJobOf(job);
  },
  forget,
};

export type BackroomDesk = typeof desk;

if (!parentPort) throw new Error('the backroom is a worker');
expose(desk, nodeEndpoint(parentPort));
// Heard between two answers, when no call to the database is going on.
parentPort.on('message', (message: unknown) => {
  if (message === LEAVE) process.exit();
});
