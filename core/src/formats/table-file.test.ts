import { expect, it } from 'vitest';
import { partitionFromGroups } from '../partition/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { bench, mapHidden } from '../testing/generated.js';
import { compareWithExpected, readExpectedRows } from '../verify/index.js';
import { rowsOfTableFile, tableFile } from './table-file.js';

const NAMES = ['UP', 'DOWN'];
const on = bench(3, 2);
const { map } = mapHidden(
  [[[0, 1]], [[0, 2]]].map((groups) => partitionFromGroups(3, groups)),
  on,
);
const called = {
  terminal: (id: TerminalId) => map.structure.terminals.find((one) => one.id === id)?.label ?? '',
  setting: (id: SettingId) => NAMES[on.settings.indexOf(id)] ?? '',
};

it('a table written to a file and read again as what it should be agrees with itself', () => {
  const file = tableFile(map, 'A changeover', called);
  expect(file.contacts.map(({ moving, from, to }) => [moving, from, to])).toEqual([
    ['1', '1', '2'],
    ['1', '1', '3'],
  ]);
  expect(file.contacts[0]?.cells).toEqual([
    { is: 'closed', known: 'measured', byTone: false, ohms: expect.closeTo(0.1, 6) as number },
    { is: 'open', known: 'measured', byTone: false, ohms: null },
  ]);
  const rows = rowsOfTableFile(JSON.parse(JSON.stringify(file)));
  const read = rows && readExpectedRows(rows, map.structure, (at) => NAMES[at] ?? '');
  if (!read?.ok) throw new Error('not read');
  expect(compareWithExpected(map, read.table)).toMatchObject({ outcome: 'agrees', unsaid: 0 });
});

it.each([
  [null],
  [[]],
  [{ format: 'which-way', version: 2 }],
  [{ format: 'which-way-table', version: 1, positions: [], contacts: [1] }],
])('what is no such file is not read: %j', (file) => {
  expect(rowsOfTableFile(file)).toBeNull();
});
