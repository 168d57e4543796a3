import { effectiveOhms, type Conducting } from '../network/index.js';
import type { Part, PartForm } from '../log/index.js';
import { partitionOf } from '../partition/index.js';
import type { ReadingEvidence } from '../sense/index.js';
import type { ReadingId, TerminalId } from '../switch/index.js';
import type { Clause } from './net-state.js';
import type { Link } from './link.js';
import type { PartsAt } from './parts-at.js';
import type { Explanations, LookAgain } from './settled.js';
import type { Sorted } from './sort-evidence.js';

/** Parts that read as low as a contact while they are cold or at rest: a lamp of 12 V half an ohm, a winding one (common practice). */
const MAY_READ_LOW: ReadonlySet<PartForm> = new Set(['lamp', 'coil', 'motor', 'resistor']);

/** Beside the meter's own uncertainty: what a part may be off its declared value. */
const OFF_VALUE = 0.05;

/** A part that a person accepted between two terminals, and what it read there. */
export interface LikelyPart {
  ends: readonly [TerminalId, TerminalId];
  ohms: number;
}

/** What was accepted to be a part may read half as much another time: cold, at rest, or turned a little (common practice). */
const MAY_HALVE = 0.5;

interface Declared {
  terminals: readonly TerminalId[];
  likely: readonly LikelyPart[];
  /** Terminals behind which there is a lamp or a coil, as was said: what reads low there may be that. */
  partBehind: ReadonlySet<TerminalId>;
  evidence: ReadonlyMap<ReadingId, ReadingEvidence>;
  explained: Explanations;
  partsAt: PartsAt;
}

/**
 * What parts say of the evidence of a setting, declared ones and those that a person accepted a reading to be: a low reading across one
 * that may read low closes nothing by itself, whichever terminals of its nets it was read at; and a middle reading that is what declared parts and known nets would show is settled by them, and asked no more.
 */
export function settleByParts(sorted: Sorted, declared: Declared): Sorted {
  const { joins, doubtful } = withoutParts(sorted, declared);
  const nets = partitionOf(
    declared.terminals.length,
    joins.map(({ a, b }): [number, number] => [a, b]),
  );
  const known = { ...declared, nets };
  const settled = sorted.lookAgain.filter((item) => isAsDeclared(item, known));
  const opens = settled.flatMap(({ a, b, readings }) =>
    readings.map((reading): Link => ({ a, b, reading, by: 'ohms' })),
  );
  const left = sorted.lookAgain.filter((item) => !settled.includes(item));
  const split = sorted.clauses.filter((clause) => closedByPart(clause, declared));
  return {
    ...sorted,
    joins,
    clauses: sorted.clauses.filter((clause) => !split.includes(clause)),
    unused: [...sorted.unused, ...split.map(({ reading }) => reading)],
    opens: [...sorted.opens, ...opens, ...doubtful.flatMap(({ link, as }) => (as === 'part' ? [link] : []))],
    // What reads between closed and open there is asked first: what it is may settle the low reading too.
    lookAgain: [
      ...left,
      ...notedAgain(doubtful).filter(({ a, b }) => !left.some((one) => one.a === a && one.b === b)),
    ],
  };
}

interface Doubtful {
  link: Link;
  /** What a person accepted it to be. */
  as: 'part' | 'not-known' | null;
}

/** The two ends of a part that may have closed a reading, by place. */
type Ends = readonly [number, number];

/** Parts that may have made a reading low. */
function partsBehind({ terminals, evidence, partsAt, likely }: Declared): (reading: ReadingId) => Ends[] {
  const place = (end: TerminalId) => terminals.indexOf(end);
  return (reading) => {
    const item = evidence.get(reading);
    const declared = partsAt(reading).flatMap((part) => (mayReadLow(part, item) ? [part.terminals] : []));
    const accepted = likely.flatMap(({ ends, ohms }) => (isAsLow(ohms * MAY_HALVE, item) ? [ends] : []));
    return [...declared, ...accepted].map(([one, other]): Ends => [place(one), place(other)]);
  };
}

