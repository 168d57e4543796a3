import type { PhotoId } from '@which-way/core/switch';
import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { Backroom } from '../backroom/backroom.js';
import { Writer } from '../database/writer.js';
import { PhotoStore } from '../photos/photo-store.js';

const DAY_MS = 86_400_000;
/** The last moment that a Date can hold. */
const END_OF_TIME = new Date(8.64e15);
/** Pixels that no event names are kept so long: an upload comes before its event, and a device may have been away. */
const PHOTO_DAYS = 30;
/** A reader that looks at an older state keeps the write-ahead log from being emptied: it is tried again after so long. */
const AGAIN_MS = 5_000;
const TRIES = 24;
/** The first look for pixels that nobody names, after the start: whoever waits for the bench comes first. */
const FIRST_LOOK_MS = 60_000;

/** Makes what was deleted gone: its words from the write-ahead log, its pixels from the folder of photos. */
@Injectable()
export class Tidying implements OnApplicationBootstrap, OnApplicationShutdown {
  readonly #log = new Logger('tidying');
  readonly #timers = new Set<NodeJS.Timeout>();

  constructor(
    private readonly writer: Writer,
    private readonly backroom: Backroom,
    private readonly photos: PhotoStore,
  ) {}

  onApplicationBootstrap(): void {
    const look = () => {
      void this.sweep(new Date()).catch((error: unknown) => this.#log.warn(String(error)));
      this.#later(DAY_MS, look);
    };
    this.#later(FIRST_LOOK_MS, look);
  }

  onApplicationShutdown(): void {
    for (const timer of this.#timers) clearTimeout(timer);
  }

  /** After a job was deleted: its words and the pixels that no other job names. */
  async afterDeletion(photos: readonly PhotoId[]): Promise<void> {
    await this.#removeUnnamed(photos);
    this.#emptyLog(TRIES);
  }

  /** Removes pixels that no event of any job names and that are older than thirty days; how many. */
  async sweep(now: Date): Promise<number> {
    return this.#removeUnnamed(await this.photos.olderThan(new Date(now.getTime() - PHOTO_DAYS * DAY_MS)));
  }

  async #removeUnnamed(photos: readonly PhotoId[]): Promise<number> {
    // A long log names many ids that are no photos: the folder is listed once instead of being asked for each.
    const here = new Set(await this.photos.olderThan(END_OF_TIME));
    const there = photos.filter((id) => here.has(id));
    if (there.length === 0) return 0;
    const named = new Set<string>(await this.backroom.long((desk) => desk.namedPhotos(there)));
    const unnamed = there.filter((id) => !named.has(id));
    for (const id of unnamed) await this.photos.remove(id);
    return unnamed.length;
  }

  #emptyLog(tries: number): void {
    void this.writer
      .emptyLog()
      .then((emptied) => {
        if (!emptied && tries > 1) this.#later(AGAIN_MS, () => this.#emptyLog(tries - 1));
      })
      .catch((error: unknown) => this.#log.warn(String(error)));
  }

  #later(milliseconds: number, work: () => void): void {
    const timer = setTimeout(() => {
      this.#timers.delete(timer);
      work();
    }, milliseconds);
    timer.unref();
    this.#timers.add(timer);
  }
}
