import type { SwitchMap } from '../continuity/index.js';
import { approachOf, costsOf } from './approach.js';
import { bundlesSayNothing, isHeld, settingsInOrder } from './field-of-map.js';
import { costOf, EMPTY_HANDS, fromHere, oriented, type HandCosts, type Hands } from './hands.js';
import { pairMove, type Move } from './move.js';
import { openBundle, type OpensOfSetting } from './recheck-bundles.js';
import { lastOf } from './last-of.js';
import { recheckLeft, singleOpens } from './recheck.js';

/** What the re-check has left in all settings, by place and setting index: expected closed, and expected open. */
export interface RecheckState {
  size: number;
  places: readonly number[];
  joins: [red: number, black: number][][];
  opens: OpensOfSetting[];
  /** Pairs that are not to be asked, by setting, both ways round. */
  leaveOut: Uint8Array[];
  /** Settings in which no bundles are asked. */
  pairsOnly: boolean[];
  /** Settings in which the handle has to be held. */
  held: (setting: number) => boolean;
}

/** What is left of the re-check of a map; `skipped` are pairs by setting that a person passed over. */
export function recheckState(
  map: SwitchMap,
  skipped: (setting: number) => readonly [number, number][] = () => [],
): RecheckState {
  const size = map.structure.terminals.length;
  const order = settingsInOrder(map);
  const settled = order.flatMap((id) => map.settings.get(id)?.settled ?? []);
  const held = order.map((id) => isHeld(map.structure, id));
  return {
    held: (setting) => held[setting] ?? false,
    size,
    places: map.contacts,
    joins: settled.map((one) => recheckLeft(one, map.contacts).joins),
    opens: settled.map((one) => singleOpens(one, map.contacts)),
    pairsOnly: settled.map((one) => bundlesSayNothing(map, one)),
    leaveOut: settled.map((_, setting) => {
      const out = new Uint8Array(size * size);
      for (const [a, b] of skipped(setting)) out[a * size + b] = out[b * size + a] = 1;
      return out;
    }),
  };
}

/** Whether nothing is left: any single wrong reading would have shown. */
export function isRechecked(map: SwitchMap): boolean {
  return settingsInOrder(map).every((id) => {
    const settled = map.settings.get(id)?.settled;
    if (!settled) return true;
    return (
      recheckLeft(settled, map.contacts).joins.length === 0 &&
      !singleOpens(settled, map.contacts).single.includes(1)
    );
  });
}

/**
 * The next move of a re-check: pairs inside nets first, the same pair held through all settings that want it; then, with
 * clips, bundles that part many nets once more; then sweeps over nets. null when nothing is left that may be asked.
 */
export function recheckMove(state: RecheckState, hands: Hands, costs: HandCosts): Move | null {
  return joinMove(state, hands) ?? bundleMove(state, hands, costs) ?? sweepMove(state, hands);
}

function joinMove({ joins, leaveOut, size }: RecheckState, hands: Hands): Move | null {
  const order = fromHere([...joins.keys()], hands.setting);
  const wants = (setting: number, a: number, b: number) =>
    leaveOut[setting]?.[a * size + b] === 0 &&
    joins[setting]?.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  for (const setting of order)
    for (const [red, black] of joins[setting] ?? []) {
      if (!wants(setting, red, black)) continue;
      const settings = order.filter((one) => wants(one, red, black));
      return settings.length === 1
        ? pairMove(setting, red, black)
        : { kind: 'hold', red: [red], black: [black], settings };
    }
  return null;
}

function bundleMove(
  { size, places, opens, pairsOnly, held }: RecheckState,
  hands: Hands,
  costs: HandCosts,
): Move | null {
  if (costs.clipsOwned < 2) return null;
  const nothing = new Uint8Array(size * size);
  const asked = opens.map((one, setting) => (pairsOnly[setting] ? { ...one, single: nothing } : one));
  return openBundle(size, places, asked, hands, costs, held);
}

/** One lead on a net, the other over the nets that only one reading parts from it; from the last net to the first. */
function sweepMove({ size, places, opens, leaveOut }: RecheckState, hands: Hands): Move | null {
  for (const setting of fromHere([...opens.keys()], hands.setting)) {
    const { nets, single } = opens[setting] as OpensOfSetting;
    if (!single.includes(1)) continue;
    const heads = headsOfNets(nets, places);
    for (const [at, red] of heads.entries()) {
      const black = heads.slice(at + 1).filter((head) => {
        const wanted = single[(nets[red] as number) * size + (nets[head] as number)] === 1;
        return wanted && leaveOut[setting]?.[red * size + head] === 0;
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

/** Takes a move out of what is left, as if every answer were the expected one; in place. */
function takeMove({ size, joins, opens }: RecheckState, move: Move): void {
  const settings = move.kind === 'sweep' ? [move.setting] : move.settings;
  const [reds, blacks] = [[move.red].flat(), move.black];
  for (const setting of settings) {
    const one = opens[setting] as OpensOfSetting;
    joins[setting] = (joins[setting] ?? []).filter(
      ([red, black]) =>
        !((reds.includes(red) && blacks.includes(black)) || (reds.includes(black) && blacks.includes(red))),
    );
    for (const a of reds)
      for (const b of blacks) {
        const [netA, netB] = [one.nets[a] as number, one.nets[b] as number];
        one.single[netA * size + netB] = one.single[netB * size + netA] = 0;
      }
  }
}

/** What a re-check takes. */
export interface RecheckCost {
  readings: number;
  touches: number;
  seconds: number;
}

/**
 * What the re-check of a map would still take, by its own run with every answer as expected: each step yields what it has
 * counted so far, so that a worker can look up between them; the last value is the whole.
 */
export function* recheckCourse(
  map: SwitchMap,
  costs: HandCosts = costsOf(map, approachOf(map)),
): Generator<RecheckCost, RecheckCost> {
  const state = recheckState(map);
  state.opens = state.opens.map((one) => ({ ...one, single: one.single.slice() }));
  const total: RecheckCost = { readings: 0, touches: 0, seconds: 0 };
  let hands: Hands = { ...EMPTY_HANDS, setting: 0 };
  for (;;) {
    const move = recheckMove(state, hands, costs);
    if (!move) return total;
    takeMove(state, move);
    const { seconds, touches, after } = costOf(move, hands, costs, state.held);
    hands = after;
    total.readings += move.kind === 'sweep' ? move.black.length : move.settings.length;
    total.touches += touches;
    total.seconds += seconds;
    yield { ...total };
  }
}

/** The same in one go. */
export const recheckForecast = (map: SwitchMap, costs?: HandCosts): RecheckCost =>
  lastOf(recheckCourse(map, costs));
