import { factAt, type LookAgain, type Settled, type SwitchMap } from '../continuity/index.js';
import {
  liveEvents,
  requiredSettings,
  wiresOffOf,
  type ActuatorId,
  type Ask,
  type EventId,
  type SettingId,
  type TerminalId,
} from '../switch/index.js';
import {
  closedInCircuit,
  mostLeft,
  nextSweep,
  pairKey,
  triedInVain,
  type LeaveOut,
  type Sweep,
} from './position-first.js';
import { recheckLeft, recheckWanted } from './recheck.js';

/** What the hands should do next, and why. */
export type Plan =
  /** The leads together: the first reading, and the lead zero. */
  | { kind: 'check-meter' }
  | { kind: 'ask'; ask: Ask; turn: boolean; why: 'map' | 'recheck' }
  /** Everything in the positions found so far is asked; there may be more positions. */
  | { kind: 'find-position'; actuator: ActuatorId }
  /** Only prompts that were skipped are left: `skips` are the events to take back. */
  | { kind: 'skipped-left'; skips: EventId[]; pairs: number }
  /** What is left closed with the wires on, which proves nothing: they have to come off. */
  | { kind: 'in-circuit-left'; pairs: number }
  | { kind: 'disputed'; setting: SettingId; count: number }
  | { kind: 'look-again'; setting: SettingId; item: LookAgain }
  /** All is settled; nobody has asked for the re-check yet, which would take this much. */
  | { kind: 'done'; recheck: Forecast }
  /** All is settled, and any single wrong reading would have shown. */
  | { kind: 'rechecked' };

/** How much is left at most, in the settings found so far. */
export interface Forecast {
  readings: number;
  touches: number;
  seconds: number;
}

/** Seconds that hands take (common practice, editable later): see `forecast`. */
export const HAND_SECONDS = { moveLead: 2.5, moveBoth: 4, turn: 2, read: 1 } as const;

/**
 * The next thing to do by the position-first plan, with the handle at `at`.
 * Order: meter check, this setting, the next settings in handle order, unknown positions, skipped prompts,
 * what is disputed, what has to be looked at again.
 */
export function planNext(map: SwitchMap, at: SettingId | null): Plan {
  if (liveEvents(map.log, 'meter-checked').length === 0) return { kind: 'check-meter' };
  const skips = skippedPairs(map);
  const order = settingsFrom(map, at);
  for (const setting of order) {
    const ask = sweepIn(map, setting, skips.get(setting) ?? new Set());
    if (ask) return { kind: 'ask', ask, turn: setting !== at, why: 'map' };
  }
  const open = map.structure.actuators.find(({ closed }) => closed === null);
  if (open) return { kind: 'find-position', actuator: open.id };
  const inCircuit = inCircuitLeft(map, order);
  if (inCircuit) return inCircuit;
  const left = skippedLeft(map, order);
  if (left) return left;
  for (const setting of order) {
    const count = map.settings.get(setting)?.settled.contradictions.length ?? 0;
    if (count > 0) return { kind: 'disputed', setting, count };
  }
  for (const setting of order) {
    const item = map.settings.get(setting)?.settled.lookAgain[0];
    if (item) return { kind: 'look-again', setting, item };
  }
  const recheck = recheckForecast(map);
  if (recheck.readings === 0) return { kind: 'rechecked' };
  return recheckWanted(map) ? nextRecheck(map, order, at) : { kind: 'done', recheck };
}

/** The next probe of the re-check: joins before opens, setting by setting from where the handle is; skipped ones last. */
function nextRecheck(map: SwitchMap, order: SettingId[], at: SettingId | null): Plan {
  const skips = skippedPairs(map);
  let skipped = 0;
  for (const setting of order) {
    const settled = map.settings.get(setting)?.settled;
    if (!settled) continue;
    const leaveOut = skips.get(setting) ?? new Set();
    const { joins, sweeps } = recheckLeft(settled, map.contacts);
    for (const { red, black } of [...joins.map(([red, black]) => ({ red, black: [black] })), ...sweeps]) {
      const left = black.filter((place) => !leaveOut.has(pairKey(red, place)));
      skipped += black.length - left.length;
      if (left.length === 0) continue;
      return { kind: 'ask', ask: askOf(settled, { red, black: left }), turn: setting !== at, why: 'recheck' };
    }
  }
  return skipped === 0
    ? { kind: 'rechecked' }
    : { kind: 'skipped-left', skips: liveEvents(map.log, 'skipped').map(({ id }) => id), pairs: skipped };
}

