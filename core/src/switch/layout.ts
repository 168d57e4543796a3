import type { PhotoId, TerminalId } from './id.js';

/** Layouts in which the order of the terminals says where each lies. `wires`: pigtails and potted switches. */
export const PLAIN_LAYOUTS = ['two-rows', 'one-row', 'circle', 'list', 'wires'] as const;
export type PlainLayout = (typeof PLAIN_LAYOUTS)[number];

/** Where a photo was taken from, or a drawing is seen from. */
export const SIDES = ['terminal', 'front'] as const;
export type Side = (typeof SIDES)[number];

/** How the terminals lie on the part. */
export type Layout =
  | { kind: PlainLayout }
  /** Wafers on one shaft: so many decks, so many clock places around each. */
  | { kind: 'wafers'; decks: number; places: number }
  /** A connector. */
  | { kind: 'grid'; rows: number; columns: number }
  /** Pins dropped on a photo. */
  | { kind: 'photo'; photo: PhotoId; side: Side };

export const FACES = ['front', 'rear'] as const;

/** Where one terminal lies, where its layout has places of its own. */
export type Spot =
  /** `deck` and `clock` count from 0; clock 0 is at the top, and they count clockwise from the terminal side. */
  | { on: 'wafers'; deck: number; face: (typeof FACES)[number]; clock: number }
  | { on: 'grid'; row: number; column: number }
  /** Fractions of the photo's width and height, from its top left corner. */
  | { on: 'photo'; photo: PhotoId; x: number; y: number };

export interface PlacedTerminal {
  terminal: TerminalId;
  spot: Spot;
}

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
