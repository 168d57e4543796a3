import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partitionFromGroups } from '../partition/index.js';
import { anyPattern, bench, CLOSED, mapHidden, switchLikePattern } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { deriveMap } from '../continuity/index.js';
import { generates, polesWithContacts } from './contacts.js';
import { truthTable } from './truth-table.js';

/** Two poles of three throws on one shaft: 0 to 1, 2, 3 and 4 to 5, 6, 7; common practice for a wafer. */
const TWO_POLE_THREE_WAY = [0, 1, 2].map((at) =>
  partitionFromGroups(8, [
    [0, 1 + at],
    [4, 5 + at],
  ]),
);

describe('contacts', () => {
  it('generate exactly the nets of every setting, and none can be left out', () => {
    fc.assert(
      fc.property(anyPattern(7, 3), (pattern) => {
        for (const { terminals, contacts } of polesWithContacts(pattern)) {
          expect(generates(pattern, terminals, contacts)).toBe(true);
          for (const dropped of contacts) {
            const fewer = contacts.filter((contact) => contact !== dropped);
            expect(generates(pattern, terminals, fewer)).toBe(false);
          }
        }
      }),
      { numRuns: runs(200) },
    );
  });

  it('are the fewest: no smaller set of pairs does, tried in full on small poles', () => {
    fc.assert(
      fc.property(switchLikePattern(5, 3), (pattern) => {
        for (const { terminals, contacts } of polesWithContacts(pattern)) {
          const pairs = terminals.flatMap((a, at) => terminals.slice(at + 1).map((b) => [a, b] as const));
          for (let bits = 0; bits < 1 << pairs.length; bits += 1) {
            const chosen = pairs.filter((_, index) => (bits >> index) & 1);
            if (chosen.length < contacts.length) expect(generates(pattern, terminals, chosen)).toBe(false);
          }
        }
      }),
      { numRuns: runs(60) },
    );
  });

  it('run through the common of a selector', () => {
    const found = polesWithContacts(TWO_POLE_THREE_WAY);
    expect(found.map(({ common }) => common)).toEqual([0, 4]);
    expect(found[0]?.contacts).toEqual([
      [0, 1],
      [0, 2],
      [0, 3],
    ]);
  });

  it('run through a common that stands behind its throws, and through that of 23 ways that add up', () => {
    // 5 is in every net; as few contacts would do as a chain.
    const behind = [[[4, 5]], [[1, 2, 4, 5]]].map((nets) => partitionFromGroups(6, nets));
    expect(polesWithContacts(behind)).toMatchObject([
      { common: 4, contacts: [[1, 4], [2, 4], [4, 5]] }, // prettier-ignore
    ]);
    const adding = Array.from({ length: 24 }, (_, setting) =>
      partitionFromGroups(48, [Array.from({ length: setting + 1 }, (__, lug) => lug)]),
    );
    const [pole] = polesWithContacts(adding);
    expect(pole?.contacts).toEqual(Array.from({ length: 23 }, (_, way) => [0, way + 1]));
  });
});

describe('the truth table', () => {
  it('of a mapped switch has a closed cell where the hidden switch closes, with ohms less the lead zero', () => {
    const on = bench(9, 3);
    const hidden = TWO_POLE_THREE_WAY.map((partition) => [...partition, 8]);
    const table = truthTable(mapHidden(hidden, on).map);
    expect(table.complete).toBe(true);
    expect(table.joinsNothing).toEqual([on.terminals[8]]);
    expect(table.poles).toHaveLength(2);
    const closed = table.poles.map(({ rows }) =>
      rows.map(({ cells }) => cells.map(({ fact }) => fact.joined)),
    );
    const diagonal = [0, 1, 2].map((row) => [0, 1, 2].map((column) => row === column));
    expect(closed).toEqual([diagonal, diagonal]);
    expect(table.poles[0]?.rows[0]?.cells[0]?.reading?.quantity.ohms).toBeCloseTo(0.1, 6);
  });

  it('shows a disputed pair without counting it as a contact', () => {
    const on = bench(3, 1);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 1, 2, CLOSED);
    on.read(0, 0, 2, { kind: 'over' });
    const table = truthTable(deriveMap(on.events));
    expect(table.poles).toEqual([]);
    expect(table.uncertain).toHaveLength(3);
    expect(table.uncertain[0]?.cells[0]?.fact.state).toBe('disputed');
  });
});
