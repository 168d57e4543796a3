import fc from 'fast-check';
import { UndirectedGraph } from 'graphology';
import { connectedComponents } from 'graphology-components';
import { describe, expect, it } from 'vitest';
import { anyPattern, bench, CLOSED, OPEN, SILENT, SOUNDED, type Bench } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import type { JobEvent, Reading, Value } from '../log/index.js';
import { seededRandom, shuffled } from '../switch/index.js';
import { createMapper, deriveMap, type SwitchMap } from './map.js';
import { factAt, type Settled } from './settled.js';
import { prove } from './proof.js';

const settledAt = (map: SwitchMap, on: Bench, setting = 0): Settled => {
  const mapped = map.settings.get(on.settings[setting] as never);
  if (!mapped) throw new Error('no such setting');
  return mapped.settled;
};

/** What two terminals are by a proof's own readings and nothing else: an independent checker. */
function checkProof(
  on: Bench,
  readings: Reading[],
  proof: { joined: boolean; readings: string[] },
  a: number,
  b: number,
) {
  const used = readings.filter(({ id }) => proof.readings.includes(id));
  const graph = new UndirectedGraph();
  on.terminals.forEach((id) => graph.addNode(id));
  const closed = ({ value }: Reading) =>
    (value.kind === 'ohms' && value.ohms < 2) || (value.kind === 'tone' && value.sounded);
  for (const { red, black } of used.filter(closed)) graph.mergeEdge(red[0], black[0]);
  const components = connectedComponents(graph);
  const net = (id: string) => components.findIndex((component) => component.includes(id));
  const [netA, netB] = [net(on.terminals[a] as string), net(on.terminals[b] as string)];
  if (proof.joined) return netA === netB;
  return used
    .filter((reading) => !closed(reading))
    .some(({ red, black }) => {
      const ends = [net(red[0] as string), net(black[0] as string)];
      return ends.includes(netA) && ends.includes(netB) && netA !== netB;
    });
}

const truthfulReadings = fc.record({
  pattern: anyPattern(8, 1),
  picks: fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean()), { maxLength: 40 }),
});

describe('nets', () => {
  it('are the connected components of the joins: 2,000 random cases or more against graphology', () => {
    const random = seededRandom(42);
    for (let round = 0; round < runs(2000); round += 1) {
      const size = 2 + Math.floor(random() * 14);
      const on = bench(size, 1, round + 1);
      const graph = new UndirectedGraph();
      on.terminals.forEach((id) => graph.addNode(id));
      for (let edge = Math.floor(random() * size * 1.2); edge > 0; edge -= 1) {
        const [a, b] = [Math.floor(random() * size), Math.floor(random() * size)];
        if (a === b) continue;
        on.read(0, a, b, random() < 0.5 ? CLOSED : SOUNDED);
        graph.mergeEdge(on.terminals[a], on.terminals[b]);
      }
      const settled = settledAt(deriveMap(on.events), on);
      const ours = new Map<number, string[]>();
      settled.nets.forEach((root, place) =>
        ours.set(root, [...(ours.get(root) ?? []), settled.terminals[place] as string]),
      );
      const theirs = connectedComponents(graph).map((component) => component.toSorted().join());
      expect([...ours.values()].map((net) => net.toSorted().join()).sort()).toEqual(theirs.sort());
    }
  });

  it('never contradict the readings, and every settled fact has a proof that re-derives it', () => {
    fc.assert(
      fc.property(truthfulReadings, ({ pattern, picks }) => {
        const truth = pattern[0] as number[];
        const on = bench(truth.length, 1);
        const readings = picks.flatMap(([x, y, tone]) => {
          const [a, b] = [x % truth.length, y % truth.length];
          if (a === b) return [];
          const together = truth[a] === truth[b];
          return [on.read(0, a, b, together ? (tone ? SOUNDED : CLOSED) : tone ? SILENT : OPEN)];
        });
        const settled = settledAt(deriveMap(on.events), on);
        expect(settled.contradictions).toEqual([]);
        for (let a = 0; a < truth.length; a += 1) {
          for (let b = 0; b < truth.length; b += 1) {
            if (a === b) continue;
            const fact = factAt(settled, a, b);
            const proof = prove(settled, a, b);
            expect(proof === null).toBe(fact.state === 'unknown');
            if (!proof) continue;
            expect(fact.joined).toBe(truth[a] === truth[b]);
            expect(proof.joined).toBe(fact.joined);
            expect(checkProof(on, readings, proof, a, b)).toBe(true);
          }
        }
      }),
      { numRuns: runs(150) },
    );
  });
});

