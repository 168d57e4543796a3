import { describeSwitch, newIdFrom, seededRandom, type Structure } from '../switch/index.js';
import { describe, expect, it } from 'vitest';
import { readEntry, readPairs } from './entry.js';

const change = describeSwitch(
  { terminals: 4, positions: 1, form: 'rotary', layout: 'list', labels: ['1', 'L1', 'A-2', '10'] },
  newIdFrom(seededRandom(1)),
);
const structure: Structure = { ...change, placed: [], merged: {} };
const [one, l1, a2, ten] = structure.terminals.map(({ id }) => id);

describe('a typed line', () => {
  it('is a terminal while a sweep is shown, by label in either case, with or without its ohms', () => {
    expect(readEntry('10', structure, 'terminal')).toEqual({ kind: 'terminal', terminal: ten, value: null });
    expect(readEntry('l1', structure, 'terminal')).toEqual({ kind: 'terminal', terminal: l1, value: null });
    expect(readEntry('10=0,3', structure, 'terminal')).toMatchObject({
      terminal: ten,
      value: { kind: 'ohms', ohms: 0.3 },
    });
  });

  it('is a pair wherever two labels stand with a dash, also when a label has a dash of its own', () => {
    expect(readEntry('1-10', structure, 'value')).toEqual({
      kind: 'pair',
      red: one,
      black: ten,
      value: null,
    });
    expect(readEntry('A-2-1', structure, 'terminal')).toEqual({
      kind: 'pair',
      red: a2,
      black: one,
      value: null,
    });
    expect(readEntry('1-L1=OL', structure, 'value')).toMatchObject({ kind: 'pair', value: { kind: 'over' } });
    expect(readEntry('A-2', structure, 'terminal')).toMatchObject({ kind: 'terminal', terminal: a2 });
  });

  it('is a value while one is asked', () => {
    expect(readEntry('2k2', structure, 'value')).toEqual({
      kind: 'value',
      value: { kind: 'ohms', ohms: 2200 },
    });
  });

  it('is refused with what is wrong with it', () => {
    for (const [line, expects, code] of [
      ['77', 'terminal', 'no-such-terminal'],
      ['1-1', 'terminal', 'no-such-terminal'],
      ['x', 'value', 'not-a-value'],
      ['10=x', 'terminal', 'not-a-value'],
      ['-3', 'value', 'negative-value'],
      ['9', 'setting', 'no-such-position'],
    ] as const)
      expect(readEntry(line, structure, expects)).toMatchObject({ kind: 'wrong', message: { code } });
  });

  it('of several pairs is each once, whichever way round; what is no pair is named', () => {
    expect(readPairs('1-10, 10-1; L1-A-2', structure)).toEqual({
      ok: true,
      pairs: [
        [ten, one],
        [l1, a2],
      ],
    });
    expect(readPairs('1-10 7-8', structure)).toEqual({ ok: false, wrong: '7-8' });
    expect(readPairs('  ', structure)).toEqual({ ok: false, wrong: null });
  });
});
