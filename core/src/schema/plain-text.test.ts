import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainLine, plainText, plainTexts } from './index.js';

describe('texts that go into files', () => {
  it.each([
    ['A\u0000B\u001b[2J', 'AB[2J', 'AB[2J'],
    ['two\nlines\tand a tab', 'two\nlines\tand a tab', 'two lines and a tab'],
    ['lamp\r\n.control', 'lamp\n.control', 'lamp .control'],
    ['sep\u2028arated\u0085here', 'separatedhere', 'sep arated here'],
    ['turned\u202egnp.exe', 'turnedgnp.exe', 'turnedgnp.exe'],
    ['Grün ≤ 0,2 Ω', 'Grün ≤ 0,2 Ω', 'Grün ≤ 0,2 Ω'],
  ])('%j', (text, plain, line) => {
    expect([plainText(text), plainLine(text)]).toEqual([plain, line]);
  });

  it('on one line never end it, whatever they are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        expect(plainLine(text)).not.toMatch(/[\p{Cc}\u2028\u2029]/u);
      }),
      { seed: 10, numRuns: 500 },
    );
  });

  it('are made plain wherever they stand', () => {
    expect(plainTexts({ a: ['x\u0007', { b: null, c: 3 }] })).toEqual({ a: ['x', { b: null, c: 3 }] });
  });
});
