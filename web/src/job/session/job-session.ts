import { createMapper } from '@which-way/core/continuity';
import {
  createWriter,
  type Deed,
  type DeedKind,
  type JobEvent,
  type PhotoPurpose,
  lastChange,
  redoDeed,
  undoDeed,
  withdrawDeed,
} from '@which-way/core/log';
import { type EventId, type JobId, type PhotoId, type StructureChange } from '@which-way/core/switch';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { api, isPassing, RefusedError, toldOf } from '../../api/client.js';
import { Asides } from '../outbox/asides.js';
import { nextBatch } from '../outbox/batch.js';
import { DELETED, NOTHING_YET, type JobState } from './job-state.js';
import { Keeping } from '../outbox/keeping.js';
import { newId } from '../new-id.js';
import { lostSince, notArrived, readCopy, readKept } from '../outbox/kept.js';
import { noted, type Outbox } from '../outbox/outbox.js';
import { PhotoQueue, takenDeed } from '../outbox/photo-queue.js';
import { StrangePieces } from '../outbox/strange.js';
import { saveStateOf } from '../outbox/save-state.js';
import { mendedDeed, type Mending, type SetAside } from '../outbox/set-aside.js';

const RETRY_MS = [500, 1000, 2000, 4000, 8000];
/**
 * One open job: its log as far as this tab knows it, what is derived from it, and the sending of what is new.
 * An event shows at once, is kept by the browser, and leaves it when the server says that it is stored. A refused one is set
 * aside, and the rest goes on.
 */
export class JobSession {
  readonly store: StoreApi<JobState>;
  readonly #writer = createWriter({ newId, now: () => new Date().toISOString() });
  readonly #mapper = createMapper();
  readonly #keeping = new Keeping(() => this.#showSave());
  readonly #asides: Asides;
  /** Events of other devices that came in while this one was open. */
  readonly heard = new Set<EventId>();
  /** Photos on their way. */
  readonly photos: PhotoQueue;
  /** What the browser kept and cannot read. */
  readonly strange: StrangePieces;
  #cursor = 0;
  #unsent: JobEvent[] = [];
  #busy = false;
  #failures = 0;
  #reason: string | null = null;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #closed = false;
  #leaving = false;
  /** What is shown came from this browser: it is loaded anew as soon as the server answers. */
  #fromCopy = false;

