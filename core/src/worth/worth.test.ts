import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WorthInputs } from '../log/index.js';
import { worthSum } from './sum.js';

const inputs: WorthInputs = {
  part: 12,
  minutes: 45,
  ratePerHour: 24,
  postage: 4,
  newMachine: 90,
  newLife: 9,
  lifeLeft: 4,
  limit: null,
  dangerous: false,
};

describe('repair or replace', () => {
  it('compares the repair with what the years left would cost new', () => {
    // By hand: 12 + 45/60 x 24 + 4 = 34; 90 x 4 / 9 = 40; 6 in favour of the repair.
    expect(worthSum(inputs)).toMatchObject({
      repair: 34,
      sameYearsNew: 40,
      leans: 'repair',
      by: 6,
      missing: [],
    });
    expect(worthSum({ ...inputs, part: 30 })).toMatchObject({ leans: 'new', by: 12 });
    expect(worthSum({ ...inputs, part: 18 }).leans).toBe('even');
  });

  it('names what would turn it: with that one input there, the two come out even', () => {
    const amount = (max: number) => fc.double({ min: 0.5, max, noNaN: true });
    fc.assert(
      fc.property(
        amount(100),
        amount(300),
        amount(80),
        amount(500),
        amount(20),
        amount(20),
        (part, minutes, ratePerHour, newMachine, newLife, lifeLeft) => {
          const said = { ...inputs, part, minutes, ratePerHour, newMachine, newLife, lifeLeft };
          const { turns } = worthSum(said);
          expect(turns.length).toBeGreaterThanOrEqual(2);
          for (const { field, at } of turns) {
            const turned = worthSum({ ...said, [field]: at });
            expect(Math.abs((turned.sameYearsNew ?? 0) - (turned.repair ?? 1))).toBeLessThan(
              1e-6 * Math.max(1, newMachine * 40),
            );
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it('stays unknown while something is missing, and says what', () => {
    expect(worthSum({ ...inputs, postage: null, newLife: 0 })).toMatchObject({
      leans: 'unknown',
      by: null,
      repair: null,
      sameYearsNew: null,
      missing: ['postage', 'newLife'],
    });
  });

  it('keeps the owner’s limit apart, and a dangerous machine is not kept for money’s sake', () => {
    expect(worthSum({ ...inputs, limit: 30 })).toMatchObject({ leans: 'repair', overLimit: 4 });
    expect(worthSum({ ...inputs, limit: 40 }).overLimit).toBeNull();
    expect(worthSum({ ...inputs, dangerous: true })).toMatchObject({ leans: 'not-kept', turns: [] });
  });
});
