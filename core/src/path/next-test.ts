import type { LinkId } from '../switch/index.js';
import type { PathLink } from '../log/index.js';
import { costOf, inSeries, needsFlexing, testedAlone } from './link-cost.js';
import { pathVerdict, type PathVerdict, type SupplyPath } from './verdict.js';

/** A test worth doing next. */
export interface ProposedTest {
  /** Links in a row, tested from the one end to the other. */
  links: LinkId[];
  minutes: number;
  /** Chance that it passes, as far as the usual chances go. */
  passes: number;
  /** Bits about where the fault is that one minute of it brings. */
  bitsPerMinute: number;
  flex: boolean;
}

const READ_MINUTES = 0.5;
const FLEX_MINUTES = 0.5;
/** A place that was reached before. */
const AGAIN_MINUTES = 0.1;
/** Weight of 'nothing in this path is wrong', beside the chances of the links, until something has failed. */
const NOTHING_WRONG = 10;
/** What is left of the suspicion against a cord that passed at rest. */
const AT_REST_SHARE = 0.25;

/**
 * The stretch whose test splits the remaining suspects best for the least work: most bits per minute, one fault
 * assumed (binary search with unequal chances and costs; information as Shannon defines it), in the shortest stretch
 * that failed if there is one. Null when nothing is left to split. When the fault is elsewhere and the switch was never tested, the switch alone is proposed.
 */
export function nextTest(path: SupplyPath, verdict: PathVerdict = pathVerdict(path)): ProposedTest | null {
  const series = path.links.filter(({ kind }) => inSeries(kind));
  if (verdict.suspects.length === 0) return clearTheSwitch(path, series, verdict);
  const [stretch = verdict.suspects] = verdict.stretches;
  const weights = weightsOf(series, stretch, verdict);
  const spare = verdict.stretches.length > 0 ? 0 : NOTHING_WRONG;
  const done = doneOf(path, series, weights);
  const total = weights.reduce((sum, weight) => sum + weight, spare);
  let best: ProposedTest | null = null;
  for (let from = 0; from < series.length; from += 1) {
    let inside = 0;
    for (let to = from; to < series.length; to += 1) {
      const alone = series.slice(from, to + 1).some(({ kind }) => testedAlone(kind));
      if (alone && to > from) break;
      inside += weights[to] ?? 0;
      const passes = 1 - inside / total;
      if (inside === 0 || passes <= 1e-12) continue;
      const test = priced(path, series, from, to, passes);
      const better = test.bitsPerMinute > (best?.bitsPerMinute ?? 0) + 1e-12;
      if (better && !done.has(suspectsAmong(series, weights, test.links))) best = test;
    }
  }
  return best;
}

/** The suspects that a stretch takes in: two stretches that take in the same ones say the same. */
function suspectsAmong(
  series: readonly PathLink[],
  weights: readonly number[],
  links: readonly LinkId[],
): string {
  return series
    .flatMap(({ id }, place) => ((weights[place] ?? 0) > 0 && links.includes(id) ? [id] : []))
    .join();
}

/** What need not be tested again; a test at rest of what has to be flexed is not one of them. */
function doneOf({ tests }: SupplyPath, series: readonly PathLink[], weights: readonly number[]): Set<string> {
  const limp = new Set(series.filter(({ kind }) => needsFlexing(kind)).map(({ id }) => id));
  const whole = tests.filter(({ links, flexed }) => flexed || !links.some((id) => limp.has(id)));
  return new Set(whole.map(({ links }) => suspectsAmong(series, weights, links)));
}

function clearTheSwitch(
  path: SupplyPath,
  series: readonly PathLink[],
  { states }: PathVerdict,
): ProposedTest | null {
  const place = series.findIndex(({ id, kind }) => kind === 'switch' && states.get(id) === 'not-tested');
  return place < 0 ? null : priced(path, series, place, place, 0.5);
}

function weightsOf(
  series: readonly PathLink[],
  stretch: readonly LinkId[],
  { states }: PathVerdict,
): number[] {
  const open = new Set(stretch);
  return series.map(({ id, kind }) =>
    open.has(id) ? costOf(kind).chance * (states.get(id) === 'at-rest' ? AT_REST_SHARE : 1) : 0,
  );
}

function priced(
  path: SupplyPath,
  series: readonly PathLink[],
  from: number,
  to: number,
  passes: number,
): ProposedTest {
  const links = series.slice(from, to + 1);
  const flex = links.some(({ kind }) => needsFlexing(kind));
  const minutes =
    reach(path, series, from) + reach(path, series, to + 1) + READ_MINUTES + (flex ? FLEX_MINUTES : 0);
  return {
    links: links.map(({ id }) => id),
    minutes,
    passes,
    bitsPerMinute: entropy(passes) / minutes,
    flex,
  };
}

/** Minutes to get a probe between link `at - 1` and link `at`. */
function reach({ tests }: SupplyPath, series: readonly PathLink[], at: number): number {
  const [before, after] = [series[at - 1], series[at]];
  const reached = tests.some(({ links }) => {
    const ends = [links[0], links.at(-1)];
    return (after && ends[0] === after.id) || (before && ends[1] === before.id);
  });
  if (reached) return AGAIN_MINUTES;
  return Math.min(...[before, after].flatMap((link) => (link ? [costOf(link.kind).reach] : [])));
}

/** Shannon's entropy of a yes or no, in bits. */
function entropy(chance: number): number {
  if (chance <= 0 || chance >= 1) return 0;
  return -chance * Math.log2(chance) - (1 - chance) * Math.log2(1 - chance);
}
