import type { MatchAnswer, MatchedEntry, MatchQuestion } from '@which-way/contract';
import {
  againstLaying,
  compareRanks,
  differencesOf,
  isTrueMatch,
  matcherFor,
  lossesOf,
  nearMissesFor,
  PLAIN_RULES,
  rankOf,
  type ReadyPart,
  type Requirement,
} from '@which-way/core/match';
import { patternOfKnown, type Pattern } from '@which-way/core/partition';
import type { KnownSwitch } from '@which-way/core/switch';
import type { LibraryShelf } from './library-shelf.js';
import type { ReadyLibrary } from './ready-library.js';

/** Entries looked at between two looks at whether the search is still wanted. */
const STRETCH = 200;
/** Of those that match, so many are told while it is looked on. */
const TOLD_SO_FAR = 20;
/** Steps of the search for one part, where junctions or gaps are allowed. */
const NODES = 8000;
/** Of so many that do it is told which they are, so that it can be said how many come and go when something is asked otherwise. */
const DOES = 2000;
const ID_END = 12;
/** So often at most it is told what was found so far. */
const PACE_MS = 250;

/** Hears what was found so far, best first. */
export type MatchHeard = (soFar: MatchAnswer) => unknown;

/** Looks through the library for what does what is required. The same wiring is compared once, however many have it. */
export async function matchLibrary(
  shelf: LibraryShelf,
  library: ReadyLibrary,
  question: MatchQuestion,
  flag: SharedArrayBuffer,
  heard: MatchHeard,
): Promise<MatchAnswer> {
  const stop = new Int32Array(flag);
  const { terminals, pattern, words } = question;
  const sought = { terminals: terminals.length, positions: pattern.length, words };
  const search = new Search(question, shelf.countEntries(words));
  search.add(shelf.tooSmall(sought, question.told).map((entry) => search.look(entry)));
  let [after, told] = [0, performance.now()];
  while (Atomics.load(stop, 0) === 0) {
    const stretch = library.stretch(shelf, sought, after, STRETCH);
    const first = search.isEmpty;
    for (const { row, entry, pattern: nets, part } of stretch) {
      after = row;
      if (Atomics.load(stop, 0) !== 0) break;
      search.count(search.look(entry, nets, part));
    }
    search.trim();
    if (stretch.length < STRETCH) break;
    const now = performance.now();
    // The very first that does is told at once, the others now and then.
    if ((first && !search.isEmpty) || now - told > PACE_MS) {
      told = now;
      void heard(search.soFar());
    }
    await new Promise((resolve) => setImmediate(resolve));
  }
  return search.answer(() => Atomics.load(stop, 0) === 0);
}

/** One way to do what is asked. */
interface Way {
  required: Requirement;
  match: ReturnType<typeof matcherFor>;
}

/** One search: what was found so far, and how it is compared. */
class Search {
  /** Each is enough: the first that does is told. */
  readonly #ways: Way[];
  readonly #rules: typeof PLAIN_RULES & { spares: boolean };
  readonly #counts: MatchAnswer['counts'] = { 'same-wiring': 0, 'fits-so-far': 0, no: 0, undecided: 0 };
  readonly #does: string[] = [];
  /** Those that were told. */
  readonly #told = new Set<string>();
  #candidates: MatchedEntry[] = [];
  #looked = 0;

  constructor(
    private readonly question: MatchQuestion,
    private readonly all: number,
  ) {
    const { pattern, free, also, terminals, known, never, rules } = question;
    const { jumpers, gaps, spares } = rules;
    const plain = jumpers === 0 && !gaps;
    this.#rules = { ...PLAIN_RULES, jumpers, gaps, spares, ...(!plain && { nodes: NODES }) };
    this.#ways = [{ pattern, free }, ...also].map((way) => {
      const required: Requirement = {
        pattern: way.pattern,
        terminals,
        known: known && Uint32Array.from(known),
        never,
        ...(way.free && { free: Uint32Array.from(way.free) }),
      };
      return { required, match: matcherFor(required, this.#rules) };
    });
  }

  /** Whether nothing that does was found yet. */
  get isEmpty(): boolean {
    return this.#does.length === 0;
  }