describe('the map as a function of the log', () => {
  /** Random acts, some false, with undo, redo, superseding and structure changes in between. */
  const randomLog = (seed: number): Bench => {
    const random = seededRandom(seed);
    const on = bench(5, 3, seed);
    const pick = (size: number) => Math.floor(random() * size);
    const readings: Reading[] = [];
    const values: Value[] = [
      CLOSED,
      OPEN,
      SOUNDED,
      SILENT,
      { kind: 'unsteady' },
      { kind: 'ohms', ohms: 400 },
    ];
    for (let step = 0; step < 40; step += 1) {
      const target = on.events[pick(on.events.length)] as JobEvent;
      const roll = random();
      if (roll < 0.6) readings.push(on.read(pick(3), pick(5), pick(5), values[pick(values.length)] as Value));
      else if (roll < 0.7) on.add({ kind: 'withdrawn', target: target.id, basedOn: null });
      else if (roll < 0.78) on.add({ kind: 'restored', target: target.id, basedOn: null });
      else if (roll < 0.86 && readings.length > 0) {
        const old = readings[pick(readings.length)] as Reading;
        on.add({
          kind: 'superseded',
          reading: old.id,
          replacement: { ...old, id: on.newId(), value: OPEN },
          source: 'typed',
        });
      } else if (roll < 0.93) {
        const terminal = on.terminals[pick(5)] as never;
        on.add({ kind: 'restructured', change: { change: 'terminal-retired', terminal }, basedOn: null });
      } else
        on.add({
          kind: 'meter-checked',
          leadsTogether: CLOSED,
          meter: (on.events[1] as JobEvent<never>).what['meter'],
        });
    }
    return on;
  };
  const comparable = (map: SwitchMap) => ({
    structure: map.structure,
    settings: [...map.settings],
    standings: map.tape.map(({ standing }) => standing),
    complete: map.complete,
  });

  it('is the same for any order of arrival, with repeats, and along any incremental path', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const { events } = randomLog(seed);
        const rebuilt = comparable(deriveMap(events));
        const mixed = shuffled([...events, ...events.slice(0, 5)], seededRandom(seed + 1));
        expect(comparable(deriveMap(mixed))).toEqual(rebuilt);
        const mapper = createMapper();
        for (let upTo = 1; upTo <= events.length; upTo += 1) {
          const step = comparable(mapper(events.slice(0, upTo)));
          if (upTo % 10 === 0) expect(step).toEqual(comparable(deriveMap(events.slice(0, upTo))));
        }
        expect(comparable(mapper(events))).toEqual(rebuilt);
        const arriving = createMapper();
        mixed.forEach((_, index) => arriving(mixed.slice(0, index + 1)));
        expect(comparable(arriving(mixed))).toEqual(rebuilt);
      }),
      { numRuns: runs(60) },
    );
  });

  it('recomputes only the setting that an answer touches', () => {
    const on = bench(4, 2);
    on.read(0, 0, 1, CLOSED);
    const mapper = createMapper();
    const before = mapper(on.events);
    on.read(1, 0, 1, OPEN);
    const after = mapper(on.events);
    expect(settledAt(after, on, 0)).toBe(settledAt(before, on, 0));
    expect(settledAt(after, on, 1)).not.toBe(settledAt(before, on, 1));
  });

  it('parks the readings of an undone terminal and revives them on redo', () => {
    const on = bench(3, 1);
    const id = on.newId<never>();
    const terminal = { id, label: 'X', marking: null, role: 'contact' as const };
    const added = on.add({
      kind: 'restructured',
      change: { change: 'terminal-added', terminal },
      basedOn: null,
    });
    on.terminals.push(id);
    on.read(0, 0, 3, CLOSED);
    const undo = { kind: 'withdrawn', target: added.id, basedOn: null } as const;
    expect(deriveMap(on.events).tape[0]?.standing).toBe('counts');
    on.add(undo);
    expect(deriveMap(on.events).tape[0]?.standing).toBe('parked');
    on.add({ kind: 'restored', target: added.id, basedOn: null });
    expect(factAt(settledAt(deriveMap(on.events), on), 0, 3).joined).toBe(true);
  });
});

