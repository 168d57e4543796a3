import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { proposalsFor } from '../explain/index.js';
import {
  checkDue,
  doubtfulActs,
  forecastCourse,
  followUpsOf,
  frameAsk,
  handleAt,
  planNext,
  rankSuspects,
  recheckForecast,
} from '../planner/index.js';
import { namedIn, ORDERS, PLAIN_APPROACH, type Value } from '../log/index.js';
import { bench, CLOSED, mapHidden, OPEN, SILENT, SOUNDED, switchLikePattern } from '../testing/generated.js';
import { anyDeed } from '../testing/any-deed.js';
import { fewRuns } from '../testing/runs.js';
import { recognise } from './ordinary/recognise.js';

const anyValue = fc.constantFrom<Value>(
  CLOSED,
  OPEN,
  SOUNDED,
  SILENT,
  { kind: 'unsteady' },
  { kind: 'ohms', ohms: 300 },
);
const anyReading = fc.record({
  setting: fc.nat(2),
  red: fc.uniqueArray(fc.nat(6), { minLength: 1, maxLength: 4 }),
  black: fc.uniqueArray(fc.nat(6), { minLength: 1, maxLength: 4 }),
  value: anyValue,
});

describe('any log whatever', () => {
  it('gives a plan, forecasts and proposals without throwing, and asks only for what is in use', () => {
    fc.assert(
      fc.property(
        fc.array(anyReading, { maxLength: 40 }),
        fc.array(anyDeed, { maxLength: 12 }),
        fc.constantFrom(...ORDERS),
        fc.constantFrom(0, 4, 24),
        (readings, deeds, order, clips) => {
          const on = bench(7, 3);
          on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order, clips } });
          for (const { setting, red, black, value } of readings) on.bundle(setting, red, black, value);
          // The switch stays as it is described; everything else may happen to it.
          for (const deed of deeds) if (deed.kind !== 'restructured') on.add(deed);
          const map = deriveMap(on.events);
          const at = handleAt(map);
          const outlook = { hypotheses: recognise(map, []), now: '2026-01-05T10:20:00.000Z' };
          const plan = planNext(map, at, outlook);
          const known = new Set<string>([...on.terminals, ...on.settings]);
          if (plan.kind === 'ask') expect(namedIn(plan.ask).every((id) => known.has(id))).toBe(true);
          followUpsOf(map, at, outlook);
          for (const step of forecastCourse(map, at, outlook)) if (step.acts > 5) break;
          expect(recheckForecast(map).readings).toBeGreaterThanOrEqual(0);
          checkDue(map, outlook.now);
          doubtfulActs(map);
          frameAsk(map);
          for (const [id, { settled }] of map.settings) {
            for (const one of settled.contradictions)
              expect(rankSuspects(map, id, one).length).toBeGreaterThan(0);
            for (const { a, b } of settled.lookAgain) proposalsFor(map, id, a, b);
          }
        },
      ),
      { numRuns: fewRuns(60) },
    );
  });

  it('comes to an end under honest answers, whatever was read before: no prompt is asked for ever', () => {
    fc.assert(
      fc.property(
        switchLikePattern(7, 3),
        fc.array(anyReading, { maxLength: 12 }),
        fc.constantFrom(...ORDERS),
        fc.constantFrom(0, 3, 24),
        (hidden, readings, order, clips) => {
          const size = hidden[0]?.length ?? 0;
          const on = bench(size, hidden.length);
          on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order, clips } });
          const within = (places: number[]) => [...new Set(places.map((place) => place % size))];
          for (const { setting, red, black, value } of readings)
            on.bundle(setting % hidden.length, within(red), within(black), value);
          for (const recheck of [false, true]) {
            if (recheck) on.add({ kind: 'recheck-begun' });
            let prompts = 0;
            mapHidden(hidden, on, {
              onPrompt: () => {
                prompts += 1;
                if (prompts > 250) throw new Error('asked for ever');
              },
            });
          }
        },
      ),
      { numRuns: fewRuns(60) },
    );
  });
});
