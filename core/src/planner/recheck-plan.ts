import type { SwitchMap } from '../continuity/index.js';
import { approachOf, costsOf } from './approach.js';
import { bundlesSayNothing, isHeld, settingsInOrder } from './field-of-map.js';
import { costOf, EMPTY_HANDS, fromHere, oriented, type HandCosts, type Hands } from './hands.js';
import { pairMove, type Move } from './move.js';
import { openBundle, type OpensLeft, type OpensOfSetting } from './recheck-bundles.js';
import { lastOf } from './last-of.js';
import { recheckLeft, singleOpens } from './recheck.js';

/** What the re-check has left in all settings, by place and setting index: expected open, and expected closed. */
export interface RecheckState extends OpensLeft {
  opens: OpensOfSetting[];
  joins: [red: number, black: number][][];
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
    opens: settled.map((one) => {
      const { nets, single } = singleOpens(one, map.contacts);
      return { nets, single: single.slice() };
    }),
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
 * clips, bundles and pairs that part many nets once more; without, sweeps over nets. null when nothing is left that may
 * be asked.
 */
export function recheckMove(state: RecheckState, hands: Hands, costs: HandCosts): Move | null {
  const opens = () => (costs.clipsOwned < 2 ? sweepMove(state, hands) : openBundle(state, hands, costs));
  return joinMove(state, hands, costs) ?? opens();
}

/** Of the pairs inside nets the one of which most readings are taken in a second. */
function joinMove(
  { joins, leaveOut, size, held }: RecheckState,
  hands: Hands,
  costs: HandCosts,
): Move | null {
  const order = fromHere([...joins.keys()], hands.setting);
  const wants = (setting: number, a: number, b: number) =>
    leaveOut[setting]?.[a * size + b] === 0 &&
    joins[setting]?.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  let best: { move: Move; rate: number } | null = null;
  for (const setting of order)
    for (const [red, black] of joins[setting] ?? []) {
      const settings = order.filter((one) => wants(one, red, black));
      if (settings.length === 0) continue;
      const move: Move =
        settings.length === 1
          ? pairMove(setting, red, black)
          : { kind: 'hold', red: [red], black: [black], settings };
      const rate = settings.length / costOf(move, hands, costs, held).seconds;
      if (!best || rate > best.rate + 1e-9) best = { move, rate };
    }
  return best?.move ?? null;
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

/** Takes the pairs across two sides out of what is left in a setting; in place. */
function takeOut(
  { size, joins, opens }: RecheckState,
  setting: number,
  reds: readonly number[],
  blacks: readonly number[],
): void {
  const { nets, single } = opens[setting] as OpensOfSetting;
  const across = (a: number, b: number) => reds.includes(a) && blacks.includes(b);
  joins[setting] = (joins[setting] ?? []).filter(
    ([red, black]) => !across(red, black) && !across(black, red),
  );
  for (const a of reds)
    for (const b of blacks) {
      const [one, other] = [nets[a] as number, nets[b] as number];
      single[one * size + other] = single[other * size + one] = 0;
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
  const total: RecheckCost = { readings: 0, touches: 0, seconds: 0 };
  let hands: Hands = { ...EMPTY_HANDS, setting: 0 };
  for (;;) {
    const move = recheckMove(state, hands, costs);
    if (!move) return total;
    for (const setting of move.kind === 'sweep' ? [move.setting] : move.settings)
      takeOut(state, setting, [move.red].flat(), move.black);
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
