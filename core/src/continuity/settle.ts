import { partitionOf, type Partition } from '../partition/index.js';
import { looksAgain, type Evidence } from '../sense/index.js';
import type { Explanation } from '../log/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import { findBundleContradictions, findContradictions, type Contradiction } from './contradiction.js';
import { inferFrom, without, type EvidenceSet } from './evidence-set.js';
import {
  areApart,
  canonicalState,
  emptyState,
  netsOfState,
  Steps,
  TooTangled,
  type Clause,
  type NetState,
} from './net-state.js';
import { ASSUMED_APART, DISPUTED, known, UNKNOWN, type Fact } from './fact.js';
import type { Link } from './link.js';

/** A pair of terminals whose reading decides nothing yet. */
export interface LookAgain {
  a: number;
  b: number;
  /** `direction`: closed when the handle comes from one side, open when it comes from the other. */
  because: 'middle' | 'unsteady' | 'one-way' | 'direction';
  readings: ReadingId[];
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
  return settled.facts[a * settled.terminals.length + b] ?? UNKNOWN;
}

/**
 * Settles one setting from its evidence. Low-joined terminals form an equivalence relation; what parts, parts the
 * whole nets. Disputed is every fact that cannot be derived without a suspect; what follows from the rest stands.
 * @param apart blocks that a person assumes not to touch each other: shown as assumed where nothing is known.
 */
export function settle(
  setting: SettingId,
  terminals: TerminalId[],
  evidence: readonly Evidence[],
  explained: Explanations = new Map(),
  apart: readonly Blocks[] = [],
): Settled {
  const place = new Map(terminals.map((id, index) => [id, index]));
  const sorted = sortEvidence(evidence, place, explained);
  const size = terminals.length;
  const pairwise = findContradictions(size, sorted.joins, sorted.opens);
  const agreeing = without(sorted, suspectsOf(pairwise));
  const steps = new Steps(MOST_STEPS);
  const { found, tangled } = findBundleContradictions(size, agreeing, steps);
  const contradictions = [...pairwise, ...found];
  const { lookAgain, unused, inCircuit } = sorted;
  const rest = { setting, terminals, contradictions, lookAgain, unused, inCircuit };
  const trusted = without(sorted, suspectsOf(contradictions));
  const settled = tangled ? null : settleTrusted(size, trusted, sorted, steps);
  if (!settled) return { ...rest, ...nothingClaimed(size, sorted) };
  for (const blocks of apart) assumeApart(settled.facts, size, blocks, place);
  return { ...rest, ...trusted, ...settled, tangled: false };
}

/** Steps that one setting may cost, some 0.8 s of work. A ladder of bundles over 36 terminals was seen to take 9 million, over 48 some 20. */
export const MOST_STEPS = 60_000_000;

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
  const doubt = doubtfulCells(size, { joins: [], opens: [], clauses: [] }, all);
  const facts = Array.from({ length: size * size }, (_, cell): Fact => {
    const [a, b] = [Math.floor(cell / size), cell % size];
    if (a === b) return known(false, true, false);
    return doubt[Math.min(a, b) * size + Math.max(a, b)] === 1 ? DISPUTED : UNKNOWN;
  });
  const state = emptyState(size);
  return { facts, nets: netsOfState(state), state, joins: [], opens: [], clauses: [], tangled: true };
}

/** Readings that decided nothing by themselves, and what a person accepted them to be: the newest of a reading counts. */
export type Explanations = ReadonlyMap<ReadingId, Explanation>;

/** Terminals by blocks of which a person said that no one touches another. */
export type Blocks = readonly (readonly TerminalId[])[];

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
      if (facts[a * size + b] === UNKNOWN) facts[a * size + b] = ASSUMED_APART;
    }
}

function suspectsOf(contradictions: readonly Contradiction[]): Set<ReadingId> {
  return new Set(contradictions.flatMap(({ opens, joins }) => [...opens, ...joins]));
}

function netsOf(size: number, links: readonly Link[]): Partition {
  return partitionOf(
    size,
    links.map(({ a, b }) => [a, b] as const),
  );
}

interface Sorted extends EvidenceSet {
  lookAgain: LookAgain[];
  unused: ReadingId[];
  inCircuit: { a: number; b: number }[];
}

