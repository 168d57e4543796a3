import { factAt, type LookAgain, type SwitchMap } from '../continuity/index.js';
import {
  firstSetting,
  liveEvents,
  type ActuatorId,
  type Ask,
  type EventId,
  type SettingId,
  type TerminalId,
} from '../switch/index.js';
import { approachOf, askOfMove, costsOf, plannerOf, type Reason } from './approach.js';
import type { Hypothesis } from './certify.js';
import { learntChance, type Chance } from './chance.js';
import { bundleSays, openPairsOf, type Field } from './field.js';
import { fieldOf, handsOf, settingsInOrder, skippedPairs, wiresOn } from './field-of-map.js';
import { ORDINARY_HANDS } from './hands.js';
import { checkDue, type CheckDue } from './meter-check.js';
import { mostLeft, pairKey, triedInVain } from './rows-left.js';
import { polarityAsk } from './offers.js';
import { recheckForecast, recheckMove, recheckState } from './recheck-plan.js';
import { recheckWanted } from './recheck.js';
import { ladder } from './ladder.js';

/** What the hands should do next, and why. */
export type Plan =
  /** The leads together: the first reading, and the lead zero; again when the meter may be asleep. */
  | { kind: 'check-meter'; why: CheckDue }
  | { kind: 'ask'; ask: Ask; turn: boolean; why: 'map' | 'recheck'; reason: Reason | null }
  /** Everything in the positions found so far is asked; there may be more positions. */
  | { kind: 'find-position'; actuator: ActuatorId }
  /** The commons are swept; throws are not tested against each other, nor poles: that many pairs are not known. */
  | { kind: 'working-pairs-done'; pairs: number }
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

/** What is known from outside of what the switch may be; predicts, and proves nothing. */
export interface Outlook {
  hypotheses?: readonly Hypothesis[];
  chance?: (field: Field) => Chance;
  /** The time, ISO: with it the meter is checked again after a pause or a long run of opens. */
  now?: string;
}

/**
 * The next thing to do by the approach that the log chose, with the handle at `at`.
 * Order: meter check, what the approach's planner asks in the settings found so far, unknown positions, what was assumed,
 * skipped prompts, what is disputed, what has to be looked at again.
 */
export function planNext(map: SwitchMap, at: SettingId | null, outlook: Outlook = {}): Plan {
  const due = checkDue(map, null);
  if (due) return { kind: 'check-meter', why: due };
  const plan = planReadings(map, at, outlook);
  // Before a reading, not before a pause: a meter that is not needed may sleep.
  const again = plan.kind === 'ask' ? checkDue(map, outlook.now ?? null) : null;
  return again ? { kind: 'check-meter', why: again } : plan;
}

function planReadings(map: SwitchMap, at: SettingId | null, outlook: Outlook): Plan {
  const open = map.structure.actuators.find(({ closed }) => closed === null);
  const finding: Plan | null = open ? { kind: 'find-position', actuator: open.id } : null;
  // Who holds the leads while the handle turns has to know first where it can be turned to.
  const { order: school, extent } = approachOf(map);
  const positionsFirst = extent === 'everything' && school !== 'position' && school !== 'likely';
  if (finding && positionsFirst) return finding;
  const asked = nextAsk(map, fieldOf(map), at, outlook);
  if (asked) return asked;
  if (finding) return finding;
  const order = settingsFrom(map, at);
  return (
    workingPairsDone(map, order) ??
    assumedLeft(map, at) ??
    polarityLeft(map, order, at) ??
    inCircuitLeft(map, order) ??
    skippedLeft(map, order) ??
    notSettled(map, order) ??
    afterMapping(map, at)
  );
}

function nextAsk(map: SwitchMap, field: Field, at: SettingId | null, outlook: Outlook): Plan | null {
  const approach = approachOf(map);
  const { planner, reason } = plannerOf(approach, outlook.hypotheses)(field);
  const chance = (outlook.chance ?? learntChance)(field);
  // Position-first counts no seconds; to learn them from a long log takes a while.
  const counts = approach.order !== 'position';
  const costs = counts ? costsOf(map, approach) : { ...ORDINARY_HANDS, clipsOwned: 0 };
  const move = planner({ field, hands: handsOf(map, at), costs, chance });
  if (!move) return null;
  const ask = askOfMove(map, move);
  return { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'map', reason: reason(move) };
}

function workingPairsDone(map: SwitchMap, order: SettingId[]): Plan | null {
  if (approachOf(map).extent !== 'working-pairs') return null;
  const pairs = order.reduce((sum, id) => sum + (map.settings.get(id)?.coverage.unknown ?? 0), 0);
  return pairs > 0 ? { kind: 'working-pairs-done', pairs } : null;
}

