import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryId } from '../switch/index.js';
import { knownSwitchSchema, type KnownSwitch } from '../switch/index.js';
import { anyOfSchema } from '../testing/any-of-schema.js';
import { CSV_COLUMNS, guessedMapping } from './csv-columns.js';
import { entryOfRow, rowOfEntry } from './library-csv.js';
import { knownSwitchProblems } from './checks/entry-problems.js';

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
    [['N', 'Q', '1 2', 'A: 1-2', '1,250', '', '', '', ''], 'motor-amps', 'doubtful-number'],
    [['N', 'Q', '1 2', 'A: 1-2', '', '250', '', '', ''], 'volts', 'stands-alone'],
    [['N', 'Q', '1 2', 'A: 1-2', '0', '', '', '', ''], 'ratings', 'not-allowed'],
    [['N', 'Q', '"1 2', 'A: 1-2', '', '', '', '', ''], 'terminals', 'open-quote'],
    [['N', 'Q', '1 2', 'A: 1-9', '', '', '', '', ''], 'positions', 'not-allowed'],
    [['N', 'Q', '1', 'A: 1-1', '', '', '', '', ''], 'terminals', 'not-allowed'],
  ])('with a mistake says in which column: %j', (cells, column, code) => {
    const row = read(...cells);
    expect(row.ok ? [] : row.troubles).toContainEqual(expect.objectContaining({ column, code }));
  });

  it.each([
    ['operations', '10.000', 'doubtful-number'],
    ['minimum-volts', '5', 'stands-alone'],
    ['minimum-milliamps', '5', 'stands-alone'],
    ['ratings', 'motor 4', 'not-a-rating'],
    ['key-out', 'OFF', 'not-positions'],
    ['kind', 'lamp', 'not-a-choice'],
  ] as const)('takes nothing for what a cell does not say: %s %s', (column, text, code) => {
    const head = ['name', 'terminals', 'positions', column];
    const row = entryOfRow(['N', '1 2', 'A: 1-2', text], guessedMapping(head), ID);
    expect(row.ok ? [] : row.troubles).toEqual([{ column, code, text }]);
  });

  it('comes back as it was when it is written and read again, whatever its names and facts are', () => {
    const entries = (anyOfSchema(knownSwitchSchema) as fc.Arbitrary<KnownSwitch>).map((one) =>
      // As a file keeps it: there is no minus nought.
      tidy(JSON.parse(JSON.stringify(one)) as KnownSwitch),
    );
    let read = 0;
    fc.assert(
      fc.property(entries, (entry) => {
        if (knownSwitchProblems(entry).length > 0) return;
        read += 1;
        expect(entryOfRow(rowOfEntry(entry), guessedMapping(CSV_COLUMNS), entry.id)).toEqual({
          ok: true,
          entry,
        });
      }),
      { numRuns: 300 },
    );
    expect(read).toBeGreaterThan(50);
  });
});

/** Without what a cell does not keep: blanks around a text, an empty text, an empty list; and with nets that can be. */
function tidy({ facts, positions, terminals, ...entry }: KnownSwitch): KnownSwitch {
  const trimmed = <Value extends object>(of: Value): Value =>
    Object.fromEntries(
      Object.entries(of)
        .map(
          ([name, value]) => [name, typeof value === 'string' ? value.trim() : (value as unknown)] as const,
        )
        .filter(
          ([name, value]) => value !== '' && !(name === 'ratings' && (value as unknown[]).length === 0),
        ),
    ) as Value;
  const left = facts && trimmed(facts);
  return {
    ...entry,
    name: entry.name.trim(),
    family: entry.family.trim(),
    maker: entry.maker?.trim() || null,
    note: entry.note?.trim() || null,
    terminals,
    positions: positions.map((one, at) => ({
      ...one,
      name: one.name === '' ? null : one.name,
      joined: at % 2 === 0 ? [terminals.slice(0, 2)] : [],
    })),
    ...(left && Object.keys(left).length > 0 && { facts: left }),
  };
}
