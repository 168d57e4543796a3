import { cellOf, pairCell } from '../partition/index.js';
import type { ReadingEvidence } from '../sense/index.js';
import { ASSUMED_APART, known, UNKNOWN } from './fact.js';
import type { Link } from './link.js';
import { canonicalState, copyState, hold, merge, netOf, netsOfState } from './net-state.js';
import type { Settled } from './settled.js';

/** What a settled setting was extended from: by what its readings are, and which cells they were read across. */
interface Ground {
  by: Link['by'] | null;
  measured: Uint8Array;
}

const grounds = new WeakMap<Settled, Ground | null>();

/**
 * A settled setting with a few more readings, without settling it anew: only where they are plain pairs that agree with all
 * that is known, all read in one way (ohms or tones). null where that is not so: then it has to be settled from the start.
 * The outcome is the same either way.
 */
export function extendSettled(before: Settled, added: readonly ReadingEvidence[]): Settled | null {
  if (before.tangled || before.contradictions.length > 0 || before.clauses.length > 0) return null;
  const ground = groundOf(before);
  const links = linksOf(before, added);
  if (!ground || !links) return null;
  const by = ground.by ?? links[0]?.link.by ?? null;
  if (links.some(({ link }) => link.by !== by)) return null;
  const size = before.terminals.length;
  const state = copyState(before.state);
  const measured = ground.measured.slice();
  const touched = new Set<number>();
  for (const { link, joins } of links) {
    const { a, b } = link;
    if (!(joins ? merge(state, a, b) : hold(state, a, b))) return null;
    measured[cellOf(size, a, b)] = 1;
    touched.add(netOf(state, a)).add(netOf(state, b));
  }
  const nets = netsOfState(state);
  const facts = before.facts.slice();
  const byTone = by === 'tone';
  for (let a = 0; a < size; a += 1) {
    if (![...touched].some((net) => netOf(state, net) === nets[a])) continue;
    for (let b = 0; b < size; b += 1) {
      if (a === b) continue;
      const cell = pairCell(size, a, b);
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      let fact = UNKNOWN;
      if (netA === netB) fact = known(measured[cell] === 1, true, byTone);
      else if (state.apart.has(netA, netB)) fact = known(measured[cell] === 1, false, byTone);
      facts[cellOf(size, a, b)] = facts[cellOf(size, b, a)] = fact;
    }
  }
  const of = (joins: boolean) => links.flatMap((one) => (one.joins === joins ? [one.link] : []));
  const settled: Settled = {
    ...before,
    facts,
    nets,
    state: canonicalState(state),
    joins: [...before.joins, ...of(true)],
    opens: [...before.opens, ...of(false)],
  };
  grounds.set(settled, { by, measured });
  return settled;
}

function linksOf(
  { terminals, lookAgain }: Settled,
  added: readonly ReadingEvidence[],
): { link: Link; joins: boolean }[] | null {
  const links: { link: Link; joins: boolean }[] = [];
  for (const { red, black, says, by, reading, fromOtherSide } of added) {
    const [a, b] = [terminals.indexOf(red[0] as never), terminals.indexOf(black[0] as never)];
    const plain =
      !fromOtherSide &&
      red.length === 1 &&
      black.length === 1 &&
      says !== 'nothing' &&
      a >= 0 &&
      b >= 0 &&
      a !== b;
    if (!plain || lookAgain.some(({ because }) => because === 'one-way' || because === 'direction'))
      return null;
    links.push({ link: { a: Math.min(a, b), b: Math.max(a, b), reading, by }, joins: says === 'joins' });
  }
  return links;
}

/** null where it stands on more than plain pairs of one kind. */
function groundOf(settled: Settled): Ground | null {
  const known = grounds.get(settled);
  if (known !== undefined) return known;
  const { joins, opens, terminals, facts } = settled;
  const links = [...joins, ...opens];
  const by = links[0]?.by ?? null;
  const plain = links.every((link) => link.by === by && !link.clips) && !facts.includes(ASSUMED_APART);
  let ground: Ground | null = null;
  if (plain) {
    const measured = new Uint8Array(terminals.length ** 2);
    for (const { a, b } of links) measured[a * terminals.length + b] = 1;
    ground = { by, measured };
  }
  grounds.set(settled, ground);
  return ground;
}
