import type { ApiError } from '@which-way/contract';
import type { JobId, PhotoId } from '@which-way/core/switch';
import type { Deed, JobEvent, PhotoPurpose } from '@which-way/core/log';
import { api, RefusedError, isPassing } from '../../api/client.js';
import type { WaitingPhoto } from '../session/job-state.js';
import type { Keeping } from './keeping.js';
import { newId } from '../new-id.js';
import type { KeptPhoto, Outbox } from './outbox.js';

/** The photos that events tell of for the first time. */
const photosIn = (events: readonly JobEvent[]): PhotoId[] =>
  events.flatMap(({ what }) => (what.kind === 'photo-taken' ? [what.photo.id] : []));

/** What is written down once the pixels of a photo are on the server's disk. */
export const takenDeed = (
  { id, purpose, caption }: KeptPhoto,
  { width, height }: { width: number; height: number },
): Deed => ({ kind: 'photo-taken', photo: { id, purpose, caption, width, height, removed: false } });

interface PhotoQueueMeans {
  job: JobId;
  outbox: Outbox;
  keeping: Keeping;
  /** The photo is on the server's disk. */
  onStored: (photo: KeptPhoto, size: { width: number; height: number }) => void;
  onChange: (photos: readonly WaitingPhoto[]) => void;
}

/**
 * Photos on their way to the server, one after another. A photo's copy here goes when the server has both its pixels and the event
 * that tells of it, or when a person drops it, and never for any other reason.
 */
export class PhotoQueue {
  #photos: KeptPhoto[] = [];
  /** Pixels that the server has; the event that tells of them is still on its way. */
  readonly #sent = new Map<PhotoId, KeptPhoto>();
  /** Photos whose event the server has, and not their pixels: they are sent once more, and nothing is written down. */
  readonly #wanted = new Set<PhotoId>();
  #shown = new Map<PhotoId, string>();
  #busy = false;

  constructor(private readonly means: PhotoQueueMeans) {}

  /** Photos that are still to be sent. */
  get waiting(): number {
    return this.#photos.filter(({ refused }) => !refused).length;
  }

  /** Photos that the server refused. */
  get refused(): ApiError[] {
    return this.#photos.flatMap(({ refused }) => refused ?? []);
  }

  /**
   * Takes up what the browser kept from an earlier time.
   * @param events those that are stored, and those that wait to be sent: they may tell of some of them already.
   */
  takeUp(
    photos: readonly KeptPhoto[],
    events: { stored: readonly JobEvent[]; waiting: readonly JobEvent[] },
  ): void {
    const told = { stored: new Set(photosIn(events.stored)), waiting: new Set(photosIn(events.waiting)) };
    const known = new Set([...this.#photos.map(({ id }) => id), ...this.#sent.keys()]);
    const fresh = photos.filter(({ id }) => !known.has(id));
    for (const photo of fresh) if (told.waiting.has(photo.id)) this.#sent.set(photo.id, photo);
    for (const { id } of fresh) if (told.stored.has(id)) this.#wanted.add(id);
    this.#set([...this.#photos, ...fresh.filter(({ id }) => !this.#sent.has(id))]);
  }

  /** These events are stored; `wanted`: of the photos that they tell of those whose pixels the server does not have. */
  async recorded(events: readonly JobEvent[], wanted: ReadonlySet<PhotoId>): Promise<void> {
    for (const id of photosIn(events)) {
      const photo = this.#sent.get(id);
      if (!photo) continue;
      this.#sent.delete(id);
      if (wanted.has(id)) {
        this.#wanted.add(id);
        this.#set([...this.#photos, photo]);
      } else await this.means.outbox.removePhoto(id).catch(() => undefined);
    }
  }

  async add(picture: Blob, purpose: PhotoPurpose): Promise<PhotoId> {
    const id = newId<PhotoId>();
    const bytes = await picture.arrayBuffer();
    const photo: KeptPhoto = { id, purpose, caption: '', bytes, type: picture.type };
    const { outbox, keeping, job } = this.means;
    keeping.keep(id, () => outbox.putPhoto(job, photo));
    this.#set([...this.#photos, photo]);
    return id;
  }

  /** Sends them; throws what keeps them from being sent just now. */
  async flush(wanted: () => boolean): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    try {
      for (let photo = this.#next(); photo && wanted(); photo = this.#next()) await this.#send(photo);
    } finally {
      this.#busy = false;
    }
  }

  #next(): KeptPhoto | undefined {
    return this.#photos.find(({ refused }) => !refused);
  }

  async #send(photo: KeptPhoto): Promise<void> {
    try {
      const size = await api.putPhoto(photo.id, new Blob([photo.bytes], { type: photo.type }));
      if (this.#wanted.delete(photo.id)) {
        await this.#remove(photo.id);
        return;
      }
      this.#sent.set(photo.id, photo);
      this.#set(this.#photos.filter(({ id }) => id !== photo.id));
      this.means.keeping.release([photo.id]);
      this.means.onStored(photo, size);
    } catch (error) {
      if (!(error instanceof RefusedError) || isPassing(error)) throw error;
      const refused = { ...photo, refused: error.error };
      this.means.keeping.keep(photo.id, () => this.means.outbox.putPhoto(this.means.job, refused));
      this.#set(this.#photos.map((one) => (one.id === photo.id ? refused : one)));
    }
  }

  /** A person does not want it any more. */
  drop(id: PhotoId): Promise<void> {
    return this.#remove(id);
  }

  /** A person wants the server to look at it again. */
  again(id: PhotoId): void {
    this.#set(this.#photos.map((one) => (one.id === id ? { ...one, refused: undefined } : one)));
  }

  async #remove(id: PhotoId): Promise<void> {
    this.#set(this.#photos.filter((one) => one.id !== id));
    this.means.keeping.release([id]);
    // Left behind, it would be sent once more, and the server keeps the first.
    await this.means.outbox.removePhoto(id).catch(() => undefined);
  }

  #set(photos: KeptPhoto[]): void {
    this.#photos = photos;
    const next = new Map<PhotoId, string>();
    for (const { id, bytes, type } of photos)
      next.set(id, this.#shown.get(id) ?? URL.createObjectURL(new Blob([bytes], { type })));
    for (const [id, url] of this.#shown) if (!next.has(id)) URL.revokeObjectURL(url);
    this.#shown = next;
    this.means.onChange(
      photos.map(({ id, refused }) => ({ id, url: next.get(id) ?? '', refused: refused ?? null })),
    );
  }
}
