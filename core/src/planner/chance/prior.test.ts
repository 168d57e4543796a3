import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { PRIOR_WEIGHTS } from './prior-weights.js';
import { blankField, runCourse } from '../schools/course.js';
import { EMPTY_HANDS, ORDINARY_HANDS } from '../hands/hands.js';
import { experienceOf } from './experience.js';
import { FEATURES, featuresOf } from './features.js';
import { learntChance } from './chance.js';
import { likenessOf } from './likeness.js';
import { pairFirst, positionFirst } from '../schools/plain-schools.js';
import { priorChance } from './prior.js';
import { takeReading, type Field } from '../field/field.js';
import { type Planner } from '../schools/situation.js';
import { fewRuns } from '../../testing/runs.js';

/** What is known of a switch after so many moves of a planner. */
function partlyMapped(truth: Pattern, planner: Planner, moves: number): Field {
  const field = blankField(truth[0]?.length ?? 0, truth.length);
  const joined = (setting: number, a: number, b: number) => truth[setting]?.[a] === truth[setting]?.[b];
  let left = moves;
  const some: Planner = (situation) => (left-- > 0 ? planner(situation) : null);
  runCourse(field, { hands: EMPTY_HANDS, costs: ORDINARY_HANDS, planner: some, joined });
  return field;
}

const patterns = fc
  .record({ terminals: fc.integer({ min: 2, max: 9 }), settings: fc.integer({ min: 1, max: 5 }) })
  .chain(({ terminals, settings }) =>
    fc.array(fc.array(fc.nat(terminals - 1), { minLength: terminals, maxLength: terminals }), {
      minLength: settings,
      maxLength: settings,
    }),
  )
  .map((nets) => nets.map((row) => row.map((net) => row.indexOf(net))));

describe('the learnt prior', () => {
  it('has a weight for each feature', () => {
    expect(PRIOR_WEIGHTS.direct).toHaveLength(FEATURES.length);
    for (const { of } of PRIOR_WEIGHTS.hidden) expect(of).toHaveLength(FEATURES.length);
  });

  it('is the logistic function of the sums of one small network (worked by hand)', () => {
    const weights = { bias: -1, direct: [0.5, 0], hidden: [{ bias: 1, of: [0, 2], counts: 4 }] };
    // 1 + 2 x 1 = 3 is bent to 3 / 4; -1 + 0.5 x 2 + 4 x 3 / 4 = 3; 1 / (1 + e^-3).
    expect(priorChance([2, 1], weights)).toBeCloseTo(1 / (1 + Math.exp(-3)), 12);
  });

  it('has finite features, and chances between 0 and 1 that are the same both ways round', () => {
    fc.assert(
      fc.property(
        patterns,
        fc.constantFrom(positionFirst, pairFirst),
        fc.nat(12),
        (truth, planner, moves) => {
          const field = partlyMapped(truth, planner, moves);
          const experience = experienceOf(field);
          const likeness = likenessOf(field, experience);
          const chance = learntChance(field);
          for (const setting of field.settings.keys())
            for (const a of field.places)
              for (const b of field.places.slice(a + 1)) {
                const features = featuresOf({ field, experience, likeness }, setting, a, b);
                expect(features).toHaveLength(FEATURES.length);
                for (const value of features) expect(Math.abs(value)).toBeLessThan(4);
                expect(chance(setting, a, b)).toBeGreaterThan(0);
                expect(chance(setting, a, b)).toBeLessThanOrEqual(0.98);
                expect(chance(setting, b, a)).toBe(chance(setting, a, b));
              }
        },
      ),
      { numRuns: fewRuns(60) },
    );
  });

  it('expects of a selector its common with a throw, not two throws, and of a switch that adds a pair at each position the last one again', () => {
    // Two settings are known, the third is not touched.
    const throws = [1, 2, 3, 4].map((other) => partitionFromGroups(5, [[0, other]]));
    const selector = learntChance(partlyMapped(throws, positionFirst, 6));
    expect(selector(2, 0, 3)).toBeGreaterThan(3 * selector(2, 3, 4));
    const pairs = [
      [[0, 1]],
      [
        [0, 1],
        [2, 3],
      ],
      [
        [0, 1],
        [2, 3],
        [4, 5],
      ],
    ];
    const progressive = pairs.map((groups) => partitionFromGroups(6, groups));
    const more = learntChance(partlyMapped(progressive, positionFirst, 7));
    expect(more(2, 2, 3)).toBeGreaterThan(1.5 * more(2, 1, 4));
  });

  it('thinks each pair of a low bundle likelier than before', () => {
    const field = blankField(6, 2);
    const before = learntChance(field)(0, 0, 3);
    takeReading(field, { setting: 0, red: [0, 1, 2], black: [3], closed: true });
    const after = learntChance(field);
    expect(after(0, 0, 3)).toBeGreaterThan(before);
    expect(after(1, 0, 3)).toBeLessThan(after(0, 0, 3));
  });

  it('finds settings alike by their joins: shared ones over all that are known in both', () => {
    const [one, other] = [partitionFromGroups(4, [[0, 1]]), partitionFromGroups(4, [[2, 3]])];
    const field = partlyMapped([one, one, other], positionFirst, 99);
    const { alike, grown, partners } = likenessOf(field, experienceOf(field));
    // One shared join: (1 + 0.5) / (1 + 1); one against one: 0.5 / (2 + 1).
    expect(alike.cell(0, 1)).toBeCloseTo(0.75, 12);
    expect(alike.cell(0, 2)).toBeCloseTo(0.5 / 3, 12);
    expect(grown).toEqual({ joined: 0, tried: 6 });
    expect(partners).toEqual([[1], [0], [3], [2]]);
  });
});
