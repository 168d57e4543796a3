import { at, type Relation } from './relation.js';
import type { Symmetry } from './as-good.js';

/** Where the search ended. `steps` is how many assignments it tried. */
export type Embedding =
  | { kind: 'found'; map: number[]; steps: number }
  | { kind: 'none'; steps: number }
  /** The search stopped at its cap: neither yes nor no. */
  | { kind: 'undecided'; steps: number };

/** The limits and aids of a search. */
export interface SearchLimits {
  steps: number;
  symmetry: Symmetry;
}

/**
 * An injective map of the needed terminals into the candidate's that carries the one relation exactly to the
 * other (on the positions in `known`, where given). Depth first, fewest options first, with forward checking;
 * after a failure, terminals that are as good as the failed one are not tried again. 'none' is proved.
 * @param known per pair of needed terminals the positions in which the fact is known; null when all are.
 */
export function findEmbedding(
  need: Relation,
  candidate: Relation,
  known: Uint32Array | null,
  { steps: cap, symmetry }: SearchLimits,
): Embedding {
  const every = Array.from({ length: candidate.size }, (_, index) => index);
  const search = new Search(need, candidate, known, symmetry, cap);
  const found = search.extend(Array.from({ length: need.size }, () => every));
  if (found) return { kind: 'found', map: search.map, steps: search.steps };
  return { kind: search.steps >= cap ? 'undecided' : 'none', steps: search.steps };
}

/** One search: its partial map, and how many candidate terminals of each pole are taken. */
class Search {
  readonly map: number[];
  steps = 0;
  readonly #takenInPole = new Map<number, number>();

  constructor(
    readonly need: Relation,
    readonly candidate: Relation,
    readonly known: Uint32Array | null,
    readonly symmetry: Symmetry,
    readonly cap: number,
  ) {
    this.map = new Array<number>(need.size).fill(-1);
  }

  /** Extends the partial map over all needed terminals; `options` are the candidates left for each. */
  extend(options: readonly (readonly number[])[]): boolean {
    const next = this.#fewestOptions(options);
    if (next < 0) return true;
    const failed = new Set<string>();
    for (const choice of options[next] as readonly number[]) {
      const like = this.#likeness(choice);
      if (failed.has(like)) continue;
      if (this.steps >= this.cap) return false;
      this.steps += 1;
      const rest = this.#narrow(options, next, choice);
      if (rest) {
        this.#take(next, choice, 1);
        if (this.extend(rest)) return true;
        this.#take(next, choice, -1);
      }
      failed.add(like);
    }
    return false;
  }

  #take(needed: number, choice: number, by: 1 | -1): void {
    this.map[needed] = by === 1 ? choice : -1;
    const pole = this.symmetry.pole[choice] as number;
    this.#takenInPole.set(pole, (this.#takenInPole.get(pole) ?? 0) + by);
  }

  #fewestOptions(options: readonly (readonly number[])[]): number {
    let best = -1;
    options.forEach((left, needed) => {
      if (this.map[needed] !== -1) return;
      if (best < 0 || left.length < (options[best] as readonly number[]).length) best = needed;
    });
    return best;
  }

  /** Two free candidates with the same likeness can be exchanged without touching what is taken already. */
  #likeness(choice: number): string {
    const untouched = (this.#takenInPole.get(this.symmetry.pole[choice] as number) ?? 0) === 0;
    return untouched ? `place ${this.symmetry.place[choice]}` : `twin ${this.symmetry.twin[choice]}`;
  }

  /** The options left after an assignment; null when some needed terminal has none. */
  #narrow(
    options: readonly (readonly number[])[],
    taken: number,
    choice: number,
  ): (readonly number[])[] | null {
    const { need, candidate, known } = this;
    const narrowed: (readonly number[])[] = [];
    for (let other = 0; other < need.size; other += 1) {
      if (other === taken || this.map[other] !== -1) {
        narrowed.push(options[other] as readonly number[]);
        continue;
      }
      const pair = taken * need.size + other;
      const wanted = at(need.joined, pair);
      const mask = known ? at(known, pair) : 0xffffffff;
      const left = (options[other] as readonly number[]).filter(
        (y) => y !== choice && ((at(candidate.joined, choice * candidate.size + y) ^ wanted) & mask) === 0,
      );
      if (left.length === 0) return null;
      narrowed.push(left);
    }
    return narrowed;
  }
}
