import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LinkId, NodeId } from '../switch/index.js';
import { readLog, upgradeEvent, type PathLink, type PathLook, type PathTest } from '../log/index.js';
import { bench } from '../testing/generated.js';
import { at, chain, looked, newId, test } from '../testing/paths.js';
import { inSeries } from './link-cost.js';
import { layPath } from './preset.js';
import { pathVerdict, supplyPathOf } from './verdict.js';

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
    const verdict = pathVerdict(at(links, tests));
    return links.map(({ id }) => verdict.states.get(id));
  };

  it('clears what passed, and blames the one link of a failed stretch that nothing cleared', () => {
    const tests = [test([plug, fuse, cord], 'fail'), test([plug], 'pass'), test([cord], 'pass')];
    const verdict = pathVerdict(at(links, tests));
    expect(states(tests)).toEqual(['pass', 'fail', 'pass', 'not-tested', 'not-tested', 'not-tested']);
    expect(verdict).toMatchObject({ faults: [fuse.id], suspects: [], outcome: 'found' });
  });

  it('does not clear a cord that passed at rest: a broken strand does that too', () => {
    expect(states([test([plug, fuse, cord], 'pass', false)]).slice(0, 3)).toEqual([
      'pass',
      'pass',
      'at-rest',
    ]);
    const verdict = pathVerdict(at(links, [test([plug, fuse, cord], 'pass', false)]));
    expect(verdict.suspects).toContain(cord.id);
  });

  it('says not the switch only when the switch itself has passed', () => {
    expect(pathVerdict(at(links, [test([fuse], 'fail')])).outcome).toBe('found');
    expect(pathVerdict(at(links, [test([fuse], 'fail'), test([theSwitch], 'pass')])).outcome).toBe(
      'not-the-switch',
    );
    // One reading at the plug clears no switch by itself.
    expect(pathVerdict(at(links, [test(links, 'pass')])).outcome).toBe('looking');
    expect(pathVerdict(at(links, [test([theSwitch], 'fail')])).outcome).toBe('switch');
    expect(pathVerdict(at(links, [test([theSwitch], 'fail'), test([motor], 'fail')])).outcome).toBe(
      'switch-and-more',
    );
    expect(pathVerdict(at(chain('plug', 'lamp'), [])).outcome).toBe('looking');
    expect(pathVerdict(at([], [])).outcome).toBe('empty');
  });

  it('keeps a stretch under suspicion when its parts pass one by one: it comes and goes', () => {
    const tests = [
      test([terminals, theSwitch], 'fail'),
      test([terminals], 'pass'),
      test([theSwitch], 'pass'),
    ];
    expect(states(tests).slice(3, 5)).toEqual(['suspect', 'suspect']);
    expect(pathVerdict(at(links, tests)).outcome).toBe('looking');
  });

  it('blames what is beside the path only by a test of its own', () => {
    const path = chain('plug', 'switch', 'motor', 'suppressor');
    expect(pathVerdict(at(path, [])).suspects).not.toContain(path[3]?.id);
    expect(pathVerdict(at(path, [test([path[3] as PathLink], 'fail')])).faults).toEqual([path[3]?.id]);
  });

  it('takes what several failed stretches have in common for the suspect, since one fault explains them all', () => {
    const tests = [test([plug, fuse, cord], 'fail'), test([cord, terminals, theSwitch], 'fail')];
    expect(pathVerdict(at(links, tests))).toMatchObject({ suspects: [cord.id], outcome: 'looking' });
  });

  it('closes with what was seen at fault, and says which sign', () => {
    const path = chain('plug', 'switch', 'brushes', 'motor');
    const [, knob, brushes] = path as [PathLink, PathLink, PathLink];
    const off: PathLook = { link: brushes.id, sign: 'spring-off', found: 'at-fault', photo: null };
    expect(pathVerdict(at(path, [], [off]))).toMatchObject({
      faults: [brushes.id],
      seen: [off],
      suspects: [],
      outcome: 'found',
    });
    expect(pathVerdict(at(path, [test([knob], 'pass')], [off])).outcome).toBe('not-the-switch');
    const pitted: PathLook = { link: knob.id, sign: 'contact-pitted', found: 'at-fault', photo: null };
    expect(pathVerdict(at(path, [], [pitted])).outcome).toBe('switch');
    expect(pathVerdict(at(path, [], looked(brushes))).suspects).toContain(brushes.id);
  });

  it('keeps a short to the other conductor and a leak to earth apart from what goes through', () => {
    const across = [test([cord], 'pass'), test([cord], 'fail', true, 'across')];
    expect(pathVerdict(at(links, across))).toMatchObject({
      faults: [cord.id],
      leaks: [{ link: cord.id, way: 'across' }],
    });
    const earth = test([motor], 'fail', true, 'to-earth');
    expect(pathVerdict(at(links, [earth])).states.get(motor.id)).toBe('leaks');
    expect(pathVerdict(at(links, [test([motor], 'pass', true, 'to-earth')])).states.get(motor.id)).toBe(
      'not-tested',
    );
  });

  it('says what a count of all single faults says: exactly those that fit every test are left', () => {
    // There and back: both conductors and the load between them.
    const loop = layPath('fan', newId).links.filter(inSeries);
    const place = fc.nat(loop.length - 1);
    const runs = fc.record({
      fault: fc.option(place, { nil: null }),
      stretches: fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 8 }),
    });
    fc.assert(
      fc.property(runs, ({ fault, stretches }) => {
        const bad = (list: readonly PathLink[]) =>
          fault !== null && list.some(({ id }) => id === loop[fault]?.id);
        const tests = stretches.map(([one, other]) => {
          const stretch = loop.slice(Math.min(one, other), Math.max(one, other) + 1);
          return test(stretch, bad(stretch) ? 'fail' : 'pass');
        });
        const fits = loop.filter(({ id }) =>
          tests.every((one) => one.links.includes(id) === (one.result === 'fail')),
        );
        const verdict = pathVerdict(at(loop, tests));
        const left = [...verdict.faults, ...verdict.suspects];
        // While nothing failed, a switch that never passed by itself is left as well.
        const failed = tests.some(({ result }) => result === 'fail');
        const unproved = loop.filter(
          ({ id, kind }) => !failed && kind === 'switch' && !tests.some((one) => one.links.join() === id),
        );
        expect(new Set(left)).toEqual(new Set([...fits, ...unproved].map(({ id }) => id)));
      }),
      { numRuns: 500 },
    );
  });

  it('is read from the log: the newest path and results count, and tests of links that are gone do not', () => {
    const on = bench(2, 1);
    const { nodes, links: lamp } = layPath('lamp', newId);
    on.add({ kind: 'path-laid', nodes, links: lamp });
    const one = test([lamp[0] as PathLink], 'fail');
    on.add({ kind: 'path-tested', test: one });
    on.add({ kind: 'path-tested', test: { ...one, result: 'pass' } });
    const look: PathLook = {
      link: lamp[1]?.id as LinkId,
      sign: 'fuse-blown',
      found: 'at-fault',
      photo: null,
    };
    on.add({ kind: 'path-looked', look });
    expect(supplyPathOf(readLog(on.events)).tests.map(({ result }) => result)).toEqual(['pass']);
    expect(supplyPathOf(readLog(on.events)).looks).toEqual([look]);
    on.add({ kind: 'path-looked', look: { ...look, found: null } });
    expect(supplyPathOf(readLog(on.events)).looks).toEqual([]);
    on.add({ kind: 'path-laid', nodes, links: lamp.slice(1) });
    expect(supplyPathOf(readLog(on.events))).toMatchObject({ links: lamp.slice(1), tests: [] });
  });

  it('reads a path that was laid as one row of links as places with links between them', () => {
    const on = bench(2, 1);
    const laid = on.add({ kind: 'path-laid', nodes: [], links: [] });
    const before = ['plug', 'switch', 'motor', 'suppressor'].map((kind) => ({
      id: newId<LinkId>(),
      kind,
      name: null,
    }));
    const upgraded = upgradeEvent({
      ...laid,
      schema: 1,
      what: { kind: 'path-laid', links: before },
    } as never);
    const { nodes, links: now } = supplyPathOf(readLog([upgraded as never]));
    expect(now.map(({ kind, conductor }) => `${kind} ${conductor}`)).toEqual([
      'plug feed',
      'switch feed',
      'motor load',
      'suppressor beside',
    ]);
    expect(nodes).toHaveLength(4);
    const places = nodes.map(({ id }): NodeId => id);
    expect(new Set(places).size).toBe(4);
    expect(now.map(({ from, to }) => [places.indexOf(from), places.indexOf(to)])).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
      [0, 3],
    ]);
  });
});
