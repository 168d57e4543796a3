import type { JobWithEvents, PostedEvents, PostEvents } from '@which-way/contract';
import { describeSwitch, newTerminal, type JobEvent, type JobId, type PhotoId } from '@which-way/core/switch';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { JobSession } from './job-session.js';
import { newId } from './new-id.js';
import type { JobCopy, KeptPhoto, Outbox } from './outbox.js';

const id = newId<JobId>();
const job: JobWithEvents['job'] = {
  id,
  number: 1,
  title: 'x',
  place: '',
  outOfMachine: true,
  simulation: null,
  created: '',
  updated: '',
  version: 1,
};

/** A server in memory behind fetch, which can be away or refuse. */
class StandIn {
  stored: JobEvent[] = [];
  away = false;
  photos: string[] = [];
  refusePhotos = false;
  refuse: (event: JobEvent) => string | null = () => null;

  readonly fetch = async (_path: string, init: RequestInit = {}): Promise<Response> => {
    if (this.away) throw new TypeError('no connection');
    if (init.method === 'PUT') {
      if (this.refusePhotos)
        return Response.json(
          { code: 'not-a-picture', message: 'No picture.', path: '', hint: 'Send one.' },
          { status: 422 },
        );
      this.photos.push(_path);
      return Response.json({ id: _path.split('/').at(-1), width: 40, height: 30 });
    }
    if (init.method !== 'POST')
      return Response.json({ job, events: this.stored, cursor: this.stored.length });
    const { after, events } = JSON.parse(String(init.body)) as PostEvents;
    const answer: PostedEvents = { stored: [], refused: [], events: [], cursor: 0 };
    for (const event of events) {
      const code = this.refuse(event);
      if (code) {
        answer.refused.push({
          id: event.id,
          error: { code, message: 'Refused.', path: '', hint: 'Look again.' },
        });
        continue;
      }
      if (!this.stored.some((one) => one.id === event.id)) this.stored.push(event);
      answer.stored.push(event.id);
    }
    return Response.json({ ...answer, events: this.stored.slice(after), cursor: this.stored.length });
  };
}

class MemoryOutbox implements Outbox {
  kept: JobEvent[] = [];
  put = async (_job: JobId, event: JobEvent) => void this.kept.push(event);
  remove = async (ids: readonly string[]) => {
    this.kept = this.kept.filter((event) => !ids.includes(event.id));
  };
  of = async () => this.kept;
  photos: KeptPhoto[] = [];
  putPhoto = async (_job: JobId, photo: KeptPhoto) => void this.photos.push(photo);
  removePhoto = async (id: PhotoId) => {
    this.photos = this.photos.filter((photo) => photo.id !== id);
  };
  photosOf = async () => [...this.photos];
  copies = new Map<JobId, JobCopy>();
  copy = async (copy: JobCopy) => void this.copies.set(copy.job.id, copy);
  addToCopy = async ({ job, cursor, events }: JobCopy) => {
    const before = this.copies.get(job.id)?.events ?? [];
    this.copies.set(job.id, { job, cursor, events: [...before, ...events] });
  };
  copyOf = async (job: JobId) => this.copies.get(job) ?? null;
}

