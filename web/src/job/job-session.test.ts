import type { JobWithEvents, PostedEvents, PostEvents } from '@which-way/contract';
import { describeSwitch, newTerminal, type JobEvent, type JobId, type PhotoId } from '@which-way/core/switch';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { JobSession } from './job-session.js';
import { newId } from './new-id.js';
import type { JobCopy, KeptPhoto, Outbox } from './outbox.js';
import { mendingOf, type SetAside } from './set-aside.js';

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
  archived: false,
  version: 1,
};

/** A server in memory behind fetch, which can be away or refuse. */
class StandIn {
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
      return Response.json({ job, events: this.stored, cursor: this.stored.length, unreadable: [] });
    const { after, events } = JSON.parse(String(init.body)) as PostEvents;
    this.requests.push({ bytes: String(init.body).length, events: events.length });
    const answer: PostedEvents = { stored: [], refused: [], events: [], cursor: 0 };
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
    }
    return Response.json({ ...answer, events: this.stored.slice(after), cursor: this.stored.length });
  };
}

class MemoryOutbox implements Outbox {
  kept: JobEvent[] = [];
  put = async (_job: JobId, event: JobEvent): Promise<void> => void this.kept.push(event);
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
    expect(outbox.copied.get(id)?.events).toHaveLength(3);
  });

  it('is loaded anew when the server is back; what the server lost is not shown, and offered', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    first.emit({ kind: 'signed', by: 'gone with the old disk', note: '' });
    await settle();
    first.close();
    server.away = true;
    const second = await opened(outbox);
    expect(second.store.getState().events).toHaveLength(2);
    const [gone] = server.stored.splice(1);
    server.away = false;
    await settle();
    expect(second.store.getState().events).toHaveLength(1);
    expect(second.store.getState().lost).toEqual([gone]);
    const third = await opened(outbox);
    expect(third.store.getState().lost).toEqual([gone]);
    third.settleLost(true);
    await settle();
    expect(server.stored).toContainEqual(gone);
    expect(third.store.getState()).toMatchObject({ lost: [], save: { state: 'saved' } });
    expect(outbox.copied.get(id)?.events).toHaveLength(2);
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

  it('sets a refused change aside with what hangs on it, sends the rest, and keeps it through a reload', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    await settle();
    server.refuse = ({ what }) =>
      what.kind === 'restructured' || what.kind === 'withdrawn' ? 'stale-structure' : null;
    server.away = true;
    const lug = newTerminal('4', newId);
    session.restructure({ change: 'terminal-added', terminal: lug });
    expect(session.store.getState().map.structure.terminals).toHaveLength(4);
    session.undo();
    session.emit({ kind: 'signed', by: 'rest', note: '' });
    server.away = false;
    await settle();
    const { map, save, aside } = session.store.getState();
    expect(map.structure.terminals).toHaveLength(3);
    expect(save).toMatchObject({ state: 'failed', count: 1 });
    expect(
      aside.map(({ event, dependents }) => [event.what.kind, dependents.map(({ what }) => what.kind)]),
    ).toEqual([['restructured', ['withdrawn']]]);
    expect(server.stored.map(({ what }) => what.kind)).toEqual(['restructured', 'signed']);
    expect(outbox.kept).toEqual([]);
    session.close();
    const second = await opened(outbox);
    expect(second.store.getState().aside).toEqual(aside);
  });

  it('gives a refused event up under its own number, so that the numbers of the device have no gap', async () => {
    const session = await opened(new MemoryOutbox());
    server.refuse = ({ what }) => (what.kind === 'noted' ? 'schema-maxLength' : null);
    session.restructure(change);
    session.emit(
      { kind: 'noted', field: 'complaint', text: 'too long' },
      { kind: 'signed', by: 'a', note: '' },
    );
    await settle();
    const [item] = session.store.getState().aside;
    session.leaveOut(item as SetAside);
    await settle();
    expect(session.store.getState()).toMatchObject({ aside: [], save: { state: 'saved' } });
    expect(server.stored.map(({ sequence }) => sequence).sort()).toEqual([1, 2, 3]);
    const stands = server.stored.find(({ what }) => what.kind === 'left-out');
    expect(stands?.what).toEqual({
      kind: 'left-out',
      event: item?.event.id,
      was: 'noted',
      because: 'schema-maxLength',
    });
    expect(stands?.device).toBe(item?.event.device);
  });

  it('enters a refused event once more as it was mended', async () => {
    const session = await opened(new MemoryOutbox());
    server.refuse = ({ what }) => (what.kind === 'noted' && what.text.length > 5 ? 'schema-maxLength' : null);
    server.refusedAt = { path: 'what.text', limit: 5 };
    session.emit({ kind: 'noted', field: 'complaint', text: 'hums loudly' });
    await settle();
    const [item] = session.store.getState().aside as [SetAside];
    const mending = mendingOf(item);
    expect(mending).toEqual({ how: 'value', value: 'hums loudly', most: 5 });
    session.mend(item, mending, 'hums');
    await settle();
    expect(session.store.getState()).toMatchObject({ aside: [], save: { state: 'saved' } });
    expect(server.stored.map(({ what }) => (what.kind === 'noted' ? what.text : what.kind))).toEqual([
      'left-out',
      'hums',
    ]);
  });

  it('makes a change that was made on an older switch again on the switch as it is, and what hung on it goes along', async () => {
    const session = await opened(new MemoryOutbox());
    session.restructure(change);
    await settle();
    let stale = true;
    server.refuse = ({ what }) => (stale && what.kind === 'restructured' ? 'stale-structure' : null);
    const lug = newTerminal('4', newId);
    session.restructure({ change: 'terminal-added', terminal: lug });
    await settle();
    stale = false;
    const [item] = session.store.getState().aside as [SetAside];
    session.mend(item, mendingOf(item), '');
    await settle();
    expect(session.store.getState().map.structure.terminals.map(({ id: one }) => one)).toContain(lug.id);
    expect(session.store.getState().save.state).toBe('saved');
  });

  it.each([
    ['refuses', () => Promise.reject(new Error('The quota is exceeded.'))],
    ['does not answer', () => new Promise<void>(() => undefined)],
  ])(
    'says that work is in the open page alone where the browser’s storage %s, and keeps trying',
    async (_, put) => {
      const outbox = new MemoryOutbox();
      const good = outbox.put;
      outbox.put = put;
      const session = await opened(outbox);
      server.away = true;
      session.restructure(change);
      await vi.advanceTimersByTimeAsync(4000);
      expect(session.store.getState().save).toMatchObject({ state: 'page-only', count: 1 });
      expect(session.onlyHere).toBe(true);
      outbox.put = good;
      await settle();
      expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
      expect(session.onlyHere).toBe(false);
      expect(outbox.kept).toHaveLength(1);
      server.away = false;
      await settle();
      expect(session.store.getState().save.state).toBe('saved');
    },
  );

  it('cuts what it sends by size and number, and goes on with the rest when one event is too large', async () => {
    const session = await opened(new MemoryOutbox());
    const text = 'x'.repeat(4000);
    server.away = true;
    session.emit(
      ...Array.from({ length: 400 }, () => ({ kind: 'noted', field: 'complaint', text }) as const),
    );
    server.away = false;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(server.stored).toHaveLength(400);
    expect(Math.max(...server.requests.map(({ bytes }) => bytes))).toBeLessThan(900_000);
    expect(Math.max(...server.requests.map(({ events }) => events))).toBeLessThanOrEqual(100);
  });

  it('takes in what it hears of other devices, and nothing twice', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    await settle();
    const other = await opened(new MemoryOutbox());
    other.emit({ kind: 'signed', by: 'phone', note: '' });
    await settle();
    const heard = { events: server.stored, cursor: server.stored.length };
    session.hear(heard);
    session.hear(heard);
    expect(session.store.getState().events.map(({ what }) => what.kind)).toEqual(['restructured', 'signed']);
    expect(session.cursor).toBe(2);
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

  it('keeps a photo that the server refuses until a person drops it, and says so', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    server.refusePhotos = 422;
    const photo = await session.addPhoto(new Blob(['x']), 'marking');
    await settle();
    expect(session.store.getState().save.state).toBe('failed');
    expect(session.store.getState().photos[0]?.refused?.code).toBe('not-a-picture');
    expect(outbox.photos.map((one) => one.id)).toContain(photo);
    void session.photos.drop(photo);
    await settle();
    expect([outbox.photos, session.store.getState().photos, server.stored]).toEqual([[], [], []]);
    expect(session.store.getState().save.state).toBe('saved');
  });

  it('keeps a photo, and sends it again, where the server’s disk is full', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    server.refusePhotos = 503;
    const photo = await session.addPhoto(new Blob(['x']), 'marking');
    await settle();
    expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
    expect(session.store.getState().photos).toMatchObject([{ id: photo, refused: null }]);
    expect(outbox.photos.map((one) => one.id)).toEqual([photo]);
    server.refusePhotos = 0;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(outbox.photos).toEqual([]);
  });
});
