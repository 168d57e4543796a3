import type { SwitchMap } from '../../continuity/index.js';
import { IN_OHMS_APPROACH, liveEvents, PLAIN_APPROACH, type Approach, type Ask } from '../../log/index.js';
import { type SettingId, type TerminalId } from '../../switch/index.js';
import { byTime } from './by-time.js';
import { certify, agrees, type Hypothesis } from './certify.js';
import type { Field } from '../field/field.js';
import { bundlesPassedOver, settingsInOrder } from '../field/field-of-map.js';
import { ORDINARY_HANDS, type HandCosts } from '../hands/hands.js';
import { ladder } from './ladder.js';
import { learnHands } from '../hands/learn-hands.js';
import type { Move } from '../hands/move.js';
import { onlyThese } from './named-pairs.js';
import { likelyFirst, pairFirst, positionFirst } from './plain-schools.js';
import type { Planner } from './situation.js';
import { tellApart } from './tell-apart.js';
import { workingPairs } from './working-pairs.js';

/**
 * How a person wants to map, by the log: the newest choice; before any the quickest of those that settle everything, which
 * hangs on how the meter was checked last. A beeper is swept over many lugs in the time of one reading in ohms: rows, then.
 */
export function approachOf({ log }: SwitchMap): Approach {
  const chosen = liveEvents(log, 'approached').at(-1)?.what.approach;
  if (chosen) return chosen;
  const zero = liveEvents(log, 'meter-checked').at(-1)?.what.leadsTogether;
  return zero?.kind === 'ohms' ? IN_OHMS_APPROACH : PLAIN_APPROACH;
}

/** The costs of the hands that a plan counts with: as typed in, or as the job's time stamps show. */
export function costsOf(map: SwitchMap, { hands, clips }: Approach): HandCosts {
  const clipsOwned = bundlesPassedOver(map) ? 0 : clips;
  return hands ? { ...hands, clipsOwned } : learnHands(map.log, { ...ORDINARY_HANDS, clipsOwned });
}

/** Whether an aid holds a sprung handle: to hold it costs nothing then. */
export const holdsItself = (map: SwitchMap): boolean => approachOf(map).hands?.holdMomentary === 0;

/** Why a prompt is what it is. */
export type Reason =
  /** The next row in this setting. */
  | 'row'
  /** The pair most likely to join. */
  | 'likely'
  /** The pair held through settings, because the order is pair-first. */
  | 'held'
  /** Most pairs settled a second. */
  | 'fastest'
  /** Many pairs at once, tied together. */
  | 'bundle'
  /** A common against its throws. */
  | 'common'
  /** It tells apart what the switch may be. */
  | 'telling'
  /** It proves what the switch probably is. */
  | 'expected'
  /** What was assumed has to be read. */
  | 'assumed'
  /** Open one way round, across a part that may conduct the other way. */
  | 'polarity'
  /** It joins by a low bundle alone: a clip that leaned on another lug would have read the same. */
  | 'alone'
  /** A closed contact that was heard, wanted in ohms. */
  | 'ohms'
  /** On the way back through the positions: it tells this one from the others. */
  | 'return'
  /** One of the pairs that were named for a quick check. */
  | 'named';

/** The planner of an approach, and why it proposes what it does. */
export function plannerOf(
  approach: Approach,
  hypotheses: readonly Hypothesis[] = [],
  named: readonly [number, number][] = [],
): (field: Field) => { planner: Planner; reason: (move: Move) => Reason } {
  return (field) => {
    const expects = approach.order === 'expected';
    const left = expects ? hypotheses.filter((one) => agrees(field, one)) : [];
    const [only, ...more] = left;
    if (approach.extent === 'named-pairs') return { planner: onlyThese(named), reason: () => 'named' };
    if (approach.extent === 'working-pairs') return { planner: workingPairs, reason: () => 'common' };
    if (only && more.length > 0) {
      const telling = tellApart(left);
      // Where nothing tells them apart any further, proving one proves them all.
      return { planner: (now) => telling(now) ?? certify(only)(now), reason: () => 'telling' };
    }
    if (only) return { planner: certify(only), reason: (move) => (isBundle(move) ? 'bundle' : 'expected') };
    return plainPlanner(approach);
  };
}

function plainPlanner({ order, clips }: Approach): { planner: Planner; reason: (move: Move) => Reason } {
  switch (order) {
    case 'position':
      return { planner: positionFirst, reason: () => 'row' };
    case 'pair':
      return { planner: pairFirst, reason: () => 'held' };
    case 'likely':
      return {
        planner: likelyFirst,
        reason: (move) => (move.kind === 'sweep' && move.black.length > 1 ? 'row' : 'likely'),
      };
    case 'time':
    case 'expected':
      return {
        planner: clips >= 2 ? ladder : byTime,
        reason: (move) => (isBundle(move) ? 'bundle' : 'fastest'),
      };
  }
}

const isBundle = (move: Move): boolean =>
  move.kind === 'hold' && (move.red.length > 1 || move.black.length > 1);

/** A move as it is asked. */
export function askOfMove(map: SwitchMap, move: Move): Ask {
  const order = settingsInOrder(map);
  const terminal = (place: number) => map.structure.terminals[place]?.id as TerminalId;
  const setting = (index: number) => order[index] as SettingId;
  if (move.kind === 'sweep') {
    const red = terminal(move.red);
    const [only, ...more] = move.black.map(terminal);
    if (only && more.length === 0) return { kind: 'pair', setting: setting(move.setting), red, black: only };
    return { kind: 'sweep', setting: setting(move.setting), red, black: move.black.map(terminal) };
  }
  const settings = move.settings.map(setting);
  const [red, black] = [move.red.map(terminal), move.black.map(terminal)];
  if (isBundle(move)) return { kind: 'bundle', red, black, settings };
  const pair = { red: red[0] as TerminalId, black: black[0] as TerminalId };
  const [only, ...more] = settings;
  return only && more.length === 0
    ? { kind: 'pair', setting: only, ...pair }
    : { kind: 'turn', ...pair, settings };
}
