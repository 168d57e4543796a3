/** What wires can be laid on: terminals with their nets in each position that counts, and which of them are alike. */
export interface Ground {
  terminals: number;
  /** Nets by position: for each terminal the first of its net. */
  pattern: readonly (readonly number[])[];
  /** By terminal: the pole that it is in, from 0. */
  pole: readonly number[];
  /** By terminal: a number that two share only where one may stand for the other while nothing is on their poles. */
  place: readonly number[];
  /** By terminal: the same, but that two of one pole never share it. */
  spot: readonly number[];
  /** By terminal: the first that is always in one net with it. */
  twin: readonly number[];
}
