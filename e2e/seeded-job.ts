import {
  createWriter,
  lastChange,
  ORDINARY_METER,
  type Deed,
  type JobEvent,
  type Load,
  type Reading,
} from '@which-way/core/log';
import {
  describeSwitch,
  newIdFrom,
  seededRandom,
  type ActuatorForm,
  type EntryId,
  type KnownSwitch,
  type LoadId,
  type ReadingId,
  type SettingId,
  type TerminalId,
} from '@which-way/core/switch';
import type { Served } from './served.js';

/** Events that are sent at once. */
const AT_ONCE = 400;

/** Puts a job with these events on the server, as a stated half-way state, and says where it is. */
export async function seedJob(
  served: Served,
  title: string,
  deedsOf: (newId: ReturnType<typeof newIdFrom>) => readonly Deed[],
): Promise<string> {
  const newId = newIdFrom(seededRandom(Date.now() % 2 ** 31));
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events: JobEvent[] = [];
  // Each change of the switch is made on the one before it.
  for (const what of deedsOf(newId))
    events.push(
      writer.write(events, what.kind === 'restructured' ? { ...what, basedOn: lastChange(events) } : what),
    );
  const id = newId<never>();
  const post = async (path: string, body: unknown) => {
    const response = await fetch(served.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
    return (await response.json()) as { refused?: unknown[] };
  };
  await post('/api/jobs', { id, title, outOfMachine: true, simulation: null });
  for (let from = 0; from < events.length; from += AT_ONCE) {
    const some = events.slice(from, from + AT_ONCE);
    const { refused = [] } = await post(`/api/jobs/${String(id)}/events`, { after: 0, events: some });
    if (refused.length > 0) throw new Error(JSON.stringify(refused));
  }
  return `/jobs/${String(id)}/map`;
}

/** A switch as it is seeded: what joins in each position, by label. */
interface SeededSwitch {
  labels: string;
  /** By the name of the position: `LEFT: 1-8 3-4`. */
  positions: readonly [name: string, joined: string][];
  form?: ActuatorForm;
  /** The label of the bush, shaft or can. */
  frame?: string;
  /** Pairs that nobody has read: `1-3 at LEFT`. */
  unread?: readonly string[];
}

/** The events of a switch that was mapped pair by pair, each pair in each position but for those left unread. */
export function mappedSwitch(newId: ReturnType<typeof newIdFrom>, of: SeededSwitch): Deed[] {
  const labels = of.labels.split(' ');
  const change = describeSwitch(
    {
      ...{ terminals: labels.length, positions: of.positions.length, form: of.form ?? 'rotary' },
      ...{ layout: 'one-row', labels, positionNames: of.positions.map(([name]) => name) },
    },
    newId,
  );
  const idOf = (label: string) => change.terminals[labels.indexOf(label)]?.id as TerminalId;
  const readings = of.positions.flatMap(([name, joined], at) => {
    const nets = joined.split(' ').map((net) => net.split('-'));
    return labels.flatMap((red, one) =>
      labels.slice(one + 1).flatMap((black): Reading[] => {
        if (of.unread?.includes(`${red}-${black} at ${name}`)) return [];
        const closed = nets.some((net) => net.includes(red) && net.includes(black));
        const value = closed ? ({ kind: 'ohms', ohms: 0.3 } as const) : ({ kind: 'over' } as const);
        const setting = change.settings[at]?.id as SettingId;
        return [{ id: newId<ReadingId>(), setting, red: [idOf(red)], black: [idOf(black)], value }];
      }),
    );
  });
  const frame = of.frame === undefined ? null : idOf(of.frame);
  return [
    { kind: 'restructured', change, basedOn: null },
    ...(frame
      ? [
          {
            kind: 'restructured' as const,
            change: { change: 'terminal-role' as const, terminal: frame, role: 'frame' as const },
            basedOn: null,
          },
        ]
      : []),
    { kind: 'ends-capped', ends: 'none' },
    { kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER },
    ...readings.map((reading): Deed => ({
      ...{ kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false },
      readings: [reading],
    })),
  ];
}

/** Puts an entry into the library: a part with no facts but those that are given. */
export async function keepEntry(
  served: Served,
  at: number,
  name: string,
  more: Partial<KnownSwitch>,
): Promise<void> {
  const id = `0b8d0a52-51d4-4c0e-9d6e-2f6f0a3c1b${String(at).padStart(2, '0')}` as EntryId;
  const entry = {
    ...{ id, kind: 'part', name, maker: null, family: '', form: 'unsaid', note: null },
    ...more,
  };
  const response = await fetch(`${served.base}/api/library/${id}`, {
    ...{ method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(entry) },
  });
  if (!response.ok) throw new Error(await response.text());
}

type Position = KnownSwitch['positions'][number];

/** A position that stays, with what joins in it. */
export const hold = (name: string, ...joined: string[][]): Position => ({
  name,
  rests: 'maintained',
  joined,
});

/** A load that is named, as an event. */
export const loadNamed = (
  newId: ReturnType<typeof newIdFrom>,
  load: Partial<Load> & Pick<Load, 'name' | 'kind'>,
): Deed => ({
  kind: 'load-named',
  load: {
    ...{ id: newId<LoadId>(), amps: null, watts: null, volts: null, current: 'AC', removed: false },
    ...load,
  },
});
