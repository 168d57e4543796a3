import { factAt, type ClipUse, type LookAgain, type SwitchMap } from '../../continuity/index.js';
import { firstSetting, liveEvents, type Approach, type Ask } from '../../log/index.js';
import {
  inPattern,
  type ActuatorId,
  type EventId,
  type ReadingId,
  type SettingId,
  type TerminalId,
} from '../../switch/index.js';
import type { CourseMemory } from '../recheck/course-memory.js';
import { approachOf, askOfMove, costsOf, plannerOf, type Reason } from '../schools/approach.js';
import type { Hypothesis } from '../schools/certify.js';
import { learntChance, type Chance } from '../chance/chance.js';
import type { Field } from '../field/field.js';
import { fieldOf, handsOf, settingsInOrder, skippedPairs, wiresOn } from '../field/field-of-map.js';
import { fromHere, ORDINARY_HANDS, type HandCosts, type Hands } from '../hands/hands.js';
import { clipsLeftUnproved, clipsToProve } from '../hands/clips.js';
import { checkDue, type CheckDue } from '../hands/meter-check.js';
import { firstSuspect, lookedEnough } from './enough.js';
import { assumedLeft } from './assumed-left.js';
import { inOhmsAsk } from './in-ohms.js';
import { lowsAsk, onlyByLows } from './lows-left.js';
import { leftIn, pairKey } from './most-left.js';
import { namedPairs, quickCheck, type QuickCheck } from '../schools/named-pairs.js';
import { returnAsk, returnWanted } from './return-sweep.js';
import { polarityAsk } from './other-way-round.js';
import { isRechecked, recheckForecast, recheckMove, recheckState } from '../recheck/recheck-plan.js';
import { recheckWanted } from '../recheck/recheck.js';

/** What the hands should do next, and why. */
export type Plan =
  /** The leads together: the first reading, and the lead zero; again when the meter may be asleep. */
  | { kind: 'check-meter'; why: CheckDue }
  | { kind: 'ask'; ask: Ask; turn: boolean; why: 'map' | 'recheck' | 'return'; reason: Reason | null }
  /** Everything in the positions found so far is asked; there may be more positions. */
  | { kind: 'find-position'; actuator: ActuatorId }
  /** The commons are swept; throws are not tested against each other, nor poles: that many pairs are not known. */
  | { kind: 'working-pairs-done'; pairs: number }
  /** The pairs that were named are read, as far as they can be; nothing else is tested. */
  | ({ kind: 'named-pairs-done' } & QuickCheck)
  /** Only prompts that were skipped are left: `skips` are the events to take back. */
  | { kind: 'skipped-left'; skips: EventId[]; pairs: number }
  /** What is left closed with the wires on, which proves nothing: they have to come off. */
  | { kind: 'in-circuit-left'; pairs: number }
  /** These clips are on, and nobody touched them since they were read with. */
  | { kind: 'prove-clips'; clips: TerminalId[] }
  /** These clips came off before anyone touched them: what is known only through them is not proved. */
  | { kind: 'clips-unproved'; uses: ClipUse[] }
  | { kind: 'disputed'; setting: SettingId; count: number }
  | { kind: 'look-again'; setting: SettingId; item: LookAgain }
  /** A person left so many pairs not known: nothing more is asked of them, and the map is not complete. */
  | { kind: 'left-not-known'; pairs: number }
  /** All is settled; nobody has asked for the re-check yet. */
  | { kind: 'done' }
  /** The re-check has come to its end, and a single slip would not show in that many pairs: nothing more can be asked of them. */
  | { kind: 'not-rechecked'; pairs: number }
  /** All is settled, and any single wrong reading would have shown. */
  | { kind: 'rechecked' };

/** What is known from outside of what the switch may be; predicts, and proves nothing. */
export interface Outlook {
  /** Without much thought: for when the better plan is not ready. */
  plain?: boolean;
  hypotheses?: readonly Hypothesis[];
  chance?: (field: Field) => Chance;
  /** Courses of the re-check that were thought of before, kept by whoever plans this map. */
  memory?: CourseMemory;
  /** The time, ISO: with it the meter is checked again after a pause or a long run of opens. */
  now?: string;
}

/**
 * The next thing to do by the approach that the log chose, with the handle at `at`.
 * Order: meter check, what the approach's planner asks in the settings found so far, unknown positions, what was assumed,
 * skipped prompts, clips that nobody proved, what is disputed, what has to be looked at again.
 * @example
 * const on = bench(3, 1);
 * const plan = planNext(deriveMap(on.events), on.settings[0]);
 * [plan.kind, plan.ask.kind, plan.ask.red === on.terminals[0], plan.ask.black.length] // => ['ask', 'sweep', true, 2]
 */
