import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import { blocks, partitionFromGroups, type Pattern } from '../../partition/index.js';
import { seededRandom } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { plantedDemand, randomPart, scrambled } from '../../testing/wire-demands.js';
import { fitPart, PLAIN_RULES, type FitResult } from './fit.js';
import { compilePart } from './part.js';
import { isFit } from './verify-fit.js';
import { compileDemand, type WireDemand } from './wires.js';

/** Every order-keeping or reversing choice of positions, with what lies between: the definition, tried in full. */
function* everyMap(
  wanted: number,
  given: number,
  gaps: boolean,
): Generator<{ at: number[]; between: number[] }> {
  function* choose(from: number, left: number): Generator<number[]> {
    if (left === 0) yield [];
    else
      for (let at = from; at <= given - left; at += 1)
        for (const rest of choose(at + 1, left - 1)) yield [at, ...rest];
  }
  for (const at of choose(0, wanted)) {
    const [first, last] = [at[0] ?? 0, at.at(-1) ?? 0];
    const between = Array.from({ length: last - first + 1 }, (_, step) => first + step).filter(
      (one) => !at.includes(one),
    );
    if (between.length > 0 && !gaps) continue;
    yield { at, between };
    if (wanted > 1) yield { at: at.toReversed(), between };
  }
}

/** By the definition: every way to give wires to terminals, looked at by the verifier alone. The fewest junctions, or null. */
function bruteForce(demand: WireDemand, part: Pattern, most: number, gaps: boolean): number | null {
  const terminals = part[0]?.length ?? 0;
  let fewest: number | null = null;
  const wireOf = new Array<number>(terminals).fill(-1);
  const maps = [...everyMap(demand.positions.length, part.length, gaps)];
  const extend = (at: number, used: number): void => {
    if (at === terminals) {
      if (used < demand.wires || (fewest !== null && used - demand.wires >= fewest)) return;
      const fits = maps.some(({ at: positions, between }) =>
        isFit(demand, part, {
          kind: 'fits',
          wireOf,
          positions,
          between,
          reversed: (positions[0] ?? 0) > (positions[1] ?? positions.length),
          jumpers: 0,
          nodes: 0,
        }),
      );
      if (fits) fewest = used - demand.wires;
      return;
    }
    extend(at + 1, used);
    if (used >= demand.wires + most) return;
    for (let wire = 0; wire < demand.wires; wire += 1) {
      wireOf[at] = wire;
      extend(at + 1, used + 1);
      wireOf[at] = -1;
    }
  };
  extend(0, 0);
  return fewest;
}

/** The same as a question of logic (logic-solver, a SAT solver): whether so many junctions do in some map. */
function bySat(demand: WireDemand, part: Pattern, most: number, gaps: boolean): boolean {
  const { wires, positions, never } = demand;
  const terminals = part[0]?.length ?? 0;
  const every = (size: number) => Array.from({ length: size }, (_, at) => at);
  return [...everyMap(positions.length, part.length, gaps)].some(({ at, between }) => {
    const solver = new Logic.Solver();
    const takes = (terminal: number, wire: number) => `t${terminal}w${wire}`;
    for (const terminal of every(terminals))
      solver.require(Logic.atMostOne(...every(wires).map((wire) => takes(terminal, wire))));
    for (const wire of every(wires))
      solver.require(Logic.or(every(terminals).map((terminal) => takes(terminal, wire))));
    const all = every(terminals).flatMap((terminal) => every(wires).map((wire) => takes(terminal, wire)));
    solver.require(Logic.lessThanOrEqual(Logic.sum(all), Logic.constantBits(wires + most)));
    [...at, ...between].forEach((place, row) => {
      const touches = (a: number, b: number) =>
        Logic.or(
          every(terminals).flatMap((one) =>
            every(terminals).flatMap((other) =>
              part[place]?.[one] === part[place]?.[other] ? [Logic.and(takes(one, a), takes(other, b))] : [],
            ),
          ),
        );
      // Reached in at most so many steps as there are wires.
      let reached = every(wires).map((a) => every(wires).map((b) => (a === b ? Logic.TRUE : touches(a, b))));
      for (let step = 1; step < wires; step *= 2)
        reached = every(wires).map((a) =>
          every(wires).map((b) =>
            Logic.or(every(wires).map((c) => Logic.and(reached[a]?.[c] ?? '', reached[c]?.[b] ?? ''))),
          ),
        );
      const said = row < at.length ? positions[row] : null;
      const nets = said ? partitionFromGroups(wires, said.joined) : null;
      const free = new Set((said?.free ?? []).flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]));
      for (const a of every(wires))
        for (const b of every(wires).slice(a + 1)) {
          const meets = reached[a]?.[b] ?? '';
          if (never.some((pair) => pair.includes(a) && pair.includes(b))) solver.require(Logic.not(meets));
          if (!nets) continue;
          if (nets[a] === nets[b]) solver.require(meets);
          else if (!free.has(`${a} ${b}`)) solver.require(Logic.not(meets));
        }
    });
    return solver.solve() !== null;
  });
}

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