function sortEvidence(
  evidence: readonly Evidence[],
  place: ReadonlyMap<TerminalId, number>,
  explained: Explanations,
): Sorted {
  const sorted: Sorted = { joins: [], opens: [], clauses: [], lookAgain: [], unused: [], inCircuit: [] };
  const pairs: PlacedEvidence[] = [];
  for (const item of evidence) {
    if (item.red.length !== 1 || item.black.length !== 1) {
      sortBundle(sorted, item, place);
      continue;
    }
    const red = place.get(item.red[0] as TerminalId);
    const black = place.get(item.black[0] as TerminalId);
    if (red === undefined || black === undefined || red === black) sorted.unused.push(item.reading);
    else pairs.push({ item, red, black });
  }
  const oneWay = findOneWay(pairs, place.size);
  const bySide = findDirection(pairs, place.size);
  const throughParts = findSoundsThrough(pairs, place.size, explained);
  for (const { item, red, black } of pairs) {
    const { reading, by, says } = item;
    const link: Link = { a: Math.min(red, black), b: Math.max(red, black), reading, by };
    const looks = bySide.has(reading)
      ? 'direction'
      : oneWay.has(reading)
        ? 'one-way'
        : looksAgain(item)
          ? lookReason(item)
          : null;
    const as = explained.get(reading);
    if (throughParts.has(reading)) {
      sorted.unused.push(reading);
      continue;
    }
    if (looks && as === undefined) noteLookAgain(sorted.lookAgain, link, looks);
    // What conducts without a contact parts the terminals as far as the pattern goes; a bad contact joins them.
    else if (looks) (as === 'contact' ? sorted.joins : sorted.opens).push(link);
    else if (says === 'joins') sorted.joins.push(link);
    else if (says === 'parts') sorted.opens.push(link);
    else {
      sorted.unused.push(reading);
      if (item.because === 'in-circuit') sorted.inCircuit.push({ a: link.a, b: link.b });
    }
  }
  return sorted;
}

const lookReason = ({ because }: Evidence): LookAgain['because'] =>
  because === 'unsteady' ? 'unsteady' : 'middle';

/** A reading between two single terminals, by their places. */
interface PlacedEvidence {
  item: Evidence;
  red: number;
  black: number;
}

/**
 * A bundle with nothing else tied: open parts every net that meets the one side from every net that meets the other;
 * low says that some net meets both. Between the two it decides nothing and blocks nothing: it has to be split.
 */
function sortBundle(sorted: Sorted, item: Evidence, place: ReadonlyMap<TerminalId, number>): void {
  const sideOf = (lead: readonly TerminalId[]) => lead.flatMap((id) => place.get(id) ?? []);
  const [red, black] = [sideOf(item.red), sideOf(item.black)];
  const whole = red.length === item.red.length && black.length === item.black.length;
  const tied = red.some((one) => black.includes(one));
  const { reading, by, says } = item;
  if (!whole || tied || red.length === 0 || black.length === 0 || says === 'nothing')
    sorted.unused.push(reading);
  else if (says === 'joins') sorted.clauses.push({ red, black, reading, by });
  else {
    for (const one of red)
      for (const other of black)
        sorted.opens.push({ a: Math.min(one, other), b: Math.max(one, other), reading, by, bundle: true });
  }
}

function noteLookAgain(list: LookAgain[], { a, b, reading }: Link, because: LookAgain['because']): void {
  const noted = list.find((item) => item.a === a && item.b === b && item.because === because);
  if (noted) noted.readings.push(reading);
  else list.push({ a, b, because, readings: [reading] });
}

const NOBODY: ReadonlySet<ReadingId> = new Set();

/** Low one way and none with the leads swapped, in ohms: a diode or electronics; neither joins nor parts. */
function findOneWay(pairs: readonly PlacedEvidence[], size: number): ReadonlySet<ReadingId> {
  const low = new Map<number, { readings: ReadingId[]; back: ReadingId[]; spoilt: boolean }>();
  for (const { item, red, black } of pairs) {
    if (item.by !== 'ohms' || item.says !== 'joins') continue;
    const known = low.get(red * size + black);
    if (known) known.readings.push(item.reading);
    else low.set(red * size + black, { readings: [item.reading], back: [], spoilt: false });
  }
  if (low.size === 0) return NOBODY;
  for (const { item, red, black } of pairs) {
    if (item.by !== 'ohms' || item.says !== 'parts') continue;
    const same = low.get(red * size + black);
    if (same) same.spoilt = true;
    low.get(black * size + red)?.back.push(item.reading);
  }
  const found = new Set<ReadingId>();
  for (const [way, { readings, back, spoilt }] of low) {
    const bothLow = low.has((way % size) * size + Math.floor(way / size));
    if (spoilt || bothLow || back.length === 0) continue;
    for (const reading of [...readings, ...back]) found.add(reading);
  }
  return found;
}

