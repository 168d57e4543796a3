import type { SwitchMap } from '../continuity/index.js';
import { partitionFromGroups } from '../partition/index.js';
import { bench, mapHidden } from './generated.js';

/**
 * The map of a switch whose positions are written as what they join, read in ohms as the planner asks.
 * @example mapped(3, '1-2', '1-3').complete // => true
 */
export function mapped(terminals: number, ...positions: string[]): SwitchMap {
  const hidden = positions.map((joined) =>
    partitionFromGroups(
      terminals,
      joined
        .split(' ')
        .filter(Boolean)
        .map((net) => net.split('-').map((label) => Number(label) - 1)),
    ),
  );
  return mapHidden(hidden, bench(terminals, positions.length)).map;
}
