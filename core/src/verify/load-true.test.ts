import { describe, expect, it } from 'vitest';
import type { ContactLimit } from '../log/index.js';
import { loadTrue } from './load-true.js';

const load = (amps: number, kind: 'resistive' | 'motor' | 'signal' = 'resistive'): ContactLimit => ({
  ...{ school: 'load', amps, volts: 230, kind, current: 'AC', of: null },
});

describe('a contact at its own current', () => {
  // By hand, Ohm's law: 6 V over 2 A are 3 ohm, which turn 12 W to heat. At 5 of 10 A half the drop is half as many millivolts.
  it.each([
    [2, { amps: 2, isOwn: true, seriesOhms: 3, seriesWatts: 12, goodMillivolts: 50, badMillivolts: 200 }],
    [10, { amps: 5, isOwn: false, seriesOhms: 1.2, seriesWatts: 30, goodMillivolts: 25, badMillivolts: 100 }],
    // A drop is no worse for a current that is larger than the load's: at 1 of 0.5 A twice the millivolts are as good.
    [0.5, { amps: 1, isOwn: false, seriesOhms: 6, seriesWatts: 6, goodMillivolts: 100, badMillivolts: 400 }],
  ])('of %d A', (amps, recipe) => {
    expect(loadTrue(load(amps))).toEqual({ refused: null, ...recipe });
  });

  it('is never tried on a contact for signals, nor for so small a load that it may be plated with gold', () => {
    expect(loadTrue(load(2, 'signal'))).toEqual({ refused: 'signal' });
    expect(loadTrue(load(0.1))).toEqual({ refused: 'signal' });
    // Gold is burnt by any load, whatever the machine puts through it.
    expect(loadTrue(load(10), true)).toEqual({ refused: 'signal' });
    expect(loadTrue({ school: 'fixed', ohms: 1 })).toEqual({ refused: 'no-load' });
  });
});