/** What was assumed is read at last: with clips block against block, else pair by pair. */
function assumedLeft(map: SwitchMap, at: SettingId | null): Plan | null {
  const field = fieldOf(map, { assumed: false });
  if (!field.settings.some((_, setting) => openPairsOf(field, setting).length > 0)) return null;
  const costs = costsOf(map, approachOf(map));
  const blocks = liveEvents(map.log, 'assumed').at(-1)?.what.assumption.blocks ?? [];
  const [one, other] = blocks.map((block) =>
    block.filter((id) => map.structure.terminals.some((t) => t.id === id)),
  );
  if (one && other && blocks.length === 2 && one.length + other.length <= costs.clipsOwned) {
    const order = settingsInOrder(map);
    const place = (id: TerminalId) => map.structure.terminals.findIndex((terminal) => terminal.id === id);
    const [red, black] = [one.map(place), other.map(place)];
    // A block bundle that was low is not asked again: pairs tell which it was.
    const settings = settingsFrom(map, at).filter((id) => {
      const assumed = (map.settings.get(id)?.coverage.assumed ?? 0) > 0;
      return assumed && bundleSays(field, order.indexOf(id), red, black) === null;
    });
    if (settings.length > 0)
      return {
        kind: 'ask',
        ask: { kind: 'bundle', red: one, black: other, settings },
        turn: settings[0] !== at,
        why: 'map',
        reason: 'assumed',
      };
  }
  const hands = handsOf(map, at);
  const move = ladder({ field, hands, costs, chance: learntChance(field) });
  if (!move) return null;
  const ask = askOfMove(map, move);
  return { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'map', reason: 'assumed' };
}

function polarityLeft(map: SwitchMap, order: SettingId[], at: SettingId | null): Plan | null {
  const ask = polarityAsk(map, order);
  return ask && { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'map', reason: 'polarity' };
}

function notSettled(map: SwitchMap, order: SettingId[]): Plan | null {
  for (const setting of order) {
    const count = map.settings.get(setting)?.settled.contradictions.length ?? 0;
    if (count > 0) return { kind: 'disputed', setting, count };
  }
  for (const setting of order) {
    const item = map.settings.get(setting)?.settled.lookAgain[0];
    if (item) return { kind: 'look-again', setting, item };
  }
  return null;
}

function afterMapping(map: SwitchMap, at: SettingId | null): Plan {
  const recheck = recheckForecast(map);
  if (recheck.readings === 0) return { kind: 'rechecked' };
  return recheckWanted(map) ? nextRecheck(map, at) : { kind: 'done', recheck };
}

/** The next move of the re-check from where the handle is; what was skipped comes last. */
function nextRecheck(map: SwitchMap, at: SettingId | null): Plan {
  const order = settingsInOrder(map);
  const skips = skippedPairs(map);
  const costs = costsOf(map, approachOf(map));
  const move = recheckMove(
    recheckState(map, (setting) => skips.get(order[setting] as SettingId) ?? []),
    handsOf(map, at),
    costs,
  );
  if (!move) {
    const pairs = recheckForecast(map).readings;
    return { kind: 'skipped-left', skips: liveEvents(map.log, 'skipped').map(({ id }) => id), pairs };
  }
  const ask = askOfMove(map, move);
  return { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'recheck', reason: null };
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
  const left = map.structure.settings.flatMap(({ id, need }) =>
    need === 'required' ? [leftIn(map, id)] : [],
  );
  const sum = (of: (one: { readings: number; sweeps: number }) => number) =>
    left.reduce((total, one) => total + of(one), 0);
  return cost({
    readings: sum(({ readings }) => readings),
    sweeps: sum(({ sweeps }) => sweeps),
    turns: left.filter(({ readings }) => readings > 0).length,
  });
}

/** The same for one setting, with one turn to come to it. */
export function forecastIn(map: SwitchMap, setting: SettingId): Forecast {
  const left = leftIn(map, setting);
  return cost({ ...left, turns: left.readings > 0 ? 1 : 0 });
}

function leftIn(map: SwitchMap, setting: SettingId): { readings: number; sweeps: number } {
  const settled = map.settings.get(setting)?.settled;
  return settled ? mostLeft(settled, map.contacts, triedInVain(settled)) : { readings: 0, sweeps: 0 };
}

function cost({ readings, sweeps, turns }: { readings: number; sweeps: number; turns: number }): Forecast {
  const { moveLead, moveBoth, turn, read } = ORDINARY_HANDS;
  const seconds = sweeps * moveBoth + (readings - sweeps) * moveLead + readings * read + turns * turn;
  return { readings, touches: readings + sweeps, seconds };
}