/** What the re-check would still take: by pairs alone, so that the opens need a second pass. */
export function recheckForecast(map: SwitchMap): Forecast {
  const left = requiredSettings(map.structure).flatMap(({ id }) => {
    const settled = map.settings.get(id)?.settled;
    return settled ? [recheckLeft(settled, map.contacts)] : [];
  });
  const joins = left.reduce((sum, one) => sum + one.joins.length, 0);
  const sweeps = left.flatMap((one) => one.sweeps);
  const opens = sweeps.reduce((sum, { black }) => sum + black.length, 0);
  const turns = left.filter((one) => one.joins.length + one.sweeps.length > 0).length;
  return cost({ readings: joins + opens, sweeps: joins + sweeps.length, turns });
}

function sweepIn(map: SwitchMap, setting: SettingId, skipped: LeaveOut): Ask | null {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return null;
  const leaveOut = new Set([...skipped, ...vainNow(map, settled)]);
  const sweep = nextSweep(settled, map.contacts, leaveOut);
  return sweep && askOf(settled, sweep);
}

/** A sweep as it is asked; one of a single touch is a pair. */
function askOf({ setting, terminals }: Settled, { red, black }: Sweep): Ask {
  const id = (place: number) => terminals[place] as TerminalId;
  const [only, ...more] = black.map(id);
  if (only && more.length === 0) return { kind: 'pair', setting, red: id(red), black: only };
  return { kind: 'sweep', setting, red: id(red), black: black.map(id) };
}

/** Pairs whose reading decides nothing as things are: to be looked at again, or closed while the wires are on. */
function vainNow(map: SwitchMap, settled: Settled): Set<string> {
  return wiresOn(map)
    ? new Set([...triedInVain(settled), ...closedInCircuit(settled)])
    : triedInVain(settled);
}

/** Whether the hands are still in circuit: the last act was, and nobody has said since that the wires are off. */
function wiresOn({ log }: SwitchMap): boolean {
  const last = liveEvents(log, 'answered').at(-1);
  return last?.what.inCircuit === true && wiresOffOf(log) !== true;
}

function inCircuitLeft(map: SwitchMap, order: SettingId[]): Plan | null {
  if (!wiresOn(map)) return null;
  const pairs = order.reduce((sum, setting) => {
    const settled = map.settings.get(setting)?.settled;
    const open = (settled?.inCircuit ?? []).filter(
      ({ a, b }) => settled && factAt(settled, a, b).state === 'unknown',
    );
    return sum + new Set(open.map(({ a, b }) => pairKey(a, b))).size;
  }, 0);
  return pairs === 0 ? null : { kind: 'in-circuit-left', pairs };
}

function settingsFrom(map: SwitchMap, at: SettingId | null): SettingId[] {
  const ids = map.structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id);
  const start = Math.max(0, at === null ? 0 : ids.indexOf(at));
  return [...ids.slice(start), ...ids.slice(0, start)];
}

function skippedPairs(map: SwitchMap): Map<SettingId, Set<string>> {
  const place = new Map(map.structure.terminals.map(({ id }, index) => [id, index]));
  const pairs = new Map<SettingId, Set<string>>();
  for (const { what } of liveEvents(map.log, 'skipped')) {
    const { ask } = what.prompt;
    const keys = pairs.get(ask.setting) ?? new Set();
    const red = place.get(ask.red) ?? -1;
    for (const black of ask.kind === 'sweep' ? ask.black : [ask.black])
      keys.add(pairKey(red, place.get(black) ?? -1));
    pairs.set(ask.setting, keys);
  }
  return pairs;
}

function skippedLeft(map: SwitchMap, order: SettingId[]): Plan | null {
  const pairs = order.reduce((sum, setting) => {
    const settled = map.settings.get(setting)?.settled;
    return settled ? sum + mostLeft(settled, map.contacts, triedInVain(settled)).readings : sum;
  }, 0);
  if (pairs === 0) return null;
  return { kind: 'skipped-left', skips: liveEvents(map.log, 'skipped').map(({ id }) => id), pairs };
}

/**
 * The most that the position-first plan still asks for. A sweep of m costs its first move (both leads), m - 1
 * moves of one lead, and m reads; touches are m + 1. Positions not found yet are not in it.
 */
export function forecast(map: SwitchMap): Forecast {
  let [readings, sweeps, settings] = [0, 0, 0];
  for (const { id, need } of map.structure.settings) {
    const settled = map.settings.get(id)?.settled;
    if (!settled || need !== 'required') continue;
    const left = mostLeft(settled, map.contacts, triedInVain(settled));
    readings += left.readings;
    sweeps += left.sweeps;
    if (left.readings > 0) settings += 1;
  }
  return cost({ readings, sweeps, turns: settings });
}

function cost({ readings, sweeps, turns }: { readings: number; sweeps: number; turns: number }): Forecast {
  const { moveLead, moveBoth, turn, read } = HAND_SECONDS;
  const seconds = sweeps * moveBoth + (readings - sweeps) * moveLead + readings * read + turns * turn;
  return { readings, touches: readings + sweeps, seconds };
}
