// The search for a replacement through catalogues of 1,000, 10,000 and 100,000 invented parts.
import { many, sample } from './bench-size.mjs';
import { performance } from 'node:perf_hooks';
import { compilePart, matcherFor, PLAIN_RULES } from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import { inventedParts } from './demo-parts.mjs';
import { bySat } from './sat-match.mjs';

/** Every twelfth part of a small catalogue is looked for: switches of the families that there are. */
const queries = sample(
  inventedParts(360, 99, newIdFrom(seededRandom(5)))
    .filter((_, at) => at % 12 === 5)
    .map((known) => ({
      pattern: patternOfKnown(known),
      terminals: known.terminals.map((_, place) => place),
      known: null,
    })),
  3,
);

const middle = (list) => list.toSorted((one, other) => one - other)[Math.floor(list.length / 2)];

/** Times of every query over a catalogue, and how many answers were undecided. */
function search(catalogue, rules) {
  const times = [];
  const firsts = [];
  let undecided = 0;
  for (const required of queries) {
    const began = performance.now();
    const match = matcherFor(required, rules);
    let first = null;
    for (const { pattern, part } of catalogue) {
      const { kind } = match(pattern, part);
      if (kind === 'undecided') undecided += 1;
      if (first === null && kind === 'same-wiring') first = performance.now() - began;
    }
    times.push(performance.now() - began);
    if (first !== null) firsts.push(first);
  }
  return { times, firsts, undecided: undecided / (queries.length * catalogue.length) };
}

/** Notes what it takes. */
export function benchMatch({ note, atMost, round }) {
  const medians = [];
  for (const [count, most] of [[1000, null], [10_000, 100], ...many([], [[100_000, 1000]])]) {
    const began = performance.now();
    const catalogue = inventedParts(count, 7, newIdFrom(seededRandom(1))).map((known) => {
      const pattern = patternOfKnown(known);
      return { pattern, part: compilePart(pattern) };
    });
    const made = performance.now() - began;
    const area = `match ${count}`;
    note(area, 'patterns that differ in making', new Set(catalogue.map(({ part }) => part.making)).size, '');
    note(area, 'ms to make ready, a part', round(made / count), 'ms');
    const { times, firsts, undecided } = search(catalogue, PLAIN_RULES);
    medians.push(middle(times));
    if (most === null) note(area, 'a query, median', round(middle(times)), 'ms');
    else atMost(area, 'a query without junctions, contiguous, median', round(middle(times)), 'ms', most);
    if (count === 10_000) {
      atMost(area, 'a query without junctions, worst', round(Math.max(...times)), 'ms', 1000);
      atMost(area, 'undecided, share', round(undecided, 5), 'ratio', 0.001);
      note(area, 'first answer, median', round(middle(firsts)), 'ms');
      const loose = search(catalogue, { ...PLAIN_RULES, jumpers: 2, gaps: true, nodes: 8000 });
      atMost(area, 'with gaps and 2 junctions, median', round(middle(loose.times)), 'ms', 1500);
      note(area, 'with gaps and 2 junctions, worst', round(Math.max(...loose.times)), 'ms');
      note(area, 'with gaps and 2 junctions, undecided, share', round(loose.undecided, 5), 'ratio');
      atMost(area, 'heap in use afterwards', round(process.memoryUsage().heapUsed / 1e6), 'MB', 500);
    }
  }
  againstSat({ note, round });
  const largest = many('10,000', '100,000');
  note('match', `a query, ${largest} / 1,000 parts`, round(medians.at(-1) / medians[0]), 'ratio');
}

/** The same small work by a general SAT solver: how much longer it takes, and whether it ever answers otherwise. */
function againstSat({ note, round }) {
  const small = queries
    .filter(({ terminals, pattern }) => terminals.length <= 8 && pattern.length <= 4)
    .slice(0, 10);
  const parts = inventedParts(120, 17, newIdFrom(seededRandom(3)))
    .map(patternOfKnown)
    .filter((pattern) => pattern[0].length <= 10);
  const timed = (run) => {
    const began = performance.now();
    const answers = small.map((required) => {
      const of = run(required);
      return parts.map((part) => of(part));
    });
    return { answers, ms: performance.now() - began };
  };
  const ours = timed((required) => {
    // Each part by itself: nothing is kept from one to the next.
    return (part) => 'terminals' in matcherFor(required, PLAIN_RULES)(part);
  });
  const theirs = timed((required) => (part) => bySat(required, part));
  const otherwise = small.flatMap((_, query) =>
    parts.filter((_, at) => ours.answers[query][at] !== theirs.answers[query][at]),
  );
  note('match', 'a SAT solver on the same small work / this search', round(theirs.ms / ours.ms), 'ratio');
  note(
    'match',
    `answers that differ from the SAT solver’s, of ${small.length * parts.length}`,
    otherwise.length,
    '',
  );
}
