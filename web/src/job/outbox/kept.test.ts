import type { JobEvent } from '@which-way/core/log';
import { describeSwitch } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { strangeWords } from '@which-way/words/kept';
import { MemoryOutbox, standInJob } from '../../testing/stand-in.js';
import { newId } from '../new-id.js';

const { around, opened, settle } = standInJob();
const change = describeSwitch({ terminals: 3, positions: 1, form: 'toggle', layout: 'list' }, newId);
const picture = () => new Blob([new Uint8Array([1, 2, 3])], { type: 'image/jpeg' });

/** Pieces of which each alone once kept a job from opening. */
const SPOILT: [name: string, spoil: (event: JobEvent) => unknown, said: RegExp][] = [
  ['an event of an unknown kind', (event) => ({ ...event, what: { kind: 'frobnicated' } }), /^‘frobnicated’/],
  ['nothing at all', () => null, /^Something without a name/],
  ['an event of a newer version', (event) => ({ ...event, schema: 900 }), /^a note/],
  ['an event with half its body', (event) => ({ ...event, what: { kind: 'answered' } }), /^readings/],
  ['a text', () => 'no event', /^Something without a name/],
];

describe('what the browser kept and cannot read', () => {
  it.each(SPOILT)(
    '%s is named and set aside; the job opens, and the rest is sent',
    async (_, spoil, said) => {
      const outbox = new MemoryOutbox();
      const writing = await opened(new MemoryOutbox());
      around.server.away = true;
      writing.restructure(change);
      writing.emit({ kind: 'noted', field: 'complaint', text: 'Hums.' });
      const [sound, other] = writing.store.getState().events as [JobEvent, JobEvent];
      writing.close();
      around.server.away = false;
      outbox.kept = [spoil(other) as JobEvent, sound];
      const session = await opened(outbox);
      const { strange, job, trouble } = session.store.getState();
      expect([job?.id, trouble]).toEqual([around.id, null]);
      expect(strange.map(strangeWords)).toEqual([expect.stringMatching(said)]);
      expect(session.store.getState().map.structure.terminals).toHaveLength(3);
      await settle();
      expect(around.server.stored.map(({ id }) => id)).toEqual([sound.id]);
      session.strange.drop(strange[0] as never);
      await settle();
      expect([session.store.getState().strange, outbox.kept]).toEqual([[], []]);
    },
  );

  it('is not what only holds too much: that is shown, refused by the server, and mended there', async () => {
    const outbox = new MemoryOutbox();
    const writing = await opened(new MemoryOutbox());
    around.server.away = true;
    writing.restructure(change);
    writing.emit({ kind: 'noted', field: 'complaint', text: 'x'.repeat(5000) });
    outbox.kept = [...writing.store.getState().events];
    writing.close();
    around.server.away = false;
    around.server.refuse = ({ what }) => (what.kind === 'noted' ? 'schema-maxLength' : null);
    const session = await opened(outbox);
    await settle();
    expect(session.store.getState().strange).toEqual([]);
    expect(session.store.getState().aside).toHaveLength(1);
  });

  it('in its copy of a job is left out while the server is away', async () => {
    const outbox = new MemoryOutbox();
    const first = await opened(outbox);
    first.restructure(change);
    await settle();
    first.close();
    const copy = outbox.copied.get(around.id);
    copy?.events.push(null as never, { ...copy.events[0], what: { kind: 'frobnicated' } } as never);
    around.server.away = true;
    const session = await opened(outbox);
    expect(session.store.getState().job?.id).toBe(around.id);
    expect(session.store.getState().events).toHaveLength(1);
  });

  it('among what was set aside is named as well', async () => {
    const outbox = new MemoryOutbox();
    outbox.items = [{ id: 'x', job: around.id, event: { what: { kind: 'frobnicated' } } } as never];
    const session = await opened(outbox);
    expect(session.store.getState().aside).toEqual([]);
    expect(session.store.getState().strange).toMatchObject([{ store: 'aside', kind: 'frobnicated' }]);
  });
});

describe('the pixels of a photo', () => {
  it('are kept until the event that tells of them is stored', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    around.server.refuse = () => null;
    await session.addPhoto(picture(), 'other');
    await settle();
    expect(around.server.photos).toHaveLength(1);
    expect(around.server.stored.map(({ what }) => what.kind)).toEqual(['photo-taken']);
    expect(outbox.photos).toEqual([]);
    expect(session.store.getState().save.state).toBe('saved');
  });

  it('are sent once more when the server has dropped them before their event came, and nothing is written twice', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    const upload = around.server.fetch;
    // The pixels arrive; the event does not, for a month.
    around.server.refuse = () => null;
    let cut = true;
    globalThis.fetch = ((path: string, init: RequestInit = {}) =>
      cut && init.method === 'POST' ? Promise.reject(new TypeError('cut')) : upload(path, init)) as never;
    await session.addPhoto(picture(), 'other');
    await settle();
    expect([around.server.photos.length, outbox.photos.length]).toEqual([1, 1]);
    around.server.photos = [];
    cut = false;
    await settle();
    expect(around.server.photos).toHaveLength(1);
    expect(around.server.stored.filter(({ what }) => what.kind === 'photo-taken')).toHaveLength(1);
    expect(outbox.photos).toEqual([]);
  });

  it('whose event waits are not told of a second time after a reload', async () => {
    const outbox = new MemoryOutbox();
    const session = await opened(outbox);
    const upload = around.server.fetch;
    let cut = true;
    globalThis.fetch = ((path: string, init: RequestInit = {}) =>
      cut && init.method === 'POST' ? Promise.reject(new TypeError('cut')) : upload(path, init)) as never;
    await session.addPhoto(picture(), 'other');
    await settle();
    session.close();
    cut = false;
    const again = await opened(outbox);
    await settle();
    expect(around.server.stored.filter(({ what }) => what.kind === 'photo-taken')).toHaveLength(1);
    expect([outbox.photos, again.store.getState().save.state]).toEqual([[], 'saved']);
  });
});
