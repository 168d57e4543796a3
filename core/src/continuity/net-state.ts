import { PairMarks, type Partition } from '../partition/index.js';
import type { ReadingId } from '../switch/index.js';

/** A low bundle: some net meets both sides. Places of terminals; sides do not overlap. */
export interface Clause {
  red: number[];
  black: number[];
  reading: ReadingId;
  by: 'ohms' | 'tone';
}

/** Nets (disjoint sets, each named by its smallest member) and which of them are held apart. */
export interface NetState {
  size: number;
  parent: Int16Array;
  /** Pairs of nets, by their names; only those of present names count. */
  apart: PairMarks;
}

export function emptyState(size: number): NetState {
  return {
    size,
    parent: Int16Array.from({ length: size }, (_, place) => place),
    apart: PairMarks.none(size),
  };
}

export function copyState({ size, parent, apart }: NetState): NetState {
  return { size, parent: parent.slice(), apart: apart.copy() };
}

/** The name of a terminal's net: its smallest member. */
export function netOf({ parent }: NetState, place: number): number {
  let root = place;
  while (parent[root] !== root) root = parent[root] as number;
  return root;
}

export const netsOfState = (state: NetState): Partition =>
  Array.from({ length: state.size }, (_, place) => netOf(state, place));

/** The knowledge of a state in the one form that does not depend on the order in which it came. */
export function canonicalState(state: NetState): NetState {
  const { size } = state;
  const nets = netsOfState(state);
  const apart = PairMarks.none(size);
  for (let one = 0; one < size; one += 1) {
    if (nets[one] !== one) continue;
    for (let other = 0; other < size; other += 1)
      if (nets[other] === other && state.apart.has(one, other)) apart.mark(one, other);
  }
  return { size, parent: Int16Array.from(nets), apart };
}

/** Whether the nets of two terminals are held apart. */
export function areApart(state: NetState, a: number, b: number): boolean {
  return state.apart.has(netOf(state, a), netOf(state, b));
}

/** Joins the nets of two terminals; false when they are held apart. */
export function merge(state: NetState, a: number, b: number): boolean {
  const [one, other] = [netOf(state, a), netOf(state, b)];
  if (one === other) return true;
  const { size, apart } = state;
  if (apart.has(one, other)) return false;
  const [root, gone] = one < other ? [one, other] : [other, one];
  state.parent[gone] = root;
  for (let net = 0; net < size; net += 1) {
    if (apart.has(gone, net)) apart.mark(root, net);
  }
  return true;
}

/** Holds the nets of two terminals apart; false when they are one net. */
export function hold(state: NetState, a: number, b: number): boolean {
  const [one, other] = [netOf(state, a), netOf(state, b)];
  if (one === other) return false;
  state.apart.mark(one, other);
  return true;
}

/** Thrown when the steps run out; `settle` turns it into 'too tangled', which claims nothing. */
export class TooTangled extends Error {
  constructor() {
    super('the readings of this setting are too tangled to be sorted out');
  }
}

/**
 * Work that one setting may cost, counted in pairs of nets looked at, never in time: so browser and server agree on what
 * is too tangled.
 */
export class Steps {
  constructor(private left: number) {}

  take(steps: number): void {
    this.left -= steps;
    if (this.left < 0) throw new TooTangled();
  }
}

/**
 * Unit propagation of clauses: a clause of which one pair of nets is left joins that pair. False on a contradiction:
 * a clause of which none is left, or a join of nets that are held apart.
 */
export function propagate(
  state: NetState,
  clauses: readonly Clause[],
  steps: Steps = new Steps(Infinity),
): boolean {
  for (let changed = true; changed;) {
    changed = false;
    for (const clause of clauses) {
      const left = undecidedPairs(state, clause, steps);
      if (left === 'met') continue;
      const [only] = left;
      if (!only) return false;
      if (left.length > 1) continue;
      if (!merge(state, only[0], only[1])) return false;
      changed = true;
    }
  }
  return true;
}

