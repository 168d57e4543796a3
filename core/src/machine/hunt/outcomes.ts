import { Ints, Reals } from '../../grid/index.js';
import type { Fault } from './fault.js';
import type { ModelledFault } from './fault-model.js';
import type { RankedFault } from './rank.js';

/** What a test finds with a fault, each with how often; undefined: it cannot be said. */
export type Outcomes = (
  one: ModelledFault,
) => readonly (readonly [outcome: unknown, share: number])[] | undefined;

/** A test that finds one thing with each fault, and now and then what it finds where nothing is wrong: `shows`: how often the first. */
export function steadyOr(
  outcomeOf: (one: ModelledFault) => unknown,
  none: ModelledFault | undefined,
  shows: (fault: Fault) => number,
): Outcomes {
  return (one) => {
    const outcome = outcomeOf(one);
    if (outcome === undefined) return undefined;
    const share = shows(one.fault);
    const without = share < 1 && none ? outcomeOf(none) : outcome;
    if (without === outcome || without === undefined) return [[outcome, 1]];
    return [[outcome, share], [without, 1 - share]]; // prettier-ignore
  };
}

/** Chances of the faults that are still likely, in their order; they need not add up to one. */
export type Chances = Reals;

export const chancesOf = (faults: readonly RankedFault[]): Chances =>
  new Reals(faults.map(({ chance }) => chance));

/** What a test finds with each of the faults that are still likely, as numbers: reckoned with again and again. */
export class OutcomeTable {
  /** By fault: the outcome, and another one that it may have; -1: none, or it cannot be said. */
  readonly #one: Ints;
  readonly #other: Ints;
  /** How often it is the first of the two. */
  readonly #share: Reals;
  readonly #count: number;
  /** Whether some fault has two outcomes. */
  readonly #mixed: boolean;
  /** Tests that tell the same have the same. */
  readonly key: string;

  constructor(faults: readonly RankedFault[], outcomesOf: Outcomes) {
    const codes = new Map<unknown, number>();
    const codeOf = (outcome: unknown): number => {
      const known = codes.get(outcome) ?? codes.size;
      codes.set(outcome, known);
      return known;
    };
    this.#one = Ints.filled(faults.length, -1);
    this.#other = Ints.filled(faults.length, -1);
    this.#share = new Reals(faults.map(() => 1));
    faults.forEach((fault, at) => {
      const [one, other] = outcomesOf(fault) ?? [];
      if (one) {
        this.#one.set(at, codeOf(one[0]));
        this.#share.set(at, one[1]);
      }
      if (other) this.#other.set(at, codeOf(other[0]));
    });
    this.#count = codes.size;
    this.#mixed = this.#other.cells.some((code) => code >= 0);
    this.key = `${this.#one.cells.join()} ${this.#other.cells.join()} ${this.#share.cells.join()}`;
  }

  /** How likely each outcome is, not yet of one. */
  #sums(chances: Chances): Reals {
    const sums = new Reals(this.#count);
    // Thousands of times for one question: plain loops.
    for (let at = 0; at < chances.length; at += 1) {
      const [one, other] = [this.#one.get(at), this.#other.get(at)];
      const chance = chances.get(at);
      if (one < 0) continue;
      const share = this.#share.get(at);
      sums.add(one, chance * share);
      if (other >= 0) sums.add(other, chance * (1 - share));
    }
    return sums;
  }

  /** Information in the test, in bits: the entropy of its outcome over the faults, less what is chance with each of them (Shannon). */
  bits(chances: Chances): number {
    // One outcome whatever is wrong: no news, and no rounding that looks like some.
    if (this.#count < 2) return 0;
    const sums = this.#sums(chances);
    let [sum, bits] = [0, 0];
    for (const one of sums.cells) sum += one;
    if (sum === 0) return 0;
    for (const one of sums.cells) bits -= entropy(one / sum);
    if (!this.#mixed) return bits;
    for (let at = 0; at < chances.length; at += 1) {
      if (this.#other.get(at) < 0) continue;
      const share = this.#share.get(at);
      bits += (chances.get(at) / sum) * (entropy(share) + entropy(1 - share));
    }
    return bits;
  }

  /** What is left of the chances with each outcome, of one together, and how often it comes to that. */
  split(chances: Chances): { share: number; left: Chances }[] {
    const sums = this.#sums(chances);
    const sum = sums.cells.reduce((all, one) => all + one, 0);
    return [...sums.cells].flatMap((all, outcome) => {
      if (all === 0) return [];
      const left = chances.cells.map((chance, at) => {
        const share = this.#share.get(at);
        const how =
          (this.#one.get(at) === outcome ? share : 0) + (this.#other.get(at) === outcome ? 1 - share : 0);
        return (chance * how) / all;
      });
      return [{ share: all / sum, left: new Reals(left) }];
    });
  }
}

/** p log2 p, which is nothing for nothing. */
const entropy = (share: number): number => (share > 0 ? share * Math.log2(share) : 0);
