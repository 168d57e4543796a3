import { factAt, isComplete, type Settled, type SwitchMap } from '../continuity/index.js';
import type { SettingId } from '../switch/index.js';
import { settingsInOrder } from './field-of-map.js';

/** A pair by which a setting is known from others: what it reads there, and in how many others it reads otherwise. */
export interface TellTale {
  /** By place. */
  a: number;
  b: number;
  joined: boolean;
  others: number;
}

/**
 * The pair that tells a setting from as many others as there are, its neighbours before the rest; one that joins before
 * one that does not. null when no pair that is known tells it from any.
 */
export function tellTaleOf(map: SwitchMap, setting: SettingId): TellTale | null {
  const order = settingsInOrder(map);
  const here = order.indexOf(setting);
  const settled = order.map((id) => map.settings.get(id)?.settled);
  const mine = settled[here];
  if (!mine) return null;
  let best: (TellTale & { worth: number }) | null = null;
  for (const [at, a] of map.contacts.entries())
    for (const b of map.contacts.slice(at + 1)) {
      const joined = knownAt(mine, a, b);
      if (joined === null) continue;
      let [others, near] = [0, 0];
      settled.forEach((one, index) => {
        if (!one || index === here || knownAt(one, a, b) !== !joined) return;
        others += 1;
        if (Math.abs(index - here) === 1) near += 1;
      });
      // Both neighbours before any number of others; a join of the two that tell the same.
      const worth = near * order.length * 2 + others * 2 + (joined ? 1 : 0);
      if (others > 0 && (!best || worth > best.worth)) best = { a, b, joined, others, worth };
    }
  if (!best) return null;
  const { a, b, joined, others } = best;
  return { a, b, joined, others };
}

/** Whether two terminals join, where that is measured or follows; null else. */
function knownAt(settled: Settled, a: number, b: number): boolean | null {
  const { state, joined } = factAt(settled, a, b);
  return state === 'measured' || state === 'follows' ? joined : null;
}

/** Two settings that read the same in every pair, all of it known: `other` may be `one` come to again. */
export interface SameReading {
  one: SettingId;
  other: SettingId;
}

/** Settings that are wholly known and read as an earlier one does, each with the first such. */
export function readTheSame(map: SwitchMap): SameReading[] {
  const first = new Map<string, SettingId>();
  return settingsInOrder(map).flatMap((id): SameReading[] => {
    const mapped = map.settings.get(id);
    if (!mapped || !isComplete(mapped.coverage)) return [];
    const { nets } = mapped.settled;
    const seen = new Map<number, number>();
    const named = map.contacts.map((place) => {
      const net = nets[place] as number;
      if (!seen.has(net)) seen.set(net, seen.size);
      return seen.get(net);
    });
    const before = first.get(named.join());
    if (before !== undefined) return [{ one: before, other: id }];
    first.set(named.join(), id);
    return [];
  });
}