/** The pairs of nets that may still make a clause true; 'met' when one does. */
function undecidedPairs(state: NetState, { red, black }: Clause, steps: Steps): [number, number][] | 'met' {
  const reds = netsAmong(state, red);
  const blacks = netsAmong(state, black);
  steps.take(reds.length * blacks.length);
  const left: [number, number][] = [];
  for (const one of reds) {
    if (blacks.includes(one)) return 'met';
    for (const other of blacks) if (!state.apart.has(one, other)) left.push([one, other]);
  }
  return left;
}

function netsAmong(state: NetState, places: readonly number[]): number[] {
  const nets: number[] = [];
  for (const place of places) {
    const net = netOf(state, place);
    if (!nets.includes(net)) nets.push(net);
  }
  return nets;
}

/** Branches of the search below, at most; beyond it 'it may be' is answered, which is never unsound. */
const MOST_BRANCHES = 400;

/**
 * Whether the clauses can all be met: unit propagation, then a search over the pairs that could meet the tightest clause
 * (DPLL). Pairs that no clause needs may stay apart, so meeting the clauses is enough. True also when the cap is reached.
 */
function canBeMet(
  state: NetState,
  clauses: readonly Clause[],
  steps: Steps,
  budget: { branches: number },
): boolean {
  if (!propagate(state, clauses, steps)) return false;
  let tightest: [number, number][] | null = null;
  for (const clause of clauses) {
    const open = undecidedPairs(state, clause, steps);
    if (open !== 'met' && (!tightest || open.length < tightest.length)) tightest = open;
  }
  if (!tightest) return true;
  for (const [one, other] of tightest) {
    budget.branches -= 1;
    if (budget.branches < 0) return true;
    const tried = copyState(state);
    if (merge(tried, one, other) && canBeMet(tried, clauses, steps, budget)) return true;
    hold(state, one, other);
  }
  return false;
}

/** Whether the clauses can all be met, as far as the capped search sees; the state itself stays as it is. */
export function mayHold(state: NetState, clauses: readonly Clause[], steps: Steps): boolean {
  return canBeMet(copyState(state), clauses, steps, { branches: MOST_BRANCHES });
}

/**
 * Everything that the clauses force: every unknown pair of nets is tried both ways, and what cannot be, is held the other
 * way, to a fixpoint. False on a contradiction. Exact up to the cap of the search (checked against a SAT solver).
 * @throws TooTangled when the steps run out.
 */
export function inferDeeply(
  state: NetState,
  clauses: readonly Clause[],
  steps: Steps = new Steps(Infinity),
): boolean {
  if (!propagate(state, clauses, steps)) return false;
  const live = clauses.filter((clause) => undecidedPairs(state, clause, steps) !== 'met');
  const may = (change: (tried: NetState) => boolean) => {
    const tried = copyState(state);
    return change(tried) && canBeMet(tried, live, steps, { branches: MOST_BRANCHES });
  };
  if (!may(() => true)) return false;
  for (let changed = live.length > 0; changed;) {
    changed = false;
    for (const [one, other] of unknownPairs(state)) {
      if (netOf(state, one) === netOf(state, other) || areApart(state, one, other)) continue;
      if (!may((tried) => merge(tried, one, other))) hold(state, one, other);
      // What no clause could be met by may always be apart.
      else if (isWanted(state, live, one, other, steps) && !may((tried) => hold(tried, one, other)))
        merge(state, one, other);
      else continue;
      changed = true;
      if (!propagate(state, live, steps)) return false;
    }
  }
  return true;
}

/** Whether some clause that is not met yet could be met by joining these two nets. */
function isWanted(
  state: NetState,
  clauses: readonly Clause[],
  one: number,
  other: number,
  steps: Steps,
): boolean {
  const [a, b] = [netOf(state, one), netOf(state, other)];
  return clauses.some((clause) => {
    const open = undecidedPairs(state, clause, steps);
    return (
      open !== 'met' && open.some(([red, black]) => (red === a && black === b) || (red === b && black === a))
    );
  });
}

/** Pairs of nets of which nobody knows whether they join, by their names. */
function unknownPairs(state: NetState): [number, number][] {
  const { size, parent, apart } = state;
  const names = Array.from({ length: size }, (_, place) => place).filter((place) => parent[place] === place);
  return names.flatMap((one, at) =>
    names.slice(at + 1).flatMap((other): [number, number][] => (apart.has(one, other) ? [] : [[one, other]])),
  );
}
