import { comesAndGoes } from './fault.js';
import type { ModelledFault } from './fault-model.js';
import { THERE, type RankedFault } from './rank.js';

/** What a test finds with a fault, each with how often; undefined: it cannot be said. */
export type Outcomes = (
  one: ModelledFault,
) => readonly (readonly [outcome: unknown, share: number])[] | undefined;

/** A test that finds one thing with each fault; with what comes and goes half the time what it finds where nothing is wrong. */
export function steadyOr(
  outcomeOf: (one: ModelledFault) => unknown,
  none: ModelledFault | undefined,
  unsteady: boolean,
): Outcomes {
  return (one) => {
    const outcome = outcomeOf(one);
    if (outcome === undefined) return undefined;
    const without = unsteady && none && comesAndGoes(one.fault) ? outcomeOf(none) : outcome;
    if (without === outcome) return [[outcome, 1]];
    return [[outcome, THERE], [without, 1 - THERE]]; // prettier-ignore
  };
}

/** Chances of the faults that are still likely, in their order; they need not add up to one. */
export type Chances = Float64Array;

export const chancesOf = (faults: readonly RankedFault[]): Chances =>
  Float64Array.from(faults, ({ chance }) => chance);

/** What a test finds with each of the faults that are still likely, as numbers: reckoned with again and again. */
export class OutcomeTable {
  /** By fault: the outcome, and another one that it may have; -1: none, or it cannot be said. */
  readonly #one: Int16Array;
  readonly #other: Int16Array;
  /** How often it is the first of the two. */
  readonly #share: Float64Array;
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
    this.#one = new Int16Array(faults.length).fill(-1);
    this.#other = new Int16Array(faults.length).fill(-1);
    this.#share = new Float64Array(faults.length).fill(1);
    faults.forEach((fault, at) => {
      const [one, other] = outcomesOf(fault) ?? [];
      if (one) [this.#one[at], this.#share[at]] = [codeOf(one[0]), one[1]];
      if (other) this.#other[at] = codeOf(other[0]);
    });
    this.#count = codes.size;
    this.#mixed = this.#other.some((code) => code >= 0);
    this.key = `${this.#one.join()} ${this.#other.join()} ${this.#share.join()}`;
  }

  /** How likely each outcome is, not yet of one. */
  #sums(chances: Chances): Float64Array {
    const sums = new Float64Array(this.#count);
    // Thousands of times for one question: plain loops.
    for (let at = 0; at < chances.length; at += 1) {
      const [one, other] = [this.#one[at] as number, this.#other[at] as number];
      const chance = chances[at] as number;
      if (one < 0) continue;
      const share = this.#share[at] as number;
      sums[one] = (sums[one] as number) + chance * share;
      if (other >= 0) sums[other] = (sums[other] as number) + chance * (1 - share);
    }
    return sums;
  }

  /** Information in the test, in bits: the entropy of its outcome over the faults, less what is chance with each of them (Shannon). */
  bits(chances: Chances): number {
    // One outcome whatever is wrong: no news, and no rounding that looks like some.
    if (this.#count < 2) return 0;
    const sums = this.#sums(chances);
    let [sum, bits] = [0, 0];
    for (const one of sums) sum += one;
    if (sum === 0) return 0;
    for (const one of sums) bits -= entropy(one / sum);
    if (!this.#mixed) return bits;
    for (let at = 0; at < chances.length; at += 1) {
      if ((this.#other[at] as number) < 0) continue;
      const share = this.#share[at] as number;
      bits += ((chances[at] as number) / sum) * (entropy(share) + entropy(1 - share));
    }
    return bits;
  }

  /** What is left of the chances with each outcome, of one together, and how often it comes to that. */
  split(chances: Chances): { share: number; left: Chances }[] {
    const sums = this.#sums(chances);
    const sum = sums.reduce((all, one) => all + one, 0);
    return [...sums].flatMap((all, outcome) => {
      if (all === 0) return [];
      const left = chances.map((chance, at) => {
        const share = this.#share[at] as number;
        const how = (this.#one[at] === outcome ? share : 0) + (this.#other[at] === outcome ? 1 - share : 0);
        return (chance * how) / all;
      });
      return [{ share: all / sum, left }];
    });
  }
}

/** p log2 p, which is nothing for nothing. */
const entropy = (share: number): number => (share > 0 ? share * Math.log2(share) : 0);
