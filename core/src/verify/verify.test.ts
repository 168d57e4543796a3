import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { partitionFromGroups, patternOfKnown } from '../partition/index.js';
import { routeOf } from '../route/index.js';
import type { TerminalId, EntryId, KnownSwitch } from '../switch/index.js';
import type { ExpectedTable } from '../log/index.js';
import { bench, CLOSED, mapHidden, OPEN, type Bench } from '../testing/generated.js';
import { compareWithExpected } from './compare.js';
import { lineUp } from './expected/line-up.js';

const tableOf = (on: Bench, groups: number[][][]): ExpectedTable => ({
  source: { kind: 'drawn' },
  settings: groups.map((joined, index) => ({
    setting: on.settings[index] as never,
    joined: joined.map((group) => group.map((place) => on.terminals[place] as never)),
    unsaid: [],
  })),
});
const CHANGEOVER = [[[0, 1]], [[0, 2]]];
const hidden = (groups: number[][][], size: number) =>
  groups.map((joined) => partitionFromGroups(size, joined));

describe('comparing with an expected table', () => {
  it('agrees only when every pair of every setting is settled and agrees', () => {
    const on = bench(3, 2);
    const { map } = mapHidden(hidden(CHANGEOVER, 3), on);
    const comparison = compareWithExpected(map, tableOf(on, CHANGEOVER));
    expect(comparison).toMatchObject({
      outcome: 'agrees',
      count: { agree: 6, missing: 0, extra: 0, 'not-tested': 0 },
    });
  });

  it('names what is missing and what is extra, cell by cell', () => {
    const on = bench(3, 2);
    const { map } = mapHidden(hidden(CHANGEOVER.toReversed(), 3), on);
    const { outcome, cells, count } = compareWithExpected(map, tableOf(on, CHANGEOVER));
    expect(outcome).toBe('differs');
    expect(count).toMatchObject({ missing: 2, extra: 2 });
    const [missing] = cells.filter(({ verdict }) => verdict === 'missing');
    expect(missing).toMatchObject({ setting: on.settings[0], terminals: [on.terminals[0], on.terminals[1]] });
  });

  it('never agrees on facts that are unknown or disputed, nor with a setting left out', () => {
    const on = bench(3, 2);
    on.read(0, 0, 1, CLOSED);
    expect(compareWithExpected(deriveMap(on.events), tableOf(on, CHANGEOVER))).toMatchObject({
      outcome: 'not-all-tested',
      count: { agree: 1, 'not-tested': 5 },
    });
    on.read(0, 0, 1, OPEN);
    expect(compareWithExpected(deriveMap(on.events), tableOf(on, CHANGEOVER)).count.agree).toBe(0);
    const full = bench(3, 2);
    const { map } = mapHidden(hidden(CHANGEOVER, 3), full);
    const half = compareWithExpected(map, tableOf(full, CHANGEOVER.slice(0, 1)));
    expect(half).toMatchObject({ outcome: 'not-all-tested', notCompared: [full.settings[1]] });
  });
});

describe('laying a known switch beside the one in hand', () => {
  const known = (terminals: string[], positions: number): KnownSwitch => ({
    id: bench(2, 1).newId<EntryId>(),
    kind: 'switch',
    name: 'changeover',
    maker: null,
    family: 'toggle',
    form: 'toggle',
    terminals,
    positions: [
      [0, 1],
      [0, 2],
    ]
      .slice(0, positions)
      .map((pair) => ({
        name: null,
        rests: 'maintained' as const,
        joined: [pair.map((place) => terminals[place] as string)],
      })),
    note: null,
  });

  it('goes by label where the labels are there, else by order, else says why not', () => {
    const on = bench(3, 2);
    const { structure } = deriveMap(on.events);
    const byLabel = lineUp(structure, known(['3', '1', '2'], 2));
    expect(byLabel).toMatchObject({ kind: 'lined-up', by: 'label' });
    if (byLabel.kind === 'lined-up')
      expect(byLabel.table.settings[0]?.joined).toEqual([[on.terminals[2], on.terminals[0]]]);
    expect(lineUp(structure, known(['x', 'y', 'z'], 2))).toMatchObject({ kind: 'lined-up', by: 'order' });
    expect(lineUp(structure, known(['x', 'y', 'z', 'w'], 2))).toMatchObject({
      kind: 'cannot',
      because: 'terminals',
    });
    expect(lineUp(structure, known(['1', '2', '3'], 1))).toMatchObject({
      kind: 'cannot',
      because: 'positions',
    });
    expect(patternOfKnown(known(['x', 'y', 'z'], 2))).toEqual(hidden(CHANGEOVER, 3));
  });
});

