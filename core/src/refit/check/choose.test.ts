import { describe, expect, it } from 'vitest';
import { partitionFromGroups, type Partition } from '../../partition/index.js';
import { anyBench } from '../../testing/benches.js';
import { fewRuns } from '../../testing/runs.js';
import { checkOf } from './check.js';
import { chooseReadings } from './choose.js';
import { joinedWith, mistakesOf, type Bench } from './mistakes.js';
import { Shows } from './shows.js';

/** By the definition: what joins with the mistake, beside what should. */
function isShownIn(bench: Bench, { position, a, b }: { position: number; a: number; b: number }) {
  const right = joinedWith(bench, position, null) as Partition;
  return mistakesOf(bench).map((mistake) => {
    const wrong = joinedWith(bench, position, mistake);
    return wrong !== null && (wrong[a] === wrong[b]) !== (right[a] === right[b]);
  });
}

describe('what a reading shows, wire by wire', () => {
  it('is what comes of putting each mistake in: every reading of 20 switches', () => {
    let shown = 0;
    for (let seed = 1; seed <= 20; seed += 1) {
      const bench = anyBench(seed);
      const shows = new Shows(bench);
      const mistakes = mistakesOf(bench);
      for (let position = 0; position < bench.nets.length; position += 1)
        for (let a = 0; a < shows.nodes; a += 1)
          for (let b = a + 1; b < shows.nodes; b += 1) {
            const reading = { position, a, b };
            const wanted = isShownIn(bench, reading);
            const places = new Set(shows.places(reading));
            expect([seed, reading, mistakes.map((_, at) => places.has(at))]).toEqual([seed, reading, wanted]);
            const many = wanted.filter(Boolean).length;
            const left = shows.sets.all();
            expect(shows.shown(reading, left)).toBe(many);
            shows.take(reading, left);
            expect([shows.shown(reading, left), shows.sets.count(left)]).toEqual([0, mistakes.length - many]);
            shown += many;
          }
    }
    expect(shown).toBeGreaterThan(4000);
  });
});

describe('few readings for a large switch', () => {
  it('show all that any reading shows; beside the fewest there are, on small ones', () => {
    let [taken, fewest] = [0, 0];
    for (let seed = 1; seed <= fewRuns(24); seed += 1) {
      const bench = anyBench(seed);
      const shows = new Shows(bench);
      const { readings, atLeast, left } = chooseReadings(shows);
      const exact = checkOf(bench);
      expect(shows.sets.mistakes(left)).toEqual(exact.cannot);
      const unseen = shows.sets.all();
      for (const reading of readings) shows.take(reading, unseen);
      expect([seed, unseen]).toEqual([seed, left]);
      expect(readings.length).toBeGreaterThanOrEqual(exact.readings.length);
      expect(atLeast).toBeLessThanOrEqual(exact.readings.length);
      taken += readings.length;
      fewest += exact.readings.length;
    }
    expect(taken).toBeLessThanOrEqual(fewest * 1.03);
  });

  it('48 lugs and 12 positions, a wire on each: all is shown, the same ones each time, and it says how far it is', () => {
    const nets = Array.from({ length: 12 }, (_, position) =>
      partitionFromGroups(
        48,
        [0, 12, 24, 36].map((common) => [common, ...(position < 11 ? [common + 1 + position] : [])]),
      ),
    );
    const at = Array.from({ length: 48 }, (_, lug) => lug);
    const bench: Bench = { lugs: 48, at, jumpers: [], strays: [], nets };
    const heard: number[] = [];
    const check = checkOf(bench, (done) => heard.push(done));
    // Worked out in full it was 49 as well, in four times as long.
    expect(check.readings.length).toBeLessThanOrEqual(49);
    expect([check.atLeast, check.cannot]).toEqual([44, []]);
    expect(checkOf(bench)).toEqual(check);
    expect(heard.at(-1)).toBe(1);
    expect(heard).toEqual(heard.toSorted((one, other) => one - other));
    expect(() =>
      checkOf(bench, () => {
        throw new Error('stopped');
      }),
    ).toThrow('stopped');
  });
});