describe('contradictions', () => {
  it('suspect the open and the joins on simple paths between its ends, and leave the rest standing', () => {
    const on = bench(7, 1);
    const chain = [on.read(0, 0, 1, CLOSED), on.read(0, 1, 2, CLOSED), on.read(0, 2, 0, CLOSED)];
    const tail = on.read(0, 2, 3, CLOSED);
    const spur = on.read(0, 3, 4, CLOSED);
    on.read(0, 5, 6, OPEN);
    const open = on.read(0, 0, 3, OPEN);
    const settled = settledAt(deriveMap(on.events), on);
    expect(settled.contradictions).toHaveLength(1);
    const [found] = settled.contradictions;
    expect(found?.opens).toEqual([open.id]);
    expect([...(found?.joins ?? [])].sort()).toEqual([...chain, tail].map(({ id }) => id).sort());
    expect([...(found?.enough ?? [])].sort()).toEqual([open.id, tail.id].sort());
    expect(factAt(settled, 3, 4)).toMatchObject({ state: 'measured', joined: true });
    expect(prove(settled, 3, 4)?.readings).toEqual([spur.id]);
    expect(factAt(settled, 5, 6)).toMatchObject({ state: 'measured', joined: false });
    expect(factAt(settled, 0, 4).state).toBe('disputed');
    expect(factAt(settled, 4, 5).state).toBe('unknown');
  });

  it('that overlap give the same disputed facts in whatever order the events arrive', () => {
    const on = bench(6, 1);
    on.read(0, 0, 1, SOUNDED);
    on.read(0, 1, 2, SOUNDED);
    on.read(0, 2, 3, CLOSED);
    on.read(0, 0, 2, SILENT);
    on.read(0, 1, 3, OPEN);
    on.read(0, 4, 5, CLOSED);
    const reference = settledAt(deriveMap(on.events), on);
    expect(reference.contradictions).toHaveLength(1);
    expect(reference.contradictions[0]?.opens).toHaveLength(2);
    expect(reference.contradictions[0]?.maybePartsInSeries).toBe(true);
    const disputed = reference.facts.map(({ state }) => state);
    expect(disputed.filter((state) => state === 'disputed').length).toBeGreaterThan(6);
    for (let seed = 0; seed < 30; seed += 1) {
      const mixed = shuffled(on.events, seededRandom(seed));
      expect(settledAt(deriveMap(mixed), on).facts.map(({ state }) => state)).toEqual(disputed);
    }
  });

  it('go away when a person supersedes the wrong reading, and come back on undo', () => {
    const on = bench(3, 1);
    const slip = on.read(0, 0, 1, CLOSED);
    on.read(0, 1, 2, CLOSED);
    on.read(0, 0, 2, OPEN);
    expect(settledAt(deriveMap(on.events), on).contradictions).toHaveLength(1);
    const replacement = { ...slip, id: on.newId<never>(), value: OPEN };
    const correction = on.add({ kind: 'superseded', reading: slip.id, replacement, source: 'typed' });
    const mended = settledAt(deriveMap(on.events), on);
    expect(mended.contradictions).toEqual([]);
    expect(factAt(mended, 0, 1)).toMatchObject({ state: 'measured', joined: false });
    on.add({ kind: 'withdrawn', target: correction.id, basedOn: null });
    expect(settledAt(deriveMap(on.events), on).contradictions).toHaveLength(1);
  });
});

describe('what does not decide', () => {
  it('a middle value joins nothing, asks for another look and blocks completeness', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, { kind: 'ohms', ohms: 37 });
    const map = deriveMap(on.events);
    expect(factAt(settledAt(map, on), 0, 1).state).toBe('unknown');
    expect(settledAt(map, on).lookAgain).toMatchObject([{ a: 0, b: 1, because: 'middle' }]);
    expect(map.complete).toBe(false);
  });

  it('low one way and over range the other is one-way, not a contradiction', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 1, 0, OPEN);
    const settled = settledAt(deriveMap(on.events), on);
    expect(settled.contradictions).toEqual([]);
    expect(settled.lookAgain[0]?.because).toBe('one-way');
    expect(factAt(settled, 0, 1).state).toBe('unknown');
  });

  it('a join that rests on a tone says so until ohms carry it; a silent open says so too', () => {
    const on = bench(3, 1);
    on.read(0, 0, 1, SOUNDED);
    on.read(0, 1, 2, SILENT);
    const byTone = settledAt(deriveMap(on.events), on);
    expect(factAt(byTone, 0, 1)).toEqual({ state: 'measured', joined: true, byTone: true });
    expect(factAt(byTone, 0, 2)).toEqual({ state: 'follows', joined: false, byTone: true });
    on.read(0, 0, 1, CLOSED);
    expect(factAt(settledAt(deriveMap(on.events), on), 0, 1).byTone).toBe(false);
  });
});
