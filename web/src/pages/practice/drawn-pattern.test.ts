import { describe, expect, it } from 'vitest';
import { readDrawn } from './drawn-pattern.js';

describe('a switch that is drawn up for practice', () => {
  it('is read position by position; groups that share a lug are one net', () => {
    expect(readDrawn({ terminals: '5', positions: ['1-2, 3-4', '', '1-2 2-5'] })).toEqual({
      kind: 'pattern',
      pattern: [
        [0, 0, 2, 2, 4],
        [0, 1, 2, 3, 4],
        [0, 0, 2, 3, 0],
      ],
    });
  });

  it('says what is wrong, where, and what would be right', () => {
    const told = (terminals: string, ...positions: string[]) => {
      const read = readDrawn({ terminals, positions });
      return read.kind === 'wrong' ? read.message : '';
    };
    expect(told('one', '1-2')).toContain('“one” lugs cannot be drawn. Enter a whole number from 2 to 48.');
    expect(told('49', '1-2')).toContain('from 2 to 48');
    expect(told('3', '1-2', '2-4')).toContain('Position 2: “2-4” names nothing that joins');
    expect(told('3', '2-2')).toContain('such as 1-2');
    expect(told('3', '1')).toContain('Position 1');
    expect(told('3', '', '')).toContain('Nothing joins in any position');
  });
});
