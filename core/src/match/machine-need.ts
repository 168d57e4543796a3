import type { Box, Matters, NoMatters } from '../machine/index.js';
import type { Requirement } from './match.js';
import { PairBits } from './pair-bits.js';
import type { MapRequirement } from './requirement.js';

/** Ways to do what the machine needs that are looked for at once; more are said to be capped. */
const MOST_WAYS = 12;

/** What the machine needs, as requirements: each is enough. */
export interface MachineNeed {
  found: MapRequirement;
  /** Others that do as well, over the same terminals and settings. */
  also: Requirement[];
  capped: boolean;
}

/** What the machine needs of a replacement: the joins that matter to it, in every way that was found. */
export function requirementByMachine(matters: Matters | NoMatters | 'no-machine' | 'working'): MachineNeed {
  if (typeof matters === 'string')
    return { found: { kind: 'none', because: matters }, also: [], capped: false };
  const { terminals, settings, capped } = matters;
  let ways: Box[][] = [[]];
  let more = false;
  for (const { boxes } of settings) {
    const longer = ways.flatMap((way) => boxes.map((box) => [...way, box]));
    more ||= longer.length > MOST_WAYS;
    ways = longer.slice(0, MOST_WAYS);
  }
  const requirements = ways.map((way): Requirement => ({
    pattern: way.map(({ nets }) => [...nets]),
    terminals,
    known: null,
    free: freeBits(way, terminals),
  }));
  const [first, ...also] = requirements;
  const joins = first?.pattern.some((nets) => nets.some((root, place) => root !== place));
  if (!first || !joins) return { found: { kind: 'none', because: 'nothing-joins' }, also: [], capped: false };
  const ids = settings.map(({ setting }) => setting);
  return {
    found: { kind: 'requirement', requirement: first, settings: ids, unsettledPairs: 0 },
    also,
    capped: capped || more,
  };
}

/** Per pair of terminals the positions in which its joining does not matter. */
function freeBits(way: readonly Box[], terminals: readonly number[]): Uint32Array {
  const bits = new PairBits(terminals.length, way.length);
  way.forEach(({ free }, position) => {
    for (const pair of free) {
      const [a, b] = pair.map((place) => terminals.indexOf(place)) as [number, number];
      bits.add(a, b, position);
    }
  });
  return bits.bits;
}
