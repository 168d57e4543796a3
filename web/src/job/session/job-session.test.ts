import { ACTS_OF } from '@which-way/core/log';
import { describeSwitch, newTerminal } from '@which-way/core/switch';
import { describe, expect, it, vi } from 'vitest';
import { MemoryOutbox, standInJob } from '../../testing/stand-in.js';
import { newId } from '../new-id.js';

const { around, opened, settle } = standInJob();
const change = describeSwitch({ terminals: 3, positions: 1, form: 'toggle', layout: 'list' }, newId);

describe('an open job', () => {
  it('is shown by a reload while the server is away, with all that was saved and all that waits, and goes on from there', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    await settle();
    around.server.away = true;
    first.emit({ kind: 'signed', by: 'waits', note: '' });
    await settle();
    first.close();

    const second = await opened(outbox);
    const { job, trouble, events, map } = second.store.getState();
    expect(trouble).toBeNull();
    expect(job?.id).toBe(around.id);
    expect(map.structure.terminals).toHaveLength(3);
    expect(events).toHaveLength(2);
    second.emit({ kind: 'signed', by: 'later', note: '' });
    await settle();
    expect(second.store.getState().save).toMatchObject({ state: 'waiting', count: 2 });
    around.server.away = false;
    await settle();
    expect(second.store.getState().save.state).toBe('saved');
    expect(around.server.stored.map(({ what }) => (what.kind === 'signed' ? what.by : what.kind))).toEqual([
      'restructured',
      'waits',
      'later',
    ]);
    expect(outbox.kept).toEqual([]);
    expect(outbox.copied.get(around.id)?.events).toHaveLength(3);
  });

  it('cannot be shown while the server is away where this browser never had it', async () => {
    around.server.away = true;
    const session = await opened(new MemoryOutbox());
    expect(session.store.getState()).toMatchObject({ job: null, trouble: { missing: false } });
  });

  it('waits while the server is away, says how many wait, and sends them once when it is back', async () => {
    const session = await opened(new MemoryOutbox());
    around.server.away = true;
    session.restructure(change);
    session.emit({ kind: 'signed', by: 'a', note: '' });
    await settle();
    expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 2 });
    around.server.away = false;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(around.server.stored.map(({ what }) => what.kind)).toEqual(['restructured', 'signed']);
  });

  it('takes up what an earlier tab left in the outbox, without doubling what had arrived', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    around.server.away = true;
    first.restructure(change);
    first.emit({ kind: 'signed', by: 'a', note: '' });
    await settle();
    first.close();
    around.server.away = false;
    around.server.stored.push(...outbox.kept.slice(0, 1));
    const second = await opened(outbox);
    expect(second.store.getState().events).toHaveLength(2);
    await settle();
    expect(around.server.stored).toHaveLength(2);
    expect(new Set(around.server.stored.map((event) => event.id)).size).toBe(2);
    expect(outbox.kept).toEqual([]);
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
      around.server.away = true;
      session.restructure(change);
      await vi.advanceTimersByTimeAsync(4000);
      expect(session.store.getState().save).toMatchObject({ state: 'page-only', count: 1 });
      expect(session.onlyHere).toBe(true);
      outbox.put = good;
      await settle();
      expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
      expect(session.onlyHere).toBe(false);
      expect(outbox.kept).toHaveLength(1);
      around.server.away = false;
      await settle();
      expect(session.store.getState().save.state).toBe('saved');
    },
  );

  it('cuts what it sends by size and number, and goes on with the rest when one event is too large', async () => {
    const session = await opened(new MemoryOutbox());
    const text = 'x'.repeat(4000);
    around.server.away = true;
    session.emit(
      ...Array.from({ length: 400 }, () => ({ kind: 'noted', field: 'complaint', text }) as const),
    );
    around.server.away = false;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(around.server.stored).toHaveLength(400);
    expect(Math.max(...around.server.requests.map(({ bytes }) => bytes))).toBeLessThan(900_000);
    expect(Math.max(...around.server.requests.map(({ events }) => events))).toBeLessThanOrEqual(100);
  });

  it('takes in what it hears of other devices, and nothing twice', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    await settle();
    const other = await opened(new MemoryOutbox());
    other.emit({ kind: 'signed', by: 'phone', note: '' });
    await settle();
    const heard = { events: around.server.stored, cursor: around.server.stored.length };
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
    session.undo(ACTS_OF.map);
    expect(count()).toBe(3);
    session.undo(ACTS_OF.map);
    expect(count()).toBe(3);
    session.redo(ACTS_OF.map);
    expect(count()).toBe(4);
    const { events } = session.store.getState();
    expect(events.at(-1)?.what).toMatchObject({ kind: 'restored', basedOn: events.at(-2)?.id });
  });
});
