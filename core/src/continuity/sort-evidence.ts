import { looksAgain, type ReadingEvidence } from '../sense/index.js';
import type { ReadingId, TerminalId } from '../switch/index.js';
import { clipsOf, type ClipsByReading } from './clips.js';
import type { EvidenceSet } from './evidence-set.js';
import type { Link } from './link.js';
import { findDirection, findOneWay, findSoundsThrough, type PlacedEvidence } from './odd-pairs.js';
import type { Explanations, LookAgain } from './settled.js';

/** Evidence by what it does: joins, parts, has to be looked at again, or is kept and not used. */
export interface Sorted extends EvidenceSet {
  lookAgain: LookAgain[];
  unused: ReadingId[];
  inCircuit: { a: number; b: number }[];
}

/** Sorts the evidence of one setting, in the order in which it came. */
export function sortEvidence(
  evidence: readonly ReadingEvidence[],
  place: ReadonlyMap<TerminalId, number>,
  explained: Explanations,
  silent: ClipsByReading = new Map(),
): Sorted {
  const sorted: Sorted = { joins: [], opens: [], clauses: [], lookAgain: [], unused: [], inCircuit: [] };
  const pairs: PlacedEvidence[] = [];
  for (const item of evidence) {
    if (item.red.length !== 1 || item.black.length !== 1) {
      sortBundle(sorted, item, place, silent.get(item.reading));
      continue;
    }
    const red = place.get(item.red[0] as TerminalId);
    const black = place.get(item.black[0] as TerminalId);
    if (red === undefined || black === undefined || red === black) sorted.unused.push(item.reading);
    else pairs.push({ item, red, black });
  }
  const judge = judgeOf(pairs, place.size, explained);
  for (const pair of pairs) file(sorted, pair, judge(pair));
  return sorted;
}

/** What becomes of a reading between two terminals. */
type Judgement = 'joins' | 'parts' | 'unused' | Pick<LookAgain, 'because' | 'left'>;

/**
 * Judges readings between two terminals. The first rule that speaks of a reading decides:
 * 1. a tone through what is accepted to be a part says nothing;
 * 2. what a person accepted a doubtful reading to be: a bad contact joins, what conducts without a contact parts; what was left
 *    not known stays doubtful;
 * 3. doubtful are, in this order: closed from one side only, low one way only, between the bands, unsteady;
 * 4. what the reading says by itself.
 */
function judgeOf(
  pairs: readonly PlacedEvidence[],
  size: number,
  explained: Explanations,
): (pair: PlacedEvidence) => Judgement {
  const throughParts = findSoundsThrough(pairs, size, explained);
  const bySide = findDirection(pairs, size);
  const oneWay = findOneWay(pairs, size);
  const doubtOf = (item: ReadingEvidence): LookAgain['because'] | null => {
    if (bySide.has(item.reading)) return 'direction';
    if (oneWay.has(item.reading)) return 'one-way';
    return looksAgain(item) ? lookReason(item) : null;
  };
  return ({ item }) => {
    if (throughParts.has(item.reading)) return 'unused';
    const because = doubtOf(item);
    const as = explained.get(item.reading);
    if (because && (as === undefined || as === 'not-known')) return { because, left: as !== undefined };
    if (because) return as === 'contact' ? 'joins' : 'parts';
    return item.says === 'nothing' ? 'unused' : item.says;
  };
}

/** Puts a reading where it belongs. */
function file(sorted: Sorted, { item, red, black }: PlacedEvidence, judgement: Judgement): void {
  const { reading, by, because } = item;
  const link: Link = { a: Math.min(red, black), b: Math.max(red, black), reading, by };
  if (typeof judgement === 'object') noteLookAgain(sorted.lookAgain, link, judgement);
  else if (judgement === 'joins') sorted.joins.push(link);
  else if (judgement === 'parts') sorted.opens.push(link);
  else {
    sorted.unused.push(reading);
    if (because === 'in-circuit') sorted.inCircuit.push({ a: link.a, b: link.b });
  }
}

const lookReason = ({ because }: ReadingEvidence): LookAgain['because'] =>
  because === 'unsteady' ? 'unsteady' : 'middle';

/**
 * A bundle with nothing else tied: open parts every net that meets the one side from every net that meets the other, but for what
 * hung on a clip that made no contact; low says that some net meets both. Between the two it decides nothing and blocks nothing: it
 * has to be split.
 */
function sortBundle(
  sorted: Sorted,
  item: ReadingEvidence,
  place: ReadonlyMap<TerminalId, number>,
  silent: ReadonlySet<TerminalId> = new Set(),
): void {
  const sideOf = (lead: readonly TerminalId[]) => lead.flatMap((id) => place.get(id) ?? []);
  const [red, black] = [sideOf(item.red), sideOf(item.black)];
  const whole = red.length === item.red.length && black.length === item.black.length;
  const tied = red.some((one) => black.includes(one));
  const { reading, by, says } = item;
  if (!whole || tied || red.length === 0 || black.length === 0 || says === 'nothing')
    sorted.unused.push(reading);
  else if (says === 'joins') sorted.clauses.push({ red, black, reading, by });
  else {
    const dead = new Set([...silent].map((id) => place.get(id)));
    const clips = new Set([...clipsOf(item.red), ...clipsOf(item.black)].map((id) => place.get(id)));
    for (const one of red)
      for (const other of black) {
        if (dead.has(one) || dead.has(other)) continue;
        const [a, b] = [Math.min(one, other), Math.max(one, other)];
        sorted.opens.push({ a, b, reading, by, clips: [a, b].filter((end) => clips.has(end)) });
      }
  }
}

function noteLookAgain(
  list: LookAgain[],
  { a, b, reading }: Link,
  { because, left }: Pick<LookAgain, 'because' | 'left'>,
): void {
  const noted = list.find((item) => item.a === a && item.b === b && item.because === because);
  if (!noted) list.push({ a, b, because, readings: [reading], left });
  else {
    noted.readings.push(reading);
    noted.left &&= left;
  }
}
