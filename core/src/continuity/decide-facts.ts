import { cellOf, PairMarks, partitionOf, type Partition } from '../partition/index.js';
import { inferFrom, type EvidenceSet } from './evidence-set.js';
import { DISPUTED, known, UNKNOWN, type Fact } from './fact.js';
import type { Link } from './link.js';
import { areApart, netsOfState, type NetState, type Steps } from './net-state.js';

function netsOf(size: number, links: readonly Link[]): Partition {
  return partitionOf(
    size,
    links.map(({ a, b }) => [a, b] as const),
  );
}

/**
 * The fact of every pair, row by row: what evidence that is not in dispute gives stands, measured or following; of the rest,
 * what any evidence speaks of is disputed, and everything else is unknown.
 */
export function decideFacts(
  size: number,
  trusted: EvidenceSet & { nets: Partition; state: NetState },
  all: EvidenceSet,
  steps: Steps,
): Fact[] {
  const { nets, state } = trusted;
  const disputing =
    all.joins.length + all.opens.length + all.clauses.length >
    trusted.joins.length + trusted.opens.length + trusted.clauses.length;
  const ohms = ohmsOnly(size, trusted, steps);
  const doubt = disputing ? doubtfulPairs(size, trusted, all) : null;
  const measured = PairMarks.none(size);
  for (const { a, b } of trusted.joins) measured.mark(a, b);
  for (const { a, b, clips } of trusted.opens) if (!clips) measured.mark(a, b);
  const facts = new Array<Fact>(size * size).fill(UNKNOWN);
  const itself = known(false, true, false);
  for (let a = 0; a < size; a += 1) {
    facts[cellOf(size, a, a)] = itself;
    for (let b = a + 1; b < size; b += 1) {
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      let fact = UNKNOWN;
      if (netA === netB) fact = known(measured.has(a, b), true, !ohms.joined(a, b));
      else if (state.apart.has(netA, netB)) fact = known(measured.has(a, b), false, !ohms.parted(a, b));
      else if (doubt?.has(a, b) === true) fact = DISPUTED;
      facts[cellOf(size, a, b)] = facts[cellOf(size, b, a)] = fact;
    }
  }
  return facts;
}

/** What stands on ohms: joins by ohms alone; opens by ohms between nets however they are joined. */
function ohmsOnly(
  size: number,
  { joins, opens, clauses, nets }: EvidenceSet & { nets: Partition },
  steps: Steps,
) {
  const byOhms = ({ by }: { by: Link['by'] }): boolean => by === 'ohms';
  const measured = {
    joins: joins.filter(byOhms),
    opens: opens.filter(byOhms),
    clauses: clauses.filter(byOhms),
  };
  const closed = inferFrom(size, { ...measured, opens: clauses.length > 0 ? measured.opens : [] }, steps);
  const closedNets = closed ? netsOfState(closed) : null;
  const apart = apartNets(size, nets, measured.opens);
  return {
    joined: (a: number, b: number) => closedNets !== null && closedNets[a] === closedNets[b],
    parted: (a: number, b: number) =>
      apart.has(nets[a] as number, nets[b] as number) || (closed !== null && areApart(closed, a, b)),
  };
}

/** Pairs that some evidence in dispute speaks of: joined or held apart by all evidence together, or in a low bundle. */
export function doubtfulPairs(size: number, trusted: EvidenceSet, all: EvidenceSet): PairMarks {
  const doubtful = PairMarks.none(size);
  const nets = netsOf(size, all.joins);
  const apart = apartNets(size, nets, all.opens);
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) {
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      if (netA === netB || apart.has(netA, netB)) doubtful.mark(a, b);
    }
  const kept = new Set(trusted.clauses.map(({ reading }) => reading));
  for (const { reading, red, black } of all.clauses) {
    if (kept.has(reading)) continue;
    for (const one of red) for (const other of black) doubtful.mark(one, other);
  }
  return doubtful;
}

/** Pairs of nets, by their smallest members, that an open holds apart. */
function apartNets(size: number, nets: Partition, opens: readonly Link[]): PairMarks {
  const apart = PairMarks.none(size);
  for (const { a, b } of opens) {
    apart.mark(nets[a] as number, nets[b] as number);
  }
  return apart;
}
