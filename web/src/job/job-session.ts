import type { ApiError, Job } from '@which-way/contract';
import { createMapper, type SwitchMap } from '@which-way/core/continuity';
import {
  createWriter,
  MAP_ACTS,
  structureRevision,
  type Deed,
  type EventId,
  type JobEvent,
  type JobId,
  type PhotoId,
  type PhotoPurpose,
  type StructureChange,
} from '@which-way/core/switch';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { api, RefusedError, toldOf } from '../api/client.js';
import { newId } from './new-id.js';
import type { KeptPhoto, Outbox } from './outbox.js';

/** Where the person's work is. `saved` means: on the server's disk. */
export type SaveState =
  | { state: 'saved' }
  | { state: 'sending'; count: number }
  | { state: 'waiting'; count: number; reason: string }
  | { state: 'failed'; count: number; reason: string };

export interface JobState {
  job: Job | null;
  /** Why the job cannot be shown; null when it can. */
  trouble: { message: string; hint: string; missing: boolean } | null;
  events: readonly JobEvent[];
  map: SwitchMap;
  save: SaveState;
  /** Photos that wait for the server, to be shown meanwhile. */
  photos: readonly { id: PhotoId; url: string }[];
  /** Changes that the server refused and that are gone from the screen; the person has to know. */
  refused: readonly ApiError[];
}

/** Refusals that pass: not signed in any more, too busy. */
const PASSING: ReadonlySet<number> = new Set([401, 408, 429]);
const RETRY_MS = [500, 1000, 2000, 4000, 8000];

/**
 * One open job: its log as far as this tab knows it, what is derived from it, and the sending of what is new.
 * An event shows at once, is kept in the outbox, and leaves it when the server says that it is stored.
 */
export class JobSession {
  readonly store: StoreApi<JobState>;
  readonly #writer = createWriter({ newId, now: () => new Date().toISOString() });
  readonly #mapper = createMapper();
  #cursor = 0;
  #unsent: JobEvent[] = [];
  #unsentPhotos: KeptPhoto[] = [];
  #busy = false;
  #photosBusy = false;
  #failures = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #closed = false;
  /** What is shown came from this browser: it is loaded anew as soon as the server answers. */
  #fromCopy = false;

  constructor(
    readonly id: JobId,
    private readonly outbox: Outbox,
  ) {
    this.store = createStore<JobState>(() => ({
      job: null,
      trouble: null,
      events: [],
      map: this.#mapper([]),
      save: { state: 'saved' },
      photos: [],
      refused: [],
    }));
  }

