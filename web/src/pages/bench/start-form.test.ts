import { describe, expect, it } from 'vitest';
import { readStart } from './start-form.js';

const typed = { terminals: '8', positions: '?', seed: '1', simulated: false, known: undefined };

describe('the start form', () => {
  it('takes ? and nothing as positions that are found on the way', () => {
    expect(readStart(typed)).toEqual({ ok: true, terminals: 8, positions: null, seed: 1 });
    expect(readStart({ ...typed, positions: '' })).toMatchObject({ ok: true, positions: null });
    expect(readStart({ ...typed, positions: ' 4 ' })).toMatchObject({ ok: true, positions: 4 });
  });

  it.each([
    { terminals: '' },
    { terminals: '1' },
    { terminals: '49' },
    { terminals: '3.5' },
    { positions: '0' },
    { positions: 'many' },
    { positions: '25' },
    { simulated: true },
  ])('refuses %j with a hint', (wrong) => {
    const read = readStart({ ...typed, ...wrong });
    expect(read.ok).toBe(false);
    expect(!read.ok && read.hint.length).toBeGreaterThan(5);
  });
});
