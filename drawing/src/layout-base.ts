import type { Layout, Spot, TerminalId } from '@which-way/core/switch';

/** A point in a drawing that is 1000 wide. */
export interface Place {
  x: number;
  y: number;
}

/** What the terminals lie on. */
export type Ground =
  | { kind: 'plate'; x: number; y: number; width: number; height: number }
  | { kind: 'disc'; x: number; y: number; radius: number; label: string | null }
  /** A wire out of a potted body to its end. */
  | { kind: 'pigtail'; x: number; y: number; toX: number; toY: number }
  | { kind: 'hole'; x: number; y: number; label: string }
  | { kind: 'photo'; height: number; mirrored: boolean }
  | { kind: 'tray'; y: number; height: number };

/** All drawings of a switch are this wide. */
export const WIDTH = 1000;

/** Where a layout puts its terminals, seen from the terminal side; for a photo, as it was taken. */
export interface Base {
  height: number;
  places: Map<TerminalId, Place>;
  ground: Ground[];
  centre: ((place: Place) => Place) | null;
  /** x as seen from the other side. */
  flip: (x: number) => number;
  /** Terminals larger than this would stick out of what they lie on. */
  mostRadius: number;
}

export const overall = (x: number): number => WIDTH - x;

/** The places of a layout. Terminals that it does not say a place for are left out. */
export function baseOf(
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
    case 'wires':
      return pigtails(ids);
    case 'list':
      return plain(inOrder(inLines(count)), { y: 8, height: 544 });
    case 'wafers':
      return wafers(layout, ids, spots);
    case 'grid':
      return grid(layout, ids, spots);
    case 'photo':
      return onPhoto(spots, shape);
  }
}

/** In as many lines as fit, a line at a time. */
function inLines(count: number): (index: number) => Place {
  const width = count <= 6 ? count : Math.ceil(Math.sqrt(count * 1.8));
  const lines = Math.ceil(count / width);
  const step = lines === 1 ? 0 : 400 / (lines - 1);
  return (index) => ({
    x: spread(index % width, width),
    y: lines === 1 ? 280 : 80 + step * Math.floor(index / width),
  });
}

/** Where pins were dropped on a photo. @param shape its width over its height. */
function onPhoto(spots: ReadonlyMap<TerminalId, Spot | null>, shape: number): Base {
  const height = Math.round(WIDTH / shape);
  const places = new Map<TerminalId, Place>();
  for (const [id, spot] of spots)
    if (spot?.on === 'photo') places.set(id, { x: spot.x * WIDTH, y: spot.y * height });
  return {
    height,
    places,
    ground: [{ kind: 'photo', height, mirrored: false }],
    centre: () => middleOf([...places.values()]),
    flip: overall,
    mostRadius: 34,
  };
}

function middleOf(places: readonly Place[]): Place {
  const sum = places.reduce((all, { x, y }) => ({ x: all.x + x, y: all.y + y }), { x: 0, y: 0 });
  return { x: sum.x / places.length, y: sum.y / places.length };
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

/** Wire ends in one row or two, below the body that they come out of. */
function pigtails(ids: readonly TerminalId[]): Base {
  const rows = ids.length <= 12 ? 1 : 2;
  const across = Math.ceil(ids.length / rows);
  const placeOf = (index: number): Place => ({
    x: spread(Math.floor(index / rows), across),
    y: rows === 1 ? 400 : 340 + 140 * (index % 2),
  });
  const leads = ids.map((_, index): Ground => {
    const { x, y } = placeOf(index);
    return { kind: 'pigtail', x: 300 + (400 * (x - 100)) / 800, y: 150, toX: x, toY: y };
  });
  return {
    height: 560,
    places: new Map(ids.map((id, index) => [id, placeOf(index)])),
    ground: [...leads, { kind: 'plate', x: 270, y: 20, width: 460, height: 140 }],
    centre: null,
    flip: overall,
    mostRadius: 48,
  };
}

/** How decks are laid side by side: at most three in a line. */
export function deckGrid(decks: number) {
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
export function spread(index: number, count: number, as = count): number {
  if (as <= 1) return 500;
  return 100 + (800 * (index + (as - count) / 2)) / (as - 1);
}
