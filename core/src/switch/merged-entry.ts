import type { KnownSwitch } from './known-switch.js';
import type { PartFacts } from './part-facts.js';

const plain = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

/** Maker and number as they are compared: signs and capitals do not count. null where either is not stated. */
export function sameMakersNumber({ maker, facts }: Pick<KnownSwitch, 'maker' | 'facts'>): string | null {
  const [by, number] = [plain(maker ?? ''), plain(facts?.number ?? '')];
  return by && number ? `${by} ${number}` : null;
}

/** Two entries of the same maker and number put together, and the facts in which the newer one differed and counts. */
export type MergedEntry =
  { kind: 'merged'; entry: KnownSwitch; changed: (keyof PartFacts)[] } | { kind: 'other-wiring' };

/**
 * The older entry, with what the newer one states besides or otherwise. Two that are wired otherwise are not one part, whatever
 * their number says: nothing is put together then.
 */
export function mergedEntry(old: KnownSwitch, fresh: KnownSwitch): MergedEntry {
  const wiring = ({ terminals, positions }: KnownSwitch) =>
    JSON.stringify([
      terminals,
      positions.map(({ rests, joined }) => [rests, joined.map((net) => net.toSorted().join()).toSorted()]),
    ]);
  if (wiring(old) !== wiring(fresh)) return { kind: 'other-wiring' };
  const facts: PartFacts = { ...old.facts, ...fresh.facts };
  const changed = (Object.keys(fresh.facts ?? {}) as (keyof PartFacts)[]).filter((fact) => {
    const before = old.facts?.[fact];
    return before !== undefined && JSON.stringify(before) !== JSON.stringify(fresh.facts?.[fact]);
  });
  const { note } = fresh;
  return { kind: 'merged', entry: { ...old, note: note ?? old.note, facts }, changed };
}
