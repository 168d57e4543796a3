import fc from 'fast-check';
import { UndirectedGraph } from 'graphology';
import { connectedComponents } from 'graphology-components';
import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import { bench, CLOSED, OPEN, SILENT, SOUNDED, type Bench } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { seededRandom, shuffled, type ReadingId, type TerminalId } from '../switch/index.js';
import { type Reading, type Value } from '../log/index.js';
import { createMapper, deriveMap } from './map.js';
import { factAt, type Settled } from './settled.js';
import { prove } from './proof.js';

/** One lead on some places, the other on others. */
interface Probe {
  red: number[];
  black: number[];
}

const settledOf = (on: Bench): Settled => {
  const mapped = deriveMap(on.events).settings.get(on.settings[0] as never);
  if (!mapped) throw new Error('no such setting');
  return mapped.settled;
};

function read(on: Bench, { red, black }: Probe, value: Value): Reading {
  const ids = (places: number[]) => places.map((place) => on.terminals[place] as TerminalId);
  const reading: Reading = {
    id: on.newId<ReadingId>(),
    setting: on.settings[0] as never,
    red: ids(red),
    black: ids(black),
    value,
  };
  const act = red.length + black.length > 2 ? 'bundle' : 'pair';
  on.add({ kind: 'answered', act, prompt: null, source: 'typed', inCircuit: false, readings: [reading] });
  return reading;
}

/** Two sides that share no terminal, mostly of more than one. */
function someProbe(size: number, random: () => number): Probe {
  const order = shuffled(
    Array.from({ length: size }, (_, place) => place),
    random,
  );
  const left = 1 + Math.floor(random() * Math.min(3, size - 1));
  const right = 1 + Math.floor(random() * Math.min(3, size - left));
  const [red, black] = [order.slice(0, left), order.slice(left, left + right)];
  // Single pairs are read one way only: low one way and open the other is a diode, not a contradiction.
  const swapped = red.length === 1 && black.length === 1 && (red[0] ?? 0) > (black[0] ?? 0);
  return swapped ? { red: black, black: red } : { red, black };
}

const someNets = (size: number, random: () => number): number[] =>
  Array.from({ length: size }, () => Math.floor(random() * size * 0.8));
const meets = (nets: number[], { red, black }: Probe) =>
  red.some((one) => black.some((other) => nets[one] === nets[other]));

/** The same evidence for a general-purpose SAT solver: a variable a pair, joining is transitive. */
class Oracle {
  readonly #solver = new Logic.Solver();

  constructor(size: number, readings: readonly { probe: Probe; closed: boolean }[]) {
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1)
        for (let c = b + 1; c < size; c += 1) {
          const [ab, bc, ac] = [Oracle.joined(a, b), Oracle.joined(b, c), Oracle.joined(a, c)];
          this.#solver.require(Logic.implies(Logic.and(ab, bc), ac));
          this.#solver.require(Logic.implies(Logic.and(ab, ac), bc));
          this.#solver.require(Logic.implies(Logic.and(bc, ac), ab));
        }
    for (const { probe, closed } of readings) {
      const pairs = probe.red.flatMap((one) => probe.black.map((other) => Oracle.joined(one, other)));
      this.#solver.require(closed ? Logic.or(pairs) : Logic.not(Logic.or(pairs)));
    }
  }

  static joined = (a: number, b: number): string => `${Math.min(a, b)}-${Math.max(a, b)}`;

  get consistent(): boolean {
    return this.#solver.solve() !== null;
  }

  /** Whether the pair must be joined, must be apart, or may be either. */
  forced(a: number, b: number): boolean | null {
    const pair = Oracle.joined(a, b);
    if (this.#solver.solveAssuming(pair) === null) return false;
    return this.#solver.solveAssuming(Logic.not(pair)) === null ? true : null;
  }
}

const places = (on: Bench, ids: readonly TerminalId[]) => ids.map((id) => on.terminals.indexOf(id));
const asOracle = (on: Bench, readings: readonly Reading[]) =>
  readings.map(({ red, black, value }) => ({
    probe: { red: places(on, red), black: places(on, black) },
    closed: (value.kind === 'ohms' && value.ohms < 2) || (value.kind === 'tone' && value.sounded),
  }));