let server: StandIn;
beforeEach(() => {
  vi.useFakeTimers();
  server = new StandIn();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const opened = async (outbox: Outbox) => {
  const session = new JobSession(id, outbox);
  await session.open();
  await vi.advanceTimersByTimeAsync(0);
  return session;
};
const settle = () => vi.advanceTimersByTimeAsync(20_000);
const change = describeSwitch({ terminals: 3, positions: 1, form: 'toggle', layout: 'list' }, newId);

describe('an open job', () => {
  it('says saved only when the server has it', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    expect(session.store.getState().map.structure.terminals).toHaveLength(3);
    expect(session.store.getState().save.state).toBe('sending');
    await settle();
    expect(server.stored).toHaveLength(1);
    expect(session.store.getState().save.state).toBe('saved');
    expect(outbox.kept).toEqual([]);
  });

  it('is shown by a reload while the server is away, with all that was saved and all that waits, and goes on from there', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    await settle();
    server.away = true;
    first.emit({ kind: 'signed', by: 'waits', note: '' });
    await settle();
    first.close();

    const second = await opened(outbox);
    const { job, trouble, events, map } = second.store.getState();
    expect(trouble).toBeNull();
    expect(job?.id).toBe(id);
    expect(map.structure.terminals).toHaveLength(3);
    expect(events).toHaveLength(2);
    second.emit({ kind: 'signed', by: 'later', note: '' });
    await settle();
    expect(second.store.getState().save).toMatchObject({ state: 'waiting', count: 2 });
    server.away = false;
    await settle();
    expect(second.store.getState().save.state).toBe('saved');
    expect(server.stored.map(({ what }) => (what.kind === 'signed' ? what.by : what.kind))).toEqual([
      'restructured',
      'waits',
      'later',
    ]);
    expect(outbox.kept).toEqual([]);
    expect(outbox.copies.get(id)?.events).toHaveLength(3);
  });

  it('is loaded anew when the server is back, so that nothing is shown that the server does not have', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    first.emit({ kind: 'signed', by: 'gone with the old disk', note: '' });
    await settle();
    first.close();
    server.away = true;
    const second = await opened(outbox);
    expect(second.store.getState().events).toHaveLength(2);
    server.stored.pop();
    server.away = false;
    await settle();
    expect(second.store.getState().events).toHaveLength(1);
    expect(outbox.copies.get(id)?.events).toHaveLength(1);
  });

  it('cannot be shown while the server is away where this browser never had it', async () => {
    server.away = true;
    const session = await opened(new MemoryOutbox());
    expect(session.store.getState()).toMatchObject({ job: null, trouble: { missing: false } });
  });

  it('waits while the server is away, says how many wait, and sends them once when it is back', async () => {
    const session = await opened(new MemoryOutbox());
    server.away = true;
    session.restructure(change);
    session.emit({ kind: 'signed', by: 'a', note: '' });
    await settle();
    expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 2 });
    server.away = false;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(server.stored.map(({ what }) => what.kind)).toEqual(['restructured', 'signed']);
  });

  it('takes up what an earlier tab left in the outbox, without doubling what had arrived', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    server.away = true;
    first.restructure(change);
    first.emit({ kind: 'signed', by: 'a', note: '' });
    await settle();
    first.close();
    server.away = false;
    server.stored.push(...outbox.kept.slice(0, 1));
    const second = await opened(outbox);
    expect(second.store.getState().events).toHaveLength(2);
    await settle();
    expect(server.stored).toHaveLength(2);
    expect(new Set(server.stored.map((event) => event.id)).size).toBe(2);
    expect(outbox.kept).toEqual([]);
  });

  it('takes a refused change off the screen and says so until it is seen', async () => {
    const session = await opened(new MemoryOutbox());
    session.restructure(change);
    await settle();
    server.refuse = ({ what }) => (what.kind === 'restructured' ? 'stale-structure' : null);
    session.restructure({ change: 'terminal-added', terminal: newTerminal('4', newId) });
    expect(session.store.getState().map.structure.terminals).toHaveLength(4);
    await settle();
    expect(session.store.getState().map.structure.terminals).toHaveLength(3);
    expect(session.store.getState().save.state).toBe('failed');
    session.dismissRefused();
    expect(session.store.getState().save.state).toBe('saved');
  });

  it('undoes and redoes by events, and never the first description', async () => {
    const session = await opened(new MemoryOutbox());
    session.restructure(change);
    session.restructure({ change: 'terminal-added', terminal: newTerminal('4', newId) });
    const count = () => session.store.getState().map.structure.terminals.length;
    session.undo();
    expect(count()).toBe(3);
    session.undo();
    expect(count()).toBe(3);
    session.redo();
    expect(count()).toBe(4);
    expect(session.store.getState().events.at(-1)?.what).toMatchObject({ kind: 'restored', basedOn: 3 });
  });

  it('keeps a photo in the browser until the server has it, and only then writes it into the log', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    server.away = true;
    const photo = await first.addPhoto(new Blob(['x'], { type: 'image/png' }), 'marking');
    await settle();
    expect(first.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
    expect(first.store.getState().photos.map((one) => one.id)).toEqual([photo]);
    expect(first.store.getState().events).toHaveLength(0);
    first.close();
    server.away = false;
    const second = await opened(outbox);
    await settle();
    expect(server.photos).toEqual([`/api/photos/${photo}`]);
    expect(server.stored.map(({ what }) => what)).toEqual([
      {
        kind: 'photo-taken',
        photo: { id: photo, purpose: 'marking', caption: '', width: 40, height: 30, removed: false },
      },
    ]);
    expect(second.store.getState()).toMatchObject({ photos: [], save: { state: 'saved' } });
    expect(outbox.photos).toEqual([]);
  });

  it('gives up a photo that the server refuses, and says so', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    server.refusePhotos = true;
    await session.addPhoto(new Blob(['x']), 'marking');
    await settle();
    expect(session.store.getState().save.state).toBe('failed');
    expect(session.store.getState().refused[0]?.code).toBe('not-a-picture');
    expect([outbox.photos, session.store.getState().photos, server.stored]).toEqual([[], [], []]);
  });
});
