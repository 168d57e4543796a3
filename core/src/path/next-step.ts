import type { LinkId } from '../switch/index.js';
import type { PathLink, Sign } from '../log/index.js';
import { linkCost, inSeries, needsFlexing, testedAlone } from './link-cost.js';
import { LOOK_MINUTES, isLookedAt, lookShows, signsOf } from './look.js';
import { steeredBy } from './symptom.js';
import { pathVerdict, testsOf as allTestsOf, type PathVerdict, type SupplyPath } from './verdict.js';

interface Worth {
  minutes: number;
  /** Bits about where the fault is that one minute of it brings. */
  bitsPerMinute: number;
}

/** A test worth doing next. */
export interface ProposedTest extends Worth {
  kind: 'test';
  /** Links in a row, tested from the one end to the other. */
  links: LinkId[];
  /** Chance that it passes, as far as the usual chances go. */
  passes: number;
  flex: boolean;
  /** The whole machine at its plug: the first split. */
  whole: boolean;
  /** It beeped by itself before: now it is read. */
  inOhms: boolean;
}

/** A look worth more a minute than any test. */
export interface ProposedLook extends Worth {
  kind: 'look';
  link: LinkId;
  signs: readonly Sign[];
  /** Chance that it shows the fault, as far as the usual chances go. */
  shows: number;
}

/** Nothing is left but to bend what passed at rest. */
export interface OnlyFlexing {
  kind: 'flexing';
  links: LinkId[];
}

export type ProposedStep = ProposedTest | ProposedLook | OnlyFlexing;

const READ_MINUTES = 0.5;
const FLEX_MINUTES = 0.5;
/** A place that was reached before. */
const AGAIN_MINUTES = 0.1;
/** Weight of 'nothing in this path is wrong', beside the chances of the links, until something has failed. */
const NOTHING_WRONG = 10;
/** What is left of the suspicion against a cord that passed at rest. */
const AT_REST_SHARE = 0.25;

/**
 * What splits the remaining suspects best for the least work: a test of a stretch or a look at a link, most bits per minute,
 * one fault assumed (binary search with unequal chances and costs; information as Shannon defines it), in the shortest
 * stretch that failed if there is one. The whole machine at its plug comes first where it can be measured through. Null
 * when nothing is left to split. When the fault is elsewhere and the switch was never tested, the switch alone is proposed.
 */
export function nextStep(path: SupplyPath, verdict: PathVerdict = pathVerdict(path)): ProposedStep | null {
  const search = searchOf(path, verdict);
  if (verdict.suspects.length === 0) return clearTheSwitch(search, verdict);
  const tests = testsOf(search);
  const whole = tests.find((test) => test.whole);
  if (whole && allTestsOf(path).length === 0 && path.looks.length === 0) return whole;
  const best = [...tests, ...looksOf(search)].reduce<ProposedTest | ProposedLook | null>(
    (before, step) => (step.bitsPerMinute > (before?.bitsPerMinute ?? 0) + 1e-12 ? step : before),
    null,
  );
  if (best) return best;
  const alone = clearTheSwitch(search, verdict);
  if (alone) return alone;
  const limp = verdict.suspects.filter((id) => verdict.states.get(id) === 'at-rest');
  return limp.length > 0 ? { kind: 'flexing', links: limp } : null;
}

/** What the search for the next step goes by. */
interface Search {
  path: SupplyPath;
  series: readonly PathLink[];
  /** The suspicion against each link of the series. */
  weights: readonly number[];
  /** The weight of nothing being wrong. */
  spare: number;
}

function searchOf(path: SupplyPath, verdict: PathVerdict): Search {
  const series = path.links.filter(inSeries);
  const [stretch = verdict.suspects] = verdict.stretches;
  const open = new Set(stretch);
  const weights = series.map((link) => (open.has(link.id) ? suspicion(link, path, verdict) : 0));
  return { path, series, weights, spare: verdict.stretches.length > 0 ? 0 : NOTHING_WRONG };
}

