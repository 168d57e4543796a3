import { cellOf } from '../partition/index.js';
import type { ReadingEvidence } from '../sense/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import type { ClipsByReading } from './clips.js';
import { findBundleContradictions, findContradictions, type Contradiction } from './contradiction.js';
import { decideFacts, doubtfulPairs } from './decide-facts.js';
import { inferFrom, without, type EvidenceSet } from './evidence-set.js';
import { ASSUMED_APART, DISPUTED, known, UNKNOWN, type Fact } from './fact.js';
import type { Link } from './link.js';
import { canonicalState, emptyState, netsOfState, Steps, TooTangled } from './net-state.js';
import type { Blocks, Explanations, Settled } from './settled.js';
import { NO_PARTS, type PartsAt } from './parts-at.js';
import { settleByParts, type LikelyPart } from './settle-parts.js';
import { sortEvidence } from './sort-evidence.js';

/** What a setting is settled by, besides its evidence. */
export interface SettledBy {
  /** What persons accepted doubtful readings to be. */
  explained?: Explanations;
  /** Blocks that a person assumes not to touch each other: shown as assumed where nothing is known. */
  apart?: readonly Blocks[];
  /** Declared parts that were on at each reading. */
  partsAt?: PartsAt;
  /** Parts that a person accepted readings to be, in any setting. */
  likely?: readonly LikelyPart[];
  /** Terminals behind which a person said that there is a lamp or a coil. */
  partBehind?: ReadonlySet<TerminalId>;
  /** Clips that made no contact: what they parted is not used. */
  silent?: ClipsByReading;
  /** Clips that perhaps made none: what they parted is in dispute. */
  doubted?: ClipsByReading;
}

/**
 * Settles one setting from its evidence. Low-joined terminals form an equivalence relation; what parts, parts the
 * whole nets. Disputed is every fact that cannot be derived without a suspect; what follows from the rest stands.
 */
export function settle(
  setting: SettingId,
  terminals: TerminalId[],
  evidence: readonly ReadingEvidence[],
  by: SettledBy = {},
): Settled {
  const { explained = new Map(), apart = [], partsAt = NO_PARTS, likely = [], silent, doubted } = by;
  const { partBehind = NO_TERMINALS } = by;
  const place = new Map(terminals.map((id, index) => [id, index]));
  const plain = sortEvidence(evidence, place, explained, silent);
  const sorted =
    partsAt === NO_PARTS && likely.length + partBehind.size === 0
      ? plain
      : settleByParts(plain, {
          ...{ terminals, explained, partsAt, likely, partBehind },
          evidence: new Map(evidence.map((item) => [item.reading, item])),
        });
  const size = terminals.length;
  const pairwise = findContradictions(size, sorted.joins, sorted.opens);
  const agreeing = without(sorted, suspectsOf(pairwise));
  const steps = new Steps(MOST_STEPS);
  const { found, tangled } = findBundleContradictions(size, agreeing, steps);
  const contradictions = [...pairwise, ...found];
  const { lookAgain, unused, inCircuit } = sorted;
  const rest = { setting, terminals, contradictions, lookAgain, unused, inCircuit };
  const trusted = withoutDoubted(without(sorted, suspectsOf(contradictions)), terminals, doubted);
  const settled = tangled ? null : settleTrusted(size, trusted, sorted, steps);
  if (!settled) return { ...rest, ...nothingClaimed(size, sorted) };
  for (const blocks of apart) assumeApart(settled.facts, size, blocks, place);
  return { ...rest, ...trusted, ...settled, tangled: false };
}

const NO_TERMINALS: ReadonlySet<TerminalId> = new Set();

/** Steps that one setting may cost, some 0.8 s of work. A ladder of bundles over 36 terminals was seen to take 9 million, over 48 some 20. */
const MOST_STEPS = 60_000_000;

/** What the evidence that is not in dispute gives; null when the steps run out. */
function settleTrusted(
  size: number,
  trusted: EvidenceSet,
  all: EvidenceSet,
  steps: Steps,
): Pick<Settled, 'facts' | 'nets' | 'state'> | null {
  try {
    const inferred = inferFrom(size, trusted, steps);
    if (!inferred) throw new Error('what is left after taking suspects out contradicts itself');
    const state = canonicalState(inferred);
    const nets = netsOfState(state);
    return { facts: decideFacts(size, { ...trusted, nets, state }, all, steps), nets, state };
  } catch (error) {
    if (error instanceof TooTangled) return null;
    throw error;
  }
}

/** A setting that is too tangled: what some reading speaks of is disputed, the rest unknown. */
function nothingClaimed(
  size: number,
  all: EvidenceSet,
): Pick<Settled, 'facts' | 'nets' | 'state' | 'joins' | 'opens' | 'clauses' | 'tangled'> {
  const doubt = doubtfulPairs(size, { joins: [], opens: [], clauses: [] }, all);
  const facts = Array.from({ length: size * size }, (_, cell): Fact => {
    const [a, b] = [Math.floor(cell / size), cell % size];
    if (a === b) return known(false, true, false);
    return doubt.has(a, b) ? DISPUTED : UNKNOWN;
  });
  const state = emptyState(size);
  return { facts, nets: netsOfState(state), state, joins: [], opens: [], clauses: [], tangled: true };
}

/** What is unknown between blocks that are assumed apart is marked so; what a reading says stands. */
function assumeApart(
  facts: Fact[],
  size: number,
  blocks: Blocks,
  place: ReadonlyMap<TerminalId, number>,
): void {
  const blockOf = new Map<number, number>();
  blocks.forEach((block, index) => {
    for (const id of block) blockOf.set(place.get(id) ?? -1, index);
  });
  for (let a = 0; a < size; a += 1)
    for (let b = 0; b < size; b += 1) {
      const [one, other] = [blockOf.get(a), blockOf.get(b)];
      if (one === undefined || other === undefined || one === other) continue;
      const cell = cellOf(size, a, b);
      if (facts[cell] === UNKNOWN) facts[cell] = ASSUMED_APART;
    }
}

/** Without what was parted through a clip that is in doubt. */
function withoutDoubted(
  { joins, opens, clauses }: EvidenceSet,
  terminals: readonly TerminalId[],
  doubted: ClipsByReading = new Map(),
): EvidenceSet {
  const isDoubted = ({ reading, clips = [] }: Link) =>
    clips.some((place) => doubted.get(reading)?.has(terminals[place] as TerminalId) === true);
  return { joins, opens: opens.filter((link) => !isDoubted(link)), clauses };
}

function suspectsOf(contradictions: readonly Contradiction[]): Set<ReadingId> {
  return new Set(contradictions.flatMap(({ opens, joins }) => [...opens, ...joins]));
}