export function planNext(
  map: SwitchMap,
  at: SettingId | null,
  outlook: Outlook = {},
  approach: Approach = approachOf(map),
): Plan {
  const due = checkDue(map, null);
  if (due) return { kind: 'check-meter', why: due };
  const plan = planReadings(standingOf(map, at, outlook, approach));
  // Before a reading, not before a pause: a meter that is not needed may sleep.
  const again = plan.kind === 'ask' ? checkDue(map, outlook.now ?? null) : null;
  return again ? { kind: 'check-meter', why: again } : plan;
}

/** The next thing to do by position-first, which takes no thought: for when the better plan is not ready. */
export const plainPlan = (map: SwitchMap, at: SettingId | null, outlook: Outlook = {}): Plan =>
  planNext(map, at, { ...outlook, plain: true }, { ...approachOf(map), order: 'position' });

/** All that the steps of one decision need, worked out once. */
interface Standing {
  map: SwitchMap;
  at: SettingId | null;
  outlook: Outlook;
  approach: Approach;
  field: Field;
  hands: Hands;
  costs: HandCosts;
  /** Settings, where the handle is first. */
  order: SettingId[];
}

function standingOf(map: SwitchMap, at: SettingId | null, outlook: Outlook, approach: Approach): Standing {
  const settings = settingsInOrder(map);
  return {
    map,
    at,
    outlook,
    approach,
    field: fieldOf(map),
    hands: handsOf(map, at),
    // Position-first counts no seconds; to learn them from a long log takes a while.
    costs: approach.order === 'position' ? { ...ORDINARY_HANDS, clipsOwned: 0 } : costsOf(map, approach),
    order: fromHere(settings, at && settings.indexOf(at)),
  };
}

/**
 * Whether the positions are found before anything is read: who holds the leads while the handle turns has to know where it can
 * be turned to. By time, without clips, the position where the handle stands is mapped first, as it is anyway.
 */
function positionsFirst({
  map,
  approach: { order, extent, clips },
}: Pick<Standing, 'map' | 'approach'>): boolean {
  if (extent !== 'everything' || order === 'position' || order === 'likely') return false;
  return order !== 'time' || clips >= 2 || settingsInOrder(map).length > 1;
}

/** Whether positions are looked for next, whatever is left to read: that takes no thought. */
export const findsPositions = (map: SwitchMap): boolean =>
  map.structure.actuators.some(({ closed }) => closed === null) &&
  positionsFirst({ map, approach: approachOf(map) });

function planReadings(standing: Standing): Plan {
  const { map, at } = standing;
  const open = map.structure.actuators.find(({ closed }) => closed === null);
  const finding: Plan | null = open ? { kind: 'find-position', actuator: open.id } : null;
  if (finding && positionsFirst(standing)) return finding;
  return (
    nextAsk(standing) ??
    finding ??
    namedPairsDone(standing) ??
    workingPairsDone(standing) ??
    asked(assumedLeft(map, at), at, 'assumed') ??
    asked(polarityAsk(map, standing.order), at, 'polarity') ??
    inCircuitLeft(standing) ??
    asked(lowsAsk(map, standing.order), at, 'alone') ??
    skippedLeft(standing) ??
    asked(returnWanted(map) ? returnAsk(map) : null, at, 'return', 'return') ??
    clipsNotProved(standing) ??
    notSettled(standing) ??
    asked(inOhmsAsk(map, standing.order), at, 'ohms') ??
    afterMapping(standing)
  );
}

function nextAsk({ map, at, outlook, approach, field, hands, costs }: Standing): Plan | null {
  const { planner, reason } = plannerOf(approach, outlook.hypotheses, namedPairs(map))(field);
  const chance = (outlook.chance ?? learntChance)(field);
  const move = planner({ field, hands, costs, chance });
  return move && asking(askOfMove(map, move), at, reason(move));
}

function namedPairsDone({ map, approach, field }: Standing): Plan | null {
  if (approach.extent !== 'named-pairs' || map.complete) return null;
  return { kind: 'named-pairs-done', ...quickCheck(map, field) };
}

