import {
  spotIn,
  type Layout,
  type PlacedTerminal,
  type Side,
  type Spot,
  type Terminal,
  type TerminalId,
} from '@which-way/core/switch';
import { baseOf, deckGrid, overall, spread, WIDTH, type Ground, type Place } from './layout-base.js';

import { tagGrowth, tagHalf, tagText, type Least } from './legible.js';

export type { Ground, Place } from './layout-base.js';

/** Where everything of a switch is drawn, seen from one side. */
export interface Arrangement {
  height: number;
  places: ReadonlyMap<TerminalId, Place>;
  ground: Ground[];
  /** Lines bend towards this point; null: they bend between rows. */
  centre: ((place: Place) => Place) | null;
  radius: number;
  /** From the middle of one terminal to the middle of the nearest other; Infinity where there is one alone. */
  apart: number;
  /** Terminals without a place of their own in this layout, lying in the tray. */
  unplaced: TerminalId[];
}

export interface ArrangedSwitch {
  terminals: readonly Terminal[];
  layout: Layout;
  placed: readonly PlacedTerminal[];
}

const TRAY = 130;

/**
 * Places of all terminals, seen from a side. From the terminal side plain layouts run in reading order and clocks
 * clockwise; from the front all is mirrored left to right.
 * @param shape width / height of the photo, for a layout on a photo.
 */
export function arrange(
  { terminals, layout, placed }: ArrangedSwitch,
  side: Side,
  shape = 4 / 3,
): Arrangement {
  const lugs = terminals.filter(({ role }) => role !== 'frame').map(({ id }) => id);
  const frames = terminals.filter(({ role }) => role === 'frame').map(({ id }) => id);
  const spots = new Map(lugs.map((id) => [id, spotIn(layout, placed, id)]));
  const base = baseOf(layout, lugs, spots, shape);
  const seen = layout.kind === 'photo' ? layout.side : 'terminal';
  const mirror = seen !== side;
  const flip = ({ x, y }: Place): Place => ({ x: mirror ? base.flip(x) : x, y });
  const places = new Map([...base.places].map(([id, place]) => [id, flip(place)]));
  const unplaced = lugs.filter((id) => !places.has(id));
  const ground = base.ground.map((one) => flipGround(one, mirror, base.flip));
  let { height } = base;
  if (unplaced.length > 0) {
    ground.push({ kind: 'tray', y: height, height: TRAY });
    unplaced.forEach((id, index) =>
      places.set(id, { x: spread(index, unplaced.length), y: height + TRAY / 2 }),
    );
    height += TRAY;
  }
  const apart = nearestApart([...places.values()]);
  const radius = Math.min(base.mostRadius, radiusFor(apart));
  frames.forEach((id, index) => places.set(id, { x: WIDTH - 95 - index * 190, y: height + 46 }));
  if (frames.length > 0) height += 96;
  const centre = base.centre;
  return {
    height,
    places,
    ground,
    centre: centre && ((place) => flip(centre(flip(place)))),
    radius,
    apart,
    unplaced,
  };
}

function flipGround(ground: Ground, mirror: boolean, flip: (x: number) => number): Ground {
  if (ground.kind === 'photo') return { ...ground, mirrored: mirror };
  if (!mirror || ground.kind === 'tray') return ground;
  if (ground.kind === 'pigtail') return { ...ground, x: flip(ground.x), toX: flip(ground.toX) };
  if (ground.kind === 'plate') return { ...ground, x: WIDTH - ground.x - ground.width };
  return { ...ground, x: flip(ground.x) };
}

/** A tag of ordinary length, number and colour: how far one stands off is the same for all. */
const PLAIN_TAG = { tag: '2', color: 'RD' };
/** So much is left between a terminal and its tag. */
const TAG_GAP = 6;

/**
 * Where the tags of a terminal's wires stand: towards the middle of what it lies on, one below the other, the first as near as it comes
 * without lying on the terminal.
 */