describe('what stands between wiring that agrees and a pass', () => {
  /** A switch that does what it should, read by ear or in ohms. */
  const agreeing = (groups: number[][][], tone: boolean) => {
    const on = bench(3, 2);
    mapHidden(hidden(groups, 3), on, { tone });
    on.add({ kind: 'expected', table: tableOf(on, groups) });
    return on;
  };
  const next = (on: Bench) => {
    const { at, next: thing, done } = routeOf({ outOfMachine: true }, deriveMap(on.events));
    return [at, thing, done.verify];
  };

  it('is nothing once it is read in ohms: what is not tested besides is said by the verdict', () => {
    expect(next(agreeing(CHANGEOVER, false))).toMatchObject([
      'match',
      { code: 'judged', whole: 'wiring-and-contacts-pass' },
      true,
    ]);
  });

  it('is that its contacts were heard, not measured', () => {
    const open = { code: 'not-in-ohms', contacts: 2, byEar: true };
    expect(next(agreeing(CHANGEOVER, true))).toMatchObject([
      'verify',
      { whole: 'by-ear', open: [open, {}, {}] },
      false,
    ]);
  });

  it('is a line that fails, and that comes before what was only heard', () => {
    const on = agreeing(CHANGEOVER, true);
    on.add({ kind: 'mechanics-noted', sign: 'detents', found: 'at-fault', terminal: null, photo: null });
    expect(next(on)).toMatchObject([
      'match',
      { whole: 'fails', open: [{ code: 'fails', line: 'mechanics' }, {}, {}] },
      true,
    ]);
  });

  it('is something odd that nobody has answered, where the table does not answer it', () => {
    // The table says nothing of 3, which joins nothing: that stays a question.
    const on = bench(3, 2);
    const groups = [[[0, 1]], []];
    mapHidden(hidden(groups, 3), on);
    const [a, b, c] = on.terminals as [TerminalId, TerminalId, TerminalId];
    const unsaid: [TerminalId, TerminalId][] = [
      [a, c],
      [b, c],
    ];
    const settings = on.settings.map((setting, at) => ({
      setting,
      joined: at === 0 ? [[a, b]] : [],
      unsaid,
    }));
    on.add({ kind: 'expected', table: { source: { kind: 'drawn' }, settings } });
    expect(next(on)).toMatchObject([
      'verify',
      { whole: 'questions', open: [{ code: 'questions', count: 1, where: 'questions' }, {}, {}, {}] },
      false,
    ]);
  });
});

describe('the route', () => {
  it('goes from make safe over map and verify to match, and never ahead of the facts', () => {
    const on = bench(3, 2);
    const at = (outOfMachine = true) => {
      const { at: step, next } = routeOf({ outOfMachine }, deriveMap(on.events));
      return [step, next.code];
    };
    expect(at(false)).toEqual(['safe', 'make-safe']);
    expect(at()).toEqual(['map', 'readings-left']);
    mapHidden(hidden(CHANGEOVER, 3), on);
    expect(at()).toEqual(['verify', 'compare']);
    on.add({ kind: 'expected', table: tableOf(on, CHANGEOVER.toReversed()) });
    expect(at()).toEqual(['verify', 'judged']);
    on.add({ kind: 'expected', table: tableOf(on, CHANGEOVER) });
    expect(at()).toEqual(['match', 'judged']);
    on.add({
      kind: 'chosen',
      replacement: {
        ...{ entry: on.newId(), name: 'Toggle', terminals: [], positions: [] },
        ...{ source: null, accepted: [], part: null },
      },
    });
    expect(at()).toEqual(['refit', 'refit']);
    on.read(0, 0, 1, OPEN);
    expect(at()).toEqual(['map', 'contradiction']);
  });
});
