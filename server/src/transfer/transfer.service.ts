import { Inject, Injectable } from '@nestjs/common';
import type { Imported, Work } from '@which-way/contract';
import type { PhotoId } from '@which-way/core/switch';
import { proxy } from 'comlink';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Backroom } from '../backroom/backroom.js';
import { Acknowledged } from '../database/acknowledged.js';
import { Writer } from '../database/writer.js';
import { receiveFile } from '../errors/receive-file.js';
import { Refusal, refused } from '../errors/refusal.js';
import { EventLog } from '../jobs/event-log.js';
import { Summaries } from '../jobs/summaries.js';
import { Live } from '../live/live.js';
import { PhotoStore } from '../photos/photo-store.js';
import { SERVING, type Serving } from '../serving.js';
import { RESULT } from '../works/works.module.js';
import { Works, type Worker } from '../works/works.js';
import type { CheckedFile } from './check-file.js';
import { showImport } from './show-import.js';
import { Taker, takeBack } from './taker.js';
import { notLookedThrough } from './not-looked-through.js';
import { openZip } from './zip-file.js';

const INCOMING = 'incoming';
/** Milliseconds after which it is tried again to finish an import that the disk had no room for. */
const LATER_MS = 15_000;

/** Files in and out: the project's own, of any size, beside whatever else goes on. */
@Injectable()
export class TransferService {
  /** What was looked through and waits for a person, by work. */
  readonly #checked = new Map<string, CheckedFile>();

  constructor(
    private readonly writer: Writer,
    private readonly log: EventLog,
    private readonly backroom: Backroom,
    private readonly works: Works,
    private readonly photos: PhotoStore,
    private readonly live: Live,
    private readonly summaries: Summaries,
    private readonly acknowledged: Acknowledged,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  /** What the imports of a killed server left: those that were decided are finished, the others cleared away. */
  async tidy(): Promise<void> {
    await this.#finishDecided();
    await takeBack(this.writer, 'import IS NOT NULL');
  }

  async #finishDecided(): Promise<void> {
    const decided = (await this.writer.write((manager) =>
      manager.query('SELECT import FROM import_decided'),
    )) as { import: string }[];
    for (const { import: id } of decided) await showImport(this.writer, this.log, id);
    if (decided.length > 0) this.live.bench();
  }