export function tagPlace(
  { centre, height, radius }: Arrangement,
  place: Place,
  index: number,
  least: Least = 0,
): Place {
  const grown = tagGrowth(least);
  const middle = centre ? centre(place) : { x: place.x, y: height / 2 };
  const far = Math.hypot(middle.x - place.x, middle.y - place.y);
  const towards = far < 1 ? { x: 0, y: 1 } : { x: (middle.x - place.x) / far, y: (middle.y - place.y) / far };
  const down = towards.y < -0.4 ? -1 : 1;
  const { width, height: high } = tagHalf(tagText(PLAIN_TAG.tag, PLAIN_TAG.color, grown));
  const clear = (off: number) =>
    Math.hypot(
      Math.max(0, Math.abs(towards.x) * off - width * grown),
      Math.max(0, Math.abs(towards.y) * off - high * grown),
    ) >=
    radius + TAG_GAP;
  let off = radius;
  while (!clear(off)) off += 2;
  return {
    x: place.x + towards.x * off,
    y: place.y + towards.y * off + down * index * 38 * grown,
  };
}

/** How far apart the two nearest are. */
function nearestApart(places: readonly Place[]): number {
  let nearest = Infinity;
  places.forEach((one, index) => {
    for (const other of places.slice(index + 1)) {
      nearest = Math.min(nearest, Math.hypot(one.x - other.x, one.y - other.y));
    }
  });
  return nearest;
}

/** How big terminals can be drawn without touching each other. */
const radiusFor = (apart: number): number => Math.max(13, Math.min(62, apart * 0.4));

/** A line from one terminal to another that keeps clear of those between them: it bends towards the middle. */
export function linkPath(from: Place, to: Place, { centre, height }: Arrangement, lane = 0): string {
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const span = Math.hypot(to.x - from.x, to.y - from.y);
  if (centre) {
    const pull = 0.55 + lane * 0.05;
    const towards = centre(middle);
    const x = middle.x + (towards.x - middle.x) * pull;
    const y = middle.y + (towards.y - middle.y) * pull;
    return `M${from.x} ${from.y}Q${x} ${y} ${to.x} ${to.y}`;
  }
  const level = Math.abs(from.y - to.y) < 1;
  const side = level ? (from.y <= height / 2 ? 1 : -1) : 0;
  // However long a line is, those beside each other stay apart; a curve goes half as far out as its middle point.
  const apart = Math.min(lane, 6) * 26;
  const bend = level ? side * (Math.min(120, 50 + span * 0.2) + apart) : 0;
  const shift = level ? 0 : apart;
  return `M${from.x} ${from.y}Q${middle.x + shift} ${middle.y + bend} ${to.x} ${to.y}`;
}

/** The clock place or grid cell nearest to a point, for putting a terminal there; null where there is none. */
export function spotNear(layout: Layout, side: Side, { x, y }: Place, height: number): Spot | null {
  if (layout.kind === 'photo') {
    const seen = layout.side === side ? x : WIDTH - x;
    const clamp = (value: number) => Math.min(1, Math.max(0, value));
    return { on: 'photo', photo: layout.photo, x: clamp(seen / WIDTH), y: clamp(y / height) };
  }
  if (layout.kind !== 'wafers' && layout.kind !== 'grid') return null;
  const candidates = spotsOf(layout);
  const base = layout.kind === 'wafers' ? deckGrid(layout.decks).flip : overall;
  const at = (spot: Spot): Place => {
    const [place] = [
      ...baseOf(layout, ['x' as TerminalId], new Map([['x' as TerminalId, spot]]), 1).places.values(),
    ];
    const found = place ?? { x: Infinity, y: Infinity };
    return side === 'terminal' ? found : { x: base(found.x), y: found.y };
  };
  const near = candidates
    .map((spot) => ({ spot, far: Math.hypot(at(spot).x - x, at(spot).y - y) }))
    .reduce((best, one) => (one.far < best.far ? one : best));
  return near.far < 90 ? near.spot : null;
}

/** Every place that a layout with places of its own has. */
export function spotsOf(layout: Extract<Layout, { kind: 'wafers' | 'grid' }>): Spot[] {
  if (layout.kind === 'grid')
    return Array.from({ length: layout.rows * layout.columns }, (_, index) => ({
      on: 'grid',
      row: Math.floor(index / layout.columns),
      column: index % layout.columns,
    }));
  return Array.from({ length: layout.decks * layout.places }, (_, index) => ({
    on: 'wafers' as const,
    deck: Math.floor(index / layout.places),
    clock: index % layout.places,
  })).flatMap((spot): Spot[] => [
    { ...spot, face: 'front' },
    { ...spot, face: 'rear' },
  ]);
}
