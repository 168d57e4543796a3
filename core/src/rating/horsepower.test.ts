import { describe, expect, it } from 'vitest';
import { fullLoadAmps } from './horsepower.js';

describe('full-load currents', () => {
  // NFPA 70, table 430.248, single-phase motors; values from memory.
  it.each([
    [0.5, 115, 9.8],
    [0.5, 125, 9.8],
    [1, 230, 8],
    [1, 250, 8],
    [2, 240, 12],
    [1 / 3, 120, 7.2],
  ])('%f HP at %d V is %f A', (horsepower, volts, amps) =>
    expect(fullLoadAmps(horsepower, volts)).toBe(amps),
  );

  it('is never watts over volts, and unknown outside the table', () => {
    // 746 W / 230 V would be 3.2 A: less than half of what such a motor takes.
    expect(fullLoadAmps(1, 230)).toBeGreaterThan(746 / 230);
    expect(fullLoadAmps(0.9, 230)).toBeNull();
    expect(fullLoadAmps(1, 400)).toBeNull();
  });
});
