import { deriveMap } from '@which-way/core/continuity';
import { describeSwitch, newTerminal, seededRandom, type JobId } from '@which-way/core/switch';
import { ACTS_OF, lastChange, type JobEvent } from '@which-way/core/log';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { MemoryOutbox, plainJob, StandIn } from '../../testing/stand-in.js';
import { JobSession } from './job-session.js';
import { newId } from '../new-id.js';

const RUNS = process.env['WHICH_WAY_DEEP'] ? 400 : 25;

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A job on a server, two devices on it, each with stretches without the server; what one meets at random. */
async function interleaving(seed: number) {
  const random = seededRandom(seed);
  const id = newId<JobId>();
  const job = plainJob(id);
  const server = new StandIn(job);
  server.refuse = ({ what }) =>
    what.kind === 'restructured' && what.basedOn !== lastChange(server.stored) ? 'stale-structure' : null;
  const away = new Set<number>();
  let calling = 0;
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    server.away = away.has(calling);
    return server.fetch(path, init);
  });
  const outboxes = [new MemoryOutbox(), new MemoryOutbox()];
  const as = async <Value>(device: number, work: () => Value): Promise<Value> => {
    calling = device;
    const value = work();
    await vi.advanceTimersByTimeAsync(0);
    return value;
  };
  let sessions = outboxes.map((outbox) => new JobSession(id, outbox));
  for (const [device, session] of sessions.entries()) await as(device, () => session.open());
  const change = describeSwitch({ terminals: 4, positions: 2, form: 'toggle', layout: 'list' }, newId);
  await as(0, () => sessions[0]?.restructure(change));
  await as(1, () => sessions[1]?.flush());
  const written = new Set<string>();
  const note = () => {
    for (const session of sessions)
      for (const event of session.store.getState().events) written.add(event.id);
  };
  for (let step = 0; step < 30; step += 1) {
    const device = random() < 0.5 ? 0 : 1;
    const session = sessions[device] as JobSession;
    const { structure } = session.store.getState().map;
    const dice = random();
    if (dice < 0.15) away.add(device);
    else if (dice < 0.3) away.delete(device);
    else if (dice < 0.45)
      await as(device, () =>
        session.restructure({ change: 'terminal-added', terminal: newTerminal(`${seed}-${step}`, newId) }),
      );
    else if (dice < 0.6) await as(device, () => session.undo(ACTS_OF.map));
    else if (dice < 0.65) {
      session.close();
      sessions = sessions.with(device, new JobSession(id, outboxes[device] as MemoryOutbox));
      await as(device, () => sessions[device]?.open());
    } else {
      const [red, black] = structure.terminals.map(({ id: one }) => one);
      const setting = structure.settings[0]?.id;
      if (!red || !black || !setting) continue;
      const value = { kind: 'ohms', ohms: 0.3 } as const;
      await as(device, () =>
        session.emit({
          kind: 'answered',
          act: 'pair',
          prompt: null,
          source: 'typed',
          inCircuit: false,
          readings: [{ id: newId(), setting, red: [red], black: [black], value }],
        }),
      );
    }
    note();
  }
  away.clear();
  for (let round = 0; round < 6; round += 1)
    for (const [device, session] of sessions.entries()) {
      calling = device;
      void session.flush();
      await vi.advanceTimersByTimeAsync(20_000);
    }
  note();
  return { server, sessions, written, outboxes };
}

describe('two devices with stretches without the server', () => {
  it(`end in one map, and drop nothing silently (${RUNS} interleavings)`, async () => {
    let refused = 0;
    for (let seed = 1; seed <= RUNS; seed += 1) {
      const { server, sessions, written, outboxes } = await interleaving(seed);
      const [one, other] = sessions.map((session) => session.store.getState());
      const key = (events: readonly JobEvent[]) => events.map(({ id }) => id).sort();
      expect(key(one?.events ?? [])).toEqual(key(server.stored));
      expect(key(other?.events ?? [])).toEqual(key(server.stored));
      const map = deriveMap(server.stored);
      expect([one?.map.structure, other?.map.structure]).toEqual([map.structure, map.structure]);
      expect([...(one?.map.settings ?? [])]).toEqual([...map.settings]);
      const aside = outboxes.flatMap(({ items }) =>
        items.flatMap(({ event, dependents }) => [event, ...dependents]),
      );
      refused += aside.length;
      const somewhere = new Set([...server.stored, ...aside].map(({ id }) => id as string));
      expect([...written].filter((id) => !somewhere.has(id))).toEqual([]);
      for (const session of sessions) session.close();
    }
    expect(refused).toBeGreaterThan(0);
  });
});
