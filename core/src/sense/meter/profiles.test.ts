import { describe, expect, it } from 'vitest';
import { ORDINARY_METER } from '../../log/index.js';
import { beepMeansBelow, checkKnown, METER_KINDS } from './profiles.js';

describe('a meter against a known resistor', () => {
  // By hand: 0.8 % of 10.3 and 3 counts of 0.1 are 0.38, and 1 % of 10 is 0.1.
  it.each([
    [10, 10.3, 0.3, 0.4824, true],
    [10, 10.5, 0.5, 0.484, false],
    [10, 9.4, -0.6, 0.4752, false],
    [1000, 1008, 8, 21.064, true],
  ])('of %d ohm that reads %d', (knownOhms, readOhms, off, allowed, within) => {
    const found = checkKnown(ORDINARY_METER, { knownOhms, tolerancePercent: 1, readOhms });
    expect(found.off).toBeCloseTo(off, 9);
    expect(found.allowed).toBeCloseTo(allowed, 6);
    expect(found.within).toBe(within);
  });

  it('a beep of a kind of meter may be of up to 200 ohm; one’s own that was tried says its own', () => {
    expect(METER_KINDS.map(beepMeansBelow)).toEqual([200, 200, 200, 200]);
    expect(beepMeansBelow({ ...ORDINARY_METER, name: 'The grey one', beeperOhms: 30 })).toBe(30);
  });
});
