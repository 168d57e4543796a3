import type { ImportPreview, MergedInto, SetAside } from '@which-way/contract';
import {
  readEvent,
  jobHeadProblems,
  knownSwitchProblems,
  shopOfToday,
  shopProblems,
  upgradeFile,
  type ShopFile,
} from '@which-way/core/formats';
import { EVENT_BYTES } from '@which-way/core/schema';
import { mergedEntry, sameMakersNumber, type KnownSwitch, type Problem } from '@which-way/core/switch';
import { createReadStream, openSync, readSync, closeSync, statSync } from 'node:fs';
import type { ReadingRoom } from '../backroom/reading-room.js';
import type { Reporter } from '../backroom/reporter.js';
import { readStored } from '../backroom/stored-event.js';
import { farAhead } from '../jobs/event-log.js';
import { inWords, Refusal } from '../errors/refusal.js';
import { readPieces } from './file-pieces.js';
import type { StagedFile } from './staged-file.js';
import { damaged, looksLikeZip, openZip, type ZipFile } from './zip-file.js';
import { CHECK_FILE_TEXT } from '@which-way/words/server/transfer/check-file';

/** So many of what is set aside are told one by one. */
const TOLD = 200;
const PHOTO = /^photos\/([0-9a-f-]{36})\.jpg$/;

/** A file that was looked through: what it would bring, and what is not in the staged rows. */
export interface CheckedFile {
  preview: ImportPreview;
  shop: ShopFile | null;
  /** Names of its photos in the zip. */
  photos: string[];
  /** Ids of its jobs that were deleted here. */
  deleted: string[];
}

/**
 * Looks a file through, piece by piece, whatever its size: JSON, or a zip of that and its photos. What is sound goes into
 * `staged`; what is not is set aside with its place and reason. Nothing of the store is changed.
 * @throws Refusal when the whole is no file of ours, of a newer version, or damaged; when it is asked to stop.
 */
export async function checkFile(
  room: ReadingRoom,
  { file, name, staged }: { file: string; name: string; staged: StagedFile },
  report: Reporter,
): Promise<CheckedFile> {
  try {
    const zip = isZip(file) ? await openZip(file) : null;
    try {
      const json = zip ? await zip.stream('which-way.json') : createReadStream(file);
      const total = zip ? (zip.entries.get('which-way.json')?.uncompressedSize ?? 0) : statSync(file).size;
      const check = new FileCheck(room, staged);
      await readPieces(json, check, (done) => report('checking', done, total));
      const photos = [...(zip?.entries.keys() ?? [])].filter((entry) => PHOTO.test(entry));
      await wholePhotos(zip, photos, report);
      return check.finish(name, photos);
    } finally {
      zip?.close();
    }
  } catch (error) {
    throw error instanceof Refusal ? error.toWire() : error;
  }
}

function isZip(file: string): boolean {
  const start = new Uint8Array(4);
  const handle = openSync(file, 'r');
  readSync(handle, start);
  closeSync(handle);
  return looksLikeZip(start);
}

/** Reads every photo to its end: a zip that was cut off or damaged is found before anything is taken in. */
async function wholePhotos(zip: ZipFile | null, photos: readonly string[], report: Reporter): Promise<void> {
  for (const [index, photo] of photos.entries()) {
    const stream = await zip?.stream(photo);
    try {
      for await (const chunk of stream ?? []) void chunk;
    } catch (error) {
      throw damaged(`${photo}: ${error instanceof Error ? error.message : String(error)}`);
    }
    if (index % 20 === 0) report('photos', index, photos.length);
  }
}

/** What is found of a file while its pieces come. */
class FileCheck {
  readonly #outer: Record<string, unknown> = {};
  readonly #aside: (SetAside & { job: number | null })[] = [];
  readonly #titles = new Map<number, string>();
  #asideCount = 0;
  #jobsNew = 0;
  #jobsJoined = 0;
  #job = -1;
  #libraryAt = -1;
  #shop: ShopFile | null = null;
  readonly #deleted: ImportPreview['deleted'] = [];
  readonly #deletedIds: string[] = [];
  /** Of the job that is being read: the number of its last event, and the highest clock of those that were sound. */
  #eventsOf = { number: -1, clock: 0 };
  /** Ids of the entries that the file brings, by maker and number. */
  readonly #numbers = new Map<string, string>();
  readonly #merged: MergedInto[] = [];
  #mergedCount = 0;

  constructor(
    private readonly room: ReadingRoom,
    private readonly staged: StagedFile,
  ) {}

