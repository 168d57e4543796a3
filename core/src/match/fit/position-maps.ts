import type { CompiledDemand } from './wires.js';
import type { CompiledPart } from './part.js';

/** How the positions of a demand lie on those of a part. */
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

/**
 * The maps that keep or reverse the order, those without gaps first, the same order before the reversed one. A map is passed over
 * as soon as two of its positions cannot do together what is demanded (by rank: joining adds no more than it can).
 */
export function* positionMaps(
  demand: CompiledDemand,
  part: CompiledPart,
  { gaps, reversed, wraps }: MapRules,
): Generator<PositionMap> {
  const { positions: wanted } = demand;
  const given = part.positions;
  if (wanted > given) return;
  const directions = reversed && wanted > 1 ? [false, true] : [false];
  for (const most of gaps && given > wanted ? [0, given - wanted] : [0])
    for (const back of directions)
      for (let start = 0; start < given; start += 1) yield* from(start, back, most);

  function* from(start: number, back: boolean, most: number): Generator<PositionMap> {
    const chosen: number[] = [];
    function* extend(step: number, left: number): Generator<PositionMap> {
      if (chosen.length === wanted) {
        const used = most - left;
        // Those without gaps were given in the first round.
        if (most > 0 && used === 0) return;
        const places = chosen.map(placeOf);
        const between = Array.from({ length: (chosen.at(-1) ?? 0) + 1 }, (_, at) => at)
          .map(placeOf)
          .filter((place) => !places.includes(place));
        yield { positions: places, reversed: back, between };
        return;
      }
      for (let skip = 0; skip <= left; skip += 1) {
        const next = step + skip;
        if (chosen.length === 0 && skip > 0) break;
        if (!inRange(next)) break;
        if (!pairsFit(chosen.map(placeOf), placeOf(next))) continue;
        chosen.push(next);
        yield* extend(next + 1, left - skip);
        chosen.pop();
      }
    }
    const inRange = (step: number) => {
      const place = back ? start - step : start + step;
      return wraps ? step < given : place >= 0 && place < given;
    };
    const placeOf = (step: number) => {
      const place = back ? start - step : start + step;
      return ((place % given) + given) % given;
    };
    yield* extend(0, most);
  }

  /** By rank: what one position adds to another in the demand must be there to be had in the part. */
  function pairsFit(before: readonly number[], next: number): boolean {
    const at = before.length;
    if ((demand.ranks[at] as number) > (part.ranks[next] as number)) return false;
    return before.every((place, index) => {
      const [there, back] = [demand.adds.get(at * wanted + index), demand.adds.get(index * wanted + at)];
      return there <= part.adds.get(next * given + place) && back <= part.adds.get(place * given + next);
    });
  }
}
