import {
  spotIn,
  type Layout,
  type PlacedTerminal,
  type Side,
  type Spot,
  type Terminal,
  type TerminalId,
} from '@which-way/core/switch';

/** A point in a drawing that is 1000 wide. */
export interface Place {
  x: number;
  y: number;
}

/** What the terminals lie on. */
export type Ground =
  | { kind: 'plate'; x: number; y: number; width: number; height: number }
  | { kind: 'disc'; x: number; y: number; radius: number; label: string | null }
  | { kind: 'hole'; x: number; y: number; label: string }
  | { kind: 'photo'; height: number; mirrored: boolean }
  | { kind: 'tray'; y: number; height: number };

/** Where everything of a switch is drawn, seen from one side. */
export interface Arrangement {
  height: number;
  places: ReadonlyMap<TerminalId, Place>;
  ground: Ground[];
  /** Lines bend towards this point; null: they bend between rows. */
  centre: ((place: Place) => Place) | null;
  radius: number;
  /** Terminals without a place of their own in this layout, lying in the tray. */
  unplaced: TerminalId[];
}

export interface ArrangedSwitch {
  terminals: readonly Terminal[];
  layout: Layout;
  placed: readonly PlacedTerminal[];
}

const WIDTH = 1000;
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
  const radius = Math.min(base.mostRadius, terminalRadius([...places.values()]));
  frames.forEach((id, index) => places.set(id, { x: WIDTH - 70 - index * 120, y: height + 46 }));
  if (frames.length > 0) height += 96;
  const centre = base.centre;
  return {
    height,
    places,
    ground,
    centre: centre && ((place) => flip(centre(flip(place)))),
    radius,
    unplaced,
  };
}

interface Base {
  height: number;
  places: Map<TerminalId, Place>;
  ground: Ground[];
  centre: ((place: Place) => Place) | null;
  /** x as seen from the other side. */
  flip: (x: number) => number;
  /** Terminals larger than this would stick out of what they lie on. */
  mostRadius: number;
}

const overall = (x: number): number => WIDTH - x;

function baseOf(
  layout: Layout,
  ids: readonly TerminalId[],
  spots: ReadonlyMap<TerminalId, Spot | null>,
  shape: number,
): Base {
  const inOrder = (placeOf: (index: number) => Place) =>
    new Map(ids.map((id, index) => [id, placeOf(index)]));
  const count = ids.length;
  switch (layout.kind) {
    case 'circle':
      return {
        height: 700,
        places: inOrder((index) => onClock(index, count, { x: 500, y: 350 }, 276)),
        ground: [{ kind: 'disc', x: 500, y: 350, radius: 344, label: null }],
        centre: () => ({ x: 500, y: 350 }),
        flip: overall,
        mostRadius: 62,
      };
    case 'one-row':
      return plain(
        inOrder((index) => ({ x: spread(index, count), y: 280 })),
        { y: 150, height: 260 },
      );
    case 'two-rows': {
      const top = Math.ceil(count / 2);
      return plain(
        inOrder((index) =>
          index < top
            ? { x: spread(index, top), y: 130 }
            : { x: spread(index - top, count - top, top), y: 430 },
        ),
        { y: 8, height: 544 },
      );
    }
    case 'list':
    case 'wires': {
      const width = count <= 6 ? count : Math.ceil(Math.sqrt(count * 1.8));
      const lines = Math.ceil(count / width);
      const step = lines === 1 ? 0 : 400 / (lines - 1);
      return plain(
        inOrder((index) => ({
          x: spread(index % width, width),
          y: lines === 1 ? 280 : 80 + step * Math.floor(index / width),
        })),
        { y: 8, height: 544 },
      );
    }
    case 'wafers':
      return wafers(layout, ids, spots);
    case 'grid':
      return grid(layout, ids, spots);
    case 'photo': {
      const height = Math.round(WIDTH / shape);
      const places = new Map<TerminalId, Place>();
      for (const [id, spot] of spots)
        if (spot?.on === 'photo') places.set(id, { x: spot.x * WIDTH, y: spot.y * height });
      return {
        height,
        places,
        ground: [{ kind: 'photo', height, mirrored: false }],
        centre: null,
        flip: overall,
        mostRadius: 34,
      };
    }
  }
}

function plain(places: Map<TerminalId, Place>, plate: { y: number; height: number }): Base {
  return {
    height: 560,
    places,
    ground: [{ kind: 'plate', x: 16, width: WIDTH - 32, ...plate }],
    centre: null,
    flip: overall,
    mostRadius: 62,
  };
}

/** How decks are laid side by side: at most three in a line. */
function deckGrid(decks: number) {
  const across = Math.min(decks, decks === 4 ? 2 : 3);
  const cell = WIDTH / across;
  const radius = Math.min(344, cell / 2 - 16);
  const line = radius * 2 + 62;
  return {
    radius,
    height: Math.ceil(decks / across) * line,
    middle: (deck: number): Place => ({
      x: cell * (deck % across) + cell / 2,
      y: Math.floor(deck / across) * line + radius + 50,
    }),
    /** Each deck is mirrored where it lies; their order along the shaft is the same from both sides. */
    flip: (x: number) => (2 * Math.min(across - 1, Math.floor(x / cell)) + 1) * cell - x,
  };
}