describe('bundles', () => {
  it('are low exactly when some net meets both sides: against the components of the tied circuit (graphology)', () => {
    const random = seededRandom(3);
    for (let round = 0; round < runs(60); round += 1) {
      const size = 3 + Math.floor(random() * 8);
      const nets = someNets(size, random);
      const probe = someProbe(size, random);
      const graph = new UndirectedGraph();
      nets.forEach((_, place) => graph.addNode(place));
      nets.forEach((net, place) => {
        const first = nets.indexOf(net);
        if (first !== place) graph.mergeEdge(first, place);
      });
      for (const side of [probe.red, probe.black])
        side.slice(1).forEach((place) => graph.mergeEdge(side[0], place));
      const components = connectedComponents(graph).map((component) => component.map(Number));
      const together = components.some(
        (component) => component.includes(probe.red[0] ?? -1) && component.includes(probe.black[0] ?? -1),
      );
      expect(together).toBe(meets(nets, probe));
      // With every pair read, what the tied circuit shows agrees, and the opposite contradicts.
      for (const said of [together, !together]) {
        const on = bench(size, 1, round + 1);
        for (let a = 0; a < size; a += 1)
          for (let b = a + 1; b < size; b += 1) on.read(0, a, b, nets[a] === nets[b] ? CLOSED : OPEN);
        read(on, probe, said ? CLOSED : OPEN);
        expect(settledOf(on).contradictions.length > 0).toBe(said !== together);
      }
    }
  });

  it('follow exactly what a SAT solver forces (n up to 6)', () => {
    const random = seededRandom(17);
    let [forced, found] = [0, 0];
    for (let round = 0; round < runs(50); round += 1) {
      const size = 3 + Math.floor(random() * 4);
      const nets = someNets(size, random);
      const on = bench(size, 1, round + 1);
      const readings = Array.from({ length: 1 + Math.floor(random() * 9) }, () => {
        const probe = someProbe(size, random);
        return read(on, probe, meets(nets, probe) ? CLOSED : OPEN);
      });
      const settled = settledOf(on);
      expect(settled.contradictions).toEqual([]);
      const oracle = new Oracle(size, asOracle(on, readings));
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1) {
          const { joined } = factAt(settled, a, b);
          const must = oracle.forced(a, b);
          if (joined !== null) expect([joined, nets[a] === nets[b]]).toEqual([must, joined]);
          if (must !== null) forced += 1;
          if (must !== null && joined !== null) found += 1;
        }
    }
    process.stdout.write(`bundles: ${found} of ${forced} facts that SAT forces were inferred\n`);
    expect(found).toBe(forced);
  });

  it('prove every fact by readings from which alone a SAT solver forces it', () => {
    const random = seededRandom(23);
    let byBundle = 0;
    for (let round = 0; round < runs(20); round += 1) {
      const size = 3 + Math.floor(random() * 4);
      const nets = someNets(size, random);
      const on = bench(size, 1, round + 1);
      const readings = Array.from({ length: 7 }, () => {
        const probe = someProbe(size, random);
        const tone = random() < 0.4;
        return read(on, probe, meets(nets, probe) ? (tone ? SOUNDED : CLOSED) : tone ? SILENT : OPEN);
      });
      const settled = settledOf(on);
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1) {
          const proof = prove(settled, a, b);
          expect(proof === null).toBe(factAt(settled, a, b).state === 'unknown');
          if (!proof) continue;
          const used = readings.filter(({ id }) => proof.readings.includes(id));
          expect(new Oracle(size, asOracle(on, used)).forced(a, b)).toBe(proof.joined);
          if (used.some(({ red, black }) => red.length + black.length > 2)) byBundle += 1;
        }
    }
    expect(byBundle).toBeGreaterThan(10);
  });

  it('contradict when a SAT solver says so, in any order the same way, and what is left agrees', () => {
    const random = seededRandom(29);
    let [unsatisfiable, reported] = [0, 0];
    for (let round = 0; round < runs(30); round += 1) {
      const size = 3 + Math.floor(random() * 4);
      const on = bench(size, 1, round + 1);
      const readings = Array.from({ length: 8 }, () =>
        read(on, someProbe(size, random), random() < 0.5 ? CLOSED : OPEN),
      );
      const settled = settledOf(on);
      const consistent = new Oracle(size, asOracle(on, readings)).consistent;
      if (!consistent) unsatisfiable += 1;
      if (settled.contradictions.length > 0) reported += 1;
      if (settled.contradictions.length > 0) expect(consistent).toBe(false);
      const suspects = new Set(settled.contradictions.flatMap(({ opens, joins }) => [...opens, ...joins]));
      const rest = readings.filter(({ id }) => !suspects.has(id));
      if (suspects.size > 0) expect(new Oracle(size, asOracle(on, rest)).consistent).toBe(true);
      for (const { joins, opens, everySuspect } of settled.contradictions) {
        const core = readings.filter(({ id }) => joins.includes(id) || opens.includes(id));
        expect(new Oracle(size, asOracle(on, core)).consistent).toBe(false);
        if (everySuspect) continue;
        for (const { id } of core) {
          const fewer = core.filter((reading) => reading.id !== id);
          expect(new Oracle(size, asOracle(on, fewer)).consistent).toBe(true);
        }
      }
      const mixed = createMapper()(shuffled(on.events, random)).settings.get(
        on.settings[0] as never,
      )?.settled;
      expect(mixed?.contradictions.map(({ joins, opens }) => [[...joins].sort(), [...opens].sort()])).toEqual(
        settled.contradictions.map(({ joins, opens }) => [[...joins].sort(), [...opens].sort()]),
      );
      expect(mixed?.facts).toEqual(settled.facts);
    }
    process.stdout.write(`bundles: ${reported} of ${unsatisfiable} contradictions were noticed\n`);
    expect(unsatisfiable).toBeGreaterThan(5);
    expect(reported).toBe(unsatisfiable);
  });

  it('that are low with one pair of nets left join it, with none left contradict, between the two decide nothing', () => {
    const on = bench(4, 1);
    const fact = (a: number, b: number) => factAt(settledOf(on), a, b);
    read(on, { red: [0, 1], black: [2, 3] }, { kind: 'ohms', ohms: 400 });
    expect(settledOf(on)).toMatchObject({ lookAgain: [], contradictions: [] });
    read(on, { red: [0, 1], black: [2, 3] }, CLOSED);
    expect(fact(0, 2).state).toBe('unknown');
    read(on, { red: [0], black: [2, 3] }, OPEN);
    expect(fact(0, 2)).toMatchObject({ state: 'follows', joined: false });
    expect(fact(1, 2).state).toBe('unknown');
    on.read(0, 1, 2, OPEN);
    expect(fact(1, 3)).toMatchObject({ state: 'follows', joined: true });
    expect(prove(settledOf(on), 1, 3)?.readings).toHaveLength(3);
    on.read(0, 1, 3, OPEN);
    const { contradictions } = settledOf(on);
    expect(contradictions).toHaveLength(1);
    expect(contradictions[0]).toMatchObject({ everySuspect: false });
    expect(fact(1, 3).state).toBe('disputed');
  });

  it('by tone say so, and one ohm reading upgrades what follows', () => {
    const on = bench(3, 1);
    read(on, { red: [0], black: [1, 2] }, SOUNDED);
    on.read(0, 0, 2, OPEN);
    expect(factAt(settledOf(on), 0, 1)).toEqual({ state: 'follows', joined: true, byTone: true });
    on.read(0, 0, 1, CLOSED);
    expect(factAt(settledOf(on), 0, 1)).toEqual({ state: 'measured', joined: true, byTone: false });
  });

  it('with a terminal on both sides, or one that is gone, are kept and not used', () => {
    const on = bench(4, 1);
    read(on, { red: [0, 1], black: [1, 2] }, CLOSED);
    read(on, { red: [0, 3], black: [2] }, OPEN);
    on.add({
      kind: 'restructured',
      change: { change: 'terminal-retired', terminal: on.terminals[3] as TerminalId },
      basedOn: null,
    });
    const settled = settledOf(on);
    expect(settled.facts.every(({ state }, index) => index % 4 === 0 || state === 'unknown')).toBe(true);
  });
});

describe('any evidence with bundles', () => {
  it('is settled without ever throwing', () => {
    const side = fc.uniqueArray(fc.nat(5), { minLength: 1, maxLength: 4 });
    const value = fc.constantFrom<Value>(
      CLOSED,
      OPEN,
      SOUNDED,
      SILENT,
      { kind: 'unsteady' },
      { kind: 'ohms', ohms: 900 },
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(side, side, value), { maxLength: 12 }), (list) => {
        const on = bench(6, 1);
        for (const [red, black, said] of list) read(on, { red, black }, said);
        const settled = settledOf(on);
        for (let a = 0; a < 6; a += 1) for (let b = a + 1; b < 6; b += 1) prove(settled, a, b);
      }),
      { numRuns: runs(150) },
    );
  });
});
