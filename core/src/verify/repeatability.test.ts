import { describe, expect, it } from 'vitest';
import { deriveMap, type SwitchMap } from '../continuity/index.js';
import {
  MECHANICAL_SIGNS,
  upgradeEvent,
  type Deed,
  type MechanicalSign,
  type RepeatRun,
} from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { bench, mapHidden } from '../testing/generated.js';
import { shownOf } from './must-show.js';
import { repeatedOf, repeatStanding, upperBound } from './repeatability.js';
import { verdictOf } from './verdict.js';

describe('the upper bound of a rate', () => {
  // With none of n the bound is 1 - 0.05^(1/n) in closed form; tables of exact binomial limits give the others.
  it.each([
    [0, 20, 0.1391],
    [0, 59, 0.0495],
    [2, 20, 0.2826],
    [1, 10, 0.3942],
    [5, 5, 1],
  ])('%i of %i: below %f (exact binomial, 95 %%, one-sided)', (misses, trials, bound) => {
    expect(upperBound(misses, trials)).toBeCloseTo(bound, 4);
  });

  it('is the closed form wherever nothing was missed', () => {
    for (const trials of [1, 3, 20, 59, 300, 10_000])
      expect(upperBound(0, trials)).toBeCloseTo(1 - 0.05 ** (1 / trials), 10);
  });

  it('refuses what cannot be', () => {
    expect(() => upperBound(0, 0)).toThrow(RangeError);
    expect(() => upperBound(3, 2)).toThrow(RangeError);
  });
});

/** An on-off, mapped, and what was done with it afterwards. */
function onOff(deedsOf: (run: (misses: number[], cycles?: number) => Deed) => Deed[]): SwitchMap {
  const on = bench(2, 2);
  mapHidden(
    [[], [[0, 1]]].map((groups) => partitionFromGroups(2, groups)),
    on,
  );
  const run = (misses: number[], cycles = 20): Deed => ({
    kind: 'contact-repeated',
    run: {
      ...RUN,
      terminals: on.terminals as [TerminalId, TerminalId],
      setting: on.settings[1] as SettingId,
      misses,
      cycles,
    },
  });
  for (const deed of deedsOf(run)) on.add(deed);
  return deriveMap(on.events);
}

const RUN: RepeatRun = {
  terminals: ['a', 'b'] as never,
  setting: 'on' as never,
  cycles: 20,
  misses: [],
  sticks: [],
  dropOuts: 0,
  ohms: [],
  under: 'bench',
};

describe('a contact worked again and again', () => {
  const sometimes: Deed = { kind: 'symptoms-said', symptoms: ['sometimes'] };

  it('counts a miss once, with what it says of the rate', () => {
    expect(repeatedOf({ ...RUN, misses: [4, 11], sticks: [11] }).failed).toBe(2);
    expect(repeatedOf({ ...RUN, ohms: [0.1, 0.1, 0.3, 0.5] }).ohms).toEqual({
      least: 0.1,
      most: 0.5,
      drift: expect.closeTo(0.3, 10) as number,
    });
  });

  it('is asked for by name when the complaint says sometimes, and until then nothing passes', () => {
    const asked = onOff(() => [sometimes]);
    expect(repeatStanding(asked)).toMatchObject({ wanted: true, failed: false, left: [{ cycles: 0 }] });
    expect(verdictOf(asked).contacts).toEqual({ outcome: 'not-yet', reasons: ['not-repeated'] });
    expect(verdictOf(onOff((run) => [sometimes, run([], 19)])).contacts.outcome).toBe('not-yet');
    expect(verdictOf(onOff((run) => [sometimes, run([])])).contacts.outcome).toBe('pass');
  });

  it('is shown of a complaint only when every contact was worked and none missed', () => {
    expect(
      shownOf(
        onOff(() => [sometimes]),
        'repeats',
      ),
    ).toBe('not-yet');
    expect(
      shownOf(
        onOff((run) => [sometimes, run([])]),
        'repeats',
      ),
    ).toBe('shown');
    expect(
      shownOf(
        onOff((run) => [sometimes, run([3])]),
        'repeats',
      ),
    ).toBe('fails');
    expect(
      shownOf(
        onOff((run) => [run([])]),
        'low-resistance',
      ),
    ).toBe('shown');
    expect(
      shownOf(
        onOff(() => []),
        'every-contact-closes',
      ),
    ).toBe('not-yet');
    expect(
      shownOf(
        onOff(() => []),
        'direction',
      ),
    ).toBe('not-yet');
  });

  it('fails with a miss, whether it was asked for or not, until the switch was worked on', () => {
    expect(verdictOf(onOff((run) => [run([4, 11])])).contacts).toEqual({
      outcome: 'fail',
      reasons: ['missed'],
    });
    const cleaned = onOff((run) => [run([4, 11]), { kind: 'worked-on', what: 'cleaned', note: '' }]);
    expect(repeatStanding(cleaned).failed).toBe(false);
  });
});

describe('the mechanics', () => {
  const note = (
    found: 'good' | 'at-fault' | null,
    at: boolean,
    sign: MechanicalSign = 'not-charred',
  ): Deed => ({
    ...{ kind: 'mechanics-noted', sign, found, photo: null },
    terminal: at ? ('0b8d0a52-51d4-4c0e-9d6e-2f6f0a3c1d01' as TerminalId) : null,
  });
  const line = (...deeds: Deed[]) => verdictOf(onOff(() => deeds)).mechanics.outcome;
  const good = MECHANICAL_SIGNS.map((sign) => note('good', false, sign));

  it('pass when all is in order as a whole, and fail with one terminal at fault until that is taken back', () => {
    expect(line(...good)).toBe('pass');
    expect(line(...good, note('at-fault', true))).toBe('fail');
    expect(line(...good, note('at-fault', true), note(null, true))).toBe('pass');
    // In order at one terminal says nothing of the others.
    expect(line(...good.slice(0, 3), ...good.slice(4), note('good', true, MECHANICAL_SIGNS[3]))).toBe(
      'not-yet',
    );
    expect(
      upgradeEvent({ schema: 1, what: { kind: 'mechanics-noted', sign: 'detents', found: 'good' } }),
    ).toMatchObject({
      what: { terminal: null, photo: null },
    });
  });
});
