import { describe, expect, it } from 'vitest';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { seededRandom } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { bruteForce, bySat } from '../../testing/fit-oracles.js';
import { plantedDemand, randomPart, scrambled } from '../../testing/wire-demands.js';
import { fitPart, PLAIN_RULES, type FitResult } from './fit.js';
import { compilePart } from './part.js';
import { isFit } from './verify-fit.js';
import { compileDemand, type WireDemand } from './wires.js';

const RULES = { ...PLAIN_RULES, jumpers: 2 };
const search = (demand: WireDemand, part: Pattern, gaps: boolean): FitResult =>
  fitPart(compileDemand(demand), compilePart(part), { ...RULES, gaps });

describe('a part for a demand', () => {
  it('agrees with brute force: the fewest junctions, don’t-cares, pairs that never meet, gaps; each answer is verified', () => {
    const found = { fits: 0, no: 0, junctions: 0 };
    for (let seed = 1; seed <= runs(1000); seed += 1) {
      const random = seededRandom(seed);
      const part = randomPart(random, 3 + Math.floor(random() * 3), 2 + Math.floor(random() * 2));
      const wires = 2 + Math.floor(random() * 2);
      const demand = plantedDemand(
        random,
        part,
        Math.min(wires, part[0]?.length ?? 2),
        Math.floor(random() * 2),
      );
      const given =
        random() < 0.5 ? scrambled(random, part) : randomPart(random, part[0]?.length ?? 3, part.length);
      const gaps = random() < 0.5;
      const result = search(demand, given, gaps);
      const fewest = bruteForce(demand, given, 2, gaps);
      expect([seed, result.kind === 'fits' ? result.jumpers : result.kind]).toEqual([seed, fewest ?? 'no']);
      if (result.kind === 'fits') {
        expect(isFit(demand, given, result)).toBe(true);
        found.fits += 1;
        found.junctions += Number(result.jumpers > 0);
      } else found.no += 1;
    }
    expect(Math.min(found.fits, found.no, found.junctions * 4)).toBeGreaterThan(20);
  });

  it('agrees with a SAT solver on larger ones', () => {
    const found = { fits: 0, no: 0 };
    for (let seed = 1; seed <= runs(25); seed += 1) {
      const random = seededRandom(seed + 10_000);
      const part = randomPart(random, 5 + Math.floor(random() * 3), 2 + Math.floor(random() * 2));
      const demand = plantedDemand(random, part, 3 + Math.floor(random() * 2), Math.floor(random() * 2));
      const given = random() < 0.6 ? scrambled(random, part) : randomPart(random, 7, part.length);
      const gaps = random() < 0.3;
      const result = search(demand, given, gaps);
      if (result.kind === 'fits') {
        expect(isFit(demand, given, result)).toBe(true);
        expect(bySat(demand, given, result.jumpers, gaps)).toBe(true);
        if (result.jumpers > 0)
          expect([seed, bySat(demand, given, result.jumpers - 1, gaps)]).toEqual([seed, false]);
        found.fits += 1;
      } else {
        expect([seed, bySat(demand, given, 2, gaps)]).toEqual([seed, false]);
        found.no += 1;
      }
    }
    expect(Math.min(found.fits, found.no)).toBeGreaterThan(4);
  });
});

const nets = (size: number, ...settings: number[][][]): Pattern =>
  settings.map((groups) => partitionFromGroups(size, groups));
const demandOf = (wires: number, ...positions: number[][][]): WireDemand => ({
  wires,
  positions: positions.map((joined) => ({ joined, free: [] })),
  never: [],
});

