import { blocks, discrete, join, type Partition, type Pattern } from '../../partition/index.js';
import type { CompiledPart, Pole } from './part.js';

/** A piece of a pole as it is in some positions alone: it joins something there. Pieces of one shape are alike, terminal for terminal. */
export interface Shape {
  id: number;
  /** By position: for each of its terminals the first of its net. */
  pattern: Pattern;
  /** By terminal: the first that is always in one net with it. */
  twin: number[];
}

/** A pole in some positions alone. */
interface PoleCut {
  /** Its pieces, each with its terminals: places in the order of the pole. */
  pieces: { shape: Shape; places: number[] }[];
  /** Places that join nothing in these positions. */
  dead: number[];
}

/** A part in some positions alone, in a given order: what it is made of there. Equal keys: one does what the other does. */
export interface Cut {
  key: string;
  /** Shapes, each with how many there are, in order of their ids. */
  shapes: { shape: Shape; count: number }[];
  dead: number;
}

/** Cuts of a pole by the positions that were taken: one more position is one step further. */
interface Taken {
  cut: PoleCut | null;
  more: Map<number, Taken>;
}

/** What is kept of poles and shapes at most: more begin anew. */
const MOST_SHAPES = 50_000;
const MOST_TAKEN = 200_000;

/**
 * Cuts parts to some of their positions: so a wafer of eleven ways is, in two of them, a changeover and nine dead lugs. Whatever
 * was worked out for a cut holds for all parts and positions with the same one. Shapes of one kind may go unseen, which costs time only.
 */
export class Cutter {
  readonly #shapes = new Map<string, Shape>();
  readonly #poles = new Map<string, Taken>();
  #taken = 0;

  /**
   * @param rows positions of the part, in the order in which they count
   * @param most of each shape, and of dead terminals, more are as good as so many
   */
  cut(part: CompiledPart, rows: readonly number[], most: number): Cut {
    const counts = new Map<Shape, number>();
    let dead = 0;
    let [before, cut]: [string | null, PoleCut] = [null, { pieces: [], dead: [] }];
    for (const pole of part.poles) {
      // They stand in order of their makings.
      if (pole.making !== before) cut = this.#poleCut(part, pole, rows);
      before = pole.making;
      dead += cut.dead.length;
      for (const { shape } of cut.pieces) counts.set(shape, (counts.get(shape) ?? 0) + 1);
    }
    const shapes = [...counts]
      .map(([shape, count]) => ({ shape, count: Math.min(count, most) }))
      .sort((one, other) => one.shape.id - other.shape.id);
    dead = Math.min(dead, most);
    let key = `${dead}`;
    for (const { shape, count } of shapes) key += ` ${shape.id}x${count}`;
    return { key, shapes, dead };
  }

  /** The terminals of a part that stand for those of its cut: piece by piece, then the dead ones. */
  terminals(part: CompiledPart, rows: readonly number[], { shapes, dead }: Cut): number[] {
    const of = new Map<Shape, number[][]>(shapes.map(({ shape }) => [shape, []]));
    const unused: number[] = [];
    for (const pole of part.poles) {
      const cut = this.#poleCut(part, pole, rows);
      unused.push(...cut.dead.map((place) => pole.order[place] as number));
      for (const { shape, places } of cut.pieces)
        of.get(shape)?.push(places.map((place) => pole.order[place] as number));
    }
    return [
      ...shapes.flatMap(({ shape, count }) => (of.get(shape) ?? []).slice(0, count).flat()),
      ...unused.slice(0, dead),
    ];
  }

  #poleCut(part: CompiledPart, pole: Pole, rows: readonly number[]): PoleCut {
    let taken = this.#poles.get(pole.making) ?? this.#begun(this.#poles, pole.making);
    for (const row of rows) taken = taken.more.get(row) ?? this.#begun(taken.more, row);
    return (taken.cut ??= this.#made(part, pole, rows));
  }

  #begun<Key>(among: Map<Key, Taken>, key: Key): Taken {
    const begun: Taken = { cut: null, more: new Map() };
    among.set(key, begun);
    this.#taken += 1;
    return begun;
  }

  #made(part: CompiledPart, { order }: Pole, rows: readonly number[]): PoleCut {
    if (this.#taken > MOST_TAKEN) this.#forget();
    const nets = rows.map((row) => netsOf(part.pattern[row] as Partition, order));
    const cut: PoleCut = { pieces: [], dead: [] };
    for (const places of blocks(nets.reduce(join, discrete(order.length)))) {
      if (places.length === 1) cut.dead.push(places[0] as number);
      else cut.pieces.push(this.#piece(nets, places));
    }
    return cut;
  }

  #piece(nets: Pattern, members: readonly number[]): PoleCut['pieces'][number] {
    const places = inOrder(nets, members);
    const pattern = nets.map((row) => netsOf(row, places));
    const making = pattern.map((row) => row.join()).join(';');
    let shape = this.#shapes.get(making);
    if (!shape) {
      const columns = places.map((_, at) => pattern.map((row) => row[at]).join());
      const twin = columns.map((column) => columns.indexOf(column));
      this.#shapes.set(making, (shape = { id: this.#shapes.size, pattern, twin }));
    }
    return { shape, places };
  }

  /** Whether so much is kept that it is better to begin anew; what was worked out by keys of this one counts no more then. */
  get isFull(): boolean {
    return this.#shapes.size > MOST_SHAPES;
  }

  #forget(): void {
    this.#taken = 0;
    this.#poles.clear();
  }
}

/** The nets of a row over some terminals: for each the first of its net among them. */
function netsOf(row: readonly number[], members: readonly number[]): number[] {
  const first = new Map<number, number>();
  return members.map((terminal, at) => {
    const net = row[terminal] as number;
    const known = first.get(net);
    if (known !== undefined) return known;
    first.set(net, at);
    return at;
  });
}

/** Members in an order that their nets give: by how many lie in each of their nets, then by who lies there. */
function inOrder(nets: Pattern, members: readonly number[]): number[] {
  if (members.length === 2) return [...members];
  let names = new Map<number, string>(members.map((one) => [one, '']));
  for (let round = 0; round < 2; round += 1) {
    const next = new Map<number, string>();
    for (const one of members) {
      let name = '';
      for (const row of nets) {
        const near: string[] = [];
        for (const other of members) if (row[other] === row[one]) near.push(names.get(other) ?? '');
        name += `${near.length}${round > 0 && near.length > 1 ? `(${near.sort().join('|')})` : ''},`;
      }
      next.set(one, name);
    }
    names = next;
  }
  const name = (one: number) => names.get(one) ?? '';
  return members.toSorted((one, other) =>
    name(one) < name(other) ? -1 : name(one) > name(other) ? 1 : one - other,
  );
}
