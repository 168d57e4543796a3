import {
  liveEvents,
  type Log,
  newestOf,
  type PathLink,
  type PathLook,
  type PathNode,
  type PathTest,
  recordsOf,
  type Symptom,
  type TestWay,
} from '../log/index.js';
import { type LinkId } from '../switch/index.js';
import { inSeries, needsFlexing } from './link-cost.js';
import { toldOfLinks } from './in-circuit.js';
import { seenAtFault } from './look.js';

/** A path, what was tested of it and what was seen. */
export interface SupplyPath {
  nodes: PathNode[];
  links: PathLink[];
  tests: PathTest[];
  /** What is known of links without a test of this path: see `toldOfLinks`. */
  told?: readonly PathTest[];
  looks: PathLook[];
  /** What kind of complaint it is: it steers what is tested first. */
  symptoms: readonly Symptom[];
}

/**
 * What is known of one link: `pass` and `fail` by a test of its own or by what follows from tests of several,
 * `at-rest` passed without being flexed, `unproved` a switch that passed by a tone, or only together with others: a tone and a reading at the
 * plug clear no switch, `seen` seen at fault, `suspect` in a stretch that failed, `not-tested`.
 */
export type LinkState =
  'pass' | 'fail' | 'seen' | 'leaks' | 'unsteady' | 'at-rest' | 'unproved' | 'suspect' | 'not-tested';

/**
 * What the tests say. `not-the-switch`: the fault is elsewhere, or nowhere in this path, and the switch itself has
 * passed. `found`: a fault is known, and the switch has not been cleared by a test.
 */
export type PathOutcome =
  'empty' | 'looking' | 'switch' | 'switch-and-more' | 'found' | 'not-the-switch' | 'all-pass';

export interface PathVerdict {
  states: ReadonlyMap<LinkId, LinkState>;
  /** Known to be at fault, by a test or because it was seen. */
  faults: LinkId[];
  /** Tests to the other conductor and to earth that failed: a short or a leak, whatever the path itself does. */
  leaks: { link: LinkId; way: Exclude<TestWay, 'through'> }[];
  /** What was seen at fault. */
  seen: PathLook[];
  /** What may still be at fault, in order. */
  suspects: LinkId[];
  /** Stretches that failed and are explained by no known fault, shortest first: one link at least of each is bad. */
  stretches: LinkId[][];
  outcome: PathOutcome;
}

/** The path as it was laid last, with the newest result of each test; tests of links that are gone count no more. */
export function supplyPathOf(log: Log): SupplyPath {
  const { nodes, links } = liveEvents(log, 'path-laid').at(-1)?.what ?? { nodes: [], links: [] };
  const there = new Set(links.map(({ id }) => id));
  const tests = newestOf(
    liveEvents(log, 'path-tested').map(({ what }) => what.test),
    ({ id }) => id,
  ).filter((test) => test.result !== null && test.links.every((id) => there.has(id)));
  const looks = newestOf(
    liveEvents(log, 'path-looked').map(({ what }) => what.look),
    ({ link, sign }) => `${link} ${sign}`,
  ).filter(({ link, found }) => found !== null && there.has(link));
  return {
    nodes,
    links,
    tests,
    told: toldOfLinks(log, links),
    looks,
    symptoms: recordsOf(log, 'symptoms-said') ?? [],
  };
}

/** All tests there are of a path, those that were told by the circuit among them. */
export const testsOf = ({ tests, told = [] }: SupplyPath): PathTest[] => [...tests, ...told];

/** What the tests say about each link, and whether the switch is to blame. */
export function pathVerdict(path: SupplyPath): PathVerdict {
  const { links, looks } = path;
  const all = testsOf(path);
  const tests = all.filter(({ way }) => way === 'through');
  const leaks = leaksIn(all);
  const seen = seenAtFault(looks);
  const { passed, atRest } = passedIn(links, tests);
  const unproved = unprovedIn(links, tests, passed);
  const cleared = clearedIn(tests, passed, unproved);
  const failed = tests.filter(({ result }) => result === 'fail' || result === 'unsteady');
  const faults = new Map<LinkId, 'fail' | 'unsteady' | 'seen' | 'leaks'>();
  for (const { link } of seen) faults.set(link, 'seen');
  for (const { link } of leaks) faults.set(link, 'leaks');
  const stretches: LinkId[][] = [];
  for (const test of failed) {
    const open = test.links.length === 1 ? test.links : test.links.filter((id) => !cleared.has(id));
    const [only] = open;
    // A stretch whose parts have all passed since came and went: every part of it is under suspicion again.
    if (open.length === 1 && only)
      faults.set(only, test.result === 'unsteady' || cleared.has(only) ? 'unsteady' : 'fail');
    else stretches.push(open.length === 0 ? test.links : open);
  }
  const unexplained = inAllOf(
    narrowest(stretches.filter((stretch) => !stretch.some((id) => faults.has(id)))),
  );
  const inStretch = new Set(unexplained.flat());
  const states = new Map(
    links.map(({ id }): [LinkId, LinkState] => [
      id,
      faults.get(id) ??
        (inStretch.has(id)
          ? 'suspect'
          : unproved.has(id)
            ? 'unproved'
            : passed.has(id)
              ? 'pass'
              : atRest.has(id)
                ? 'at-rest'
                : 'not-tested'),
    ]),
  );
  const untested = links.filter(
    (link) => inSeries(link) && (!passed.has(link.id) || unproved.has(link.id)) && !faults.has(link.id),
  );
  const suspects =
    unexplained.length > 0
      ? links.filter(({ id }) => inStretch.has(id)).map(({ id }) => id)
      : faults.size > 0
        ? []
        : untested.map(({ id }) => id);
  return {
    states,
    faults: [...faults.keys()],
    suspects,
    stretches: unexplained,
    leaks,
    seen,
    outcome: outcomeOf(links, states, suspects),
  };
}