function suspicion(link: PathLink, { looks, symptoms }: SupplyPath, { states }: PathVerdict): number {
  const state = states.get(link.id);
  // Only a reading of its own clears a switch that passed by a tone or together with others: it comes when nothing else is left.
  if (state === 'unproved') return 0;
  const passed = state === 'at-rest' ? AT_REST_SHARE : 1;
  const unseen = isLookedAt(link, looks) ? 1 - lookShows(link.kind) : 1;
  return linkCost(link.kind).chance * passed * unseen * steeredBy(symptoms, link.kind);
}

const sum = (weights: readonly number[]): number => weights.reduce((total, weight) => total + weight, 0);

function testsOf(search: Search): ProposedTest[] {
  const { path, series, weights, spare } = search;
  const done = doneOf(path, series, weights);
  const total = sum(weights) + spare;
  const found: ProposedTest[] = [];
  for (let from = 0; from < series.length; from += 1) {
    let inside = 0;
    for (let to = from; to < series.length; to += 1) {
      const alone = series.slice(from, to + 1).some(({ kind }) => testedAlone(kind));
      if (alone && to > from) break;
      inside += weights[to] ?? 0;
      const passes = 1 - inside / total;
      if (inside === 0 || passes <= 1e-12) continue;
      const test = priced(search, from, to, passes);
      if (!done.has(suspectsAmong(series, weights, test.links))) found.push(test);
    }
  }
  return found;
}

/** A look tells for certain where it shows the fault, and takes suspicion away where it does not. */
function looksOf({ path, series, weights, spare }: Search): ProposedLook[] {
  const before = entropyOf([...weights, spare]);
  const total = sum(weights) + spare;
  return series.flatMap((link, place): ProposedLook[] => {
    const weight = weights[place] ?? 0;
    if (weight === 0 || isLookedAt(link, path.looks)) return [];
    const signs = signsOf(link.kind);
    const shows = (weight * lookShows(link.kind)) / total;
    const after = weights.with(place, weight * (1 - lookShows(link.kind)));
    const bits = before - (1 - shows) * entropyOf([...after, spare]);
    const reached = Math.min(
      reach(path, series, place),
      reach(path, series, place + 1),
      linkCost(link.kind).reach,
    );
    const minutes = reached + LOOK_MINUTES * signs.length;
    return [{ kind: 'look', link: link.id, signs, shows, minutes, bitsPerMinute: bits / minutes }];
  });
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

/** What need not be tested again; what has to be bent and passed at rest is asked for by itself, in the end. */
const doneOf = (path: SupplyPath, series: readonly PathLink[], weights: readonly number[]): Set<string> =>
  new Set(
    allTestsOf(path)
      .filter(({ way }) => way === 'through')
      .map(({ links }) => suspectsAmong(series, weights, links)),
  );

function clearTheSwitch(search: Search, { states }: PathVerdict): ProposedTest | null {
  const place = search.series.findIndex(
    ({ id, kind }) => kind === 'switch' && ['not-tested', 'unproved'].includes(states.get(id) ?? ''),
  );
  const link = search.series[place];
  if (!link) return null;
  const beeped = search.path.tests.some(
    ({ links, result, way }) =>
      way === 'through' && result === 'pass' && links.length === 1 && links[0] === link.id,
  );
  return { ...priced(search, place, place, 0.5), inOhms: beeped };
}

function priced({ path, series }: Search, from: number, to: number, passes: number): ProposedTest {
  const links = series.slice(from, to + 1);
  const flex = links.some(({ kind }) => needsFlexing(kind));
  const minutes =
    reach(path, series, from) + reach(path, series, to + 1) + READ_MINUTES + (flex ? FLEX_MINUTES : 0);
  return {
    kind: 'test',
    links: links.map(({ id }) => id),
    minutes,
    passes,
    bitsPerMinute: entropyOf([passes, 1 - passes]) / minutes,
    flex,
    whole: links.length === series.length && series.length > 1,
    inOhms: false,
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
  return Math.min(...[before, after].flatMap((link) => (link ? [linkCost(link.kind).reach] : [])));
}

/** Shannon's entropy of weights that need not add up to one, in bits. */
function entropyOf(weights: readonly number[]): number {
  const total = sum(weights);
  return weights.reduce(
    (bits, weight) => (weight > 0 ? bits - (weight / total) * Math.log2(weight / total) : bits),
    0,
  );
}
