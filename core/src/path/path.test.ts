import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newIdFrom, seededRandom, type LinkId } from '../switch/index.js';
import {
  ORDINARY_METER,
  readLog,
  type LinkKind,
  type PathLink,
  type PathTest,
  type TestResult,
} from '../log/index.js';
import { bench } from '../testing/generated.js';
import { cordLoop } from './cord.js';
import { costOf, inSeries, needsFlexing } from './link-cost.js';
import { layPath, PATH_PRESETS, type PathPreset } from './preset.js';
import { nextTest } from './next-test.js';
import { pathVerdict, supplyPathOf } from './verdict.js';

const newId = newIdFrom(seededRandom(8));
const chain = (...kinds: LinkKind[]): PathLink[] =>
  kinds.map((kind) => ({ id: newId<LinkId>(), kind, name: null }));
const test = (links: PathLink[], result: TestResult, flexed = true): PathTest => ({
  id: newId(),
  links: links.map(({ id }) => id),
  result,
  flexed,
  ohms: null,
});
const presets = Object.keys(PATH_PRESETS) as PathPreset[];

describe('the verdict on a supply path', () => {
  const links = chain('plug', 'fuse', 'cord', 'terminals', 'switch', 'motor');
  const [plug, fuse, cord, terminals, theSwitch, motor] = links as [
    PathLink,
    PathLink,
    PathLink,
    PathLink,
    PathLink,
    PathLink,
  ];
  const states = (tests: PathTest[]) => {
    const verdict = pathVerdict({ links, tests });
    return links.map(({ id }) => verdict.states.get(id));
  };

  it('clears what passed, and blames the one link of a failed stretch that nothing cleared', () => {
    const tests = [test([plug, fuse, cord], 'fail'), test([plug], 'pass'), test([cord], 'pass')];
    const verdict = pathVerdict({ links, tests });
    expect(states(tests)).toEqual(['pass', 'fail', 'pass', 'not-tested', 'not-tested', 'not-tested']);
    expect(verdict).toMatchObject({ faults: [fuse.id], suspects: [], outcome: 'found' });
  });

  it('does not clear a cord that passed at rest: a broken strand does that too', () => {
    expect(states([test([plug, fuse, cord], 'pass', false)]).slice(0, 3)).toEqual([
      'pass',
      'pass',
      'at-rest',
    ]);
    const verdict = pathVerdict({ links, tests: [test([plug, fuse, cord], 'pass', false)] });
    expect(verdict.suspects).toContain(cord.id);
  });

  it('says not the switch only when the switch itself has passed', () => {
    expect(pathVerdict({ links, tests: [test([fuse], 'fail')] }).outcome).toBe('found');
    expect(pathVerdict({ links, tests: [test([fuse], 'fail'), test([theSwitch], 'pass')] }).outcome).toBe(
      'not-the-switch',
    );
    expect(pathVerdict({ links, tests: [test(links, 'pass')] }).outcome).toBe('not-the-switch');
    expect(pathVerdict({ links, tests: [test([theSwitch], 'fail')] }).outcome).toBe('switch');
    expect(pathVerdict({ links, tests: [test([theSwitch], 'fail'), test([motor], 'fail')] }).outcome).toBe(
      'switch-and-more',
    );
    expect(pathVerdict({ links: chain('plug', 'lamp'), tests: [] }).outcome).toBe('looking');
    expect(pathVerdict({ links: [], tests: [] }).outcome).toBe('empty');
  });

  it('keeps a stretch under suspicion when its parts pass one by one: it comes and goes', () => {
    const tests = [
      test([terminals, theSwitch], 'fail'),
      test([terminals], 'pass'),
      test([theSwitch], 'pass'),
    ];
    expect(states(tests).slice(3, 5)).toEqual(['suspect', 'suspect']);
    expect(pathVerdict({ links, tests }).outcome).toBe('looking');
  });

  it('blames what is beside the path only by a test of its own', () => {
    const path = chain('plug', 'switch', 'motor', 'suppressor');
    expect(pathVerdict({ links: path, tests: [] }).suspects).not.toContain(path[3]?.id);
    expect(pathVerdict({ links: path, tests: [test([path[3] as PathLink], 'fail')] }).faults).toEqual([
      path[3]?.id,
    ]);
  });

  it('is read from the log: the newest path and results count, and tests of links that are gone do not', () => {
    const on = bench(2, 1);
    const lamp = layPath('lamp', newId);
    on.add({ kind: 'path-laid', links: lamp });
    const one = test([lamp[0] as PathLink], 'fail');
    on.add({ kind: 'path-tested', test: one });
    on.add({ kind: 'path-tested', test: { ...one, result: 'pass' } });
    expect(supplyPathOf(readLog(on.events)).tests.map(({ result }) => result)).toEqual(['pass']);
    on.add({ kind: 'path-laid', links: lamp.slice(1) });
    expect(supplyPathOf(readLog(on.events))).toEqual({ links: lamp.slice(1), tests: [] });
  });
});