/** What tests have cleared; what has to be flexed is cleared only by one in which it was. */
function passedIn(links: readonly PathLink[], tests: readonly PathTest[]) {
  const kindOf = new Map(links.map(({ id, kind }) => [id, kind]));
  const passed = new Set<LinkId>();
  const atRest = new Set<LinkId>();
  for (const { links: ids, flexed } of tests.filter(({ result }) => result === 'pass')) {
    for (const id of ids) {
      const kind = kindOf.get(id);
      (kind && needsFlexing(kind) && !flexed ? atRest : passed).add(id);
    }
  }
  return { passed, atRest };
}

/** What passed, so that in a stretch that failed another link is to blame; a switch that only beeped by itself is not among it. */
const clearedIn = (
  tests: readonly PathTest[],
  passed: ReadonlySet<LinkId>,
  unproved: ReadonlySet<LinkId>,
): Set<LinkId> => {
  const together = new Set(
    tests.flatMap(({ links, result }) => (result === 'pass' && links.length > 1 ? links : [])),
  );
  return new Set([...passed].filter((id) => !unproved.has(id) || together.has(id)));
};

/** Switches that passed, none of them by itself in ohms. */
function unprovedIn(
  links: readonly PathLink[],
  tests: readonly PathTest[],
  passed: ReadonlySet<LinkId>,
): Set<LinkId> {
  const proved = new Set(
    tests.flatMap(({ links: ids, result, by }) =>
      result === 'pass' && ids.length === 1 && by === 'ohms' ? ids : [],
    ),
  );
  return new Set(
    links.flatMap(({ id, kind }) => (kind === 'switch' && passed.has(id) && !proved.has(id) ? [id] : [])),
  );
}

/** Stretches without those that hold another one whole: a fault in the shorter one explains the longer one. */
function narrowest(stretches: readonly LinkId[][]): LinkId[][] {
  const sorted = stretches.toSorted((one, other) => one.length - other.length);
  return sorted.filter(
    (stretch, place) =>
      !sorted.slice(0, place).some((shorter) => shorter.every((id) => stretch.includes(id))),
  );
}

/** One fault explains all the stretches that failed where they have links in common: only those are suspect then. */
function inAllOf(stretches: LinkId[][]): LinkId[][] {
  const common = (stretches[0] ?? []).filter((id) => stretches.every((stretch) => stretch.includes(id)));
  return stretches.length > 1 && common.length > 0 ? [common] : stretches;
}

/** Failed tests to the other conductor and to earth; of several links together each one may be it. */
function leaksIn(tests: readonly PathTest[]): PathVerdict['leaks'] {
  return tests.flatMap(({ way, links, result }) =>
    way === 'through' || result === 'pass' || links.length !== 1 ? [] : links.map((link) => ({ link, way })),
  );
}

function outcomeOf(
  links: readonly PathLink[],
  states: ReadonlyMap<LinkId, LinkState>,
  suspects: readonly LinkId[],
): PathOutcome {
  const series = links.filter(inSeries);
  if (series.length === 0) return 'empty';
  const bad = (id: LinkId) => ['fail', 'unsteady', 'seen', 'leaks'].includes(states.get(id) ?? '');
  const switches = series.filter(({ kind }) => kind === 'switch');
  const cleared = switches.length > 0 && switches.every(({ id }) => states.get(id) === 'pass');
  const elsewhere = links.some(({ id, kind }) => kind !== 'switch' && bad(id));
  if (switches.some(({ id }) => bad(id))) return elsewhere ? 'switch-and-more' : 'switch';
  if (suspects.length > 0) return 'looking';
  if (elsewhere) return cleared ? 'not-the-switch' : 'found';
  return switches.length === 0 ? 'all-pass' : cleared ? 'not-the-switch' : 'looking';
}
