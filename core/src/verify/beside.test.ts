import { describe, expect, it } from 'vitest';
import { createMapper, deriveMap } from '../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { asKnownSwitch } from '../table/index.js';
import { bench, CLOSED, mapHidden, OPEN } from '../testing/generated.js';
import { compareBeside, expectedFromJob, layBeside, type LaidBeside } from './beside.js';
import { compareWithExpected } from './compare.js';

const nets = (...settings: number[][][]): Pattern => settings.map((groups) => partitionFromGroups(3, groups));
const CHANGEOVER = nets([[0, 1]], [[0, 2]]);
const mapped = (pattern: Pattern, seed = 1) => mapHidden(pattern, bench(3, 2, seed)).map;

function laidOut(...[here, there]: Parameters<typeof layBeside>): LaidBeside & { kind: 'laid' } {
  const laid = layBeside(here, there);
  if (laid.kind !== 'laid') throw new Error(laid.because);
  return laid;
}

describe('another switch beside this one', () => {
  it('agrees with itself in every cell, whatever its ids', () => {
    const [here, there] = [mapped(CHANGEOVER), mapped(CHANGEOVER, 2)];
    const compared = compareBeside(here, there, laidOut(here.structure, there.structure));
    expect(compared).toMatchObject({ alike: 6, differ: 0, notKnown: 0 });
    expect(compared.cells.map(({ differs }) => differs)).toEqual([null, null]);
  });

  it('differs where one is closed and the other open, and that comes first', () => {
    const [here, there] = [mapped(CHANGEOVER), mapped(nets([[0, 1]], [[0, 1]]), 2)];
    const { cells, differ } = compareBeside(here, there, laidOut(here.structure, there.structure));
    expect(differ).toBe(2);
    expect(cells.map(({ differs }) => differs)).toEqual(['joins', 'joins', null]);
    expect(cells[0]).toMatchObject({ setting: here.structure.settings[1]?.id });
  });

  it('differs in ohms only by more than both meters can be out', () => {
    const read = (ohms: number, seed: number) => {
      const on = bench(2, 1, seed);
      on.read(0, 0, 1, { kind: 'ohms', ohms });
      return deriveMap(on.events);
    };
    const between = (one: number, other: number) => {
      const [here, there] = [read(one, 1), read(other, 2)];
      return compareBeside(here, there, laidOut(here.structure, there.structure)).cells[0]?.differs;
    };
    expect(between(0.3, 0.5)).toBeNull();
    expect(between(0.3, 1.9)).toBe('ohms');
  });

  it('says what is not known of either, and gives a table that says nothing of it', () => {
    const on = bench(3, 2, 2);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 0, 2, OPEN);
    const there = deriveMap(on.events);
    const here = mapped(CHANGEOVER);
    const laid = laidOut(here.structure, there.structure);
    expect(compareBeside(here, there, laid)).toMatchObject({ alike: 3, differ: 0, notKnown: 3 });
    const table = expectedFromJob(there, laid, on.newId(), 'the old one');
    expect(compareWithExpected(here, table)).toMatchObject({ outcome: 'agrees', unsaid: 3 });
  });

  it('cannot be laid beside one of another size, and says so', () => {
    const structure = (terminals: number, settings: number) =>
      createMapper()(bench(terminals, settings).events).structure;
    expect(layBeside(structure(3, 2), structure(4, 2))).toEqual({
      kind: 'cannot',
      because: 'terminals',
      has: 3,
      needs: 4,
    });
    expect(layBeside(structure(3, 2), structure(3, 4))).toMatchObject({ because: 'positions' });
  });

  it('is an entry by its labels, with what joins in each position', () => {
    const { positions, terminals } = asKnownSwitch(mapped(CHANGEOVER), bench(2, 1).newId(), 'old');
    expect(terminals).toEqual(['1', '2', '3']);
    expect(positions.map(({ joined }) => joined)).toEqual([[['1', '2']], [['1', '3']]]);
  });
});