  /** Goes on with what is decided and could not be shown, until it is. */
  #finishLater(): void {
    setTimeout(() => {
      // On a full disk not even a folder can be made: that too is tried again, and ends nothing.
      Promise.resolve()
        .then(() => this.works.quietly(() => this.#finishDecided(), this.works.newFolder()))
        .catch(() => this.#finishLater());
    }, LATER_MS).unref();
  }

  /** Receives a file and looks it through; it then waits to be taken in. */
  async receive(body: Readable, name: string, most = Infinity): Promise<Work> {
    const place = await this.#store(body, most);
    return this.works.begin('import', (worker) => this.#check(worker, place.id, name), place);
  }

  /**
   * Takes in what was looked through, without what was set aside.
   * @param shop whether the shop's settings of the file take the place of those there are.
   * @param again whether jobs that were deleted here come back; else they are left out.
   */
  take(id: string, { shop, again }: { shop: boolean; again: boolean }): Work {
    return this.works.resume(id, async (worker) => {
      const deleted = this.#checked.get(id)?.deleted ?? [];
      const file = join(worker.folder, INCOMING);
      if (!again && deleted.length > 0) await this.backroom.long((desk) => desk.leaveOut(file, deleted));
      return { imported: await this.#takeIn(worker, id, shop) };
    });
  }

  /**
   * A whole file in one go: all of it or nothing, if one thing in it is wrong.
   * @param again whether jobs that were deleted here come back; else the file is refused for them.
   */
  async import(body: Readable, again = false): Promise<Imported> {
    const place = await this.#store(body, IMPORT_BYTES);
    return this.works.quietly(async (worker) => {
      const { preview } = await this.#check(worker, place.id, 'which-way.json');
      const deleted = preview?.deletedCount ?? 0;
      if (deleted > 0 && !again) throw refused(409, 'deleted-before', { count: deleted });
      const [first, ...more] = preview?.setAside ?? [];
      if (first) {
        const status = ['event-differs', 'sequence-taken'].includes(first.code) ? 409 : 422;
        const others = more.length > 0 ? { more: more.slice(0, 20).map(plain) } : {};
        throw new Refusal(status, { ...plain(first), ...others });
      }
      return this.#takeIn(worker, place.id, preview?.shop === 'first');
    }, place);
  }

  async #store(body: Readable, most: number): Promise<{ id: string; folder: string }> {
    const place = this.works.newFolder();
    try {
      await receiveFile(body, join(place.folder, INCOMING), most, tooLarge);
    } catch (error) {
      this.works.discard(place.folder);
      throw error;
    }
    return place;
  }

  async #check(worker: Worker, id: string, name: string): Promise<Partial<Work>> {
    const heard = proxy((step: Work['step'], done: number, total: number) =>
      worker.tell({ step, done, total }),
    );
    const file = join(worker.folder, INCOMING);
    const checked = await this.backroom.long(
      (desk) => desk.checkFile(file, name, heard, worker.flag),
      worker.flag,
    );
    this.#checked.set(id, checked);
    return { state: 'ready', preview: checked.preview, done: 0, total: 0 };
  }

  async #takeIn(worker: Worker, id: string, withShop: boolean): Promise<Imported> {
    const checked = this.#checked.get(id);
    this.#checked.delete(id);
    if (!checked) throw notLookedThrough();
    const { preview, shop, photos } = checked;
    const file = join(worker.folder, INCOMING);
    const taker = new Taker(this.writer, this.log, id);
    const total = preview.jobsNew + preview.jobsJoined + preview.events + preview.entries;
    let done = 0;
    let decided = false;
    try {
      for (;;) {
        worker.goesOn();
        const rows = await this.backroom.long((desk) => desk.nextRows(file, taker.turnBytes));
        if (!rows) break;
        await taker.add(rows);
        done += rows.length;
        worker.tell({ step: 'taking-in', done, total });
      }
      const added = await this.#takePhotos(worker, photos);
      worker.goesOn();
      await taker.decide(withShop ? shop : null);
      decided = true;
      const imported = await taker.show({ photosAdded: added, shopTaken: withShop && shop !== null });
      await this.#afterwards(taker);
      return imported;
    } catch (error) {
      // What cannot be taken back now stays hidden until the next start, which does it.
      if (decided) {
        this.#finishLater();
        throw refused(503, 'import-unfinished');
      }
      await taker.takeBack().catch(() => undefined);
      throw error;
    } finally {
      await this.backroom.long((desk) => desk.forget(file));
    }
  }

  /** Photos come before the last write: a job that is seen has its pictures. One that is there already stays as it is. */
  async #takePhotos(worker: Worker, names: readonly string[]): Promise<number> {
    if (names.length === 0) return 0;
    const zip = await openZip(join(worker.folder, INCOMING));
    let added = 0;
    try {
      for (const [index, name] of names.entries()) {
        worker.goesOn();
        const id = name.slice('photos/'.length, -'.jpg'.length) as PhotoId;
        if (await this.photos.has(id)) continue;
        await this.photos.put(id, await zip.stream(name));
        added += 1;
        worker.tell({ step: 'photos', done: index + 1, total: names.length });
      }
    } finally {
      zip.close();
    }
    return added;
  }

  async #afterwards(taker: Taker): Promise<void> {
    this.acknowledged.advance(await this.backroom.read((desk) => desk.lastRow()));
    for (const job of taker.joined) this.live.job(job);
    this.summaries.redo(taker.joined);
    this.live.bench();
  }

  /** Everything as one file. */
  exportAll(): Work {
    return this.works.begin('export', async (worker) => {
      const heard = proxy((step: Work['step'], done: number, total: number) =>
        worker.tell({ step, done, total }),
      );
      const to = join(worker.folder, RESULT);
      await this.backroom.long(
        (desk) => desk.exportAll(to, this.serving.photos, heard, worker.flag),
        worker.flag,
      );
      return { file: { name: `which-way-${stamp()}.zip`, bytes: statSync(to).size } };
    });
  }
}

/** Bytes of a file that is taken in by one request: larger ones are looked through first. */
const IMPORT_BYTES = 25 * 1024 * 1024;

/** A name for files by the minute. */
export const stamp = (): string => new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');

const tooLarge = () => refused(413, 'too-large', { file: 1 });

const plain = ({
  code,
  message,
  path,
  hint,
}: {
  code: string;
  message: string;
  path: string;
  hint: string;
}) => ({
  code,
  message,
  path,
  hint,
});