/**
 * Tones between terminals of which an ohm reading is accepted to be a part, a leak or a potentiometer: a beeper sounds through
 * low ohms, so such a tone says nothing beyond it.
 */
function findSoundsThrough(
  pairs: readonly PlacedEvidence[],
  size: number,
  explained: Explanations,
): ReadonlySet<ReadingId> {
  if (explained.size === 0) return NOBODY;
  const cellOf = ({ red, black }: PlacedEvidence) => Math.min(red, black) * size + Math.max(red, black);
  const conducts = new Set(
    pairs.flatMap((pair) => {
      const as = explained.get(pair.item.reading);
      return as !== undefined && as !== 'contact' ? [cellOf(pair)] : [];
    }),
  );
  return new Set(
    pairs.flatMap((pair) =>
      pair.item.because === 'sounded' && conducts.has(cellOf(pair)) ? [pair.item.reading] : [],
    ),
  );
}

/** Closed when the handle comes from one side, open from the other: a worn detent or contact; neither joins nor parts. */
function findDirection(pairs: readonly PlacedEvidence[], size: number): ReadonlySet<ReadingId> {
  if (!pairs.some(({ item }) => item.fromOtherSide)) return NOBODY;
  const read = new Map<number, { says: Set<string>[]; readings: ReadingId[] }>();
  for (const { item, red, black } of pairs) {
    if (item.says === 'nothing') continue;
    const cell = Math.min(red, black) * size + Math.max(red, black);
    const known = read.get(cell) ?? { says: [new Set<string>(), new Set<string>()], readings: [] };
    known.says[item.fromOtherSide ? 1 : 0]?.add(item.says);
    known.readings.push(item.reading);
    read.set(cell, known);
  }
  const found = new Set<ReadingId>();
  for (const { says, readings } of read.values()) {
    const [usual, other] = says.map((said) => (said.size === 1 ? [...said][0] : null));
    if (usual && other && usual !== other) for (const reading of readings) found.add(reading);
  }
  return found;
}

function decideFacts(
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
  const doubt = disputing ? doubtfulCells(size, trusted, all) : null;
  const measured = new Uint8Array(size * size);
  for (const { a, b } of trusted.joins) measured[a * size + b] = 1;
  for (const { a, b, bundle } of trusted.opens) if (!bundle) measured[a * size + b] = 1;
  const facts = new Array<Fact>(size * size).fill(UNKNOWN);
  const itself = known(false, true, false);
  for (let a = 0; a < size; a += 1) {
    facts[a * size + a] = itself;
    for (let b = a + 1; b < size; b += 1) {
      const cell = a * size + b;
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      let fact = UNKNOWN;
      if (netA === netB) fact = known(measured[cell] === 1, true, !ohms.joined(a, b));
      else if (state.apart[netA * size + netB] === 1)
        fact = known(measured[cell] === 1, false, !ohms.parted(a, b));
      else if (doubt?.[cell] === 1) fact = DISPUTED;
      facts[cell] = facts[b * size + a] = fact;
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
  const apart = apartCells(size, nets, measured.opens);
  return {
    joined: (a: number, b: number) => closedNets !== null && closedNets[a] === closedNets[b],
    parted: (a: number, b: number) =>
      apart[(nets[a] as number) * size + (nets[b] as number)] === 1 ||
      (closed !== null && areApart(closed, a, b)),
  };
}

/** Pairs that some evidence in dispute speaks of: joined or held apart by all evidence together, or in a low bundle. */
function doubtfulCells(size: number, trusted: EvidenceSet, all: EvidenceSet): Uint8Array {
  const cells = new Uint8Array(size * size);
  const nets = netsOf(size, all.joins);
  const apart = apartCells(size, nets, all.opens);
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) {
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      if (netA === netB || apart[netA * size + netB] === 1) cells[a * size + b] = 1;
    }
  const kept = new Set(trusted.clauses.map(({ reading }) => reading));
  for (const { reading, red, black } of all.clauses) {
    if (kept.has(reading)) continue;
    for (const one of red)
      for (const other of black) cells[Math.min(one, other) * size + Math.max(one, other)] = 1;
  }
  return cells;
}

/** Cells of net pairs (by smallest members, both ways round) that an open holds apart. */
function apartCells(size: number, nets: Partition, opens: readonly Link[]): Uint8Array {
  const cells = new Uint8Array(size * size);
  for (const { a, b } of opens) {
    const [netA, netB] = [nets[a] as number, nets[b] as number];
    cells[netA * size + netB] = cells[netB * size + netA] = 1;
  }
  return cells;
}
