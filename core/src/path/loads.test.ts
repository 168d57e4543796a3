import { describe, expect, it } from 'vitest';
import { ORDINARY_METER } from '../log/index.js';
import { cordLoop } from './cord.js';
import { expectedOhms } from './expected-ohms.js';
import { likelihoodOf } from './likelihood.js';

describe('a cord', () => {
  it('of 5 m and 2.08 mm2 loops to 83 milliohm, which an ordinary handheld cannot tell', () => {
    const loop = cordLoop(5, 2.08, ORDINARY_METER);
    expect(loop.ohms).toBeCloseTo(0.083, 3);
    expect(loop.tells).toBe(false);
    expect(cordLoop(30, 0.75, ORDINARY_METER).tells).toBe(true);
    expect(cordLoop(5, 2.08, { ...ORDINARY_METER, resolutionOhms: 0.001 }).tells).toBe(true);
  });
});

describe('what a load should read', () => {
  it('comes from the nameplate by Ohm’s law: 1000 W at 230 V is 52.9 ohm hot', () => {
    const element = expectedOhms(['element'], { volts: 230, watts: 1000 });
    expect(element).toMatchObject({ by: 'nameplate' });
    expect(element?.low).toBeLessThan(52.9);
    expect(element?.high).toBeGreaterThan(52.9);
    // A 60 W lamp at 230 V has about 882 ohm hot, and about 60 to 75 cold (common practice).
    const lamp = expectedOhms(['lamp'], { volts: 230, watts: 60 });
    expect(lamp?.low).toBeLessThan(60);
    expect(lamp?.high).toBeGreaterThan(75);
  });

  it('is a usual band without one, and nothing for electronics', () => {
    expect(expectedOhms(['brushes', 'motor'], null)).toMatchObject({ by: 'usual' });
    expect(expectedOhms(['electronics', 'motor'], null)).toBeNull();
    expect(expectedOhms(['plug', 'cord'], null)).toBeNull();
    expect(() => expectedOhms(['element'], { volts: 230, watts: 0 })).toThrow(RangeError);
  });
});

describe('a chance', () => {
  it('is a word, the same both ways', () => {
    expect([0.95, 0.7, 0.5, 0.3, 0.05].map(likelihoodOf)).toEqual([
      'very-likely',
      'likely',
      'even',
      'unlikely',
      'very-unlikely',
    ]);
  });
});