  /** Loads the job and takes up what the outbox still holds. Tries again by itself while the server is away. */
  async open(): Promise<void> {
    this.#closed = false;
    try {
      const [{ job, events, cursor }, kept, photos] = await Promise.all([
        api.openJob(this.id),
        this.outbox.of(this.id).catch(() => []),
        this.outbox.photosOf(this.id).catch(() => []),
      ]);
      if (this.#closed) return;
      this.#cursor = cursor;
      const there = new Set(events.map(({ id }) => id));
      this.#unsent = kept.filter(({ id }) => !there.has(id));
      await this.outbox
        .remove(kept.filter(({ id }) => there.has(id)).map(({ id }) => id))
        .catch(() => undefined);
      this.#setEvents([...events, ...this.#unsent]);
      this.store.setState({ job, trouble: null });
      this.#setPhotos(photos);
      this.#showSave();
      void this.outbox.copy({ job, cursor, events }).catch(() => undefined);
      void this.flush();
    } catch (error) {
      const missing = error instanceof RefusedError;
      if (!missing && (await this.#openCopy())) return;
      this.store.setState({ trouble: { ...toldOf(error), missing } });
      if (!missing) this.#timer = setTimeout(() => void this.open(), 2000);
    }
  }

  /** Shows the job as this browser knows it while the server is away; false where it does not know it. */
  async #openCopy(): Promise<boolean> {
    const [copy, kept, photos] = await Promise.all([
      this.outbox.copyOf(this.id).catch(() => null),
      this.outbox.of(this.id).catch(() => []),
      this.outbox.photosOf(this.id).catch(() => []),
    ]);
    if (!copy || this.#closed) return false;
    this.#cursor = copy.cursor;
    const there = new Set(copy.events.map(({ id }) => id));
    this.#unsent = kept.filter(({ id }) => !there.has(id));
    this.#setEvents([...copy.events, ...this.#unsent]);
    this.store.setState({ job: copy.job, trouble: null });
    this.#setPhotos(photos);
    this.#showSave();
    this.#fromCopy = true;
    void this.flush();
    return true;
  }

  /** Takes the job as the server has it in place of the copy; what was emitted meanwhile stays on top. */
  async #loadAnew(): Promise<void> {
    const { job, events, cursor } = await api.openJob(this.id);
    this.#fromCopy = false;
    this.#cursor = cursor;
    const there = new Set(events.map(({ id }) => id));
    this.#setEvents([...events, ...this.#unsent.filter(({ id }) => !there.has(id))]);
    this.store.setState({ job });
    await this.outbox.copy({ job, cursor, events }).catch(() => undefined);
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
  }

  /** Adds what happened to the log. */
  emit(...deeds: Deed[]): void {
    const events = deeds.reduce<readonly JobEvent[]>(
      (seen, what) => [...seen, this.#writer.write(seen, what)],
      this.store.getState().events,
    );
    const added = events.slice(this.store.getState().events.length);
    this.#unsent.push(...added);
    for (const event of added) void this.outbox.put(this.id, event).catch(() => undefined);
    this.#setEvents(events);
    this.#showSave();
    void this.flush();
  }

  /**
   * Adds a photo: it is kept in this browser until the server has it on its disk, and only then written into the log.
   */
  async addPhoto(picture: Blob, purpose: PhotoPurpose): Promise<PhotoId> {
    const id = newId<PhotoId>();
    const photo = { id, purpose, caption: '', bytes: await picture.arrayBuffer(), type: picture.type };
    await this.outbox.putPhoto(this.id, photo).catch(() => undefined);
    this.#setPhotos([...this.#unsentPhotos, photo]);
    this.#showSave();
    void this.flush();
    return id;
  }

  /** Changes what the switch is made of, on the structure as this tab sees it. */
  restructure(change: StructureChange): void {
    this.emit({ kind: 'restructured', change, basedOn: structureRevision(this.store.getState().events) });
  }

  /** Takes back the last act of these kinds. */
  undo(among: ReadonlySet<Deed['kind']> = MAP_ACTS): void {
    this.#turn('withdrawn', lastOf(this.store.getState().map.log.undo, among));
  }

  /** Brings back the last act of these kinds that was taken back. */
  redo(among: ReadonlySet<Deed['kind']> = MAP_ACTS): void {
    this.#turn('restored', lastOf(this.store.getState().map.log.redo, among));
  }

  /** Takes one act back, wherever it is in the log. */
  withdraw(id: EventId): void {
    this.#turn(
      'withdrawn',
      this.store.getState().events.find((event) => event.id === id),
    );
  }

  #turn(kind: 'withdrawn' | 'restored', target: JobEvent | undefined): void {
    if (!target) return;
    const structural = target.what.kind === 'restructured';
    const basedOn = structural ? structureRevision(this.store.getState().events) : null;
    this.emit({ kind, target: target.id, basedOn });
  }

  /** Changes the job's own fields; throws what the server said. */
  async changeJob(change: { title?: string; place?: string; outOfMachine?: boolean }): Promise<void> {
    const { job } = this.store.getState();
    if (!job) return;
    this.store.setState({ job: await api.changeJob(this.id, { version: job.version, ...change }) });
  }

  /** The switch is in the hand now: nothing of the machine is on it any more. */
  async takeOut(): Promise<void> {
    await this.changeJob({ outOfMachine: true });
    this.emit({ kind: 'wires-off', off: true });
  }

  /** It is in the machine after all, with its wires on as far as anybody knows. */
  async putBack(): Promise<void> {
    await this.changeJob({ outOfMachine: false });
    this.emit({ kind: 'wires-off', off: false });
  }

  dismissRefused(): void {
    this.store.setState({ refused: [] });
    this.#showSave();
  }

  /** Sends what waits, in order; asks for what is new when nothing waits. */
  async flush(): Promise<void> {
    void this.#flushPhotos();
    if (this.#busy || this.#closed) return;
    this.#busy = true;
    clearTimeout(this.#timer);
    try {
      do {
        const batch = this.#unsent.slice(0, 100);
        const answer = await api.postEvents(this.id, { after: this.#cursor, events: batch });
        this.#failures = 0;
        await this.#settle(batch, answer);
        if (this.#fromCopy && this.#unsent.length === 0) await this.#loadAnew();
      } while (this.#unsent.length > 0);
      this.#showSave();
    } catch (error) {
      this.#failed(error);
    } finally {
      this.#busy = false;
    }
  }

  async #settle(batch: JobEvent[], answer: Awaited<ReturnType<typeof api.postEvents>>): Promise<void> {
    const done = new Set<string>([...answer.stored, ...answer.refused.map(({ id }) => id)]);
    const refused = new Set<string>(answer.refused.map(({ id }) => id));
    this.#unsent = this.#unsent.filter(({ id }) => !done.has(id));
    this.#cursor = answer.cursor;
    const known = new Set(this.store.getState().events.map(({ id }) => id));
    const foreign = answer.events.filter(({ id }) => !known.has(id));
    if (foreign.length > 0 || refused.size > 0) {
      this.#setEvents([...this.store.getState().events.filter(({ id }) => !refused.has(id)), ...foreign]);
    }
    if (answer.refused.length > 0) {
      const errors = answer.refused.map(({ error }) => error);
      this.store.setState(({ refused: before }) => ({ refused: [...before, ...errors] }));
    }
    const { job } = this.store.getState();
    const stored = batch.filter(({ id }) => answer.stored.includes(id));
    if (job && stored.length + foreign.length > 0)
      await this.outbox
        .addToCopy({ job, cursor: answer.cursor, events: [...stored, ...foreign] })
        .catch(() => undefined);
    await this.outbox
      .remove(batch.filter(({ id }) => done.has(id)).map(({ id }) => id))
      .catch(() => undefined);
    this.#showSave();
  }

  /**
   * Sends photos one after another, beside the events and never before them in a queue; a photo that the server
   * refuses is given up, and said so.
   */
  async #flushPhotos(): Promise<void> {
    if (this.#photosBusy || this.#closed) return;
    this.#photosBusy = true;
    try {
      for (let photo = this.#unsentPhotos[0]; photo && !this.#closed; photo = this.#unsentPhotos[0])
        await this.#sendPhoto(photo);
    } catch (error) {
      this.#failed(error);
    } finally {
      this.#photosBusy = false;
    }
  }

  async #sendPhoto({ id, purpose, caption, bytes, type }: KeptPhoto): Promise<void> {
    try {
      const { width, height } = await api.putPhoto(id, new Blob([bytes], { type }));
      this.emit({ kind: 'photo-taken', photo: { id, purpose, caption, width, height, removed: false } });
    } catch (error) {
      if (!(error instanceof RefusedError) || error.status >= 500 || PASSING.has(error.status)) throw error;
      this.store.setState(({ refused }) => ({ refused: [...refused, error.error] }));
    }
    this.#setPhotos(this.#unsentPhotos.filter((one) => one.id !== id));
    await this.outbox.removePhoto(id).catch(() => undefined);
    this.#showSave();
  }

  #setPhotos(photos: KeptPhoto[]): void {
    const shown = new Map(this.store.getState().photos.map((one) => [one.id, one]));
    this.#unsentPhotos = photos;
    const next = photos.map(
      ({ id, bytes, type }) => shown.get(id) ?? { id, url: URL.createObjectURL(new Blob([bytes], { type })) },
    );
    for (const { id, url } of shown.values())
      if (!next.some((one) => one.id === id)) URL.revokeObjectURL(url);
    this.store.setState({ photos: next });
  }

  /** What is not on the server's disk yet. */
  get #waiting(): number {
    return this.#unsent.length + this.#unsentPhotos.length;
  }

  #failed(error: unknown): void {
    const { message } = toldOf(error);
    const count = this.#waiting;
    const hopeless = error instanceof RefusedError && error.status < 500 && !PASSING.has(error.status);
    if (hopeless && count > 0) {
      this.store.setState({ save: { state: 'failed', count, reason: message } });
      return;
    }
    if (count > 0) this.store.setState({ save: { state: 'waiting', count, reason: message } });
    const pause = RETRY_MS[Math.min(this.#failures, RETRY_MS.length - 1)];
    this.#failures += 1;
    if (!this.#closed && (count > 0 || this.#fromCopy))
      this.#timer = setTimeout(() => void this.flush(), pause);
  }

  #setEvents(events: readonly JobEvent[]): void {
    this.store.setState({ events, map: this.#mapper(events) });
  }

  #showSave(): void {
    const count = this.#waiting;
    const { refused, save } = this.store.getState();
    const [first] = refused;
    if (first)
      this.store.setState({ save: { state: 'failed', count: refused.length, reason: first.message } });
    else if (count === 0) this.store.setState({ save: { state: 'saved' } });
    else if (save.state === 'waiting') this.store.setState({ save: { ...save, count } });
    else this.store.setState({ save: { state: 'sending', count } });
  }
}

function lastOf(stack: readonly JobEvent[], among: ReadonlySet<Deed['kind']>): JobEvent | undefined {
  return stack.find(({ what }) => among.has(what.kind));
}
