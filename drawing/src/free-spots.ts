import type { PlacedTerminal, Spot, Structure, Terminal } from '@which-way/core/switch';
import { spotsOf } from './arrangement.js';

/** Terminals that have no place in a layout with places of its own. */
export function unplacedOf({ terminals, layout, placed }: Structure): Terminal[] {
  if (layout.kind !== 'wafers' && layout.kind !== 'grid' && layout.kind !== 'photo') return [];
  return terminals.filter(
    ({ id, role }) =>
      role !== 'frame' &&
      !placed.some(
        ({ terminal, spot }) =>
          terminal === id &&
          spot.on === layout.kind &&
          (spot.on !== 'photo' || (layout.kind === 'photo' && spot.photo === layout.photo)),
      ),
  );
}

/** Places that nothing lies on, in order; of a wafer only the front face. */
export function freeSpots({ layout, placed }: Structure): Spot[] {
  if (layout.kind !== 'wafers' && layout.kind !== 'grid') return [];
  const key = (spot: PlacedTerminal['spot']) =>
    spot.on === 'wafers'
      ? `${spot.deck} ${spot.clock}`
      : spot.on === 'grid'
        ? `${spot.row} ${spot.column}`
        : '';
  const taken = new Set(placed.filter(({ spot }) => spot.on === layout.kind).map(({ spot }) => key(spot)));
  return spotsOf(layout).filter(
    (spot) => !taken.has(key(spot)) && (spot.on !== 'wafers' || spot.face === 'front'),
  );
}
