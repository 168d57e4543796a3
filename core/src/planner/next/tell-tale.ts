import { factAt, isComplete, type Settled, type SwitchMap } from '../../continuity/index.js';
import type { SettingId } from '../../switch/index.js';
import { settingsInOrder } from '../field/field-of-map.js';

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
export const tellTaleOf = (map: SwitchMap, setting: SettingId): TellTale | null =>
  tellTales(map).get(setting) ?? null;

/** The tell-tale pair of every setting; worked out once for the same settings. */
function tellTales(map: SwitchMap): ReadonlyMap<SettingId, TellTale> {
  const known = worked.get(map.settings);
  if (known) return known;
  const order = settingsInOrder(map);
  const settled = order.map((id) => map.settings.get(id)?.settled);
  const best = order.map((): (TellTale & { worth: number }) | null => null);
  for (const [at, a] of map.contacts.entries())
    for (const b of map.contacts.slice(at + 1)) {
      const says = settled.map((one) => (one ? knownAt(one, a, b) : null));
      const joins = says.filter((one) => one === true).length;
      const parts = says.filter((one) => one === false).length;
      says.forEach((joined, here) => {
        const others = joined ? parts : joins;
        if (joined === null || others === 0) return;
        const near = [here - 1, here + 1].filter((next) => says[next] === !joined).length;
        // Both neighbours before any number of others; a join of the two that tell the same.
        const worth = near * order.length * 2 + others * 2 + (joined ? 1 : 0);
        if (worth > (best[here]?.worth ?? 0)) best[here] = { a, b, joined, others, worth };
      });
    }
  const told = new Map(
    order.flatMap((id, at): [SettingId, TellTale][] => {
      const one = best[at];
      return one ? [[id, { a: one.a, b: one.b, joined: one.joined, others: one.others }]] : [];
    }),
  );
  worked.set(map.settings, told);
  return told;
}

const worked = new WeakMap<SwitchMap['settings'], ReadonlyMap<SettingId, TellTale>>();

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
