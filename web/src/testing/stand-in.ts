import type { Job, JobWithEvents, PostedEvents, PostEvents } from '@which-way/contract';
import { afterEach, beforeEach, vi } from 'vitest';
import { JobSession } from '../job/session/job-session.js';
import { newId } from '../job/new-id.js';
import type { JobEvent } from '@which-way/core/log';
import type { JobId, PhotoId } from '@which-way/core/switch';
import type { JobCopy, KeptPhoto, Outbox } from '../job/outbox/outbox.js';
import type { SetAside } from '../job/outbox/set-aside.js';

/** A server in memory behind fetch, which can be away or refuse. */
export class StandIn {
  constructor(private readonly job: JobWithEvents['job']) {}

  stored: JobEvent[] = [];
  away = false;
  photos: string[] = [];
  /** The status with which photos are refused; 0: they are not. */
  refusePhotos = 0;
  refusedAt: { path: string; limit?: number } = { path: '' };
  requests: { bytes: number; events: number }[] = [];
  refuse: (event: JobEvent) => string | null = () => null;

  readonly fetch = async (_path: string, init: RequestInit = {}): Promise<Response> => {
    if (this.away) throw new TypeError('no connection');
    if (init.method === 'PUT') {
      if (this.refusePhotos > 0)
        return Response.json(
          { code: 'not-a-picture', message: 'No picture.', path: '', hint: 'Send one.' },
          { status: this.refusePhotos },
        );
      this.photos.push(_path);
      return Response.json({ id: _path.split('/').at(-1), width: 40, height: 30 });
    }
    if (init.method !== 'POST')
      return Response.json({
        job: this.job,
        events: this.stored,
        cursor: this.stored.length,
        unreadable: [],
      });
    const { after, events } = JSON.parse(String(init.body)) as PostEvents;
    this.requests.push({ bytes: String(init.body).length, events: events.length });
    const answer: PostedEvents = { stored: [], refused: [], photosWanted: [], events: [], cursor: 0 };
    for (const event of events) {
      const code = this.refuse(event);
      if (code) {
        answer.refused.push({
          id: event.id,
          error: { code, message: 'Refused.', hint: 'Look again.', ...this.refusedAt },
        });
        continue;
      }
      if (!this.stored.some((one) => one.id === event.id)) this.stored.push(event);
      answer.stored.push(event.id);
      if (event.what.kind === 'photo-taken' && !this.photos.some((path) => path.endsWith(photoOf(event))))
        answer.photosWanted.push(photoOf(event));
    }
    return Response.json({ ...answer, events: this.stored.slice(after), cursor: this.stored.length });
  };
}

const photoOf = ({ what }: JobEvent): PhotoId =>
  what.kind === 'photo-taken' ? what.photo.id : ('' as PhotoId);

/** What a browser keeps, in memory. */
export class MemoryOutbox implements Outbox {
  kept: JobEvent[] = [];
  put = async (_job: JobId, event: JobEvent): Promise<void> => void this.kept.push(event);
  remove = async (ids: readonly string[]) => {
    this.kept = this.kept.filter((event) => !ids.includes((event as JobEvent | null)?.id ?? ''));
  };
  of = async () => this.kept.map((event) => ({ id: (event as JobEvent | null)?.id ?? '', event }));
  photos: KeptPhoto[] = [];
  putPhoto = async (_job: JobId, photo: KeptPhoto) => void this.photos.push(photo);
  removePhoto = async (id: PhotoId) => {
    this.photos = this.photos.filter((photo) => photo.id !== id);
  };
  photosOf = async () => [...this.photos];
  items: SetAside[] = [];
  putAside = async (item: SetAside) => void this.items.push(item);
  removeAside = async (id: string) => {
    this.items = this.items.filter((item) => item.id !== id);
  };
  asideOf = async () => [...this.items];
  copied = new Map<JobId, JobCopy>();
  copy = async (copy: JobCopy) => void this.copied.set(copy.job.id, copy);
  addToCopy = async ({ job, cursor, events }: JobCopy) => {
    const before = this.copied.get(job.id)?.events ?? [];
    this.copied.set(job.id, { job, cursor, events: [...before, ...events] });
  };
  copyOf = async (job: JobId) => this.copied.get(job) ?? null;
  copies = async () => [...this.copied.values()].map(({ job: one }) => one);
  forget = async (job: JobId) => void this.copied.delete(job);
}

/** A job as the server tells of it. */
export const plainJob = (id: JobId): Job => ({
  id,
  number: 1,
  title: 'x',
  place: '',
  outOfMachine: true,
  simulation: null,
  created: '',
  updated: '',
  archived: false,
  about: 'switch',
  version: 1,
});

/** A job on a server in memory, with the clock stopped: another one for each test. */
export function standInJob() {
  const id = newId<JobId>();
  const job = plainJob(id);
  const around = { id, server: new StandIn(job) };
  const open: JobSession[] = [];
  beforeEach(() => {
    vi.useFakeTimers();
    around.server = new StandIn(job);
    vi.stubGlobal('fetch', around.server.fetch);
  });
  afterEach(async () => {
    // A session that is left open tries again later, and would speak to the next test's server.
    for (const session of open.splice(0)) session.close();
    await vi.advanceTimersByTimeAsync(0);
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  return {
    around,
    /** Opens it as a tab does. */
    opened: async (outbox: Outbox) => {
      const session = new JobSession(id, outbox);
      open.push(session);
      await session.open();
      await vi.advanceTimersByTimeAsync(0);
      return session;
    },
    /** Lets time pass until all that is tried again was. */
    settle: () => vi.advanceTimersByTimeAsync(20_000),
  };
}
