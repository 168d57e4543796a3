import { describe, expect, it } from 'vitest';
import { blocks, partitionFromGroups, type Pattern } from '../../partition/index.js';
import { seededRandom } from '../../switch/index.js';
import { bySat } from '../../testing/fit-oracles.js';
import { runs } from '../../testing/runs.js';
import { plantedDemand, scrambled } from '../../testing/wire-demands.js';
import { fitPart, PLAIN_RULES, type FitResult } from './fit.js';
import { compilePart } from './part.js';
import { isFit } from './verify-fit.js';
import { compileDemand, type WireDemand } from './wires.js';

const search = (demand: WireDemand, part: Pattern, gaps: boolean): FitResult =>
  fitPart(compileDemand(demand), compilePart(part), { ...PLAIN_RULES, jumpers: 2, gaps });
const nets = (size: number, ...settings: number[][][]): Pattern =>
  settings.map((groups) => partitionFromGroups(size, groups));

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
