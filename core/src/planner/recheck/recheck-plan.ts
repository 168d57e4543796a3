import { PairMarks } from '../../partition/index.js';
import type { SwitchMap } from '../../continuity/index.js';
import { approachOf, costsOf } from '../schools/approach.js';
import { bundlesSayNothing, handsOf, isHeld, settingsInOrder } from '../field/field-of-map.js';
import { handleAt } from '../hands/handle.js';
import { costOf, fromHere, oriented, type HandCosts, type Hands } from '../hands/hands.js';
import { pairMove, readingsOfMove, type Move } from '../hands/move.js';
import { createCourseMemory, type CourseMemory } from './course-memory.js';
import { quickestHold, quickHold } from './recheck-rollout.js';
import { heldOn, takeMove, type RecheckBoard } from './recheck-board.js';
import { lastOf } from '../field/last-of.js';
import { recheckLeft } from './recheck.js';

/** What is left of the re-check of a map; `skipped` are pairs by setting that a person passed over. */
export function recheckState(
  map: SwitchMap,
  skipped: (setting: number) => readonly [number, number][] = () => [],
): RecheckBoard {
  const size = map.structure.terminals.length;
  const settings = settingsInOrder(map).flatMap((id, setting) => {
    const settled = map.settings.get(id)?.settled;
    if (!settled) return [];
    const leaveOut = PairMarks.of(size, skipped(setting));
    const { joins, single, loose } = recheckLeft(settled, map.contacts);
    return {
      nets: settled.nets,
      single: single.copy(),
      loose,
      joins,
      pairsOnly: bundlesSayNothing(map, settled),
      leaveOut,
      held: isHeld(map, id),
    };
  });
  return { size, places: map.contacts, settings };
}

/** Whether nothing is left: any single wrong reading would have shown. */
export function isRechecked(map: SwitchMap): boolean {
  return settingsInOrder(map).every((id) => {
    const settled = map.settings.get(id)?.settled;
    if (!settled) return true;
    const left = recheckLeft(settled, map.contacts);
    return !left.single.any() && left.loose.length === 0;
  });
}

/**
 * The next move of a re-check: with clips, the hold after which the whole rest is quickest (see `quickestHold`); without,
 * pairs inside nets first, the same pair held through all settings that want it, then sweeps over nets. null when
 * nothing is left that may be asked.
 * `plain`: without much thought, with clips the best hold of the moment. `memory`: of courses thought of before.
 */
export function recheckMove(
  board: RecheckBoard,
  hands: Hands,
  costs: HandCosts,
  { plain = false, memory }: { plain?: boolean | undefined; memory?: CourseMemory | undefined } = {},
): Move | null {
  if (costs.clipsOwned < 2) return joinMove(board, hands, costs) ?? sweepMove(board, hands);
  return plain ? quickHold(board, hands, costs) : quickestHold(board, hands, costs, memory);
}

/** Of the pairs inside nets the one of which most readings are taken in a second. */
function joinMove(board: RecheckBoard, hands: Hands, costs: HandCosts): Move | null {
  const { settings } = board;
  const held = heldOn(board);
  const order = fromHere([...settings.keys()], hands.setting);
  const wants = (setting: number, a: number, b: number) =>
    settings[setting]?.leaveOut.has(a, b) === false &&
    settings[setting]?.joins.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  let best: { move: Move; rate: number } | null = null;
  for (const setting of order)
    for (const [red, black] of settings[setting]?.joins ?? []) {
      const all = order.filter((one) => wants(one, red, black));
      if (all.length === 0) continue;
      const move: Move =
        all.length === 1
          ? pairMove(setting, red, black)
          : { kind: 'hold', red: [red], black: [black], settings: all };
      const rate = all.length / costOf(move, hands, costs, held).seconds;
      if (!best || rate > best.rate + 1e-9) best = { move, rate };
    }
  return best?.move ?? null;
}

/** One lead on a net, the other over the nets that only one reading parts from it; from the last net to the first. */
function sweepMove({ places, settings }: RecheckBoard, hands: Hands): Move | null {
  for (const setting of fromHere([...settings.keys()], hands.setting)) {
    const { nets, single, leaveOut } = settings[setting] as RecheckBoard['settings'][number];
    if (!single.any()) continue;
    const heads = headsOfNets(nets, places);
    for (const [at, red] of heads.entries()) {
      const black = heads.slice(at + 1).filter((head) => {
        const wanted = single.has(nets[red] as number, nets[head] as number);
        return wanted && !leaveOut.has(red, head);
      });
      if (black.length === 1) return pairMove(setting, ...oriented(red, black[0] as number, hands));
      if (black.length > 1) return { kind: 'sweep', setting, red, black: black.toReversed() };
    }
  }
  return null;
}

/** The first terminal of each net, from the last net to the first. */
function headsOfNets(nets: readonly number[], places: readonly number[]): number[] {
  const seen = new Set<number>();
  const heads = places.filter((place) => {
    const net = nets[place] as number;
    return !seen.has(net) && seen.add(net);
  });
  return heads.toReversed();
}

/** What a re-check takes. */
export interface RecheckCost {
  readings: number;
  touches: number;
  seconds: number;
}

/**
 * What the re-check of a map would still take from where the hands are, by its own run with every answer as expected: each
 * step yields what it has counted so far, so that a worker can look up between them; the last value is the whole.
 */
export function* recheckCourse(
  map: SwitchMap,
  costs: HandCosts = costsOf(map, approachOf(map)),
  memory: CourseMemory = createCourseMemory(),
): Generator<RecheckCost, RecheckCost> {
  const board = recheckState(map);
  const held = heldOn(board);
  const total: RecheckCost = { readings: 0, touches: 0, seconds: 0 };
  let hands = handsOf(map, handleAt(map));
  for (;;) {
    const move = recheckMove(board, hands, costs, { memory });
    if (!move) return total;
    takeMove(board, move);
    const { seconds, touches, after } = costOf(move, hands, costs, held);
    hands = after;
    total.readings += readingsOfMove(move);
    total.touches += touches;
    total.seconds += seconds;
    yield { ...total };
  }
}

/** What the re-check of a map would still take, as `recheckCourse` counts it, without looking up between its steps. */
export const recheckForecast = (map: SwitchMap, costs?: HandCosts): RecheckCost =>
  lastOf(recheckCourse(map, costs));
