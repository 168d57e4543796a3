import type { CompiledDemand } from './wires.js';
import type { CompiledPart } from './part.js';

/** How the positions of a demand lie on those of a part; those of a beginning, the first ones. */
export interface PositionMap {
  /** By position of the demand: the position of the part. */
  positions: number[];
  reversed: boolean;
  /** Positions of the part that lie between and are not used. */
  between: number[];
}

/** Which maps may be tried. */
export interface MapRules {
  /** Positions of the part may lie unused between those that are used. */
  gaps: boolean;
  reversed: boolean;
  /** The knob turns past its last position back to its first: a run may go over the end. */
  wraps: boolean;
}

/** What is done after a map was looked at: its longer ones too, none of those, or nothing any more. */
export type Onward = 'on' | 'prune' | 'stop';

/**
 * Shows the maps that keep or reverse the order, those without gaps first, the same order before the reversed one. A map is passed
 * over as soon as two of its positions cannot do together what is demanded (by rank: joining adds no more than it can). Where many
 * maps begin alike, the beginning is shown before them.
 */
export function walkMaps(
  demand: CompiledDemand,
  part: CompiledPart,
  { gaps, reversed, wraps }: MapRules,
  show: (map: PositionMap, isWhole: boolean) => Onward,
): void {
  const wanted = demand.positions;
  const given = part.positions;
  if (wanted > given) return;
  const directions = reversed && wanted > 1 ? [false, true] : [false];
  for (const most of gaps && given > wanted ? [0, given - wanted] : [0])
    for (const back of directions)
      for (let start = 0; start < given; start += 1)
        if (new Walk(demand, part, { start, back, most, wraps }, show).run() === 'stop') return;
}

/** Maps that begin at one position. */
class Walk {
  /** Places of the part that are used, and those that were passed over. */
  readonly #places: number[] = [];
  readonly #between: number[] = [];

  constructor(
    private readonly demand: CompiledDemand,
    private readonly part: CompiledPart,
    private readonly of: { start: number; back: boolean; most: number; wraps: boolean },
    private readonly show: (map: PositionMap, isWhole: boolean) => Onward,
  ) {}

  run(): Onward {
    const place = this.#placeAt(0);
    return place !== null && this.#pairsFit(place) ? this.#use(place, 0) : 'on';
  }

  /** Takes a place for the next position of the demand, and goes on from there. */
  #use(place: number, step: number): Onward {
    this.#places.push(place);
    const onward = this.#shown(step);
    this.#places.pop();
    return onward;
  }

  #shown(step: number): Onward {
    const { most, back } = this.of;
    const isWhole = this.#places.length === this.demand.positions;
    const skipped = this.#between.length;
    // Those without gaps were shown in the first round.
    if (isWhole && most > 0 && skipped === 0) return 'on';
    // A beginning without gaps has few maps of its own that go on from it: it is not worth a look.
    if (isWhole || (most > 0 && this.#places.length > 1)) {
      const map = { positions: [...this.#places], reversed: back, between: [...this.#between] };
      const onward = this.show(map, isWhole);
      if (isWhole || onward !== 'on') return onward === 'stop' ? 'stop' : 'on';
    }
    const before = skipped;
    let onward: Onward = 'on';
    for (let next = step + 1; onward !== 'stop' && this.#between.length <= most; next += 1) {
      const place = this.#placeAt(next);
      if (place === null) break;
      if (this.#pairsFit(place)) onward = this.#use(place, next);
      this.#between.push(place);
    }
    this.#between.length = before;
    return onward;
  }

  /** The place so many steps from the beginning; null: the handle doesn't get there. */
  #placeAt(step: number): number | null {
    const { start, back, wraps } = this.of;
    const given = this.part.positions;
    const place = back ? start - step : start + step;
    if (wraps ? step >= given : place < 0 || place >= given) return null;
    return (place + given) % given;
  }

  /** By rank: what one position adds to another in the demand must be there to be had in the part. */
  #pairsFit(next: number): boolean {
    const { demand, part } = this;
    const at = this.#places.length;
    const [wanted, given] = [demand.positions, part.positions];
    if ((demand.ranks[at] as number) > (part.ranks[next] as number)) return false;
    return this.#places.every((place, index) => {
      const [there, back] = [demand.adds.get(at * wanted + index), demand.adds.get(index * wanted + at)];
      return there <= part.adds.get(next * given + place) && back <= part.adds.get(place * given + next);
    });
  }
}
