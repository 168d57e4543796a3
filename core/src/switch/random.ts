/**
 * A small seeded generator of numbers in [0, 1): mulberry32 (public domain, from memory).
 * Used where a run has to be repeatable: simulations, generated switches, benchmarks.
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A shuffled copy (Fisher and Yates). */
export function shuffled<Item>(items: readonly Item[], random: () => number): Item[] {
  const copy = items.slice();
  for (let last = copy.length - 1; last > 0; last -= 1) {
    const pick = Math.floor(random() * (last + 1));
    [copy[last], copy[pick]] = [copy[pick] as Item, copy[last] as Item];
  }
  return copy;
}
