import { describe, expect, it } from 'vitest';
import { partitionFromGroups } from '../../partition/index.js';
import { bench, mapHidden } from '../../testing/generated.js';
import { compareWithExpected } from '../compare.js';
import { readExpectedRows } from './expected-rows.js';

const NAMES = ['OFF', 'ON'];
const { map } = mapHidden(
  [[], [[0, 1]]].map((groups) => partitionFromGroups(3, groups)),
  bench(3, 2),
);
const read = (...rows: string[]) =>
  readExpectedRows(
    rows.map((row) => row.split(',')),
    map.structure,
    (at) => NAMES[at] ?? '',
  );

describe('an expected table from a spreadsheet', () => {
  it('is read by its head, in any order of columns; what has no cell is not said', () => {
    const all = read('to,from,note,ON,off', '2,1,lamp,x,-', '3,1,,,0');
    if (!all.ok) throw new Error(all.trouble.code);
    expect(compareWithExpected(map, all.table)).toMatchObject({ outcome: 'agrees', unsaid: 1 });
    const wrong = read('from,to,OFF,ON', '1,2,closed,closed, measured');
    expect(wrong.ok && compareWithExpected(map, wrong.table).count).toMatchObject({ missing: 1, extra: 0 });
  });

  it.each([
    [['1-2,x'], 'no-head', 1, '1-2, x'],
    [['from,to,LEFT', '1,2,x'], 'no-such-position', 1, 'from, to, LEFT'],
    [['from,to,ON', '1,9,x'], 'no-such-terminal', 2, '9'],
    [['from,to,ON', '1,2,maybe'], 'not-a-cell', 2, 'maybe'],
    [['from,to,ON', '1,2,x', '2,3,x', '1,3,-'], 'contradicts', 1, 'ON'],
  ])('with a mistake says what, in which row: %j', (rows, code, row, at) => {
    expect(read(...rows)).toEqual({ ok: false, trouble: { code, row, at } });
  });
});