describe('a part of poles that are alike', () => {
  /** So many equal poles: a common with its ways, making before it breaks or not, or each way to the next. */
  const wafer = (poles: number, ways: number, how: number): Pattern =>
    Array.from({ length: ways }, (_, position) =>
      partitionFromGroups(
        poles * (ways + 1),
        Array.from({ length: poles }, (_pole, pole) => {
          const lug = (at: number) => pole * (ways + 1) + at;
          const on = lug(1 + position);
          const next = lug(1 + ((position + 1) % ways));
          return [lug(0), on, ...(how > 0 && position % 2 === how - 1 ? [next] : [])];
        }),
      ),
    );

  it('agrees with a SAT solver: what was tried on one pole is tried on no other, and nothing is missed by that', () => {
    const found = { fits: 0, no: 0, junctions: 0 };
    for (let seed = 1; seed <= runs(60); seed += 1) {
      const random = seededRandom(seed + 20_000);
      const [poles, ways] = [2 + Math.floor(random() * 2), 2 + Math.floor(random() * 2)];
      const part = wafer(poles, ways, Math.floor(random() * 3));
      const demand = plantedDemand(random, part, 3 + Math.floor(random() * 2), Math.floor(random() * 3));
      const given = random() < 0.5 ? scrambled(random, part) : wafer(2, ways, Math.floor(random() * 3));
      const gaps = random() < 0.5;
      const result = search(demand, given, gaps);
      if (result.kind === 'fits') {
        expect(isFit(demand, given, result)).toBe(true);
        if (result.jumpers > 0)
          expect([seed, bySat(demand, given, result.jumpers - 1, gaps)]).toEqual([seed, false]);
        found.fits += 1;
        found.junctions += Number(result.jumpers > 0);
      } else {
        expect([seed, result.kind, bySat(demand, given, 2, gaps)]).toEqual([seed, 'no', false]);
        found.no += 1;
      }
    }
    expect(Math.min(found.fits, found.no, found.junctions * 3)).toBeGreaterThan(2);
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

describe('the largest: 96 lugs and 48 positions', () => {
  /** Eight poles of eleven ways and a common each: ways from 1 on, the next at each step, 48 steps. */
  const drum = (
    order: readonly number[],
    change: (position: number, way: number) => number = (_, way) => way,
  ) =>
    nets(
      96,
      ...Array.from({ length: 48 }, (_, position) =>
        Array.from({ length: 8 }, (_, pole) => {
          const way = change(position, 1 + ((position * (pole + 1)) % 11));
          return [order[pole * 12] as number, order[pole * 12 + way] as number];
        }),
      ),
    );
  const inOrder = Array.from({ length: 96 }, (_, lug) => lug);
  const mixed = inOrder.map((lug) => (lug * 37 + 5) % 96);
  const asDemand = (pattern: Pattern): WireDemand => ({
    ...{ wires: 96, never: [] },
    positions: pattern.map((row) => ({
      joined: blocks(row).filter((net) => net.length > 1),
      free: [],
    })),
  });

  it('its own contacts under other names do; with one step of one drum off they don’t, and that is proved', () => {
    const demand = asDemand(drum(inOrder));
    const own = drum(mixed);
    const result = search(demand, own, false);
    expect(result).toMatchObject({ kind: 'fits', jumpers: 0, reversed: false });
    expect(result.kind === 'fits' && isFit(demand, own, result)).toBe(true);
    const off = drum(mixed, (position, way) => (position === 40 ? (way % 11) + 1 : way));
    expect(fitPart(compileDemand(demand), compilePart(off)).kind).toBe('no');
  });

  it('two supplies on the last lugs may not meet', () => {
    const demand = { ...asDemand(drum(inOrder)), never: [[84, 95]] as [number, number][] };
    const meeting = drum(inOrder).some((row) => row[84] === row[95]);
    expect([meeting, compileDemand(demand).impossible]).toEqual([meeting, meeting]);
    const apart = { ...demand, never: [[83, 95]] as [number, number][] };
    expect(search(apart, drum(mixed), false).kind).toBe('fits');
  });
});