describe('the next test', () => {
  /** Follows the proposals with one hidden fault until the verdict stands. */
  const follow = (links: PathLink[], fault: LinkId | null) => {
    const tests: PathTest[] = [];
    for (let guard = 0; guard < 60; guard += 1) {
      const proposed = nextTest({ links, tests });
      if (!proposed) return { tests, verdict: pathVerdict({ links, tests }) };
      const result = fault !== null && proposed.links.includes(fault) ? 'fail' : 'pass';
      tests.push({ id: newId(), links: proposed.links, result, flexed: proposed.flex, ohms: null });
    }
    throw new Error('the proposals do not end');
  };

  it.each(presets)('finds any single fault of the preset %s, and never blames a sound link', (preset) => {
    const links = layPath(preset, newId);
    const series = links.filter(({ kind }) => inSeries(kind));
    for (const { id, kind } of series) {
      const { verdict, tests } = follow(links, id);
      expect(verdict.faults).toEqual([id]);
      expect(verdict.outcome).toBe(kind === 'switch' ? 'switch' : 'not-the-switch');
      expect(tests.length).toBeLessThanOrEqual(series.length + 1);
    }
    expect(follow(links, null).verdict).toMatchObject({ faults: [], outcome: 'not-the-switch' });
  });

  it('finds the fault of a chain of equal links in about as many tests as halving takes', () => {
    const links = chain(...Array.from({ length: 16 }, () => 'terminals' as const));
    const needed = links.map(({ id }) => follow(links, id).tests.length);
    const mean = needed.reduce((sum, count) => sum + count, 0) / needed.length;
    // Binary search over 16 places takes log2(16) = 4 tests; the work of reaching places costs a little more.
    expect(mean).toBeLessThanOrEqual(5.5);
    expect(Math.max(...needed)).toBeLessThanOrEqual(8);
  });

  it('asks for a cord again, flexed, when it passed at rest', () => {
    const links = chain('plug', 'cord', 'lamp');
    const [plug, cord, lamp] = links as [PathLink, PathLink, PathLink];
    const tests = [test([plug], 'pass'), test([lamp], 'pass'), test([cord], 'pass', false)];
    const proposed = nextTest({ links, tests });
    expect(proposed?.links).toContain(cord.id);
    expect(proposed?.flex).toBe(true);
    expect(nextTest({ links, tests: [...tests, test([cord], 'pass')] })).toBeNull();
  });

  it('has nothing to propose when a stretch failed and its parts pass: it comes and goes', () => {
    const links = chain('plug', 'fuse', 'cord', 'lamp');
    const [plug, fuse] = links as [PathLink, PathLink];
    const tests = [test([plug, fuse], 'fail'), test([plug], 'pass'), test([fuse], 'pass')];
    expect(nextTest({ links, tests })).toBeNull();
  });

  it('never measures through a battery or electronics', () => {
    const links = chain('battery', 'fuse', 'switch', 'electronics', 'motor');
    const tests: PathTest[] = [];
    for (let proposed = nextTest({ links, tests }); proposed; proposed = nextTest({ links, tests })) {
      const kinds = links.filter(({ id }) => proposed?.links.includes(id)).map(({ kind }) => kind);
      if (kinds.includes('battery') || kinds.includes('electronics')) expect(kinds).toHaveLength(1);
      tests.push({ id: newId(), links: proposed.links, result: 'pass', flexed: true, ohms: null });
    }
    expect(pathVerdict({ links, tests }).outcome).toBe('not-the-switch');
  });

  it('brings the most bits per minute of all stretches, by a count of its own over every single fault', () => {
    const kinds = fc.constantFrom<LinkKind>(
      'plug',
      'fuse',
      'cord',
      'terminals',
      'switch',
      'motor',
      'lamp',
      'brushes',
    );
    fc.assert(
      fc.property(fc.array(kinds, { minLength: 2, maxLength: 8 }), (list) => {
        const links = chain(...list);
        const proposed = nextTest({ links, tests: [] });
        const chances = [10, ...links.map(({ kind }) => costOf(kind).chance)];
        const total = chances.reduce((sum, chance) => sum + chance, 0);
        const reach = (at: number) =>
          Math.min(...[links[at - 1], links[at]].flatMap((link) => (link ? [costOf(link.kind).reach] : [])));
        let best = 0;
        for (let from = 0; from < links.length; from += 1)
          for (let to = from; to < links.length; to += 1) {
            // Expected surprise, outcome by outcome, instead of the entropy formula.
            const fail = chances.slice(from + 1, to + 2).reduce((sum, chance) => sum + chance, 0) / total;
            const bits = [fail, 1 - fail].reduce(
              (sum, chance) => sum + (chance > 0 ? chance * Math.log2(1 / chance) : 0),
              0,
            );
            const flex = links.slice(from, to + 1).some(({ kind }) => needsFlexing(kind)) ? 0.5 : 0;
            best = Math.max(best, bits / (reach(from) + reach(to + 1) + 0.5 + flex));
          }
        expect(proposed?.bitsPerMinute).toBeCloseTo(best, 9);
      }),
      { numRuns: 200 },
    );
  });
});

describe('a cord', () => {
  it('of 5 m and 2.08 mm2 loops to 83 milliohm, which an ordinary handheld cannot tell', () => {
    const loop = cordLoop(5, 2.08, ORDINARY_METER);
    expect(loop.ohms).toBeCloseTo(0.083, 3);
    expect(loop.tells).toBe(false);
    expect(cordLoop(30, 0.75, ORDINARY_METER).tells).toBe(true);
    expect(cordLoop(5, 2.08, { ...ORDINARY_METER, resolutionOhms: 0.001 }).tells).toBe(true);
  });
});
