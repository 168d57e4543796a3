import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import type { Setting } from '../switch/index.js';
import { bench, CLOSED, mapHidden } from '../testing/generated.js';
import { betweenThrows } from './between.js';
import { independentHandles } from './handles.js';
import { identify } from './identity.js';
import { pairTable } from './pair-table.js';
import { compareSettings, equalSettings, equalSideBySide } from './settings-compared.js';
import { spreadOf, truthTable } from './truth-table.js';

const nets = (size: number, ...settings: number[][][]): Pattern =>
  settings.map((groups) => partitionFromGroups(size, groups));

describe('views of one table', () => {
  const on = bench(4, 3);
  const { map } = mapHidden(nets(4, [[0, 1]], [[0, 2]], [[0, 1]]), on);
  const [first, second, third] = on.settings;
  const [a, b, c] = on.terminals;

  it('by pairs: all that join somewhere or are not known, and how many are open everywhere', () => {
    expect(pairTable(map).rows.map(({ terminals }) => terminals)).toEqual([
      [a, b],
      [a, c],
    ]);
    expect(pairTable(map).openEverywhere).toBe(4);
    const begun = bench(3, 1);
    begun.read(0, 0, 1, CLOSED);
    expect(pairTable(deriveMap(begun.events))).toMatchObject({ rows: { length: 3 }, openEverywhere: 0 });
  });

  it('says which settings are electrically equal, only on what is known', () => {
    expect(equalSettings(map)).toEqual([[first, third]]);
    expect(equalSideBySide(on.settings, equalSettings(map))).toEqual([first, third, second]);
    expect(equalSettings(deriveMap(bench(3, 2).events))).toEqual([]);
  });

  it('says what opens and closes from one setting to another', () => {
    expect(compareSettings(map, first as never, second as never)).toEqual({
      opens: [[a, b]],
      closes: [[a, c]],
      stays: [],
      unknown: [],
    });
    expect(compareSettings(map, first as never, third as never)).toMatchObject({
      opens: [],
      stays: [[a, b]],
    });
  });

  it('has its rows by moving contact, with the spread of what was read', () => {
    const shared = mapHidden(nets(6, [[0, 1], [2, 3]], [[0, 3], [2, 4]]), bench(6, 2)).map; // prettier-ignore
    const rows = truthTable(shared).poles.flatMap((pole) => pole.rows);
    const place = (id: string | null) => shared.structure.terminals.findIndex((one) => one.id === id);
    expect(rows.map(({ moving, contact }) => [place(moving), contact])).toEqual([
      [0, [0, 1]],
      [0, [0, 3]],
      [2, [2, 3]],
      [2, [2, 4]],
    ]);
    const read = bench(2, 2);
    read.read(0, 0, 1, { kind: 'ohms', ohms: 0.4 });
    read.read(1, 0, 1, { kind: 'ohms', ohms: 1.1 });
    const [row] = truthTable(deriveMap(read.events)).poles[0]?.rows ?? [];
    expect(row && spreadOf(row)).toMatchObject({ least: { ohms: 0.2 }, most: { ohms: 0.9 } });
  });
});

describe('between positions', () => {
  it('lists each step on which a moving contact goes from throw to throw, and what was seen each way', () => {
    const on = bench(4, 3);
    mapHidden(nets(4, [[0, 1]], [[0, 2]], []), on);
    const [first, second] = on.settings as [never, never];
    const [, b, c] = on.terminals as [never, never, never];
    expect(betweenThrows(deriveMap(on.events))).toMatchObject([
      { throws: [b, c], settings: [first, second], up: null, down: null },
    ]);
    const passing = { throws: [c, b] as [never, never], settings: [first, second] as [never, never] };
    on.add({ kind: 'passing-probed', passing: { ...passing, way: 'up', passes: 3, seen: true } });
    on.add({ kind: 'passing-probed', passing: { ...passing, way: 'down', passes: 5, seen: false } });
    expect(betweenThrows(deriveMap(on.events))[0]).toMatchObject({
      up: { seen: true },
      down: { seen: false, passes: 5 },
    });
    on.add({ kind: 'passing-probed', passing: { ...passing, way: 'up', passes: 0, seen: false } });
    expect(betweenThrows(deriveMap(on.events))[0]?.up).toBeNull();
  });
});

describe('handles on one body', () => {
  /** Two handles of two positions each; the pole of each handle by where it stands. */
  function twoHandles(joined: (upper: number, lower: number) => number[][]) {
    const on = bench(5, 4);
    const [described] = on.events;
    if (described?.what.kind !== 'restructured' || described.what.change.change !== 'described')
      throw new Error('not described');
    const { change } = described.what;
    const [handle] = change.actuators;
    if (!handle) throw new Error('no handle');
    const [p, q, r, s] = handle.positions;
    const other = { ...handle, id: on.newId<never>(), name: 'Lower', positions: [r, s] as never };
    const settings = change.settings.map((setting, at): Setting => ({
      ...setting,
      at: {
        [handle.id]: [p, q][at % 2]?.id as never,
        [other.id]: [r, s][Math.floor(at / 2)]?.id as never,
      },
    }));
    on.events[0] = {
      ...described,
      what: {
        ...described.what,
        change: {
          ...change,
          actuators: [{ ...handle, name: 'Upper', positions: [p, q] as never }, other],
          settings,
        },
      },
    };
    return mapHidden(nets(5, ...settings.map((_, at) => joined(at % 2, Math.floor(at / 2)))), on).map;
  }

  it('are parts of their own where neither moves the other’s pole', () => {
    const map = twoHandles((upper, lower) => [
      ...(upper === 1 ? [[0, 1]] : []),
      lower === 0 ? [2, 3] : [2, 4],
    ]);
    expect(independentHandles(map)?.map(({ terminals }) => terminals)).toEqual([
      [0, 1],
      [2, 3, 4],
    ]);
    expect(identify(map).parts.map(({ groups }) => groups[0]?.kind.kind)).toEqual(['contact', 'changeover']);
  });

  it('are not where one pole depends on both', () => {
    const map = twoHandles((upper, lower) => (upper === 1 && lower === 1 ? [[0, 1]] : [[2, 3]]));
    expect(independentHandles(map)).toBeNull();
    expect(identify(map).parts).toEqual([]);
  });
});
