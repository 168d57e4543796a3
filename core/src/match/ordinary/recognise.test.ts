import { describe, expect, it } from 'vitest';
import { kindsOf } from '../../kinds/index.js';
import { deriveMap, type SwitchMap } from '../../continuity/index.js';
import { blocks, partitionFromGroups, relabel, type Pattern } from '../../partition/index.js';
import { agrees, fieldOf } from '../../planner/index.js';
import { PLAIN_APPROACH, type ExpectedTable } from '../../log/index.js';
import { seededRandom, shuffled, type KnownSwitch, type TerminalId } from '../../switch/index.js';
import { knownPattern } from '../../table/index.js';
import { bench, CLOSED, mapHidden, OPEN } from '../../testing/generated.js';
import { recognise } from './recognise.js';
import { fewSeeds } from '../../testing/runs.js';

const selector = () => kindsOf(16, 3).find(({ kind }) => kind === 'selector');

describe('ordinary switches', () => {
  it('are the kinds that have so many terminals and settings', () => {
    const names = (terminals: number, settings: number) =>
      kindsOf(terminals, settings).map(({ kind, poles, ways }) => `${poles} x ${ways} ${kind}`);
    expect(names(16, 3).slice(0, 3)).toEqual([
      '4 x 3 selector',
      '4 x 3 progressive-from-first',
      '4 x 3 one-missing',
    ]);
    expect(names(6, 2)).toEqual(['3 x 1 on-off', '2 x 2 changeover', '1 x 1 series-parallel']);
    expect(names(6, 3).slice(0, 2)).toEqual(['2 x 2 changeover-centre-off', '2 x 2 selector-off']);
    expect(names(7, 2)).toEqual([]);
  });
});

describe('what a switch looks like', () => {
  it('is said after a handful of readings, with its terminals laid over what is known; a closed list is needed', () => {
    const hidden = relabel(selector()?.pattern ?? [], shuffled([...Array(16).keys()], seededRandom(3)));
    const on = bench(16, 3);
    expect(recognise(deriveMap(on.events), [])).toEqual([]);
    const joined = hidden[0]?.flatMap((net, place) => (net === place ? [] : [[net, place] as const])) ?? [];
    joined.slice(0, 3).forEach(([a, b]) => on.read(0, a, b, CLOSED));
    on.read(1, joined[0]?.[0] ?? 0, joined[0]?.[1] ?? 0, OPEN);
    const map = deriveMap(on.events);
    const [first] = recognise(map, []);
    expect(first?.of).toMatchObject({ kind: 'ordinary', switch: 'selector', poles: 4, ways: 3 });
    if (first) expect(agrees(fieldOf(map), first)).toBe(true);
  });

  it('is proved in the end to be what it is, in no more readings than without, whatever it looked like on the way', () => {
    for (const seed of fewSeeds(1, 5)) {
      const hidden = relabel(selector()?.pattern ?? [], shuffled([...Array(16).keys()], seededRandom(seed)));
      const plain = mapHidden(hidden, bench(16, 3));
      const on = bench(16, 3, seed);
      on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'expected' } });
      const outlook = { hypotheses: [] as ReturnType<typeof recognise> };
      const run = mapHidden(hidden, on, {
        outlook,
        onPrompt: (map) => {
          outlook.hypotheses = recognise(map, []);
        },
      });
      expect(run.map.complete).toBe(true);
      expect(run.readings).toBeLessThan(plain.readings);
    }
  });

  it('takes a library entry before an ordinary kind, and nothing that a reading contradicts', () => {
    const entry: KnownSwitch = {
      id: bench(2, 1).newId(),
      kind: 'switch',
      name: 'Odd one',
      maker: null,
      family: 'wafer',
      form: 'rotary',
      terminals: ['1', '2', '3', '4'],
      positions: [
        {
          name: null,
          rests: 'maintained',
          joined: [
            ['1', '2'],
            ['3', '4'],
          ],
        },
        { name: null, rests: 'maintained', joined: [['1', '3']] },
      ],
      note: null,
    };
    const on = bench(4, 2);
    on.read(0, 0, 3, CLOSED);
    on.read(0, 1, 2, CLOSED);
    expect(recognise(deriveMap(on.events), [entry]).map(({ name }) => name)).toContain('Odd one');
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [3, 1],
      [3, 2],
    ] as const)
      on.read(1, a, b, OPEN);
    expect(recognise(deriveMap(on.events), [entry]).map(({ name }) => name)).not.toContain('Odd one');
  });
});

describe('a table that it should follow', () => {
  const mapped = (hidden: Pattern, expected: Pattern | null) => {
    const on = bench(8, 4, 3);
    if (expected) {
      const table: ExpectedTable = {
        source: { kind: 'text' },
        settings: on.settings.map((setting, at) => ({
          setting,
          joined: blocks(expected[at] as Pattern[number]).map((net) =>
            net.map((place) => on.terminals[place] as TerminalId),
          ),
          unsaid: [],
        })),
      };
      on.add({ kind: 'expected', table });
      on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'expected' } });
    }
    let last: SwitchMap | null = null;
    const outlook = { get hypotheses() { return last ? recognise(last, []) : []; } }; // prettier-ignore
    return mapHidden(hidden, on, { outlook, onPrompt: (map) => (last = map) });
  };
  const SELECTOR = [1, 2, 3, 4].map((way) => partitionFromGroups(8, [[0, way], [5, 6]])); // prettier-ignore

  it('is proved with fewer readings than mapping anew, and a switch that differs is mapped all the same', () => {
    const [proved, anew] = [mapped(SELECTOR, SELECTOR), mapped(SELECTOR, null)];
    expect(proved.map.complete && anew.map.complete).toBe(true);
    expect(proved.readings).toBeLessThan(anew.readings);
    const other = SELECTOR.toReversed();
    const differs = mapped(other, SELECTOR);
    expect(differs.map.complete).toBe(true);
    expect(knownPattern(differs.map)).toEqual(other);
  });
});
