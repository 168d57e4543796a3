import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { liveEvents } from '../../log/index.js';
import { bestRelabelling, partitionFromGroups, type Pattern } from '../../partition/index.js';
import { bench, mapHidden } from '../../testing/generated.js';
import { compareWithExpected } from '../compare.js';
import { diagnose } from '../diagnosis/diagnose.js';
import { diagnosisQuestion } from '../diagnosis/diagnosis-of.js';
import { expectedKind, kindsFor } from './expected-kind.js';
import { laidOtherwise } from './laid-otherwise.js';
import { readExpected } from './expected-text.js';

const KEYS: Pattern = [[], [[0, 1]], [[0, 2]], [[0, 3]]].map((groups) => partitionFromGroups(4, groups));
const NAMES = ['OFF', 'LOW', 'MID', 'HIGH'];

/** A switch of four positions and four terminals, mapped in full. */
function mapped(hidden: Pattern) {
  const on = bench(4, 4);
  const { map } = mapHidden(hidden, on);
  return { on, map, read: (text: string) => readExpected(text, map.structure, (at) => NAMES[at] ?? '') };
}

describe('an expected table as text', () => {
  it('is read by position and compared; what is not said is not compared', () => {
    const { map, read } = mapped(KEYS);
    const all = read('OFF: -\nlow: 1-2\nMID: 1-3; HIGH: 1-4');
    if (!all.ok) throw new Error(all.trouble.code);
    expect(compareWithExpected(map, all.table).outcome).toBe('agrees');
    const some = read('2: 1-2');
    if (!some.ok) throw new Error(some.trouble.code);
    expect(compareWithExpected(map, some.table)).toMatchObject({
      outcome: 'not-all-tested',
      count: { missing: 0, extra: 0 },
    });
    const wrong = read('LOW: 1-2-3');
    expect(wrong.ok && compareWithExpected(map, wrong.table).outcome).toBe('differs');
    const nothing = read('');
    expect(nothing.ok && compareWithExpected(map, nothing.table).count).toMatchObject({
      missing: 0,
      extra: 0,
    });
  });

  it('takes a name before a number: a position that is called 1 may be the second', () => {
    const { map } = mapped(KEYS);
    const read = readExpected('1: 1-2', map.structure, (at) => ['OFF', '1', '2', '3'][at] ?? '');
    expect(read.ok && read.table.settings[0]?.setting).toBe(map.structure.settings[1]?.id);
  });

  it.each([
    ['OFF 1-2', 'no-colon', 1, 'OFF 1-2'],
    ['OFF: -\nLEFT: 1-2', 'no-such-position', 2, 'LEFT'],
    ['LOW: 1-2\nlow: 1-3', 'position-twice', 2, 'low'],
    ['LOW: 1-9', 'no-such-terminal', 1, '9'],
    ['LOW: 12', 'no-such-terminal', 1, '12'],
    ['LOW: 1', 'not-a-join', 1, '1'],
    ['LOW: 1-1', 'not-a-join', 1, '1-1'],
  ])('with a mistake says what, where: %s', (text, code, line, at) => {
    expect(mapped(KEYS).read(text)).toEqual({ ok: false, trouble: { code, line, at } });
  });
});

describe('an ordinary kind as the table to follow', () => {
  it('is laid on the terminals as the map has them, whichever they are', () => {
    const moved: Pattern = [[[3, 1]], [[3, 0]], [[3, 2]]].map((groups) => partitionFromGroups(4, groups));
    const on = bench(4, 3);
    const { map } = mapHidden(moved, on);
    const selector = kindsFor(map).find(({ kind }) => kind === 'selector');
    if (!selector) throw new Error('no selector fits');
    expect(compareWithExpected(map, expectedKind(map, selector, 'x')).outcome).toBe('agrees');
  });

  it('runs from either end where no position has a name: the first is where the handle happened to stand', () => {
    // An on-off that was found on; two poles, whose lugs lie across.
    const found: Pattern = [[[0, 2], [1, 3]], []].map((groups) => partitionFromGroups(4, groups)); // prettier-ignore
    const { map } = mapHidden(found, bench(4, 2));
    const onOff = kindsFor(map).find(({ kind }) => kind === 'on-off');
    if (!onOff) throw new Error('no on-off fits');
    expect(compareWithExpected(map, expectedKind(map, onOff, 'x')).outcome).toBe('agrees');
    // The panel says which is off: then on at OFF is a fault.
    const named = {
      ...map,
      structure: {
        ...map.structure,
        actuators: map.structure.actuators.map((actuator) => ({
          ...actuator,
          positions: actuator.positions.map((one, at) => ({ ...one, name: ['OFF', 'ON'][at] ?? null })),
        })),
      },
    };
    expect(compareWithExpected(named, expectedKind(named, onOff, 'x')).outcome).toBe('differs');
  });
});

describe('the diagnosis of a map', () => {
  it('of a switch put together one detent off says so, and asks nothing where nothing is expected', () => {
    const { on, map, read } = mapped([KEYS[3], KEYS[0], KEYS[1], KEYS[2]] as Pattern);
    const table = read('OFF: -\nLOW: 1-2\nMID: 1-3\nHIGH: 1-4');
    if (!table.ok) throw new Error(table.trouble.code);
    const question = diagnosisQuestion(map, table.table);
    expect(question.settings).toEqual(on.settings);
    const { classes } = diagnose(question.expected, question.known, question.rows);
    expect(classes[0]).toMatchObject({ leaves: [] });
    expect(classes[0]?.explanations.flat()).toContainEqual({ cause: 'shifted', by: -1 });
    expect(liveEvents(deriveMap(on.events).log, 'expected')).toEqual([]);
  });
});

describe('what does not matter', () => {
  it('is written with a question mark, is not compared, and keeps the pattern from a pass', () => {
    const { map, read } = mapped(KEYS);
    const all = read('OFF: -\nLOW: 1-2\nMID: 1-3 ?2-4\nHIGH: ?1-4');
    if (!all.ok) throw new Error(all.trouble.code);
    expect(compareWithExpected(map, all.table)).toMatchObject({ outcome: 'agrees', unsaid: 2 });
    const wrong = read('OFF: ?1-2-3\nLOW: ?1-2 1-3');
    if (!wrong.ok) throw new Error(wrong.trouble.code);
    const { cells, unsaid } = compareWithExpected(map, wrong.table);
    expect(unsaid).toBe(4);
    expect(cells.filter(({ verdict }) => verdict === 'missing')).toMatchObject([
      { setting: map.structure.settings[1]?.id },
    ]);
    expect(read('LOW: ?1')).toMatchObject({ ok: false, trouble: { code: 'not-a-join', at: '?1' } });
  });
});

describe('a table laid otherwise over the terminals', () => {
  it('agrees where only the numbers differ', () => {
    const { map, read } = mapped(KEYS);
    const numbered = read('OFF: -\nLOW: 4-3\nMID: 4-2\nHIGH: 4-1');
    if (!numbered.ok) throw new Error(numbered.trouble.code);
    expect(compareWithExpected(map, numbered.table).outcome).toBe('differs');
    const { expected, known, terminals } = diagnosisQuestion(map, numbered.table);
    const { to, differs } = bestRelabelling(expected, known);
    expect(differs).toBe(0);
    expect(compareWithExpected(map, laidOtherwise(numbered.table, terminals, to)).outcome).toBe('agrees');
  });
});