function workingPairsDone({ map, approach, order }: Standing): Plan | null {
  if (approach.extent !== 'working-pairs') return null;
  const pairs = order.reduce((sum, id) => sum + (map.settings.get(id)?.coverage.unknown ?? 0), 0);
  return pairs > 0 ? { kind: 'working-pairs-done', pairs } : null;
}

function asking(
  ask: Ask,
  at: SettingId | null,
  reason: Reason | null,
  why: 'map' | 'recheck' | 'return' = 'map',
): Plan {
  return { kind: 'ask', ask, turn: firstSetting(ask) !== at, why, reason };
}

/** What is asked beside the ordinary course; null where there is nothing to ask. */
function asked(ask: Ask | null, at: SettingId | null, reason: Reason, why?: 'map' | 'return'): Plan | null {
  return ask && asking(ask, at, reason, why);
}

/** Clips that were read with and not proved since: on they are touched; off, what rests on them alone is read again. */
function clipsNotProved({ map }: Standing): Plan | null {
  const clips = clipsToProve(map);
  if (clips.length > 0) return { kind: 'prove-clips', clips };
  const uses = clipsLeftUnproved(map);
  if (uses.length === 0) return null;
  const frame = new Set(map.structure.terminals.filter((one) => !inPattern(one)).map(({ id }) => id));
  const toFrame = uses.some(
    ({ terminal, readings }) => frame.has(terminal) || readings.some((one) => readsOne(map, one, frame)),
  );
  return map.complete && !toFrame ? null : { kind: 'clips-unproved', uses };
}

const readsOne = ({ tape }: SwitchMap, id: ReadingId, places: ReadonlySet<TerminalId>): boolean =>
  tape.some(
    ({ reading }) => reading.id === id && [...reading.red, ...reading.black].some((one) => places.has(one)),
  );

function notSettled({ map, order }: Standing): Plan | null {
  const disputed = order.flatMap((setting): Plan[] => {
    const count = map.settings.get(setting)?.settled.contradictions.length ?? 0;
    return count > 0 ? [{ kind: 'disputed', setting, count }] : [];
  });
  const again = order.flatMap((setting) =>
    (map.settings.get(setting)?.settled.lookAgain ?? []).flatMap((item) =>
      item.left ? [] : [{ kind: 'look-again' as const, setting, item }],
    ),
  );
  // What was read often enough is left to a person, and comes last.
  const first =
    disputed.find((one) => 'setting' in one && firstSuspect(map, one.setting) !== null) ??
    again.find(({ setting, item }) => !lookedEnough(map, setting, item)) ??
    disputed[0] ??
    again[0];
  if (first) return first;
  const pairs = order.reduce((sum, id) => sum + (map.settings.get(id)?.settled.lookAgain.length ?? 0), 0);
  return pairs > 0 ? { kind: 'left-not-known', pairs } : null;
}

function afterMapping(standing: Standing): Plan {
  if (isRechecked(standing.map)) return { kind: 'rechecked' };
  return recheckWanted(standing.map) ? nextRecheck(standing) : { kind: 'done' };
}

/** The next move of the re-check from where the handle is; what was skipped comes last. */
function nextRecheck({ map, at, hands, outlook: { plain, memory } }: Standing): Plan {
  const settings = settingsInOrder(map);
  const skips = skippedPairs(map);
  // Also a plain plan goes by the clips and hands of the person: what it asks must be what the forecast counted.
  const costs = costsOf(map, approachOf(map));
  const move = recheckMove(
    recheckState(map, (setting) => skips.get(settings[setting] as SettingId) ?? []),
    hands,
    costs,
    { plain, memory },
  );
  if (!move) {
    const pairs = recheckForecast(map, { ...costs, clipsOwned: 0 }).readings;
    const skipped = liveEvents(map.log, 'skipped').map(({ id }) => id);
    return skipped.length > 0
      ? { kind: 'skipped-left', skips: skipped, pairs }
      : { kind: 'not-rechecked', pairs };
  }
  return asking(askOfMove(map, move), at, null, 'recheck');
}

function inCircuitLeft({ map, order }: Standing): Plan | null {
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

/** Pairs that are left because they were passed over; what is left because readings contradict or say neither is not. */
function skippedLeft({ map, order }: Standing): Plan | null {
  const skips = liveEvents(map.log, 'skipped').map(({ id }) => id);
  if (skips.length === 0) return null;
  const pairs = order.reduce(
    (sum, setting) => sum + (leftIn(map, setting).readings || onlyByLows(map, setting).length),
    0,
  );
  if (pairs === 0) return null;
  return { kind: 'skipped-left', skips, pairs };
}