  constructor(
    readonly id: JobId,
    private readonly outbox: Outbox,
  ) {
    this.store = createStore<JobState>(() => ({ ...NOTHING_YET, map: this.#mapper([]) }));
    this.#asides = new Asides(id, outbox, this.#keeping, (aside) =>
      this.store.setState({ aside: [...aside] }),
    );
    this.strange = new StrangePieces(outbox, (strange) => this.store.setState({ strange }));
    this.photos = new PhotoQueue({
      job: id,
      outbox,
      keeping: this.#keeping,
      onStored: (photo, size) => this.emit(takenDeed(photo, size)),
      onChange: (photos) => {
        this.store.setState({ photos });
        this.#showSave();
      },
    });
  }

  get cursor(): number {
    return this.#cursor;
  }

  /** What is not on the server's disk yet. */
  get waiting(): number {
    return this.#unsent.length + this.photos.waiting;
  }

  /** Whether something would be lost if this page were closed now. */
  get onlyHere(): boolean {
    return this.#keeping.unkept > 0;
  }

  /** Loads the job and takes up what the outbox still holds. Tries again by itself while the server is away. */
  async open(): Promise<void> {
    this.#closed = false;
    this.#leaving = false;
    try {
      const opened = await api.openJob(this.id);
      await this.#takeUpKept(opened.events);
      if (this.#closed) return;
      await this.#show(opened);
      void this.flush();
    } catch (error) {
      const refused = error instanceof RefusedError;
      if (!refused && (await this.#openCopy())) return;
      const deleted = refused && error.error.code === 'job-deleted';
      if (deleted) await this.#openCopy();
      this.store.setState({ trouble: { ...toldOf(error), missing: refused, deleted } });
      if (!refused && !this.#closed) this.#timer = setTimeout(() => void this.open(), 2000);
    }
  }

  /** Shows what the server has, with what is not sent yet on top; and what it had once and has not any more. */
  async #show({ job, events, cursor, unreadable }: Awaited<ReturnType<typeof api.openJob>>): Promise<void> {
    this.#cursor = cursor;
    this.#fromCopy = false;
    const there = new Set(events.map(({ id }) => id));
    this.#unsent = this.#unsent.filter(({ id }) => !there.has(id));
    const copy = await readCopy(this.outbox, this.id);
    const lost = lostSince(copy, events, this.#unsent, unreadable);
    this.#setEvents([...events, ...this.#unsent]);
    this.store.setState({ job, trouble: null, unreadable, lost });
    this.#showSave();
    // What the server lost stays in the copy until a person has decided.
    if (lost.length === 0) await noted(() => this.outbox.copy({ job, cursor, events }));
  }

  async #takeUpKept(stored: readonly JobEvent[]): Promise<void> {
    const kept = await readKept(this.outbox, this.id);
    const known = new Set(this.#unsent.map(({ id }) => id));
    const waiting = await notArrived(this.outbox, kept.events, stored);
    this.#unsent.push(...waiting.filter(({ id }) => !known.has(id)));
    this.photos.takeUp(kept.photos, { stored, waiting: this.#unsent });
    this.#asides.takeUp(kept.aside);
    this.strange.takeUp(kept.strange);
  }

  /** Shows the job as this browser knows it while the server is away; false where it does not know it. */
  async #openCopy(): Promise<boolean> {
    const copy = await readCopy(this.outbox, this.id);
    if (!copy || this.#closed) return false;
    await this.#takeUpKept(copy.events);
    this.#cursor = copy.cursor;
    this.#setEvents([...copy.events, ...this.#unsent]);
    this.store.setState({ job: copy.job, trouble: null });
    this.#showSave();
    this.#fromCopy = true;
    void this.flush();
    return true;
  }

  /** Takes the job as the server has it in place of what is here; what was emitted meanwhile stays on top. */
  async loadAnew(): Promise<void> {
    await this.#show(await api.openJob(this.id));
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    this.#keeping.close();
  }

  /** Nobody looks at it any more: it ends once everything is on the server. */
  leave(): void {
    this.#leaving = true;
    if (this.waiting === 0) this.close();
    else void this.flush();
  }

  /** Adds what happened to the log. */
  emit(...deeds: Deed[]): void {
    const before = this.store.getState().events;
    const events = deeds.reduce<readonly JobEvent[]>(
      (seen, what) => [...seen, this.#writer.write(seen, what)],
      before,
    );
    this.#send(events.slice(before.length), events);
  }

  /** Puts events into the queue, and onto the screen. */
  #send(added: readonly JobEvent[], all: readonly JobEvent[]): void {
    this.#unsent.push(...added);
    for (const event of added) this.#keeping.keep(event.id, () => this.outbox.put(this.id, event));
    this.#setEvents(all);
    this.#showSave();
    void this.flush();
  }

  /** Adds a photo: it is kept here until the server has it on its disk, and only then written into the log. */
  async addPhoto(picture: Blob, purpose: PhotoPurpose): Promise<PhotoId> {
    const id = await this.photos.add(picture, purpose);
    void this.flush();
    return id;
  }

  /** A person wants the server to look at a refused photo again. */
  sendPhotoAgain(id: PhotoId): void {
    this.photos.again(id);
    void this.flush();
  }

  /** Changes what the switch is made of, on the structure as this tab sees it. */
  restructure(change: StructureChange): void {
    this.emit({ kind: 'restructured', change, basedOn: lastChange(this.store.getState().events) });
  }

  /** Takes back the last act of these kinds. */
  undo(among: ReadonlySet<DeedKind>): void {
    this.#emitIf(undoDeed(this.store.getState().map.log, among));
  }

  /** Brings back the last act of these kinds that was taken back. */
  redo(among: ReadonlySet<DeedKind>): void {
    this.#emitIf(redoDeed(this.store.getState().map.log, among));
  }

  /** Takes one act back, wherever it is in the log. */
  withdraw(id: EventId): void {
    this.emit(withdrawDeed(this.store.getState().map.log, id));
  }

  #emitIf(deed: Deed | null): void {
    if (deed) this.emit(deed);
  }

  /** Changes the job's own fields; throws what the server said. */
  async changeJob(change: { title?: string; place?: string; outOfMachine?: boolean }): Promise<void> {
    const version = this.store.getState().job?.version;
    if (version) this.store.setState({ job: await api.changeJob(this.id, { version, ...change }) });
  }

  /** The switch is in the hand, with nothing of the machine on it; or in the machine after all, with its wires on. */
  async setOutOfMachine(outOfMachine: boolean): Promise<void> {
    await this.changeJob({ outOfMachine });
    this.emit({ kind: 'wires-off', off: outOfMachine });
  }

  /** Gives up what was set aside: other events stand in for it. */
  leaveOut(item: SetAside): void {
    const { events } = this.store.getState();
    const instead = this.#asides.leaveOut(item, events);
    this.#send(instead, [...events, ...instead]);
  }

  /** Enters what was set aside once more, mended; what hangs on it goes along. */
  mend(item: SetAside, mending: Mending, typed: string): void {
    const { events } = this.store.getState();
    const mended = this.#writer.write(events, mendedDeed(item, mending, typed, lastChange(events)));
    const added = this.#asides.mend(item, mended);
    this.#send(added, [...events, ...added]);
  }

  /** Offers the server again what it had once; or lets it go. */
  settleLost(offer: boolean): void {
    const { lost, events, job } = this.store.getState();
    this.store.setState({ lost: [] });
    if (offer) this.#send(lost, [...events, ...lost]);
    const stored = events.filter(({ id }) => !this.#unsent.some((event) => event.id === id));
    if (job) void noted(() => this.outbox.copy({ job, cursor: this.#cursor, events: stored }));
  }

  /** What came in over the stream: from other devices, or of this one by another way. */
  hear({ events, cursor }: { events: readonly JobEvent[]; cursor: number }): void {
    const { job, events: before } = this.store.getState();
    if (this.#fromCopy || cursor < this.#cursor) return;
    const known = new Set(before.map(({ id }) => id));
    const foreign = events.filter(({ id }) => !known.has(id));
    const own = events.filter(({ id }) => known.has(id) && !this.#unsent.some((event) => event.id === id));
    this.#cursor = cursor;
    for (const { id } of foreign) this.heard.add(id);
    if (foreign.length > 0) this.#setEvents([...before, ...foreign]);
    if (job && events.length > 0)
      void noted(() => this.outbox.addToCopy({ job, cursor, events: [...own, ...foreign] }));
  }

  /** Sends what waits, in order; asks for what is new when nothing waits. */
  async flush(): Promise<void> {
    this.#sendPhotos();
    if (this.#busy || this.#closed) return;
    this.#busy = true;
    clearTimeout(this.#timer);
    try {
      do {
        const batch = nextBatch(this.#unsent);
        const answer = await api.postEvents(this.id, { after: this.#cursor, events: batch });
        this.#failures = 0;
        this.#reason = null;
        await this.#settle(batch, answer);
        if (this.#fromCopy && this.#unsent.length === 0) await this.loadAnew();
      } while (this.#unsent.length > 0);
      this.#showSave();
      if (this.#leaving && this.waiting === 0) this.close();
    } catch (error) {
      this.#failed(error);
    } finally {
      this.#busy = false;
    }
  }

  #sendPhotos(): void {
    this.photos.flush(() => !this.#closed).catch((error: unknown) => this.#failed(error));
  }

  async #settle(batch: JobEvent[], answer: Awaited<ReturnType<typeof api.postEvents>>): Promise<void> {
    const stored = new Set<string>(answer.stored);
    this.#unsent = this.#unsent.filter(({ id }) => !stored.has(id));
    this.#cursor = Math.max(this.#cursor, answer.cursor);
    const { events } = this.store.getState();
    const fallen = this.#asides.refuse(batch, answer.refused, { unsent: this.#unsent, events });
    this.#unsent = this.#unsent.filter(({ id }) => !fallen.has(id));
    const known = new Set(this.store.getState().events.map(({ id }) => id));
    const foreign = answer.events.filter(({ id }) => !known.has(id));
    if (foreign.length > 0 || fallen.size > 0)
      this.#setEvents([...this.store.getState().events.filter(({ id }) => !fallen.has(id)), ...foreign]);
    const { job } = this.store.getState();
    const copied = [...batch.filter(({ id }) => stored.has(id)), ...foreign];
    if (job && copied.length > 0)
      await noted(() => this.outbox.addToCopy({ job, cursor: this.#cursor, events: copied }));
    const done = [...batch.filter(({ id }) => stored.has(id)).map(({ id }) => id), ...fallen];
    this.#keeping.release(done);
    await noted(() => this.outbox.remove(done));
    await this.photos.recorded(
      batch.filter(({ id }) => stored.has(id)),
      new Set(answer.photosWanted),
    );
    this.#sendPhotos();
    this.#showSave();
  }

  #failed(error: unknown): void {
    this.#reason = toldOf(error).message;
    if (error instanceof RefusedError && error.error.code === 'job-deleted') {
      this.store.setState({ trouble: { ...toldOf(error), missing: true, deleted: true } });
      this.#showSave();
      return;
    }
    const hopeless = error instanceof RefusedError && !isPassing(error);
    this.#showSave(hopeless);
    if (hopeless) return;
    const pause = RETRY_MS[Math.min(this.#failures, RETRY_MS.length - 1)];
    this.#failures += 1;
    if (!this.#closed && (this.waiting > 0 || this.#fromCopy))
      this.#timer = setTimeout(() => void this.flush(), pause);
  }

  /** The job is gone from the server. */
  gone(): void {
    this.store.setState({ trouble: DELETED });
  }

  #setEvents(events: readonly JobEvent[]): void {
    this.store.setState({ events, map: this.#mapper(events) });
  }

  #showSave(hopeless = false): void {
    const { aside } = this.store.getState();
    this.store.setState({
      save: saveStateOf({
        waiting: this.waiting,
        unkept: this.#keeping.unkept,
        unkeptReason: this.#keeping.reason,
        refused: [...aside.map(({ error }) => error), ...this.photos.refused],
        reason: this.#reason,
        hopeless,
      }),
    });
  }
}
