import { effectiveOhms, type Conducting } from '../network/index.js';
import type { Part, PartForm } from '../log/index.js';
import { partitionOf } from '../partition/index.js';
import type { ReadingEvidence } from '../sense/index.js';
import type { ReadingId, TerminalId } from '../switch/index.js';
import type { Link } from './link.js';
import type { PartsAt } from './parts-at.js';
import type { Explanations, LookAgain } from './settled.js';
import type { Sorted } from './sort-evidence.js';

/** Parts that read as low as a contact while they are cold or at rest: a lamp of 12 V half an ohm, a winding one (common practice). */
const MAY_READ_LOW: ReadonlySet<PartForm> = new Set(['lamp', 'coil', 'motor', 'resistor']);

/** Beside the meter's own uncertainty: what a part may be off its declared value. */
const OFF_VALUE = 0.05;

interface Declared {
  terminals: readonly TerminalId[];
  evidence: ReadonlyMap<ReadingId, ReadingEvidence>;
  explained: Explanations;
  partsAt: PartsAt;
}

/**
 * What declared parts say of the evidence of a setting: a low reading across one that may read low closes nothing by itself, and a middle
 * reading that is what declared parts and known nets would show is settled by them, and asked no more.
 */
export function settleByParts(sorted: Sorted, declared: Declared): Sorted {
  const { joins, doubtful } = withoutParts(sorted.joins, declared);
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
  return {
    ...sorted,
    joins,
    opens: [...sorted.opens, ...opens, ...doubtful.flatMap(({ link, as }) => (as === 'part' ? [link] : []))],
    lookAgain: [...left, ...notedAgain(doubtful)],
  };
}

interface Doubtful {
  link: Link;
  /** What a person accepted it to be. */
  as: 'part' | 'not-known' | null;
}

/** Joins without those that a part may have made. */
function withoutParts(
  all: readonly Link[],
  { terminals, evidence, explained, partsAt }: Declared,
): { joins: Link[]; doubtful: Doubtful[] } {
  const doubtful: Doubtful[] = [];
  const joins = all.filter((link) => {
    const item = evidence.get(link.reading);
    const across = partsAt(link.reading).some(
      (part) => mayReadLow(part, item) && isAcross(part, link, terminals),
    );
    const as = explained.get(link.reading);
    if (!across || as === 'contact') return true;
    doubtful.push({ link, as: as === undefined ? null : as === 'not-known' ? 'not-known' : 'part' });
    return false;
  });
  return { joins, doubtful };
}

const isAcross = ({ terminals: ends }: Part, { a, b }: Link, terminals: readonly TerminalId[]): boolean => {
  const [one, other] = [terminals[a], terminals[b]];
  return (ends[0] === one && ends[1] === other) || (ends[0] === other && ends[1] === one);
};

/** Whether a part may read as low as this: it has no value, or one no higher than what was read. */
function mayReadLow({ form, ohms }: Part, item: ReadingEvidence | undefined): boolean {
  if (!MAY_READ_LOW.has(form)) return false;
  if (ohms === null) return true;
  const quantity = item?.quantity;
  // A tone sounds through many ohms: through any such part.
  if (!quantity) return item?.by === 'tone';
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
