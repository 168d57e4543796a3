import type { KnownSwitch } from '../switch/index.js';
import { partitionFromGroups } from './partition.js';
import type { Pattern } from './pattern.js';

/** The pattern of a known switch, one partition per position; labels it does not list are passed over. */
export function patternOfKnown({
  terminals,
  positions,
}: Pick<KnownSwitch, 'terminals' | 'positions'>): Pattern {
  const place = new Map(terminals.map((label, index) => [label, index]));
  return positions.map(({ joined }) =>
    partitionFromGroups(
      terminals.length,
      joined.map((group) => group.flatMap((label) => place.get(label) ?? [])),
    ),
  );
}
