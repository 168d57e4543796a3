import type { ReadingId, TerminalId } from '../switch/index.js';
import { inferFrom, shrink, type EvidenceSet } from './evidence-set.js';
import { areApart, netOf } from './net-state.js';
import { shortestPath, type Link } from './link.js';
import { factAt, type Settled } from './settled.js';

/**
 * The readings that prove a fact, in the order in which one reads them: for a join a chain from one terminal to
 * the other; for an open the chain to one side of the gap, the open itself, the chain from its other side.
 */
export interface Proof {
  joined: boolean;
  readings: ReadingId[];
  /** The terminals on the way, ends included. */
  via: TerminalId[];
}

/**
 * Searches the shortest proof of what is known about two terminals, ohms before tones; null if nothing is settled. Where
 * no chain of pairs proves it, bundles do: then the proof is an irreducible set of readings from which it follows.
 */
export function prove(settled: Settled, a: number, b: number): Proof | null {
  const { joined } = factAt(settled, a, b);
  if (joined === null || a === b) return null;
  const chain = joined ? joinChain(settled, a, b) : gapChain(settled, a, b);
  if (!chain) return settled.clauses.length > 0 ? proveByBundles(settled, a, b, joined) : null;
  const via = [a];
  for (const link of chain) via.push(link.a === via.at(-1) ? link.b : link.a);
  return {
    joined,
    readings: chain.map(({ reading }) => reading),
    via: via.map((place) => settled.terminals[place] as TerminalId),
  };
}

function proveByBundles(settled: Settled, a: number, b: number, joined: boolean): Proof | null {
  const size = settled.terminals.length;
  const follows = (part: EvidenceSet) => {
    const state = inferFrom(size, part);
    if (!state) return false;
    return joined ? netOf(state, a) === netOf(state, b) : areApart(state, a, b);
  };
  if (!follows(settled)) return null;
  const via = [a, b].map((place) => settled.terminals[place] as TerminalId);
  return { joined, readings: shrink(settled, follows), via };
}

function joinChain({ joins }: Settled, a: number, b: number): Link[] | null {
  const direct = joins.filter((link) => sameEnds(link, a, b));
  const ohms = joins.filter(({ by }) => by === 'ohms');
  const best = direct.find(({ by }) => by === 'ohms');
  return (best && [best]) ?? shortestPath(ohms, a, b) ?? shortestPath(joins, a, b);
}

function gapChain(settled: Settled, a: number, b: number): Link[] | null {
  const { nets, opens } = settled;
  const across = opens.filter(
    (open) =>
      (nets[open.a] === nets[a] && nets[open.b] === nets[b]) ||
      (nets[open.a] === nets[b] && nets[open.b] === nets[a]),
  );
  const chains = across.flatMap((open) => {
    const [near, far] = nets[open.a] === nets[a] ? [open.a, open.b] : [open.b, open.a];
    const [before, after] = [joinChain(settled, a, near), joinChain(settled, far, b)];
    return before && after ? [{ chain: [...before, open, ...after], open }] : [];
  });
  const cost = ({ chain, open }: { chain: Link[]; open: Link }) =>
    chain.length * 2 + (open.by === 'tone' ? 1 : 0);
  chains.sort((one, other) => cost(one) - cost(other));
  return chains[0]?.chain ?? null;
}

function sameEnds(link: Link, a: number, b: number): boolean {
  return (link.a === a && link.b === b) || (link.a === b && link.b === a);
}
