import { ACTS_OF } from '@which-way/core/log';
import { describeSwitch, newTerminal } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { MemoryOutbox, standInJob } from '../../testing/stand-in.js';
import { newId } from '../new-id.js';
import { mendingOf, type SetAside } from './set-aside.js';

const { around, opened, settle } = standInJob();
const change = describeSwitch({ terminals: 3, positions: 1, form: 'toggle', layout: 'list' }, newId);

describe('what the server or the browser will not take', () => {
  it('says saved only when the server has it', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    expect(session.store.getState().map.structure.terminals).toHaveLength(3);
    expect(session.store.getState().save.state).toBe('sending');
    await settle();
    expect(around.server.stored).toHaveLength(1);
    expect(session.store.getState().save.state).toBe('saved');
    expect(outbox.kept).toEqual([]);
  });

  it('is loaded anew when the server is back; what the server lost is not shown, and offered', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    first.emit({ kind: 'signed', by: 'gone with the old disk', note: '' });
    await settle();
    first.close();
    around.server.away = true;
    const second = await opened(outbox);
    expect(second.store.getState().events).toHaveLength(2);
    const [gone] = around.server.stored.splice(1);
    around.server.away = false;
    await settle();
    expect(second.store.getState().events).toHaveLength(1);
    expect(second.store.getState().lost).toEqual([gone]);
    const third = await opened(outbox);
    expect(third.store.getState().lost).toEqual([gone]);
    third.settleLost(true);
    await settle();
    expect(around.server.stored).toContainEqual(gone);
    expect(third.store.getState()).toMatchObject({ lost: [], save: { state: 'saved' } });
    expect(outbox.copied.get(around.id)?.events).toHaveLength(2);
  });

  it('sets a refused change aside with what hangs on it, sends the rest, and keeps it through a reload', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    session.restructure(change);
    await settle();
    around.server.refuse = ({ what }) =>
      what.kind === 'restructured' || what.kind === 'withdrawn' ? 'stale-structure' : null;
    around.server.away = true;
    const lug = newTerminal('4', newId);
    session.restructure({ change: 'terminal-added', terminal: lug });
    expect(session.store.getState().map.structure.terminals).toHaveLength(4);
    session.undo(ACTS_OF.map);
    session.emit({ kind: 'signed', by: 'rest', note: '' });
    around.server.away = false;
    await settle();
    const { map, save, aside } = session.store.getState();
    expect(map.structure.terminals).toHaveLength(3);
    expect(save).toMatchObject({ state: 'failed', count: 1 });
    expect(
      aside.map(({ event, dependents }) => [event.what.kind, dependents.map(({ what }) => what.kind)]),
    ).toEqual([['restructured', ['withdrawn']]]);
    expect(around.server.stored.map(({ what }) => what.kind)).toEqual(['restructured', 'signed']);
    expect(outbox.kept).toEqual([]);
    session.close();
    const second = await opened(outbox);
    expect(second.store.getState().aside).toEqual(aside);
  });

  it('gives a refused event up under its own number, so that the numbers of the device have no gap', async () => {
    const session = await opened(new MemoryOutbox());
    around.server.refuse = ({ what }) => (what.kind === 'noted' ? 'schema-maxLength' : null);
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
    expect(around.server.stored.map(({ sequence }) => sequence).sort()).toEqual([1, 2, 3]);
    const stands = around.server.stored.find(({ what }) => what.kind === 'left-out');
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
    around.server.refuse = ({ what }) =>
      what.kind === 'noted' && what.text.length > 5 ? 'schema-maxLength' : null;
    around.server.refusedAt = { path: 'what.text', limit: 5 };
    session.emit({ kind: 'noted', field: 'complaint', text: 'hums loudly' });
    await settle();
    const [item] = session.store.getState().aside as [SetAside];
    const mending = mendingOf(item);
    expect(mending).toEqual({ how: 'value', value: 'hums loudly', most: 5 });
    session.mend(item, mending, 'hums');
    await settle();
    expect(session.store.getState()).toMatchObject({ aside: [], save: { state: 'saved' } });
    expect(around.server.stored.map(({ what }) => (what.kind === 'noted' ? what.text : what.kind))).toEqual([
      'left-out',
      'hums',
    ]);
  });

  it('makes a change that was made on an older switch again on the switch as it is, and what hung on it goes along', async () => {
    const session = await opened(new MemoryOutbox());
    session.restructure(change);
    await settle();
    let stale = true;
    around.server.refuse = ({ what }) => (stale && what.kind === 'restructured' ? 'stale-structure' : null);
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

  it('keeps a photo in the browser until the server has it, and only then writes it into the log', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    around.server.away = true;
    const photo = await first.addPhoto(new Blob(['x'], { type: 'image/png' }), 'marking');
    await settle();
    expect(first.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
    expect(first.store.getState().photos.map((one) => one.id)).toEqual([photo]);
    expect(first.store.getState().events).toHaveLength(0);
    first.close();
    around.server.away = false;
    const second = await opened(outbox);
    await settle();
    expect(around.server.photos).toEqual([`/api/photos/${photo}`]);
    expect(around.server.stored.map(({ what }) => what)).toEqual([
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
    around.server.refusePhotos = 422;
    const photo = await session.addPhoto(new Blob(['x']), 'marking');
    await settle();
    expect(session.store.getState().save.state).toBe('failed');
    expect(session.store.getState().photos[0]?.refused?.code).toBe('not-a-picture');
    expect(outbox.photos.map((one) => one.id)).toContain(photo);
    void session.photos.drop(photo);
    await settle();
    expect([outbox.photos, session.store.getState().photos, around.server.stored]).toEqual([[], [], []]);
    expect(session.store.getState().save.state).toBe('saved');
  });

  it('keeps a photo, and sends it again, where the server’s disk is full', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    around.server.refusePhotos = 503;
    const photo = await session.addPhoto(new Blob(['x']), 'marking');
    await settle();
    expect(session.store.getState().save).toMatchObject({ state: 'waiting', count: 1 });
    expect(session.store.getState().photos).toMatchObject([{ id: photo, refused: null }]);
    expect(outbox.photos.map((one) => one.id)).toEqual([photo]);
    around.server.refusePhotos = 0;
    await settle();
    expect(session.store.getState().save.state).toBe('saved');
    expect(outbox.photos).toEqual([]);
  });
});