function wafers(
  { decks, places: around }: Extract<Layout, { kind: 'wafers' }>,
  ids: readonly TerminalId[],
  spots: ReadonlyMap<TerminalId, Spot | null>,
): Base {
  const { radius, height, middle, flip } = deckGrid(decks);
  const places = new Map<TerminalId, Place>();
  for (const id of ids) {
    const spot = spots.get(id);
    if (spot?.on !== 'wafers' || spot.deck >= decks || spot.clock >= around) continue;
    places.set(
      id,
      onClock(spot.clock, around, middle(spot.deck), radius * (spot.face === 'front' ? 0.8 : 0.5)),
    );
  }
  const taken = new Set(
    ids.flatMap((id) => {
      const spot = spots.get(id);
      return spot?.on === 'wafers' ? [`${spot.deck} ${spot.clock}`] : [];
    }),
  );
  const ground = Array.from({ length: decks }, (_, deck): Ground[] => [
    {
      kind: 'disc',
      ...middle(deck),
      radius,
      label: decks > 1 ? `Deck ${deck + 1}${deck === 0 ? ', nearest the handle' : ''}` : null,
    },
    ...Array.from({ length: around }, (_unused, clock) => clock)
      .filter((clock) => !taken.has(`${deck} ${clock}`))
      .map((clock): Ground => ({
        kind: 'hole',
        ...onClock(clock, around, middle(deck), radius * 0.8),
        label: String(clock + 1),
      })),
  ]).flat();
  const centre = (place: Place) =>
    Array.from({ length: decks }, (_, deck) => middle(deck)).reduce((near, one) =>
      Math.hypot(one.x - place.x, one.y - place.y) < Math.hypot(near.x - place.x, near.y - place.y)
        ? one
        : near,
    );
  return { height, places, ground, centre, flip, mostRadius: radius * 0.19 };
}

function grid(
  { rows, columns }: Extract<Layout, { kind: 'grid' }>,
  ids: readonly TerminalId[],
  spots: ReadonlyMap<TerminalId, Spot | null>,
): Base {
  const step = Math.min(160, 880 / Math.max(columns, 1));
  const left = 500 - (step * (columns - 1)) / 2;
  const height = Math.max(300, step * rows + 60);
  const top = height / 2 - (step * (rows - 1)) / 2;
  const at = (row: number, column: number): Place => ({ x: left + column * step, y: top + row * step });
  const places = new Map<TerminalId, Place>();
  const taken = new Set<string>();
  for (const id of ids) {
    const spot = spots.get(id);
    if (spot?.on !== 'grid' || spot.row >= rows || spot.column >= columns) continue;
    places.set(id, at(spot.row, spot.column));
    taken.add(`${spot.row} ${spot.column}`);
  }
  const holes = Array.from(
    { length: rows * columns },
    (_, index) => [Math.floor(index / columns), index % columns] as const,
  )
    .filter(([row, column]) => !taken.has(`${row} ${column}`))
    .map(([row, column]): Ground => ({ kind: 'hole', ...at(row, column), label: '' }));
  const width = step * columns + 40;
  const plate: Ground = { kind: 'plate', x: 500 - width / 2, y: 8, width, height: height - 16 };
  return { height, places, ground: [plate, ...holes], centre: null, flip: overall, mostRadius: step * 0.3 };
}

function onClock(index: number, count: number, middle: Place, radius: number): Place {
  const angle = (index / count) * 2 * Math.PI - Math.PI / 2;
  return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) };
}

/** Even places in a line; `as` spaces fewer than the line could hold like a full one. */
function spread(index: number, count: number, as = count): number {
  if (as <= 1) return 500;
  return 100 + (800 * (index + (as - count) / 2)) / (as - 1);
}

function flipGround(ground: Ground, mirror: boolean, flip: (x: number) => number): Ground {
  if (ground.kind === 'photo') return { ...ground, mirrored: mirror };
  if (!mirror || ground.kind === 'tray') return ground;
  if (ground.kind === 'plate') return { ...ground, x: WIDTH - ground.x - ground.width };
  return { ...ground, x: flip(ground.x) };
}

/** Where the tags of a terminal's wires stand: towards the middle of what it lies on, one below the other. */
export function tagPlace({ centre, height, radius }: Arrangement, place: Place, index: number): Place {
  const middle = centre ? centre(place) : { x: place.x, y: height / 2 };
  const far = Math.hypot(middle.x - place.x, middle.y - place.y);
  const towards = far < 1 ? { x: 0, y: 1 } : { x: (middle.x - place.x) / far, y: (middle.y - place.y) / far };
  const down = towards.y < -0.4 ? -1 : 1;
  return {
    x: place.x + towards.x * (radius + 50),
    y: place.y + towards.y * (radius + 26) + down * index * 38,
  };
}

/** How big terminals can be drawn without touching each other. */
export function terminalRadius(places: readonly Place[]): number {
  let nearest = Infinity;
  places.forEach((one, index) => {
    for (const other of places.slice(index + 1)) {
      nearest = Math.min(nearest, Math.hypot(one.x - other.x, one.y - other.y));
    }
  });
  return Math.max(13, Math.min(62, nearest * 0.4));
}

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
  const bend = level ? side * Math.min(150, 50 + span * 0.2 + lane * 16) : 0;
  const shift = level ? 0 : lane * 10;
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
