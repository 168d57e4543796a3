import { partitionOf, type Partition } from '../partition/index.js';
import { looksAgain, type Evidence } from '../sense/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import { findContradictions, type Contradiction } from './contradiction.js';
import { DISPUTED, known, UNKNOWN, type Fact } from './fact.js';
import type { Link } from './link.js';

/** A pair of terminals whose reading decides nothing yet. */
export interface LookAgain {
  a: number;
  b: number;
  because: 'middle' | 'unsteady' | 'one-way';
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
  /** Evidence not in dispute, in reading order. */
  joins: Link[];
  opens: Link[];
  contradictions: Contradiction[];
  lookAgain: LookAgain[];
  /** Evidence that this engine keeps and does not use: bundles, closed readings in circuit. */
  unused: ReadingId[];
  /** Pairs that closed with the wires on, which proves nothing. */
  inCircuit: { a: number; b: number }[];
}

/** The fact about two terminals, by place. */
export function factAt(settled: Settled, a: number, b: number): Fact {
  return settled.facts[a * settled.terminals.length + b] ?? UNKNOWN;
}

/**
 * Settles one setting from its evidence. Low-joined terminals form an equivalence relation; what parts, parts the
 * whole nets. Disputed is every fact that cannot be derived without a suspect; what follows from the rest stands.
 */
export function settle(
  setting: SettingId,
  terminals: TerminalId[],
  evidence: readonly Evidence[],
  explained: ReadonlySet<ReadingId> = new Set(),
): Settled {
  const place = new Map(terminals.map((id, index) => [id, index]));
  const sorted = sortEvidence(evidence, place, explained);
  const contradictions = findContradictions(terminals.length, sorted.joins, sorted.opens);
  const suspect = new Set(contradictions.flatMap(({ opens, joins }) => [...opens, ...joins]));
  const trusted = (links: Link[]) => links.filter(({ reading }) => !suspect.has(reading));
  const [joins, opens] = [trusted(sorted.joins), trusted(sorted.opens)];
  const nets = netsOf(terminals.length, joins);
  const facts = decideFacts(terminals.length, { joins, opens, nets }, sorted);
  const { lookAgain, unused, inCircuit } = sorted;
  return { setting, terminals, facts, nets, joins, opens, contradictions, lookAgain, unused, inCircuit };
}

function netsOf(size: number, links: readonly Link[]): Partition {
  return partitionOf(
    size,
    links.map(({ a, b }) => [a, b] as const),
  );
}

interface Sorted {
  joins: Link[];
  opens: Link[];
  lookAgain: LookAgain[];
  unused: ReadingId[];
  inCircuit: { a: number; b: number }[];
}

function sortEvidence(
  evidence: readonly Evidence[],
  place: ReadonlyMap<TerminalId, number>,
  explained: ReadonlySet<ReadingId>,
): Sorted {
  const sorted: Sorted = { joins: [], opens: [], lookAgain: [], unused: [], inCircuit: [] };
  const oneWay = findOneWay(evidence);
  for (const item of evidence) {
    const a = place.get(item.red[0] as TerminalId);
    const b = place.get(item.black[0] as TerminalId);
    const isPair = item.red.length === 1 && item.black.length === 1;
    if (!isPair || a === undefined || b === undefined || a === b) {
      sorted.unused.push(item.reading);
      continue;
    }
    const link: Link = { a: Math.min(a, b), b: Math.max(a, b), reading: item.reading, by: item.by };
    if (oneWay.has(item.reading)) noteLookAgain(sorted.lookAgain, link, 'one-way');
    else if (looksAgain(item)) {
      const because = item.because === 'unsteady' ? 'unsteady' : 'middle';
      if (!explained.has(item.reading)) noteLookAgain(sorted.lookAgain, link, because);
    } else if (item.says === 'joins') sorted.joins.push(link);
    else if (item.says === 'parts') sorted.opens.push(link);
    else {
      sorted.unused.push(item.reading);
      if (item.because === 'in-circuit') sorted.inCircuit.push({ a: link.a, b: link.b });
    }
  }
  return sorted;
}

function noteLookAgain(list: LookAgain[], { a, b, reading }: Link, because: LookAgain['because']): void {
  const noted = list.find((item) => item.a === a && item.b === b && item.because === because);
  if (noted) noted.readings.push(reading);
  else list.push({ a, b, because, readings: [reading] });
}

/** Low one way and none with the leads swapped, in ohms: a diode or electronics; neither joins nor parts. */
function findOneWay(evidence: readonly Evidence[]): Set<ReadingId> {
  const ways = new Map<string, Evidence[]>();
  for (const item of evidence) {
    if (item.by !== 'ohms' || item.says === 'nothing') continue;
    const way = `${item.red.join()}>${item.black.join()}`;
    const same = ways.get(way);
    if (same) same.push(item);
    else ways.set(way, [item]);
  }
  const found = new Set<ReadingId>();
  for (const [way, there] of ways) {
    const [red, black] = way.split('>') as [string, string];
    const back = ways.get(`${black}>${red}`);
    if (
      !back ||
      !there.every(({ says }) => says === 'joins') ||
      !back.every(({ says }) => says === 'parts')
    ) {
      continue;
    }
    for (const { reading } of [...there, ...back]) found.add(reading);
  }
  return found;
}

function decideFacts(
  size: number,
  trusted: { joins: Link[]; opens: Link[]; nets: Partition },
  all: { joins: Link[]; opens: Link[] },
): Fact[] {
  const cell = (a: number, b: number) => a * size + b;
  const { nets } = trusted;
  const ohmNets = netsOf(
    size,
    trusted.joins.filter(({ by }) => by === 'ohms'),
  );
  const allNets = netsOf(size, all.joins);
  const apart = apartCells(size, nets, trusted.opens);
  const apartByOhms = apartCells(
    size,
    nets,
    trusted.opens.filter(({ by }) => by === 'ohms'),
  );
  const maybeApart = apartCells(size, allNets, all.opens);
  const measured = new Set([...trusted.joins, ...trusted.opens].map(({ a, b }) => cell(a, b)));
  const facts = new Array<Fact>(size * size).fill(UNKNOWN);
  for (let a = 0; a < size; a += 1) {
    facts[cell(a, a)] = known(false, true, false);
    for (let b = a + 1; b < size; b += 1) {
      const direct = measured.has(cell(a, b));
      const [netA, netB] = [nets[a] as number, nets[b] as number];
      const [allA, allB] = [allNets[a] as number, allNets[b] as number];
      let fact = UNKNOWN;
      if (netA === netB) fact = known(direct, true, ohmNets[a] !== ohmNets[b]);
      else if (apart.has(cell(netA, netB))) fact = known(direct, false, !apartByOhms.has(cell(netA, netB)));
      else if (allA === allB || maybeApart.has(cell(allA, allB))) fact = DISPUTED;
      facts[cell(a, b)] = facts[cell(b, a)] = fact;
    }
  }
  return facts;
}

/** Cells of net pairs (by smallest members, both ways round) that an open holds apart. */
function apartCells(size: number, nets: Partition, opens: readonly Link[]): Set<number> {
  const cells = new Set<number>();
  for (const { a, b } of opens) {
    const [netA, netB] = [nets[a] as number, nets[b] as number];
    cells.add(netA * size + netB).add(netB * size + netA);
  }
  return cells;
}
