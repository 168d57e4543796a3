import type { Explanation } from '../log/index.js';
import { cellOf, type Partition } from '../partition/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import type { Contradiction } from './contradiction.js';
import { UNKNOWN, type Fact } from './fact.js';
import type { Link } from './link.js';
import type { Clause, NetState } from './net-state.js';

/** A pair of terminals whose reading decides nothing yet. */
export interface LookAgain {
  a: number;
  b: number;
  /**
   * `direction`: closed when the handle comes from one side, open when it comes from the other; `part-or-contact`: low across a part that
   * may read as low.
   */
  because: 'middle' | 'unsteady' | 'one-way' | 'direction' | 'part-or-contact';
  readings: ReadingId[];
  /** A person left it not known: it is not asked again until it is read again. */
  left: boolean;
}

/** Everything known of one setting. Terminals are spoken of by their places in `terminals`. */
export interface Settled {
  setting: SettingId;
  terminals: TerminalId[];
  /** Row by row, `terminals.length` squared; symmetric; the diagonal is joined. */
  facts: Fact[];
  /** Nets by evidence that is not in dispute. */
  nets: Partition;
  /** Evidence not in dispute, in reading order. A bundle that was open is an open of every pair across it. */
  joins: Link[];
  opens: Link[];
  /** Low bundles not in dispute. */
  clauses: Clause[];
  contradictions: Contradiction[];
  /** Its readings could not be sorted out within bounds: nothing is claimed of it, and it is never complete. */
  tangled: boolean;
  lookAgain: LookAgain[];
  /** Evidence that is kept and not used: bundles between closed and open, leads on nothing, closed in circuit. */
  unused: ReadingId[];
  /** Pairs that closed with the wires on, which proves nothing. */
  inCircuit: { a: number; b: number }[];
  /** Nets and what is held apart, as inferred: what planners plan from. Not to be changed. */
  state: NetState;
}

/** The fact about two terminals, by place. */
export function factAt(settled: Settled, a: number, b: number): Fact {
  return settled.facts[cellOf(settled.terminals.length, a, b)] ?? UNKNOWN;
}

/** Readings that decided nothing by themselves, and what a person accepted them to be: the newest of a reading counts. */
export type Explanations = ReadonlyMap<ReadingId, Explanation>;

/** Terminals by blocks of which a person said that no one touches another. */
export type Blocks = readonly (readonly TerminalId[])[];