  piece(path: readonly unknown[], value: unknown): void {
    const [outer, , inner] = path;
    if (path.length === 1) this.#outerPiece(String(outer), value);
    else if (outer === 'library') this.#entry((this.#libraryAt += 1), value);
    else if (inner === 'events') this.#event(value);
    else this.#head(value);
  }

  /** Format and version, as soon as they are known: a file of something else is not read to its end. */
  #outerPiece(name: string, value: unknown): void {
    this.#outer[name] = value;
    if (name === 'shop') {
      if (value === null || value === undefined) return;
      const shop = shopOfToday(value);
      const [problem] = shopProblems(shop);
      if (problem)
        this.#setAside({ ...problem, path: `shop.${problem.path}` }, CHECK_FILE_TEXT.theShopsSettings, null);
      else this.#shop = shop as ShopFile;
      return;
    }
    if ('format' in this.#outer && 'version' in this.#outer) this.#isOurs();
  }

  #isOurs(): void {
    const read = upgradeFile({ ...this.#outer, jobs: [], library: [] });
    if (!read.ok) {
      const [problem] = read.problems;
      if (problem) throw new Refusal(422, inWords(problem));
    }
  }

  /** Events come before the end of their job, so the number of the job is that of the one that ended last, and one more. */
  #event(value: unknown): void {
    const job = this.#job + 1;
    const number = (this.#eventsOf.number += 1);
    const at = `jobs.${job}.events.${number}`;
    const read = readEvent(value);
    if (!read.ok) {
      for (const problem of read.problems.slice(0, 1))
        this.#setAside({ ...problem, path: joined(at, problem.path) }, CHECK_FILE_TEXT.anEvent, job);
      return;
    }
    const { event } = read;
    const row = { id: event.id, writer: `${event.device} ${event.sequence}`, body: JSON.stringify(event) };
    const wrong: Problem | null =
      row.body.length > EVENT_BYTES
        ? { code: 'event-too-large', path: '', params: { most: EVENT_BYTES / 1024 } }
        : farAhead(event, this.#eventsOf.clock);
    if (wrong)
      return this.#setAside({ ...wrong, path: joined(at, wrong.path) }, CHECK_FILE_TEXT.anEvent, job);
    this.#eventsOf.clock = Math.max(this.#eventsOf.clock, event.clock);
    if (!this.staged.addEvent(job, number, row))
      this.#setAside({ code: 'twice', path: at, params: { id: event.id } }, CHECK_FILE_TEXT.anEvent, job);
  }

  #head(value: unknown): void {
    const job = (this.#job += 1);
    this.#eventsOf = { number: -1, clock: 0 };
    const hasLog = typeof value === 'object' && value !== null && 'events' in value;
    const head: Record<string, unknown> = { ...(typeof value === 'object' ? value : {}) };
    delete head['events'];
    const title =
      typeof head['title'] === 'string' && head['title'] !== '' ? head['title'] : `number ${job + 1}`;
    this.#titles.set(job, title);
    const [problem]: Problem[] = hasLog
      ? jobHeadProblems(head)
      : [{ code: 'schema-required', path: 'events', params: { missingProperty: 'events' } }];
    const at = `jobs.${job}`;
    const id = String(head['id']);
    if (problem) {
      const lost = this.staged.dropJob(job);
      this.#forgetEventsOf(job);
      this.#setAside(
        { ...problem, path: joined(at, problem.path) },
        CHECK_FILE_TEXT.theJobWithEvents(title, lost),
        null,
      );
      return;
    }
    const there = this.room.known('job', [id]).size > 0;
    if (!this.staged.addJob(job, id, JSON.stringify(head), there)) {
      this.staged.dropJob(job);
      this.#setAside({ code: 'twice', path: at, params: { id } }, CHECK_FILE_TEXT.theJob(title), null);
    } else if (there) this.#jobsJoined += 1;
    else this.#newJob(id, title);
  }

  #newJob(id: string, title: string): void {
    this.#jobsNew += 1;
    const when = this.room.deletedWhen(id);
    if (when === null) return;
    this.#deleted.push({ title, when });
    this.#deletedIds.push(id);
  }

