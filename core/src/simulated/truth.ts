import { partitionOf, type Pattern } from '../partition/index.js';
import type { SimulatedSwitch } from './simulated-switch.js';

/** The nets that the contacts of a simulated switch make in each position, faults and all; parts are no contacts. */
export function truthOf({ terminals, positions, contacts }: SimulatedSwitch): Pattern {
  return positions.map((_, position) =>
    partitionOf(
      terminals,
      contacts
        .filter(
          ({ closedIn, fault }) =>
            fault?.kind === 'welded' || (fault?.kind !== 'broken' && closedIn.includes(position)),
        )
        .map(({ a, b }) => [a, b] as const),
    ),
  );
}
