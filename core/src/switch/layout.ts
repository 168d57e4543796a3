import { count, fraction, id, object, oneOf, says, tagged, type TypeOf } from '../schema/index.js';
import type { PhotoId, TerminalId } from './id.js';

/** Layouts in which the order of the terminals says where each lies. `wires`: pigtails and potted switches. */
export const PLAIN_LAYOUTS = ['two-rows', 'one-row', 'circle', 'list', 'wires'] as const;
export type PlainLayout = (typeof PLAIN_LAYOUTS)[number];

/** Where a photo was taken from, or a drawing is seen from. */
export const SIDES = ['terminal', 'front'] as const;
export type Side = (typeof SIDES)[number];

const plain: Record<PlainLayout, Record<never, never>> = {
  'two-rows': {},
  'one-row': {},
  circle: {},
  list: {},
  wires: {},
};

export const layoutSchema = tagged('kind', {
  ...plain,
  /** Wafers on one shaft: so many decks, so many clock places around each. */
  wafers: { decks: count(1, 12), places: count(2, 48) },
  /** A connector. */
  grid: { rows: count(1, 24), columns: count(1, 48) },
  /** Pins dropped on a photo. */
  photo: { photo: id<PhotoId>(), side: oneOf(SIDES) },
});
/** How the terminals lie on the part. */
export type Layout = TypeOf<typeof layoutSchema>;

const FACES = ['front', 'rear'] as const;

export const spotSchema = tagged('on', {
  wafers: {
    deck: says('Counts from 0.', count(0, 11)),
    face: oneOf(FACES),
    clock: says('Counts from 0 at the top, clockwise from the terminal side.', count(0, 47)),
  },
  grid: { row: count(0, 23), column: count(0, 47) },
  photo: {
    photo: id<PhotoId>(),
    x: says("Fraction of the photo's width, from its left edge.", fraction),
    y: says("Fraction of the photo's height, from its top edge.", fraction),
  },
});
/** Where one terminal lies, where its layout has places of its own. */
export type Spot = TypeOf<typeof spotSchema>;

export const placedTerminalSchema = object({ terminal: id<TerminalId>(), spot: spotSchema });
export type PlacedTerminal = TypeOf<typeof placedTerminalSchema>;

const spotKey = ({ terminal, spot }: PlacedTerminal): string => `${terminal} ${spot.on}`;

/** Puts terminals on spots: a newer spot of the same kind takes the older one's place; other kinds stay remembered. */
export function placeTerminals(
  placed: readonly PlacedTerminal[],
  more: readonly PlacedTerminal[],
): PlacedTerminal[] {
  const fresh = new Set(more.map(spotKey));
  return [...placed.filter((one) => !fresh.has(spotKey(one))), ...more];
}

/** The spot of a terminal in this layout; null where it has none there. */
export function spotIn(layout: Layout, placed: readonly PlacedTerminal[], terminal: TerminalId): Spot | null {
  const found = placed.find((one) => one.terminal === terminal && one.spot.on === layout.kind)?.spot ?? null;
  return found?.on === 'photo' && layout.kind === 'photo' && found.photo !== layout.photo ? null : found;
}