/** Joins without those that a part may have made. */
function withoutParts(
  { joins: all, lookAgain }: Sorted,
  declared: Declared,
): { joins: Link[]; doubtful: Doubtful[] } {
  const { terminals, explained, partBehind } = declared;
  const endsOf = partsBehind(declared);
  const isNamed = (place: number) => partBehind.has(terminals[place] as TerminalId);
  const doubtful: Doubtful[] = [];
  const keepUnless = (links: readonly Link[], mayBePart: (link: Link) => boolean) =>
    links.filter((link) => {
      const as = explained.get(link.reading);
      if (as === 'contact' || !mayBePart(link)) return true;
      doubtful.push({ link, as: as === undefined ? null : as === 'not-known' ? 'not-known' : 'part' });
      return false;
    });
  // What reads between closed and open elsewhere is no join, whatever the beeper says.
  const isPart = ({ a, b, reading }: Link) =>
    explained.get(reading) === 'part' || lookAgain.some((one) => same(one.a, one.b, a, b));
  const direct = keepUnless(
    all,
    ({ a, b, reading }) =>
      isNamed(a) || isNamed(b) || endsOf(reading).some(([one, other]) => same(a, b, one, other)),
  );
  // Read at another terminal of the same net it is across the part all the same; of two that may be either, neither closes.
  const joins = keepUnless(direct, (link) => {
    const ends = endsOf(link.reading);
    if (ends.length === 0) return false;
    const nets = partitionOf(
      terminals.length,
      direct.flatMap((join): [number, number][] => (join === link || isPart(join) ? [] : [[join.a, join.b]])),
    );
    return ends.some(([one, other]) => same(nets[link.a], nets[link.b], nets[one], nets[other]));
  });
  return { joins, doubtful };
}

/** Whether a low bundle may have been closed by a part: then it says nothing, and has to be split. */
function closedByPart({ red, black, reading }: Clause, declared: Declared): boolean {
  const { terminals, partBehind } = declared;
  const isNamed = (place: number) => partBehind.has(terminals[place] as TerminalId);
  if ([...red, ...black].some(isNamed)) return true;
  return partsBehind(declared)(reading).some(
    ([one, other]) =>
      (red.includes(one) && black.includes(other)) || (red.includes(other) && black.includes(one)),
  );
}

/** Whether two ends are two others, whichever way. */
const same = (a?: number, b?: number, one?: number, other?: number): boolean =>
  (one === a && other === b) || (one === b && other === a);

/** Whether a part may read as low as this: it has no value, or one no higher than what was read. */
function mayReadLow({ form, ohms }: Part, item: ReadingEvidence | undefined): boolean {
  if (!MAY_READ_LOW.has(form)) return false;
  return ohms === null || isAsLow(ohms, item);
}

/** Whether so many ohms may have been read as this. */
function isAsLow(ohms: number, item: ReadingEvidence | undefined): boolean {
  const quantity = item?.quantity;
  // A tone sounds through a part of fewer ohms than the beeper's threshold, and through no other.
  if (!quantity) return item?.by === 'tone' && ohms * (1 - OFF_VALUE) < (item.beepBelow ?? Infinity);
  return ohms * (1 - OFF_VALUE) <= quantity.ohms + 2 * quantity.uncertainty;
}

/** Whether every reading of a pair is what the parts that were on, with the nets that are known, would show. */
function isAsDeclared(
  { a, b, because, readings, left }: LookAgain,
  known: Declared & Pick<Conducting, 'nets'>,
): boolean {
  if (because !== 'middle' || left) return false;
  return readings.every((reading) => {
    const quantity = known.evidence.get(reading)?.quantity;
    const parts = known.partsAt(reading);
    if (!quantity || parts.length === 0) return false;
    const ohms = effectiveOhms({ terminals: known.terminals, nets: known.nets, parts }, a, b);
    if (!Number.isFinite(ohms) || ohms <= 0) return false;
    return Math.abs(quantity.ohms - ohms) <= 2 * quantity.uncertainty + OFF_VALUE * ohms;
  });
}

function notedAgain(doubtful: readonly Doubtful[]): LookAgain[] {
  const noted: LookAgain[] = [];
  for (const { link, as } of doubtful) {
    if (as === 'part') continue;
    const { a, b, reading } = link;
    const before = noted.find((one) => one.a === a && one.b === b);
    const left = as === 'not-known';
    if (before) {
      before.readings.push(reading);
      before.left &&= left;
    } else noted.push({ a, b, because: 'part-or-contact', readings: [reading], left });
  }
  return noted;
}
