import { liveEvents, newestOf, type Log, type PathLink, type PathTest } from '../log/index.js';
import { type LinkId } from '../switch/index.js';
import { inSeries, needsFlexing } from './link-cost.js';

/** A path and what was tested of it. */
export interface SupplyPath {
  links: PathLink[];
  tests: PathTest[];
}

/**
 * What is known of one link: `pass` and `fail` by a test of its own or by what follows from tests of several,
 * `at-rest` passed without being flexed, `suspect` in a stretch that failed, `not-tested`.
 */
export type LinkState = 'pass' | 'fail' | 'unsteady' | 'at-rest' | 'suspect' | 'not-tested';

/**
 * What the tests say. `not-the-switch`: the fault is elsewhere, or nowhere in this path, and the switch itself has
 * passed. `found`: a fault is known, and the switch has not been cleared by a test.
 */
export type PathOutcome =
  'empty' | 'looking' | 'switch' | 'switch-and-more' | 'found' | 'not-the-switch' | 'all-pass';

export interface PathVerdict {
  states: ReadonlyMap<LinkId, LinkState>;
  /** Known to be at fault. */
  faults: LinkId[];
  /** What may still be at fault, in order. */
  suspects: LinkId[];
  /** Stretches that failed and are explained by no known fault, shortest first: one link at least of each is bad. */
  stretches: LinkId[][];
  outcome: PathOutcome;
}

/** The path as it was laid last, with the newest result of each test; tests of links that are gone count no more. */
export function supplyPathOf(log: Log): SupplyPath {
  const links = liveEvents(log, 'path-laid').at(-1)?.what.links ?? [];
  const there = new Set(links.map(({ id }) => id));
  const tests = newestOf(
    liveEvents(log, 'path-tested').map(({ what }) => what.test),
    ({ id }) => id,
  ).filter((test) => test.result !== null && test.links.every((id) => there.has(id)));
  return { links, tests };
}

/** What the tests say about each link, and whether the switch is to blame. */
export function pathVerdict({ links, tests }: SupplyPath): PathVerdict {
  const kindOf = new Map(links.map(({ id, kind }) => [id, kind]));
  const passed = new Set<LinkId>();
  const atRest = new Set<LinkId>();
  for (const test of tests.filter(({ result }) => result === 'pass')) {
    for (const id of test.links) {
      const kind = kindOf.get(id);
      if (kind && needsFlexing(kind) && !test.flexed) atRest.add(id);
      else passed.add(id);
    }
  }
  const failed = tests.filter(({ result }) => result === 'fail' || result === 'unsteady');
  const faults = new Map<LinkId, 'fail' | 'unsteady'>();
  const stretches: LinkId[][] = [];
  for (const test of failed) {
    const open = test.links.length === 1 ? test.links : test.links.filter((id) => !passed.has(id));
    const [only] = open;
    // A stretch whose parts have all passed since came and went: every part of it is under suspicion again.
    if (open.length === 1 && only)
      faults.set(only, test.result === 'unsteady' || passed.has(only) ? 'unsteady' : 'fail');
    else stretches.push(open.length === 0 ? test.links : open);
  }
  const unexplained = narrowest(stretches.filter((stretch) => !stretch.some((id) => faults.has(id))));
  const inStretch = new Set(unexplained.flat());
  const states = new Map(
    links.map(({ id }): [LinkId, LinkState] => [
      id,
      faults.get(id) ??
        (inStretch.has(id) ? 'suspect' : passed.has(id) ? 'pass' : atRest.has(id) ? 'at-rest' : 'not-tested'),
    ]),
  );
  const untested = links.filter(({ id, kind }) => inSeries(kind) && !passed.has(id) && !faults.has(id));
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
    outcome: outcomeOf(links, states, suspects),
  };
}

/** Stretches without those that hold another one whole: a fault in the shorter one explains the longer one. */
function narrowest(stretches: readonly LinkId[][]): LinkId[][] {
  const sorted = stretches.toSorted((one, other) => one.length - other.length);
  return sorted.filter(
    (stretch, place) =>
      !sorted.slice(0, place).some((shorter) => shorter.every((id) => stretch.includes(id))),
  );
}

function outcomeOf(
  links: readonly PathLink[],
  states: ReadonlyMap<LinkId, LinkState>,
  suspects: readonly LinkId[],
): PathOutcome {
  const series = links.filter(({ kind }) => inSeries(kind));
  if (series.length === 0) return 'empty';
  const bad = (id: LinkId) => states.get(id) === 'fail' || states.get(id) === 'unsteady';
  const switches = series.filter(({ kind }) => kind === 'switch');
  const cleared = switches.length > 0 && switches.every(({ id }) => states.get(id) === 'pass');
  const elsewhere = links.some(({ id, kind }) => kind !== 'switch' && bad(id));
  if (switches.some(({ id }) => bad(id))) return elsewhere ? 'switch-and-more' : 'switch';
  if (suspects.length > 0) return 'looking';
  if (elsewhere) return cleared ? 'not-the-switch' : 'found';
  return switches.length === 0 ? 'all-pass' : cleared ? 'not-the-switch' : 'looking';
}