describe('textbook switches', () => {
  /** Straight and crossed: the intermediate switch of stair lighting (textbook table). */
  const INTERMEDIATE = demandOf(4, [[0, 2], [1, 3]], [[0, 3], [1, 2]]); // prettier-ignore
  /** Two poles, commons 0 and 3. */
  const TWO_CHANGEOVERS = nets(6, [[0, 1], [3, 4]], [[0, 2], [3, 5]]); // prettier-ignore

  it('an intermediate switch from a two-pole changeover takes two junctions, and cannot be had with fewer', () => {
    const result = search(INTERMEDIATE, TWO_CHANGEOVERS, false);
    expect(result).toMatchObject({ kind: 'fits', jumpers: 2 });
    expect(result.kind === 'fits' && isFit(INTERMEDIATE, TWO_CHANGEOVERS, result)).toBe(true);
    expect(fitPart(compileDemand(INTERMEDIATE), compilePart(TWO_CHANGEOVERS)).kind).toBe('no');
  });

  it('a reversing switch with off: two poles centre off do with two junctions; the same with gaps where a position is to spare', () => {
    const reversing = demandOf(4, [[0, 2], [1, 3]], [], [[0, 3], [1, 2]]); // prettier-ignore
    const centreOff = nets(6, [[0, 1], [3, 4]], [], [[0, 2], [3, 5]]); // prettier-ignore
    expect(search(reversing, centreOff, false)).toMatchObject({ kind: 'fits', jumpers: 2 });
    const spare = [centreOff[0], centreOff[1], centreOff[1], centreOff[2]] as Pattern;
    expect(search(reversing, spare, false).kind).toBe('no');
    expect(search(reversing, spare, true)).toMatchObject({ kind: 'fits', between: { length: 1 } });
  });

  /** A table with the names of its wires, matched with its own contacts under other names, and with one of them missing. */
  const ownAndLess = (wires: number, ...positions: number[][][]) => {
    const demand = demandOf(wires, ...positions);
    const order = Array.from({ length: wires }, (_, at) => (at * 2 + 1) % (wires % 2 ? wires : wires + 1));
    const moved =
      order.every((at) => at < wires) && new Set(order).size === wires
        ? order
        : order.map((_, at) => wires - 1 - at);
    const own = nets(
      wires,
      ...positions.map((groups) => groups.map((group) => group.map((at) => moved[at] as number))),
    );
    const [last = []] = positions.slice(-1);
    const less = nets(
      wires,
      ...positions
        .slice(0, -1)
        .map((groups) => groups.map((group) => group.map((at) => moved[at] as number))),
      last.slice(1).map((group) => group.map((at) => moved[at] as number)),
    );
    return { own: search(demand, own, false), less: search(demand, less, true) };
  };

  it('three heats, series and parallel: its own contacts under other names do it, one contact fewer does not (textbook table)', () => {
    // L N A B C: off, both elements in series, one, both side by side.
    const found = ownAndLess(5, [], [[0, 2], [1, 4]], [[0, 2], [1, 3]], [[0, 3], [1, 2, 4]]); // prettier-ignore
    expect(found).toMatchObject({ own: { kind: 'fits', jumpers: 0 }, less: { kind: 'no' } });
  });

  it('star and delta: nine wires, three positions (textbook table)', () => {
    // L1 L2 L3 U1 V1 W1 U2 V2 W2: off, star, delta.
    const feeds = [[0, 3], [1, 4], [2, 5]]; // prettier-ignore
    const found = ownAndLess(9, [], [...feeds, [6, 7, 8]], [[0, 3, 8], [1, 4, 6], [2, 5, 7]]); // prettier-ignore
    expect(found).toMatchObject({ own: { kind: 'fits', jumpers: 0 }, less: { kind: 'no' } });
  });

  it('two supplies may not meet in a position that the handle passes', () => {
    const two = { ...demandOf(3, [[0, 2]], [[1, 2]]), never: [[0, 1]] as [number, number][] };
    const shorting = nets(3, [[0, 2]], [[0, 1, 2]], [[1, 2]]);
    expect(search(two, shorting, true).kind).toBe('no');
    expect(search({ ...two, never: [] }, shorting, true)).toMatchObject({ kind: 'fits', between: [1] });
  });

  it('a knob that turns past its last position may begin anywhere', () => {
    const selector = demandOf(4, [[0, 1]], [[0, 2]], [[0, 3]]);
    const turned = nets(4, [[0, 3]], [[0, 1]], [[0, 2]]);
    expect(search(selector, turned, false)).toMatchObject({ kind: 'fits' });
    const fixed = demandOf(3, [], [[0, 1]], [[0, 1], [1, 2]]); // prettier-ignore
    const begun = nets(3, [[0, 1, 2]], [], [[0, 1]]);
    expect(search(fixed, begun, false).kind).toBe('no');
    expect(fitPart(compileDemand(fixed), compilePart(begun), { ...RULES, wraps: true })).toMatchObject({
      positions: [1, 2, 0],
    });
  });

  it('an answer that was tampered with is not taken: its order, its direction, what lies between', () => {
    const demand = demandOf(2, [], [[0, 1]]); // prettier-ignore
    const part = nets(2, [], [], [[0, 1]]);
    const result = search(demand, part, true);
    if (result.kind !== 'fits') throw new Error('it fits');
    const gapped = { ...result, positions: [0, 2], between: [1] };
    expect(isFit(demand, part, gapped)).toBe(true);
    expect(isFit(demand, part, { ...gapped, between: [] })).toBe(false);
    expect(isFit(demand, part, { ...gapped, reversed: true })).toBe(false);
    // Past its last position back to its first: only a knob that turns so.
    const round = { ...result, positions: [0, 2], between: [], reversed: true };
    expect([isFit(demand, part, round), isFit(demand, part, round, true)]).toEqual([false, true]);
    const three = demandOf(2, [], [[0, 1]], []); // prettier-ignore
    const mixed = nets(2, [], [], [[0, 1]]);
    expect(isFit(three, mixed, { ...result, positions: [0, 2, 1], between: [], reversed: false })).toBe(
      false,
    );
  });

  it('says undecided, and never no, when it is cut off', () => {
    const [demand, part] = [INTERMEDIATE, TWO_CHANGEOVERS];
    expect(fitPart(compileDemand(demand), compilePart(part), { ...RULES, nodes: 3 }).kind).toBe('undecided');
  });
});
