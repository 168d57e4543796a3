import { describe, expect, it } from 'vitest';
import type { EntryId } from '../switch/index.js';
import { CSV_COLUMNS, entryOfRow, guessedMapping, rowOfEntry } from './library-csv.js';

const ID = '0b8d0a52-51d4-4c0e-9d6e-2f6f0a3c1c01' as EntryId;
const HEAD = 'Part, Name,Maker,Terminals,Positions,Motor amps,Volts,Supply,In stock,Price'.split(',');
const read = (...cells: string[]) => entryOfRow(['x', ...cells], guessedMapping(HEAD), ID);

describe('a row of a catalogue', () => {
  it('is an entry, its columns found by their names; an empty cell is unknown', () => {
    expect(
      read('Lever nine', 'Quillon', '1 2 3', 'OFF: ; ON*: 1-2', '4', '250', 'AC', 'yes', ''),
    ).toMatchObject({
      ok: true,
      entry: {
        ...{ name: 'Lever nine', maker: 'Quillon', form: 'unsaid', terminals: ['1', '2', '3'] },
        positions: [
          { name: 'OFF', rests: 'maintained', joined: [] },
          { name: 'ON', rests: 'momentary', joined: [['1', '2']] },
        ],
        facts: { ratings: [{ load: 'motor', amps: 4, volts: 250, supply: 'ac' }], inStock: true },
      },
    });
    const plain = read('Lever nine', '', '1 2', 'A: 1-2', '', '', '', '', '');
    expect(plain.ok && plain.entry.facts).toBeUndefined();
  });

  it.each([
    [['', 'Q', '1 2', 'A: 1-2', '', '', '', '', ''], 'name', 'missing'],
    [['N', 'Q', '1 2', '1-2', '', '', '', '', ''], 'positions', 'not-a-position'],
    [['N', 'Q', '1 2', 'A: 1-2', 'four', '', '', '', ''], 'motor-amps', 'not-a-number'],
    [['N', 'Q', '1 2', 'A: 1-2', '4', '', 'both', '', ''], 'supply', 'not-a-choice'],
    [['N', 'Q', '1 2', 'A: 1-2', '', '', '', 'perhaps', ''], 'in-stock', 'not-yes-or-no'],
    [['N', 'Q', '1 2', 'A: 1-9', '', '', '', '', ''], 'positions', 'not-allowed'],
    [['N', 'Q', '1', 'A: 1-1', '', '', '', '', ''], 'terminals', 'not-allowed'],
  ])('with a mistake says in which column: %j', (cells, column, code) => {
    const row = read(...cells);
    expect(row.ok ? [] : row.troubles).toContainEqual(expect.objectContaining({ column, code }));
  });

  it('comes back as it was when it is written and read again', () => {
    const first = read('Lever nine', 'Quillon', '1 2 3', 'OFF: ; ON*: 1-2-3', '4', '250', 'ac', 'no', '12.5');
    if (!first.ok) throw new Error('not read');
    const again = entryOfRow(rowOfEntry(first.entry), guessedMapping(CSV_COLUMNS), ID);
    expect(again).toEqual(first);
  });
});