  #entry(number: number, value: unknown): void {
    const at = `library.${number}`;
    const [problem] = knownSwitchProblems(value);
    const named = typeof value === 'object' && value !== null && 'name' in value ? String(value.name) : '';
    const of = CHECK_FILE_TEXT.theLibraryEntry(named.slice(0, 60)).trim();
    if (problem) return this.#setAside({ ...problem, path: joined(at, problem.path) }, of, null);
    const entry = this.#together(value as KnownSwitch);
    if (!entry) return this.#setAside({ code: 'same-number-other-wiring', path: at, params: {} }, of, null);
    const { id } = entry;
    const body = JSON.stringify(entry);
    if (!this.staged.addEntry(number, id, body))
      return this.#setAside({ code: 'twice', path: at, params: { id } }, of, null);
    // As it is already: nothing to take in, and nothing wrong.
    if (this.room.shelf.entry(id) === body) this.staged.dropEntry(id);
  }

  /** An entry together with the one of the same maker and number, here or earlier in the file; null: they are wired otherwise. */
  #together(fresh: KnownSwitch): KnownSwitch | null {
    const same = sameMakersNumber(fresh);
    if (same === null) return fresh;
    const staged = this.staged.entry(this.#numbers.get(same) ?? '');
    const inFile = staged === null ? null : (JSON.parse(staged) as KnownSwitch);
    const old = inFile ?? this.room.shelf.sameAs(same);
    if (!old || old.id === fresh.id) {
      this.#numbers.set(same, fresh.id);
      return fresh;
    }
    const merged = mergedEntry(old, fresh);
    if (merged.kind !== 'merged') return null;
    const { entry, changed } = merged;
    // In its place in the file: the first of the two stands for both.
    if (inFile) this.staged.dropEntry(old.id);
    this.#numbers.set(same, entry.id);
    this.#mergedCount += 1;
    if (this.#merged.length < TOLD) this.#merged.push({ name: fresh.name, into: old.name, changed });
    return entry;
  }

  finish(name: string, photos: string[]): CheckedFile {
    for (const field of ['jobs', 'library']) this.#outer[field] ??= [];
    this.#isOurs();
    this.#againstTheStore();
    const mine = this.room.shop();
    const shop = !this.#shop
      ? 'none'
      : !mine
        ? 'first'
        : JSON.stringify(mine) === JSON.stringify(this.#shop)
          ? 'same'
          : 'other';
    const setAside = this.#aside.map(({ job, ...aside }) => ({
      ...aside,
      of: job === null ? aside.of : `${aside.of} of ${this.#titles.get(job) ?? `job ${job + 1}`}`,
    }));
    const preview: ImportPreview = {
      name,
      jobsNew: this.#jobsNew,
      jobsJoined: this.#jobsJoined,
      events: this.staged.count('event'),
      entries: this.staged.count('entry'),
      merged: this.#merged,
      mergedCount: this.#mergedCount,
      photos: photos.length,
      deleted: this.#deleted.slice(0, TOLD),
      deletedCount: this.#deleted.length,
      shop,
      setAside,
      setAsideCount: this.#asideCount,
    };
    return { preview, shop: this.#shop, photos, deleted: this.#deletedIds };
  }

  /** Events that are there already go; those that clash with one that is there are set aside. */
  #againstTheStore(): void {
    for (const stretch of this.staged.eventsOfKnownJobs()) {
      const stored = this.room.stored(stretch.map(({ id }) => id));
      const taken = this.room.numbersTaken(stretch);
      for (const { id, body, job, number, jobId, writer } of stretch) {
        const there = stored.get(id);
        const [same] = there ? readStored([there]).events : [];
        const clash = there ? 'event-differs' : taken.has(`${jobId} ${writer}`) ? 'sequence-taken' : null;
        if (!clash) continue;
        this.staged.dropEvent(id);
        if (there?.job_id === jobId && same && JSON.stringify(same) === body) continue;
        const path = `jobs.${job}.events.${number}.${clash === 'event-differs' ? 'id' : 'sequence'}`;
        this.#setAside({ code: clash, path, params: { id } }, CHECK_FILE_TEXT.anEvent, job);
      }
    }
  }

  /** The job is set aside as a whole: what was wrong inside it is no news any more. */
  #forgetEventsOf(job: number): void {
    for (let at = this.#aside.length - 1; this.#aside[at]?.job === job; at -= 1) {
      this.#aside.pop();
      this.#asideCount -= 1;
    }
  }

  #setAside(problem: Problem, of: string, job: number | null): void {
    this.#asideCount += 1;
    if (this.#aside.length >= TOLD) return;
    this.#aside.push({ ...inWords(problem), of, job });
  }
}

const joined = (at: string, path: string): string => (path === '' ? at : `${at}.${path}`);