  look(entry: KnownSwitch, pattern = patternOfKnown(entry), part?: ReadyPart): MatchedEntry {
    const first = this.#lookAt(0, entry, pattern, part);
    for (let way = 1; way < this.#ways.length && first.result.kind === 'no'; way += 1) {
      const other = this.#lookAt(way, entry, pattern, part);
      if (other.result.kind !== 'no') return other;
    }
    return first;
  }

  #lookAt(way: number, known: KnownSwitch, pattern: Pattern, part: ReadyPart | undefined): MatchedEntry {
    const { subject, never, rules } = this.question;
    const { required, match } = this.#ways[way] as Way;
    const of = (result: MatchedEntry['result']) =>
      'terminals' in result ? differencesOf(subject, required, never, known, result) : [];
    const result = match(pattern, part, (laid) => againstLaying(of(laid)));
    const differences = of(result);
    const springs = differences.some(({ code }) => code === 'spring-lost' || code === 'spring-gained');
    if (rules.returns && springs)
      return {
        known,
        differences: lossesOf(subject, required, known, null),
        near: null,
        way,
        result: { kind: 'no', because: 'returns', needed: subject.positions.length, has: pattern.length },
      };
    return { known, result, differences, near: null, way };
  }

  add(found: readonly MatchedEntry[]): void {
    this.#candidates.push(...found);
  }

  count(found: MatchedEntry): void {
    this.#counts[found.result.kind] += 1;
    this.#looked += 1;
    this.#candidates.push(found);
    if (found.result.kind !== 'no' && this.#does.length < DOES)
      this.#does.push(found.known.id.slice(-ID_END));
  }

  trim(): void {
    this.#candidates = bestOf(this.#candidates, this.question.told);
  }

  soFar(): MatchAnswer {
    const best = this.#candidates.filter(({ result }) => result.kind !== 'no').slice(0, TOLD_SO_FAR);
    return { ...this.#line(best), counts: this.#counts, does: [], done: false };
  }

  /** A line with a list: of those that were told before only where they stand. */
  #line(list: readonly MatchedEntry[]): Pick<MatchAnswer, 'fresh' | 'order' | 'looked' | 'all'> {
    const fresh = list.filter(({ known }) => !this.#told.has(known.id)).map((one) => this.#checked(one));
    for (const { known } of fresh) this.#told.add(known.id);
    return { fresh, order: list.map(({ known }) => known.id), looked: this.#looked, all: this.all };
  }

  /** All of it; those that were ruled out by little say by what, as long as somebody waits. */
  answer(wanted: () => boolean): MatchAnswer {
    this.trim();
    const near = nearMissesFor((this.#ways[0] as Way).required, { ...this.#rules, nodes: NODES });
    const list = this.#candidates.map((one) => {
      if (one.result.kind !== 'no' || !wanted()) return one;
      const checked = this.#checked(one);
      const missed = near(patternOfKnown(checked.known));
      const { required } = this.#ways[checked.way] as Way;
      const differences = lossesOf(this.question.subject, required, checked.known, missed);
      return { ...checked, differences, near: missed };
    });
    const counts = { ...this.#counts, no: this.#counts.no + this.all - this.#looked };
    return { ...this.#line(list), counts, does: this.#does, done: true };
  }

  /** No answer is shown that was not looked at anew. */
  #checked(one: MatchedEntry): MatchedEntry {
    return isTrueMatch((this.#ways[one.way] as Way).required, patternOfKnown(one.known), one.result)
      ? one
      : { ...one, result: { kind: 'undecided', because: 'search-cap', steps: 0 }, differences: [] };
  }
}

/** So many of those that may do, and of those that don't, best first. */
function bestOf(candidates: MatchedEntry[], most: number): MatchedEntry[] {
  const sorted = candidates
    .map((one) => ({ one, rank: rankOf(one) }))
    .toSorted((a, b) => compareRanks(a.rank, b.rank))
    .map(({ one }) => one);
  const may = sorted.filter(({ result }) => result.kind !== 'no').slice(0, most);
  const no = sorted.filter(({ result }) => result.kind === 'no').slice(0, most);
  return [...may, ...no];
}
