import { lengthsIn } from '@which-way/core/match';
import { describe, expect, it } from 'vitest';
import {
  saidLengths,
  copperWords,
  keptLengths,
  lengthTyped,
  lengthWords,
  millimetresOf,
  shownLengths,
  temperatureWords,
} from './units.js';

describe('lengths, wires and temperatures in the units of a device', () => {
  // An inch is 25.4 mm exactly (the international yard and pound, 1959); degrees by their definition.
  it('are said in them, and what is stamped stays in sight', () => {
    expect([lengthWords(6.35, 'inch'), lengthWords(12, 'inch'), lengthWords(12, 'metric')]).toEqual([
      '0.25 in',
      '0.472 in',
      '12 mm',
    ]);
    expect([
      temperatureWords(85, 'inch'),
      temperatureWords(-40, 'inch'),
      temperatureWords(85, 'metric'),
    ]).toEqual(['185 °F (85 °C)', '-40 °F (-40 °C)', '85 °C']);
  });

  it('a wire’s area is never called a gauge that it is not', () => {
    // Areas of the gauges in ASTM B258: 18 is 0.823 mm², 19 is 0.653, 17 is 1.04, 16 is 1.31, 15 is 1.65, 14 is 2.08.
    expect(copperWords(0.75, 'inch')).toBe('0.75 mm² (between 18 and 19 AWG)');
    expect(copperWords(1.5, 'inch')).toBe('1.5 mm² (between 15 and 16 AWG)');
    expect(copperWords(2.08, 'inch')).toBe('2.08 mm² (14 AWG)');
    expect(copperWords(0.75, 'metric')).toBe('0.75 mm²');
    expect([copperWords(70, 'inch'), copperWords(0.001, 'inch')]).toEqual(['70 mm²', '0.001 mm²']);
  });

  it('a length that is typed and read again is the same, in both', () => {
    for (const units of ['metric', 'inch'] as const)
      for (const millimetres of [0.5, 1, 3.17, 6.35, 10, 12.7, 22.2, 40, 101.6])
        expect(millimetresOf(Number(lengthTyped(millimetres, units)), units)).toBeCloseTo(millimetres, 1);
    expect(millimetresOf(0.5, 'inch')).toBe(12.7);
  });

  it('a bare figure is never read in other units than it was typed in', () => {
    expect(lengthsIn(keptLengths('7/8', 'inch'))[0]).toBeCloseTo(22.225);
    expect(keptLengths('22 mm', 'inch')).toBe('22 mm');
    expect(keptLengths('7/8"', 'inch')).toBe('7/8"');
    expect(keptLengths('22 x 30', 'metric')).toBe('22 x 30');
    expect(keptLengths('long', 'inch')).toBe('long');
    expect(shownLengths('22 x 30', 'inch')).toBe('22 x 30 mm');
    expect(shownLengths('7/8 in', 'inch')).toBe('7/8 in');
    expect(shownLengths('22 x 30', 'metric')).toBe('22 x 30');
    expect(saidLengths('22.225 mm', 'inch')).toBe('0.875 in');
    expect(saidLengths('7/8 in', 'inch')).toBe('7/8 in');
    expect(saidLengths('22,5', 'metric')).toBe('22,5 mm');
  });
});
